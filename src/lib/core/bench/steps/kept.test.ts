import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { pourPlan, type PourPlan } from '../../plan';
import { lessonPlan } from '../../practice/lesson';
import { WORKSHOP_DEFAULTS } from '../../workshop';
import { clocksOf, reducePour, type PourEvent } from '..';
import { benchSteps, parseStepId, stepId, type StepRef } from '.';
import { stepsOf, withSteps } from './kept';
import { retimed } from './times';

const plain: PourPlan = lessonPlan(WORKSHOP_DEFAULTS);
const catalyst = { massG: 2, volumeMl: 1.8, drops: 36 };
const layer: NonNullable<PourPlan['layers']>[number] = {
	a: { massG: 30, volumeMl: 27 },
	b: { massG: 27, volumeMl: 27 },
	thicknessMm: 1,
	potLifeS: 160,
	lockS: 70,
	gelS: 190,
	recoatFromS: 190,
	recoatUntilS: 620,
	serves: 'detail'
};
const cup: NonNullable<PourPlan['cups']>[number] = {
	name: 'green',
	a: { massG: 50, volumeMl: 45 },
	b: { massG: 45, volumeMl: 45 },
	massG: 95,
	startTempC: 21,
	potLifeS: 160,
	warmS: 80,
	colours: [{ name: 'dye', part: 'B', massG: 1, drops: 3 }]
};
/** One plan of every sort of work. */
const PLANS: Record<string, PourPlan> = {
	'one cup': plain,
	'one cup, filled and coloured': {
		...plain,
		fillers: [{ name: 'spheres', massG: 9, volumeMl: 40 }],
		colours: [{ name: 'mica', part: 'A', massG: 1 }],
		inserts: [{ name: 'wire', massG: 4 }],
		dust: { name: 'bronze', massG: 2 },
		release: { name: 'Wax', kind: 'wax', flashOffS: 600 },
		closing: [{ mould: 'M1', how: 'Bands.', little: '', much: '' }],
		spares: []
	},
	catalysed: { ...plain, chemistry: 'polyester', catalyst, b: { massG: 0, volumeMl: 0 } },
	layers: {
		...plain,
		pot: undefined,
		layers: [layer, { ...layer, fillers: [{ name: 'silica', massG: 3, volumeMl: 1 }] }, layer]
	},
	'a shell that is filled': {
		...plain,
		pot: undefined,
		layers: [layer, layer],
		fill: { words: 'plaster, wet', mixG: 200, fillMl: 110 }
	},
	'clear layers': {
		...plain,
		pot: undefined,
		layers: [
			{ ...layer, way: 'flat', levelMm: 8, setsIn: ['fern'], recoatFromS: 4000, recoatUntilS: 9000 },
			{ ...layer, way: 'flat' }
		]
	},
	'coats with a brush': {
		...plain,
		pot: undefined,
		layers: [
			{ ...layer, way: 'brush' },
			{ ...layer, way: 'brush' }
		]
	},
	'colours together': { ...plain, pot: undefined, cups: [cup, { ...cup, name: 'white' }], pourTempC: 35 }
};
const named = Object.entries(PLANS);
let serial = 0;
const done = (id: string, atMs: number): PourEvent => ({
	id: `00000000-0000-4000-8000-${String(++serial).padStart(12, '0')}`,
	atMs,
	kind: 'step-done',
	stepId: id
});
const T0 = 1.79e12;

describe('ids of steps', () => {
	const ref: fc.Arbitrary<StepRef> = fc.oneof(
		fc.record({
			name: fc.constantFrom(
				'look' as const,
				'flash-off' as const,
				'pour-together' as const,
				'release' as const
			)
		}),
		fc.record({
			name: fc.constantFrom(
				'measure-a' as const,
				'measure-catalyst' as const,
				'combine' as const,
				'mix' as const,
				'gelled' as const
			),
			cup: fc.nat(9999)
		}),
		fc.record({
			name: fc.constantFrom('measure-filler' as const, 'colour' as const),
			n: fc.nat(9999),
			cup: fc.nat(9999)
		}),
		fc.record({ name: fc.constant('timed' as const), n: fc.nat(9999) })
	);
	it('one step, one text, and back', () => {
		fc.assert(fc.property(ref, (r) => void expect(parseStepId(stepId(r))).toEqual(r)));
		fc.assert(
			fc.property(ref, ref, (a, b) => JSON.stringify(a) === JSON.stringify(b) || stepId(a) !== stepId(b))
		);
	});
	it('what no step has is none, however alike', () => {
		for (const text of [
			'',
			'combine-0',
			'combine-01',
			'roll',
			'timed',
			'timed-1-2',
			'roll-1-2',
			'look-1',
			'measure-c',
			'-1',
			'combine--1'
		])
			expect(parseStepId(text), text).toBeUndefined();
		fc.assert(
			fc.property(fc.string(), (text) => {
				const found = parseStepId(text);
				return found === undefined || stepId(found) === text;
			})
		);
	});
	it.each(named)('every step of %s has one, in the words of either system of units', (_name, plan) => {
		for (const units of ['metric', 'us'] as const) {
			const all = benchSteps(plan, units);
			expect(new Set(all.map((s) => s.id)).size).toBe(all.length);
			for (const s of all) expect(parseStepId(s.id), s.id).toBeDefined();
			for (const s of all) if (s.sinceStep) expect(all.some((o) => o.id === s.sinceStep)).toBe(true);
		}
	});
});

describe('steps that are kept with the pour', () => {
	it.each(named)('%s: kept as the schema of a plan has them, and taken as they are', (_name, plan) => {
		const kept = withSteps(plan);
		expect(pourPlan.parse(kept).bench).toEqual(kept.bench);
		expect(stepsOf(kept)).toBe(kept.bench);
		expect(withSteps(kept)).toBe(kept);
	});
	it('a release that adds, drops or renames a step does not move an open pour', () => {
		// the generator of another release: one step more at the beginning, one fewer, other words
		const then = benchSteps(plain);
		const extra = { ...then[0]!, id: 'spares', title: 'Sweep the bench', action: 'Swept' };
		const other = [extra, ...then.filter((s) => s.id !== 'shake')].map((s) => ({
			...s,
			title: `${s.title}, as ever`
		}));
		const kept: PourPlan = { ...plain, bench: other };
		const events = other.slice(0, 4).map((s, i) => done(s.id, T0 + i * 1000));
		expect(reducePour(stepsOf(kept), events).current).toBe(4);
		expect(stepsOf(kept)[4]!.title).toMatch(/as ever$/);
		// today's own generator would have it stand elsewhere
		expect(reducePour(benchSteps(plain), events).current).not.toBe(4);
		const combined = other
			.slice(0, other.findIndex((s) => s.id === 'combine') + 1)
			.map((s, i) => done(s.id, T0 + i));
		expect(clocksOf('p', withSteps(kept), reducePour(stepsOf(kept), combined))[0]!.kind).toBe('pot-life');
	});
	it.each(named)(
		'%s: every step is reached, one after another, and each can be gone back to',
		(_name, plan) => {
			const steps = stepsOf(withSteps(plan));
			const events: PourEvent[] = [];
			steps.forEach((s, i) => {
				expect(reducePour(steps, events).current).toBe(i);
				const one = done(s.id, T0 + i * 1000);
				events.push(one);
				const back = reducePour(steps, [
					...events,
					{
						id: '00000000-0000-4000-9000-000000000000',
						atMs: T0 + i * 1000 + 1,
						kind: 'undone',
						eventId: one.id
					}
				]);
				expect(back.current).toBe(i);
			});
			expect(reducePour(steps, events).current).toBe(steps.length);
		}
	);
});

describe('what readings move', () => {
	it('times follow the corrected plan, words and amounts do not', () => {
		const kept = withSteps(PLANS['a shell that is filled']!);
		const slower: PourPlan = {
			...kept,
			demouldS: kept.demouldS * 2,
			layers: kept.layers!.map((l) => ({ ...l, lockS: l.lockS * 2, recoatFromS: l.recoatFromS * 2 }))
		};
		const [before, after] = [stepsOf(kept), retimed(stepsOf(kept), slower)];
		const wait = (all: readonly { id: string; waitS?: number | undefined }[], id: string) =>
			all.find((s) => s.id === id)!.waitS;
		for (const id of ['roll-0', 'gelled-0', 'roll-1', 'fill'])
			expect(wait(after, id)).toBe(2 * wait(before, id)!);
		expect(after.map(({ waitS: _w, ...s }) => s)).toEqual(before.map(({ waitS: _w, ...s }) => s));
	});
	it('of colours that wait to be warm, the one deadline is when the slowest is', () => {
		const kept = withSteps(PLANS['colours together']!);
		const late: PourPlan = { ...kept, cups: kept.cups!.map((c) => ({ ...c, warmS: 100 })) };
		const at = (plan: PourPlan) =>
			retimed(stepsOf(kept), plan).find((s) => s.id === 'pour-together')!.deadlineS!;
		expect(at(late) - at(kept)).toBeCloseTo(20, 6);
	});
});
