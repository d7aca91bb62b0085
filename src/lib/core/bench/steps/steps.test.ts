import { cupVolumeMl } from '../../shelf';
import { stockWarnings } from '../../shelf';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { MOULD_KINDS, type MouldKind } from '../../mould/kinds/names';
import { caution } from '../../cautions';
import { lessonPlan } from '../../practice';
import { WORKSHOP_DEFAULTS } from '../../workshop';
import { MEASURING_SCHOOLS } from '../../mix/measuring';
import { POUR_PLACE_KEYS, POUR_WAY_KEYS, STEP_ROLES } from '../../shot/pouring';
import { type PourPlan } from '../../plan/pourPlan';
import { benchSteps } from '..';

const plain: PourPlan = {
	...lessonPlan(WORKSHOP_DEFAULTS),
	a: { massG: 100, volumeMl: 90 },
	b: { massG: 90, volumeMl: 90 },
	massG: 190,
	cupDiameterMm: 50,
	steps: [
		{ name: 'Mix', durationS: 40, role: 'mix' },
		{ name: 'Pour', durationS: 20, role: 'pour' }
	],
	pot: undefined
};
const ids = (plan: PourPlan) => benchSteps(plan).map((s) => s.id);
const step = (plan: PourPlan, id: string) => {
	const found = benchSteps(plan).find((s) => s.id === id);
	if (!found) throw new Error(`no step ${id} among ${ids(plan).join(', ')}`);
	return found;
};
/** What a step says, thin blanks between number and unit as plain ones. */
const said = (plan: PourPlan, id: string) => step(plan, id).detail.replace(/\u202f/g, ' ');
const cup = (name: string, share: number): NonNullable<PourPlan['cups']>[number] => ({
	name,
	a: { massG: 100 * share, volumeMl: 90 * share },
	b: { massG: 90 * share, volumeMl: 90 * share },
	massG: 190 * share,
	startTempC: 21,
	potLifeS: 160,
	colours: [{ name: 'dye', part: 'B', massG: 1.5 * share, drops: 1 }]
});
const layer: NonNullable<PourPlan['layers']>[number] = {
	a: { massG: 30, volumeMl: 27 },
	b: { massG: 27, volumeMl: 27 },
	thicknessMm: 1,
	potLifeS: 160,
	lockS: 70,
	gelS: 190,
	recoatFromS: 190,
	recoatUntilS: 620,
	serves: 'detail: it must reach everywhere'
};

describe('measuring by each school', () => {
	it('two cups: B first, A last, then the clock', () => {
		expect(ids({ ...plain, measuring: 'two-cups' }).filter((i) => /measure|combine/.test(i))).toEqual([
			'measure-b',
			'measure-a',
			'combine'
		]);
		expect(said({ ...plain, measuring: 'two-cups' }, 'measure-a')).toMatch(/Its own cup, marked A/);
	});
	it('one cup: the clock starts before A runs in, and A is the last that is weighed', () => {
		const one: PourPlan = { ...plain, measuring: 'one-cup' };
		expect(ids(one).filter((i) => /measure|combine/.test(i))).toEqual(['measure-b', 'combine', 'measure-a']);
		expect(said(one, 'combine')).toMatch(/first drop of A/);
		expect(said(one, 'measure-a')).toMatch(/zero the scale first/);
	});
	it('one cup with colour in A: A is coloured before the two meet, so it is measured before the clock', () => {
		const one: PourPlan = {
			...plain,
			measuring: 'one-cup',
			colours: [{ name: 'mica', part: 'A', massG: 2 }]
		};
		expect(ids(one).filter((i) => /measure|combine|colour/.test(i))).toEqual([
			'measure-b',
			'measure-a',
			'colour-0',
			'combine'
		]);
	});
	it('marks: heights by hand, 90 ml in a cup 50 mm wide stand 45.8 mm', () => {
		const marks: PourPlan = { ...plain, measuring: 'marks' };
		for (const part of ['measure-a', 'measure-b']) {
			expect(step(marks, part).markMm).toBeCloseTo(90_000 / (Math.PI * 25 ** 2), 9);
			expect(said(marks, part)).toMatch(/filled to 45\.8 mm in a straight cup 50 mm wide/);
		}
	});
	it('a mark is given for the maker’s own cup, tapered, and by its own scale', () => {
		const own = { name: 'the tub', floorMm: 60, rimMm: 80, heightMm: 120, graduated: 'none' as const };
		const marks: PourPlan = { ...plain, measuring: 'marks', markCup: own };
		const { markMm, amount } = step(marks, 'measure-a');
		expect(cupVolumeMl(own, markMm!)).toBeCloseTo(amount!.volumeMl, 9);
		expect(said(marks, 'measure-a')).toMatch(/over the floor of the tub/);
		expect(said({ ...marks, markCup: { ...own, graduated: 'floz' } }, 'measure-a')).toMatch(
			/filled to 3\.04.fl.?oz on the scale of the tub/
		);
		// what does not go into it is marked in a straight cup, and says so
		expect(said({ ...marks, markCup: { ...own, heightMm: 10 } }, 'measure-a')).toMatch(
			/in a straight cup 50 mm wide/
		);
	});
	it('marks of colours and of layers: every cup has a mark, in a cup that suits it', () => {
		const swirl: PourPlan = { ...plain, measuring: 'marks', cups: [cup('green', 0.9), cup('white', 0.1)] };
		for (const s of benchSteps(swirl).filter((m) => m.kind === 'measure' && m.part)) {
			// as tall as wide: the mark of equal parts is the cup's own width
			const wide = Math.cbrt((4000 * s.amount!.volumeMl) / Math.PI);
			expect(s.markMm).toBeCloseTo(wide, 6);
			expect(s.detail).not.toMatch(/ {2}|undefined|NaN/);
		}
		const rolled: PourPlan = { ...plain, measuring: 'marks', layers: [layer, layer] };
		const marked = benchSteps(rolled).filter((m) => m.kind === 'measure' && m.part);
		expect(marked).toHaveLength(4);
		for (const s of marked) expect(s.markMm).toBeCloseTo(27_000 / (Math.PI * 25 ** 2), 9);
		// and in the maker's own cup, each layer by what goes into it
		const own = { name: 'the tub', floorMm: 50, rimMm: 70, heightMm: 90, graduated: 'ml' as const };
		for (const s of benchSteps({ ...rolled, markCup: own }).filter((m) => m.kind === 'measure' && m.part)) {
			expect(cupVolumeMl(own, s.markMm!)).toBeCloseTo(s.amount!.volumeMl, 9);
			expect(s.detail).toMatch(/on the scale of the tub/);
		}
	});
	it('fillers go into B before A is opened; colours each into their side, one drop is one drop', () => {
		const all: PourPlan = {
			...plain,
			fillers: [{ name: 'spheres', massG: 12, volumeMl: 50 }],
			colours: [
				{ name: 'black', part: 'B', massG: 0.2, drops: 1 },
				{ name: 'mica', part: 'A', massG: 2, powder: true }
			]
		};
		expect(ids(all).filter((i) => /measure|combine|colour/.test(i))).toEqual([
			'measure-b',
			'measure-filler-0',
			'colour-0',
			'measure-a',
			'colour-1',
			'combine'
		]);
		expect(said(all, 'colour-0')).toMatch(/^1 drop \(/);
		expect(step(all, 'colour-0').cautions).toEqual([]);
		expect(step(all, 'colour-1').cautions).toEqual(['powder']);
		expect(step(all, 'measure-filler-0').cautions).toContain('powder');
	});
	it('a catalysed resin: weighed, coloured, then the catalyst; glasses before the bottle', () => {
		const catalysed: PourPlan = {
			...plain,
			chemistry: 'polyester',
			b: { massG: 0, volumeMl: 0 },
			catalyst: { massG: 2, volumeMl: 1.8, drops: 36 },
			colours: [{ name: 'amber', part: 'B', massG: 0.4 }]
		};
		expect(ids(catalysed).filter((i) => /measure|combine|colour/.test(i))).toEqual([
			'measure-a',
			'colour-0',
			'measure-catalyst',
			'combine'
		]);
		expect(step(catalysed, 'measure-catalyst')).toMatchObject({
			title: 'Measure the catalyst: 36 drops',
			cautions: ['catalyst'],
			detail: expect.stringMatching(/Glasses on before the bottle is opened/)
		});
		expect(step(catalysed, 'combine').title).toBe('Stir in the catalyst');
		expect(step(catalysed, 'shake')).toMatchObject({ title: 'Stir the resin', action: 'It is stirred' });
		expect(said(catalysed, 'shake')).toMatch(/bottle stays shut.*never shaken or stirred/);
		// the catalyst’s own caution stands where its bottle is opened, and nowhere before
		expect(step(catalysed, 'shake').cautions).toEqual(['styrene']);
		expect(step(catalysed, 'measure-a')).toMatchObject({ title: 'Measure the resin', cautions: ['styrene'] });
		for (const measuring of MEASURING_SCHOOLS)
			for (const layers of [undefined, [{ ...layer, catalyst: catalysed.catalyst }]])
				for (const s of benchSteps({ ...catalysed, measuring, ...(layers ? { layers } : {}) }))
					expect(`${s.title}. ${s.detail} ${s.action}`, s.id).not.toMatch(/\b[AB]\b/);
	});
});

describe('before the pull', () => {
	it('a spray is coated and waited for, talc only dusted; each with its caution', () => {
		const spray: PourPlan = { ...plain, release: { name: 'Mist', kind: 'spray', flashOffS: 300 } };
		expect(ids(spray).slice(0, 3)).toEqual(['look', 'coat', 'flash-off']);
		expect(step(spray, 'flash-off').waitS).toBe(300);
		expect(step(spray, 'coat').cautions).toEqual(['solvent']);
		const talc: PourPlan = { ...plain, release: { name: 'Talc', kind: 'talc', flashOffS: 0 } };
		expect(ids(talc)).not.toContain('flash-off');
		expect(step(talc, 'coat').cautions).toEqual(['powder']);
	});
	it('old stock is said where its tin is opened, in words that fit one tin or two', () => {
		const [old] = stockWarnings({ a: { level: 'doubtful', reasons: ['open for 212 days'] } });
		expect(old!.message).toBe('A in use is doubtful: open for 212 days.');
		expect(step({ ...plain, stock: [old!] }, 'shake').warnings).toEqual([old]);
		expect(step(plain, 'shake').warnings).toBeUndefined();
		const tin = { level: 'watch', reasons: ['opened 14 times'] } as const;
		expect(stockWarnings({ a: { ...tin, reasons: [...tin.reasons] }, whole: true })[0]!.message).toMatch(
			/^The tin in use/
		);
		expect(stockWarnings({ a: { level: 'fine', reasons: [] } })).toEqual([]);
	});
	it('dust, things set in, closing and spare moulds, in this order', () => {
		const full: PourPlan = {
			...plain,
			dust: { name: 'bronze', massG: 3 },
			inserts: [{ name: 'wire', massG: 4 }],
			closing: [{ mould: 'M1', how: 'Two boards, three bands.', little: 'Flash.', much: 'Squeezed.' }],
			spares: [{ number: 9, label: 'Button', volumeMl: 6 }]
		};
		expect(ids(full).slice(0, 7)).toEqual(['look', 'dust', 'inserts', 'seat', 'spares', 'air', 'shake']);
		expect(step(full, 'dust').cautions).toContain('powder');
		expect(said(full, 'inserts')).toMatch(/wire, 4 g/);
		expect(said(full, 'seat')).toMatch(/Two boards, three bands\. Flash\. Squeezed\./);
		expect(said(full, 'spares')).toMatch(/M9 Button, 6/);
		expect(said({ ...full, spares: [] }, 'spares')).toMatch(/spread it thin/);
	});
	it('halves lie open: nothing is set in or closed before they are filled', () => {
		const halves: PourPlan = {
			...plain,
			inserts: [{ name: 'wire', massG: 4 }],
			closing: [{ mould: 'M1', how: 'Clamps.', little: '', much: '' }],
			pouring: { way: 'halves', place: 'lowest' },
			steps: [
				{ name: 'Mix', durationS: 40, role: 'mix' },
				{ name: 'Fill the halves', durationS: 30, role: 'pour' },
				{ name: 'Close', durationS: 15, role: 'close' }
			]
		};
		expect(ids(halves)).not.toContain('inserts');
		expect(step(halves, 'seat').title).toMatch(/open and level/);
		// it is full when it is closed, not before
		expect(benchSteps(halves).filter((s) => s.fills)).toMatchObject([{ role: 'close', deadlineS: 85 }]);
	});
});

describe('words that fit the kind of mould', () => {
	const of = (kind: MouldKind, more: Partial<PourPlan> = {}): PourPlan => ({
		...plain,
		moulds: plain.moulds.map((m) => ({ ...m, kind })),
		closing: [{ mould: 'M1', how: 'Its own way.', little: '', much: '' }],
		...more
	});
	const all = (plan: PourPlan) =>
		benchSteps(plan)
			.map((s) => `${s.title}. ${s.detail}`)
			.join(' ');
	it('only a jacket has a shell, only what has a joint is lined up', () => {
		for (const kind of MOULD_KINDS) {
			const words = said(of(kind), 'seat');
			expect(/in its shell/.test(words), kind).toBe(kind === 'jacket');
			expect(words, kind).toMatch(/Its own way\./);
		}
		expect(said(of('rigid'), 'seat')).toMatch(/putty/);
		expect(said(of('rigid'), 'look')).not.toMatch(/[Ss]tretch/);
	});
	it('an open face has no sprue, no vents, and nothing is closed', () => {
		const tray = of('open-face', { pouring: { way: 'sprue', place: 'middle' } });
		expect(all(tray)).not.toMatch(/sprue|vent|joint/);
		expect(step(tray, 'seat')).toMatchObject({ title: 'Stand it level', action: 'It stands level' });
		expect(said(of('two-part', { pouring: { way: 'sprue', place: 'middle' } }), 'timed-1')).toMatch(
			/every vent/
		);
	});
});

describe('the steps that the clock drives', () => {
	it('deadlines are sums of what comes before, whatever the steps', () => {
		fc.assert(
			fc.property(
				fc.array(
					fc.record({ durationS: fc.integer({ min: 1, max: 600 }), role: fc.constantFrom(...STEP_ROLES) }),
					{ minLength: 1, maxLength: 8 }
				),
				(steps) => {
					const plan = { ...plain, steps: steps.map((s) => ({ ...s, name: s.role })) };
					const timed = benchSteps(plan).filter((s) => s.deadlineS !== undefined);
					let at = 0;
					expect(timed.map((s) => s.deadlineS)).toEqual(steps.map((s) => (at += s.durationS)));
					expect(timed.map((s) => s.role)).toEqual(steps.map((s) => s.role));
				}
			)
		);
	});
	it('vacuum, pot and powder bring their cautions, and each caution has its words', () => {
		const pot = { name: 'Pot', targetGaugeKpa: 275, ratedGaugeKpa: 400, bubbleDiameterRatio: 0.65 };
		const plan: PourPlan = {
			...plain,
			pot,
			steps: STEP_ROLES.map((role) => ({ name: role, durationS: 10, role }))
		};
		const of = (role: string) => benchSteps(plan).find((s) => s.role === role)!;
		expect(of('vacuum').cautions).toContain('vacuum');
		expect(of('load').cautions).toContain('pressure');
		expect(of('pump').detail.replace(/\u202f/g, ' ')).toMatch(
			/To 275 kPa gauge; the plate says at most 400 kPa/
		);
		expect(step(plan, 'release')).toMatchObject({ kind: 'hold', cautions: ['pressure'] });
		// left-overs heat themselves from the mixing on; a part is hot and not cured through when it comes out
		expect(of('mix').cautions).toContain('heat');
		expect(step(plan, 'demould').cautions).toEqual(['hot-part', 'uncured']);
		expect(said(plan, 'release')).toMatch(/above 261 kPa/);
		for (const s of benchSteps(plan))
			for (const c of s.cautions) expect(caution(c).length, c).toBeGreaterThan(20);
	});
	it('every way and place of pouring says where the resin goes', () => {
		const words = new Set<string>();
		for (const way of POUR_WAY_KEYS)
			for (const place of POUR_PLACE_KEYS) words.add(said({ ...plain, pouring: { way, place } }, 'timed-1'));
		// a syringe goes to the lowest point whatever was chosen
		expect(words.size).toBe(POUR_WAY_KEYS.length * POUR_PLACE_KEYS.length - (POUR_PLACE_KEYS.length - 1));
		for (const text of words) expect(text).toMatch(/^M1 /);
	});
});

describe('colours poured together', () => {
	const swirl: PourPlan = {
		...plain,
		cups: [cup('green', 0.5), cup('white', 0.3), cup('black', 0.2)],
		pourTempC: 35,
		usableS: 300,
		steps: [
			{ name: 'Mix 3 cups', durationS: 90, role: 'mix' },
			{ name: 'Pour', durationS: 20, role: 'pour' },
			{ name: 'Tap', durationS: 10, role: 'tap' }
		]
	};
	it('everything is measured and coloured before the first two parts meet', () => {
		const all = benchSteps(swirl);
		const firstCombine = all.findIndex((s) => s.kind === 'combine');
		expect(all.slice(firstCombine).filter((s) => s.kind === 'measure')).toEqual([]);
		expect(all.slice(0, firstCombine).filter((s) => s.kind === 'measure')).toHaveLength(6);
	});
	it('one cup after another, each mixed for its third; then all together, then what follows', () => {
		const clocked = benchSteps(swirl).filter((s) => s.deadlineS !== undefined);
		expect(clocked.map((s) => [s.role, s.deadlineS])).toEqual([
			['mix', 30],
			['mix', 60],
			['mix', 90],
			['pour', 110],
			['tap', 120]
		]);
		expect(step(swirl, 'pour-together')).toMatchObject({ untilTempC: 35, fills: true });
		expect(said(swirl, 'pour-together')).toMatch(/once the cups read 35 °C/);
	});
	it('the clock is started once: with the first cup', () => {
		const combines = benchSteps(swirl).filter((s) => s.kind === 'combine');
		expect(combines.map((s) => s.action)).toEqual(['Combined: start the clock', 'Combined', 'Combined']);
	});
	it('waits for the slowest cup to be warm, unless that is never in time', () => {
		const warm = (black: number | undefined): PourPlan => ({
			...swirl,
			cups: swirl.cups!.map((c, i) => ({ ...c, ...given(i === 2 ? black : 40) }))
		});
		const given = (warmS: number | undefined) => (warmS === undefined ? {} : { warmS });
		// the third is combined at 60 s, warm 100 s later, and 20 s are poured
		expect(step(warm(100), 'pour-together').deadlineS).toBe(180);
		expect(step(warm(900), 'pour-together').deadlineS).toBe(110);
		expect(step(warm(undefined), 'pour-together').deadlineS).toBe(110);
	});
});

describe('every plan', () => {
	it('has unlike ids, says something at each step, and ends with the grade, in either system of units', () => {
		const plans: PourPlan[] = MEASURING_SCHOOLS.flatMap((measuring) => [
			{ ...plain, measuring },
			{ ...plain, measuring, layers: [layer, { ...layer, sags: true }] },
			{
				...plain,
				measuring,
				layers: [{ ...layer, way: 'flat' as const, levelMm: 8, setsIn: ['fern'], recoatFromS: 4000 }, layer]
			},
			{ ...plain, measuring, layers: [{ ...layer, way: 'brush' as const }] },
			{ ...plain, measuring, cups: [cup('green', 0.5), cup('white', 0.5)] },
			{ ...plain, measuring, fill: { words: 'plaster, wet', mixG: 200, fillMl: 110 } }
		]);
		expect(plans.length).toBe(18);
		for (const plan of plans)
			for (const units of ['metric', 'us'] as const) {
				const all = benchSteps(plan, units);
				expect(new Set(all.map((s) => s.id)).size).toBe(all.length);
				expect(all.at(-1)!.kind).toBe('inspect');
				for (const s of all) {
					expect(s.title.length).toBeGreaterThan(2);
					expect(s.action.length).toBeGreaterThan(3);
					expect(`${s.title} ${s.detail}`).not.toMatch(/undefined|NaN|Infinity| {2}|null/);
				}
			}
	});
});
