import { describe, expect, it } from 'vitest';
import { DEMO_PIECES } from '../../server/seed/pieces';
import { DEMO_RUBBERS, DEMO_THERMOPLASTICS } from '../../server/seed/materials';
import { toSvg } from '../drawing';
import type { MasterRecord } from '../master';
import { rubberRecord, thermoplasticRecord } from '../shelf';
import { WORKSHOP_DEFAULTS } from '../workshop';
import {
	chooseMould,
	chooserInput,
	costOf,
	drawMould,
	jobsForSpare,
	MOULD_KINDS,
	mixingOf,
	mouldInputs,
	planMould,
	rubberChoices,
	shoreFor,
	sideBySide,
	USUAL_HOURLY,
	type ChooserInput
} from '.';

const rubbers = DEMO_RUBBERS.map((r, i) => ({ id: String(i), record: rubberRecord.parse(r) }));
const thermoplastic = thermoplasticRecord.parse(DEMO_THERMOPLASTICS[0]);
const materials = { rubber: rubbers[0]!.record, thermoplastic };
const piece = DEMO_PIECES[0]!.master;
const of = (over: Partial<ChooserInput>, master: MasterRecord = piece) =>
	chooseMould(master, chooserInput.parse({ ...over, masterId: 'm' }), materials, 21);
const fit = (options: ReturnType<typeof of>, kind: string) => options.find((o) => o.kind === kind)!.fit;

it('a way that cannot be planned says so, costs its work alone, and stands behind those that are known', () => {
	// what it displaces does not go into four millimetres
	const tiny = { ...piece, lengthMm: 4, widthMm: 4, heightMm: 4 };
	const options = of({}, tiny);
	const unknown = options.filter((o) => o.notKnown);
	expect(unknown.length).toBeGreaterThan(0);
	for (const o of unknown) {
		expect(o.notKnown!.length).toBeGreaterThan(10);
		expect(o.cost).toBeCloseTo((o.handsS / 3600) * USUAL_HOURLY, 9);
		const after = options.slice(options.indexOf(o)).filter((b) => b.fit === o.fit);
		expect(after.every((b) => b.notKnown)).toBe(true);
	}
	expect(of({}).every((o) => o.notKnown === undefined)).toBe(true);
});

describe('which way (common practice, no source)', () => {
	it('always lines up all six with reasons, fitting ones first', () => {
		const options = of({ undercuts: 'shallow' });
		expect(options.map((o) => o.kind).sort()).toEqual([...MOULD_KINDS].sort());
		const rank = { fits: 0, 'with care': 1, 'does not fit': 2 };
		const ranks = options.map((o) => rank[o.fit]);
		expect([...ranks].sort((a, b) => a - b)).toEqual(ranks);
		for (const o of options) expect(o.why.length).toBeGreaterThan(0);
	});
	it('a figure of 57 × 76 mm in ten copies: the cut block before the jacket (common practice, no source)', () => {
		const figure = {
			...piece,
			lengthMm: 57,
			widthMm: 57,
			heightMm: 76,
			readings: [{ method: 'typed', volumeMl: 90, on: '', remark: '' }],
			used: 0
		} as MasterRecord;
		for (const undercuts of ['none', 'shallow', 'deep'] as const) {
			const kinds = of({ undercuts, copies: 10 }, figure).map((o) => o.kind);
			expect(kinds.indexOf('one-piece')).toBeLessThan(kinds.indexOf('jacket'));
		}
	});
	it('the ways are ranked by material and hands in money; a dear hour puts the quick way first, a cheap one the sparing', () => {
		const at = (hourly: number) =>
			chooseMould(piece, chooserInput.parse({ undercuts: 'deep', masterId: 'm' }), materials, 21, hourly);
		for (const o of at(30))
			expect(o.cost).toBeCloseTo((o.massG * o.pricePerKg) / 1000 + (o.handsS / 3600) * 30, 9);
		// nobody said what an hour costs: the usual counts
		expect(at(0).map((o) => o.cost)).toEqual(at(USUAL_HOURLY).map((o) => o.cost));
		const place = (hourly: number, kind: string) => at(hourly).findIndex((o) => o.kind === kind);
		expect(place(100, 'one-piece')).toBeLessThan(place(100, 'jacket'));
		expect(place(0.01, 'jacket')).toBeLessThan(place(0.01, 'one-piece'));
	});
	it('a way whose material is not chosen does not stand first for costing nothing', () => {
		const without = chooseMould(
			piece,
			chooserInput.parse({ undercuts: 'none', masterId: 'm' }),
			{ rubber: rubbers[0]!.record },
			21
		);
		expect(without.find((o) => o.kind === 'press')!.fit).not.toBe('fits');
	});
	it('a flat back opens the open face; hollow casting closes it', () => {
		expect(fit(of({ flatBack: 'no', undercuts: 'none' }), 'open-face')).toBe('does not fit');
		expect(fit(of({ flatBack: 'yes', undercuts: 'none' }), 'open-face')).toBe('fits');
		expect(fit(of({ flatBack: 'yes', hollow: 'yes', undercuts: 'none' }), 'open-face')).toBe('does not fit');
	});
	it('a metal skin wants no seam all round; deep locks keep off what does not bend', () => {
		const metal = of({ metalSkin: 'yes', undercuts: 'none' });
		expect(fit(metal, 'two-part')).toBe('does not fit');
		expect(fit(metal, 'press')).toBe('does not fit');
		const deep = of({ undercuts: 'deep' });
		expect(fit(deep, 'rigid')).toBe('does not fit');
		expect(fit(deep, 'press')).toBe('does not fit');
		expect(fit(deep, 'one-piece')).not.toBe('does not fit');
	});
	it('a fragile master is not pressed on; large work is better in a jacket than in a block', () => {
		expect(fit(of({ fragile: 'yes', undercuts: 'none' }), 'press')).toBe('does not fit');
		const large = { ...piece, lengthMm: 300, widthMm: 300, heightMm: 400 };
		const options = of({ undercuts: 'shallow', hollow: 'yes' }, large);
		const kinds = options.map((o) => o.kind);
		expect(kinds.indexOf('jacket')).toBeLessThan(kinds.indexOf('one-piece'));
		const mass = (k: string) => options.find((o) => o.kind === k)!.massG;
		expect(mass('jacket')).toBeLessThan(mass('one-piece') / 3);
	});
	it('figures are those of the planner', () => {
		const plan = planMould(
			mouldInputs.parse({
				label: 'x',
				masterId: 'm',
				rubberId: 'r',
				kind: 'two-part',
				clearanceMm: 12,
				coverMm: 12,
				lossPercent: 4,
				roomTempC: 21
			}),
			piece,
			materials
		);
		expect(of({}).find((o) => o.kind === 'two-part')!.massG).toBeCloseTo(plan.rubber.massG, 9);
	});
	it('no copies, or half a one, is refused', () => {
		expect(chooserInput.safeParse({ copies: 0 }).success).toBe(false);
		expect(chooserInput.safeParse({ copies: 1.5 }).success).toBe(false);
	});
});

describe('which rubber', () => {
	const ask = (over: object) =>
		rubberChoices(
			{
				kind: 'one-piece',
				master: { ...piece, material: 'metal', sealing: 'none' },
				degas: 'vacuum',
				inPot: false,
				...over
			},
			rubbers,
			[]
		);
	const named = (list: ReturnType<typeof ask>, name: string) => list.find((c) => c.name === name)!;
	it('deep locks want a soft one, none any (common practice, no source)', () => {
		expect(shoreFor(0, 50).most).toBeGreaterThan(shoreFor(3, 50).most);
		expect(shoreFor(3, 50).most).toBeGreaterThan(shoreFor(20, 50).most);
		expect(named(ask({ undercutDepthMm: 20 }), 'Capstan heat red').reasons.join()).toMatch(/hard for locks/);
	});
	it('what inhibits is said, heat that it does not stand rules it out, a brush-on is for jackets', () => {
		const clay = ask({ master: { ...piece, material: 'sulphur clay', sealing: 'none' } });
		expect(named(clay, 'Tidal grey').fit).toBe('does not fit');
		expect(named(ask({ faceTempC: 200 }), 'Tidal grey').fit).toBe('does not fit');
		expect(named(ask({ faceTempC: 200 }), 'Capstan heat red').fit).not.toBe('does not fit');
		expect(named(ask({}), 'Spindrift skin').reasons.join()).toMatch(/made for brushing/);
		expect(named(ask({ kind: 'jacket' }), 'Spindrift skin').reasons.join()).not.toMatch(/made for/);
	});
	it('undegassed rubber in the pot is warned of', () => {
		expect(named(ask({ inPot: true, degas: 'none' }), 'Tidal grey').reasons.join()).toMatch(/dimples/);
		expect(named(ask({ inPot: true, degas: 'pressure' }), 'Tidal grey').reasons.join()).not.toMatch(
			/dimples/
		);
	});
});

describe('cost, waste, spare rubber', () => {
	const inputs = mouldInputs.parse({
		label: 'x',
		masterId: 'm',
		rubberId: 'r',
		clearanceMm: 12,
		coverMm: 12,
		lossPercent: 5,
		roomTempC: 21
	});
	it('by hand: price times mass; of 105 g mixed 5 g stay in the cup', () => {
		const priced = { rubber: { ...rubbers[0]!.record, pricePerKg: 30 } };
		const plan = planMould(inputs, piece, priced);
		const cost = costOf(plan, priced, 5);
		expect(cost.cost).toBeCloseTo((30 * plan.rubber.massG) / 1000, 9);
		expect(cost.wasteShare).toBeCloseTo(5 / 105, 9);
		const free = { rubber: { ...rubbers[0]!.record, pricePerKg: undefined } };
		expect(costOf(plan, free, 5).cost).toBeUndefined();
	});
	it('a vessel that takes only a part of the pour is said with the one that would do', () => {
		const plan = planMould({ ...inputs, degas: 'vacuum' }, piece, materials);
		const codes = (vacuumVesselMl: number) =>
			mixingOf(plan, materials, 'vacuum', { ...WORKSHOP_DEFAULTS, vacuumVesselMl }).mixes[0]!.warnings;
		const needMl = 5 * plan.rubber.volumeMl;
		expect(codes(needMl + 1).map((w) => w.code)).not.toContain('vessel-too-small');
		const said = codes(needMl * 0.9)[0]!;
		expect(said.code).toBe('vessel-too-small');
		expect(said.action).toContain(`${Math.ceil(needMl / 100) * 100} ml`);
	});
	it('what is left fills the largest jobs of its own rubber and never more than there is', () => {
		const job = (id: string, massG: number, rubberId = 'r') => ({ id, label: id, massG, rubberId });
		const jobs = [job('a', 60), job('b', 30), job('c', 25), job('d', 40, 'other')];
		expect(jobsForSpare(100, 'r', jobs).map((j) => j.id)).toEqual(['a', 'b']);
		expect(jobsForSpare(20, 'r', jobs)).toEqual([]);
	});
});

describe('drawings', () => {
	const show = (mm: number) => `${mm.toFixed(0)} mm`;
	const drawn = (over: object, letterMm?: number) => {
		const inputs = mouldInputs.parse({
			label: 'x',
			masterId: 'm',
			rubberId: 'r',
			thermoplasticId: 't',
			clearanceMm: 12,
			coverMm: 14,
			lossPercent: 4,
			roomTempC: 21,
			...over
		});
		const plan = planMould(inputs, piece, materials);
		return { inputs, ...drawMould(inputs, plan, piece, show, letterMm) };
	};
	it.each(MOULD_KINDS)(
		'a %s has a section and a plan whose marks lie in their frames, and an SVG to scale',
		(kind) => {
			for (const shape of ['box', 'tube', 'bricks']) {
				const d = drawn({ kind, shape });
				for (const view of [d.section, d.plan, sideBySide(d)]) {
					const svg = toSvg(view, 'A <mould> & "more"');
					expect(svg).not.toMatch(/NaN|undefined|Infinity/);
					expect(svg).toContain('A &lt;mould&gt; &amp; &quot;more&quot;');
					expect(svg).toMatch(/^<svg xmlns="http:\/\/www.w3.org\/2000\/svg" width="[\d.]+mm"/);
					for (const m of view.marks) {
						const [x, y] =
							m.kind === 'circle' ? [m.cx, m.cy] : m.kind === 'path' ? [view.x, view.y] : [m.x, m.y];
						expect(x).toBeGreaterThanOrEqual(view.x - 1e-6);
						expect(x).toBeLessThanOrEqual(view.x + view.widthMm + 1e-6);
						expect(y).toBeGreaterThanOrEqual(view.y - 1e-6);
						expect(y).toBeLessThanOrEqual(view.y + view.heightMm + 1e-6);
					}
				}
			}
		}
	);
	it('rubber is drawn as large as it is, and its sizes are written', () => {
		const d = drawn({ kind: 'one-piece' });
		const rubber = d.section.marks.find((m) => m.kind === 'rect' && m.tone === 'rubber') as {
			w: number;
			h: number;
		};
		const cavity = d.plan && d.section ? planMould(d.inputs, piece, materials).cavity! : undefined;
		expect(cavity).toMatchObject({ shape: 'box', lengthMm: rubber.w, heightMm: rubber.h });
		const words = d.section.marks.flatMap((m) => (m.kind === 'text' ? [m.text] : []));
		expect(words).toEqual(expect.arrayContaining([show(rubber.w), show(rubber.h), show(14)]));
	});
	it('the board under it is drawn as it is sawn, with both its sizes', () => {
		for (const shape of ['box', 'tube', 'bricks']) {
			const d = drawn({ kind: 'one-piece', shape }, 3.2);
			const sawn = planMould(d.inputs, piece, materials).cutList!.find((c) => c.what === 'base board')!;
			const board = d.plan.marks.find((m) => m.kind === 'rect' && m.line === 'dim');
			expect(board).toMatchObject({ w: sawn.lengthMm, h: sawn.widthMm });
			const words = d.plan.marks.flatMap((m) => (m.kind === 'text' ? [m.text] : []));
			expect(words).toEqual(
				expect.arrayContaining([`base board ${show(sawn.lengthMm)}`, show(sawn.widthMm)])
			);
		}
	});
	it('as many masters are drawn as there are cavities, and none where no cavity is', () => {
		const masters = (cavities: number) =>
			drawn({ kind: 'one-piece', cavities }).plan.marks.filter(
				(m) => m.kind !== 'text' && m.tone === 'master'
			).length;
		expect(masters(1)).toBe(1);
		expect(masters(4)).toBe(4);
		expect(masters(3)).toBe(3);
		expect(masters(5)).toBe(5);
	});
});
