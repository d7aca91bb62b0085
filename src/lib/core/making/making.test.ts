import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { DEMO_PIECES } from '../../server/seed/pieces';
import { DEMO_RUBBERS, DEMO_THERMOPLASTICS } from '../../server/seed/materials';
import {
	MOULD_KINDS,
	MOULD_MODULES,
	mouldInputs,
	planMould,
	type MakingPlan,
	type MouldKind
} from '../mould';
import { rubberRecord, thermoplasticRecord } from '../shelf';
import {
	makingClocks,
	makingCut,
	makingCuts,
	makingEvent,
	makingSteps,
	placed,
	readyAtMs,
	reduceMaking,
	type MakingEvent,
	waterOffPercent,
	weighedPours,
	weighedProblem
} from '.';

const rubber = rubberRecord.parse(DEMO_RUBBERS[0]);
const thermoplastic = thermoplasticRecord.parse(DEMO_THERMOPLASTICS[0]);
const master = DEMO_PIECES[0]!.master;

function planOf(kind: MouldKind, over: Partial<MakingPlan> = {}): MakingPlan {
	const inputs = mouldInputs.parse({
		label: 'x',
		masterId: 'm',
		rubberId: 'r',
		thermoplasticId: 't',
		kind,
		clearanceMm: 12,
		coverMm: 12,
		lossPercent: 4,
		roomTempC: 23
	});
	const plan = planMould(inputs, master, { rubber, thermoplastic });
	const times = MOULD_MODULES[plan.kind].settingS(plan);
	return {
		number: 7,
		label: 'Lamp',
		masterName: 'Lamp',
		kind,
		materialName: rubber.name,
		cureKind: 'addition',
		sealing: 'none',
		shape: 'box',
		seamSide: 'back',
		degas: 'none',
		pours: plan.pours.map((p, i) => ({
			name: p.name,
			massG: p.massG,
			...(p.a ? { aG: p.a.massG } : {}),
			...(p.b ? { bG: p.b.massG } : {}),
			...(p.thickenerG ? { thickenerG: p.thickenerG } : {}),
			mixes: 1,
			setS: times[i]!
		})),
		workingTimeS: plan.workingTimeS,
		...MOULD_MODULES[kind].making(inputs, plan, { rubber, thermoplastic }),
		masterVolumeMl: 100,
		cavities: 1,
		...over
	};
}

let serial = 0;
const uuid = () => `00000000-0000-4000-8000-${String(++serial).padStart(12, '0')}`;
const done = (stepId: string, atMs: number): MakingEvent => ({ id: uuid(), atMs, kind: 'step-done', stepId });
const T0 = 1.7e12;

describe.each(MOULD_KINDS)('the steps of a %s', (kind) => {
	const steps = makingSteps(planOf(kind));
	it('have names of their own, end with a look, and say what to press', () => {
		expect(new Set(steps.map((s) => s.id)).size).toBe(steps.length);
		expect(steps.at(-1)!.kind).toBe('inspect');
		for (const s of steps) {
			expect(s.action.length * s.title.length * s.detail.length).toBeGreaterThan(0);
			expect(s.id.length).toBeLessThanOrEqual(40);
		}
	});
	it('every rubber is weighed, combined, mixed and put in place in this order', () => {
		const at = (id: string) => steps.findIndex((s) => s.id === id);
		for (let i = 0; i < (kind === 'press' || kind === 'rigid' ? 0 : planOf(kind).pours.length); i++) {
			const order = ['measure', 'combine', 'mix', 'place', 'cure'].map((s) => at(`${s}-${i}`));
			expect(order.every((n) => n >= 0)).toBe(true);
			expect([...order].sort((a, b) => a - b)).toEqual(order);
		}
	});
	it('waits add up to the time that the plan promises', () => {
		if (kind === 'rigid') return;
		const plan = planOf(kind);
		const inputs = mouldInputs.parse({
			label: 'x',
			masterId: 'm',
			rubberId: 'r',
			thermoplasticId: 't',
			kind,
			clearanceMm: 12,
			coverMm: 12,
			lossPercent: 4,
			roomTempC: 23
		});
		const promised = planMould(inputs, master, { rubber, thermoplastic }).readyInS;
		const waits = makingSteps(plan).reduce((s, step) => s + (step.waitS ?? 0), 0);
		// pressing itself is no wait
		expect(Math.abs(waits - promised)).toBeLessThanOrEqual(kind === 'press' ? 361 : 1);
	});
});

describe('cautions stand where they bite', () => {
	const of = (kind: MouldKind, id: string, over: Partial<MakingPlan> = {}) =>
		makingSteps(planOf(kind, over)).find((s) => s.id === id)!;
	it('a shell of thickened resin goes on in portions, since it heats itself in bulk', () => {
		expect(of('jacket', 'lay-0').detail).toMatch(/in portions.*spread at once/);
		expect(of('jacket', 'lay-0').detail).toMatch(/left standing in one pot would be about \d+.°C after/);
		expect(of('jacket', 'lay-0').cautions).toContain('bulk');
	});
	it('the bath scalds, hot glue burns, powder is breathed in', () => {
		expect(of('press', 'soften-0').cautions).toEqual(['scald']);
		expect(of('press', 'place-0').cautions).toEqual(['scald']);
		expect(of('one-piece', 'box').cautions).toEqual(['hot-glue']);
		const thickened = planOf('jacket');
		const [coat] = thickened.pours;
		thickened.pours = [{ ...coat!, thickenerG: 12 }];
		expect(makingSteps(thickened).find((s) => s.id === 'measure-0')!.cautions).toContain('powder');
	});
});

describe('what the records add', () => {
	const ids = (over: Partial<MakingPlan>, kind: MouldKind = 'one-piece') =>
		makingSteps(planOf(kind, over)).map((s) => s.id);
	it('release with its flash-off, sealing, vacuum with the air let in before the pump stops', () => {
		expect(ids({})).not.toContain('release');
		expect(ids({ release: { name: 'Mist', flashOffS: 300, powder: false } })).toEqual(
			expect.arrayContaining(['release', 'flash-off'])
		);
		expect(ids({ release: { name: 'Dust', flashOffS: 0, powder: true } })).not.toContain('flash-off');
		expect(ids({ sealing: 'lacquer' })).toContain('seal');
		const v = ids({ degas: 'vacuum', vacuum: { risenMl: 900, vesselMl: 2000, pumpDownS: 60, takesS: 360 } });
		expect(v.indexOf('vacuum-0')).toBeGreaterThan(v.indexOf('mix-0'));
		expect(v.indexOf('let-in-0')).toBe(v.indexOf('vacuum-0') + 1);
		expect(v.indexOf('place-0')).toBe(v.indexOf('let-in-0') + 1);
		expect(ids({ degas: 'pressure' })).toContain('pot-0');
	});
	it('two halves are separated: by the release, or by a step of its own', () => {
		expect(ids({}, 'two-part')).toContain('separate');
		const coated = ids({ release: { name: 'Mist', flashOffS: 300, powder: false } }, 'two-part');
		expect(coated).toContain('release-joint');
		expect(coated).not.toContain('separate');
	});
	it('tin is not told to be warmed, platinum is', () => {
		const cure = (cureKind: 'addition' | 'condensation') =>
			makingSteps(planOf('one-piece', { cureKind })).find((s) => s.id === 'cure-0')!.detail;
		expect(cure('condensation')).toMatch(/does not hurry/);
		expect(cure('addition')).toMatch(/hurries a platinum/);
	});
	it('several mixes are told with the size of each', () => {
		const plan = planOf('one-piece');
		plan.pours[0]!.mixes = 3;
		expect(makingSteps(plan).find((s) => s.id === 'measure-0')!.detail).toMatch(/In 3 mixes/);
	});
});

describe('where a making stands', () => {
	const plan = planOf('one-piece');
	const steps = makingSteps(plan);
	const upTo = (id: string) => steps.slice(0, steps.findIndex((s) => s.id === id) + 1);

	it('the working time runs from combining until the rubber is in place, then its cure', () => {
		const events = upTo('combine-0').map((s, i) => done(s.id, T0 + i * 60_000));
		let state = reduceMaking(steps, events);
		let clocks = makingClocks('id', plan, steps, state);
		expect(clocks.map((c) => c.kind)).toEqual(['pot-life']);
		expect(clocks[0]!.endsAtMs).toBeCloseTo(state.pours[0]!.combinedAtMs! + plan.workingTimeS * 1000, 3);
		const poured = [...events, done('mix-0', T0 + 900_000), done('place-0', T0 + 1_000_000)];
		state = reduceMaking(steps, poured);
		clocks = makingClocks('id', plan, steps, state);
		expect(clocks.map((c) => c.kind)).toEqual(['rubber']);
		expect(clocks[0]!.endsAtMs).toBeCloseTo(T0 + 1_000_000 + plan.pours[0]!.setS * 1000, 3);
		expect(placed(steps, state)).toEqual({ firstMs: T0 + 1_000_000, lastMs: T0 + 1_000_000 });
		expect(readyAtMs(steps, state, T0 + 1_500_000)).toBeCloseTo(
			T0 + 1_000_000 + plan.pours[0]!.setS * 1000,
			3
		);
	});

	it('order of arrival, repeats and taking back do not matter', () => {
		const events: MakingEvent[] = [
			...steps.slice(0, 6).map((s, i) => done(s.id, T0 + i * 1000)),
			{ id: uuid(), atMs: T0 + 9000, kind: 'inspected', waterMl: 98, faults: ['torn'], note: 'small' }
		];
		const back: MakingEvent = { id: uuid(), atMs: T0 + 9500, kind: 'undone', eventId: events[5]!.id };
		const expected = reduceMaking(steps, [...events, back]);
		expect(expected.current).toBe(5);
		expect(expected.inspection).toEqual({ waterMl: 98, faults: ['torn'], note: 'small' });
		fc.assert(
			fc.property(
				fc.shuffledSubarray([...events, back, ...events], { minLength: 15, maxLength: 15 }),
				(shuffled) => {
					expect(reduceMaking(steps, shuffled)).toEqual(expected);
				}
			)
		);
	});

	it('what ended keeps no clock and cannot be taken back', () => {
		const ended = reduceMaking(steps, [
			done(steps[0]!.id, T0),
			{ id: uuid(), atMs: T0 + 1, kind: 'abandoned', reason: 'leaked' }
		]);
		expect(ended.status).toBe('abandoned');
		expect(ended.lastUndoable).toBeUndefined();
		expect(makingClocks('id', plan, steps, ended)).toEqual([]);
	});

	it.each([
		[{ kind: 'step-done', stepId: '' }],
		[{ kind: 'inspected', waterMl: 0, faults: [], note: '' }],
		[{ kind: 'inspected', faults: ['made up'], note: '' }],
		[{ kind: 'step-done', stepId: 'fix', extra: 1 }]
	])('%j is refused', (part) => {
		expect(makingEvent.safeParse({ id: uuid(), atMs: T0, ...part }).success).toBe(false);
	});
});

describe('water that a made mould takes', () => {
	it('against its master, by hand', () => {
		expect(waterOffPercent(84, 80)).toBeCloseTo(5, 9);
		expect(waterOffPercent(76, 80)).toBeCloseTo(-5, 9);
		expect(waterOffPercent(80, 80)).toBe(0);
	});
	it.each([
		[0, 80],
		[80, 0],
		[NaN, 80],
		[80, -1]
	])('%d ml against %d ml is no comparison', (waterMl, masterMl) => {
		expect(() => waterOffPercent(waterMl, masterMl)).toThrow(/waterOffPercent: both over 0/);
	});
});

it('a wait that is ended with much of it to go is known as cut short, at its end it is not', () => {
	const steps = makingSteps(planOf('one-piece'));
	const i = steps.findIndex((s) => (s.waitS ?? 0) > 3600);
	const waitS = steps[i]!.waitS!;
	const state = { doneAtMs: { [steps[i - 1]!.id]: 1e12 } };
	const at = (share: number) => 1e12 + share * waitS * 1000;
	expect(makingCut(steps, state, i, at(0.25))).toEqual({ waitedS: waitS / 4, wantedS: waitS });
	expect(makingCut(steps, state, i, at(0.95))).toBeUndefined();
	expect(makingCut(steps, state, i - 1, at(0))).toBeUndefined();
	const ended = (share: number) =>
		makingCuts(steps, { doneAtMs: { ...state.doneAtMs, [steps[i]!.id]: at(share) } });
	expect(ended(0.5)).toEqual([{ title: steps[i]!.title, waitedS: waitS / 2, wantedS: waitS }]);
	expect(ended(1)).toEqual([]);
});

describe('what is really weighed', () => {
	const plan = planOf('one-piece');
	const steps = makingSteps(plan);
	const measure = steps.find((s) => s.amounts)!;
	const [pa, pb] = measure.amounts!.map((a) => a.massG) as [number, number];
	const weighed = (massesG: number[], atMs = T0): MakingEvent => ({
		id: uuid(),
		atMs,
		kind: 'weighed',
		stepId: measure.id,
		massesG
	});
	it('is kept by its step, the last word counts, and it can be taken back', () => {
		const [first, second] = [weighed([pa, pb]), weighed([pa + 10, pb + 10], T0 + 1000)];
		const [pour] = weighedPours(steps, reduceMaking(steps, [second, first]));
		expect(pour!.weighedG).toBeCloseTo(pa + pb + 20, 9);
		expect(pour!.plannedG).toBeCloseTo(plan.pours[0]!.massG, 6);
		const undone: MakingEvent = { id: uuid(), atMs: T0 + 2000, kind: 'undone', eventId: second.id };
		const [back] = weighedPours(steps, reduceMaking(steps, [first, second, undone]));
		expect(back!.weighedG).toBeCloseTo(pa + pb, 9);
		expect(weighedPours(steps, reduceMaking(steps, []))).toEqual([]);
	});
	it('a ratio that is off is said before it is combined; a little over in the right ratio is not', () => {
		expect(weighedProblem(measure, [1.2 * pa, 1.2 * pb])).toBeUndefined();
		expect(weighedProblem(measure, [pa, 1.12 * pb])).toMatch(/12 % off: there is too much/);
		expect(weighedProblem(measure, [1.2 * pa, pb])).toMatch(/too little/);
		expect(weighedProblem(measure, [pa, undefined])).toBeUndefined();
	});
	it('nothing, or less, is no weight', () => {
		for (const massesG of [[], [0], [-3, 5], [NaN]])
			expect(makingEvent.safeParse(weighed(massesG)).success).toBe(false);
	});
});
