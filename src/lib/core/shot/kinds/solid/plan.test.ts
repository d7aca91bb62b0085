import { createRequire } from 'node:module';
import { describe, expect, it } from 'vitest';
import { DEMO_FILLERS, DEMO_RESINS } from '../../../../server/seed/materials';
import { sprue } from '../../../flow';
import { fillerRecord, mixedDensityGPerMl, resinRecord, viscosityOf } from '../../../shelf';
import { WORKSHOP_DEFAULTS, type WorkshopSettings } from '../../../workshop';
import {
	foretoldPercent,
	planShot,
	shotFiller,
	shotInputs,
	shotRecipe,
	trialRecord,
	type ShotContext
} from '../..';

interface TheirSolver {
	absoluteTolerance: number;
	relativeTolerance: number;
	solve: (f: (t: number, y: number[]) => number[], t0: number, y0: number[], t1: number) => { y: number[] };
}
const { Solver } = createRequire(import.meta.url)('odex') as { Solver: new (n: number) => TheirSolver };

const resin = resinRecord.parse(DEMO_RESINS.find((r) => r.name === 'Lantern white'));
const settings: WorkshopSettings = {
	...WORKSHOP_DEFAULTS,
	potVolumeL: 9.5,
	potTargetGaugeKpa: 275,
	potRatedGaugeKpa: 400,
	freeAirLPerMin: 100,
	altitudeM: 0
};
const context: ShotContext = {
	cavityVolumeMl: 60,
	mouldWallMm: 12,
	mouldsVolumeMl: 4 * 400,
	cavities: 4,
	resin,
	settings
};
const typed = (over: object = {}) =>
	shotInputs.parse({
		masterId: 'm',
		mouldIds: ['a', 'b', 'c', 'd'],
		resinId: 'r',
		copies: 4,
		sprueVolumeMl: 2,
		sectionMm: 6,
		lossBy: 'percent',
		lossPercent: 10,
		mixS: 20,
		pourS: 5,
		loadS: 15,
		usePot: true,
		startTempC: 18,
		mouldTempC: 18,
		roomTempC: 18,
		relativeHumidity: 40,
		...over
	});
const pumpS = (over: Partial<WorkshopSettings> = {}, more: object = {}) => {
	const planned = planShot(typed(more), { ...context, settings: { ...settings, ...over } });
	return planned.shot.batches[0]!.steps.find((s) => s.name === 'Pump up')?.durationS;
};

describe('the pot in a shot', () => {
	it('pumped up by hand: (9.5 − 1.6) l to 275 kPa at 100 l a minute', () => {
		expect(pumpS()).toBeCloseTo((7.9 * 275) / 101.325 / (100 / 60), 6);
	});

	it('a compressor that delivers less against pressure: as an independent solver fills the pot (odex)', () => {
		const ode = new Solver(1);
		ode.absoluteTolerance = ode.relativeTolerance = 1e-10;
		// p_atm·q(p) = V·dp/dt, q falling from 100 to 40 l/min at 300 kPa
		const at = (s: number) =>
			ode.solve((_t, [p]) => [(101.325 * (100 - (60 * p!) / 300)) / 60 / 7.9], 0, [0], s).y[0]!;
		const s = pumpS({ secondGaugeKpa: 300, secondLPerMin: 40 })!;
		expect(at(s)).toBeCloseTo(275, 4);
		expect(s).toBeGreaterThan(pumpS()!);
	});

	it('a compressor that stalls, a target over the plate: refused at the pot, in words', () => {
		const refused = (over: Partial<WorkshopSettings>, message: RegExp) =>
			expect(() => pumpS(over)).toThrow(
				expect.objectContaining({ path: ['usePot'], message: expect.stringMatching(message) })
			);
		refused({ secondGaugeKpa: 200, secondLPerMin: 5 }, /stalls before that pressure/);
		refused({ potTargetGaugeKpa: 500 }, /rat|plate/i);
	});

	it('moulds that do not go in together split the shot, and it says why', () => {
		// 80 % of 9.5 l hold 7.6 l: three moulds of 2.5 l
		const tight = { ...context, mouldsVolumeMl: 4 * 2500 };
		const { shot } = planShot(typed(), tight);
		expect(shot.largestBatch).toBe(3);
		expect(shot.bound).toBe('pot');
		expect(shot.batches.map((b) => b.copies)).toEqual([3, 1]);
		expect(shot.warnings.find((w) => w.code === 'split')!.message).toMatch(/the pressure pot/);
		expect(planShot(typed({ usePot: false }), tight).shot.batches.map((b) => b.copies)).toEqual([4]);
	});
});

describe('the steps of a shot', () => {
	const steps = (more: object) =>
		planShot(typed({ usePot: false, ...more }), context).shot.batches[0]!.steps.map((s) => [
			s.name,
			s.durationS
		]);

	it('those that repeat for each copy are shared by the hands; mixing and vacuum are not', () => {
		expect(steps({ hands: 2, vacuumS: 30, brushS: 8, tapS: 4 })).toEqual([
			['Mix', 20],
			['Vacuum', 30],
			['Brush ×4', 16],
			['Pour ×4', 10],
			['Tap ×4', 8]
		]);
	});
	it('halves are filled, then closed, within the pot life', () => {
		const planned = planShot(typed({ usePot: false, pourWay: 'halves', closeS: 6 }), context);
		expect(planned.roles).toEqual(['mix', 'pour', 'close']);
		expect(planned.shot.batches[0]!.steps.map((s) => s.name)).toEqual([
			'Mix',
			'Fill the halves ×4',
			'Close ×4'
		]);
		expect(planned.shot.batches[0]!.budget.deadlines.at(-1)!.atS).toBe(20 + 20 + 24);
	});
	it('each colour is mixed after the other', () => {
		const cups = [
			{ name: 'green', sharePercent: 60 },
			{ name: 'white', sharePercent: 40 }
		];
		expect(steps({ cups })[0]).toEqual(['Mix 2 cups', 40]);
	});
	it('things set in come off the shot and are weighed with the copy', () => {
		const inserts = [{ name: 'plate', massG: 40, volumeMl: 15 }];
		const planned = planShot(typed({ usePot: false, copies: 1, inserts }), context);
		expect(planned.shot.batches[0]!.pouredMl).toBeCloseTo(60 - 15 + 2, 9);
		const density = planned.shot.massG / planned.shot.volumeMl;
		expect(planned.balance!.massG).toBeCloseTo(45 * density + 40, 6);
		expect(() => planShot(typed({ inserts: [{ name: 'brick', massG: 1, volumeMl: 60 }] }), context)).toThrow(
			/takes 60 ml and the cavity holds 60 ml/
		);
	});
});

describe('recipes and fillers as a shot wants them', () => {
	const colour = (over: object) => ({
		name: 'Dye',
		kind: 'dye' as const,
		side: 'as the resin says' as const,
		densityGPerMl: 0.9,
		note: '',
		...over
	});
	const recipe = {
		id: 'x',
		record: {
			name: 'Sea',
			resinId: 'r',
			resinMassG: 200,
			doses: [
				{ colourId: 'd', massG: 0.4, note: '' },
				{ colourId: 'm', massG: 3, note: '' },
				{ colourId: 'd', massG: 0.2, note: '' },
				{ colourId: 'gone', massG: 1, note: '' }
			],
			note: ''
		}
	};
	const colours = [
		{ id: 'd', record: colour({}) },
		{ id: 'm', record: colour({ name: 'Mica', kind: 'mica' as const, densityGPerMl: 3 }) }
	];
	type Recipe = Parameters<typeof shotRecipe>;
	const of = (family: string, micaSide: string) =>
		shotRecipe(
			recipe as unknown as Recipe[0],
			colours as unknown as Recipe[1],
			{
				family,
				colourSide: 'B',
				micaSide
			} as Recipe[2]
		);

	it('doses add up to shares of the resin, each into its side, liquids in drops', () => {
		expect(of('fast urethane', 'A')).toEqual({
			id: 'x',
			name: 'Sea',
			lengtheningPercent: 0,
			colours: [
				// 0.6 g of 200 g; 20 drops a ml at 0.9 g/ml
				{ name: 'Dye', part: 'B', percent: expect.closeTo(0.3, 9), dropsPerG: expect.closeTo(20 / 0.9, 9) },
				{ name: 'Mica', part: 'A', percent: expect.closeTo(1.5, 9), powder: true }
			]
		});
	});
	it('in a catalysed resin everything goes into the resin; a colour that is gone is left out', () => {
		const { colours: found } = of('clear polyester', 'where colour goes');
		expect(found.map((c) => [c.name, c.part])).toEqual([
			['Dye', 'A'],
			['Mica', 'A']
		]);
	});
	it('every filler of the demo keeps what a shot needs of it', () => {
		expect(DEMO_FILLERS.length).toBeGreaterThan(3);
		for (const raw of DEMO_FILLERS) {
			const record = fillerRecord.parse(raw);
			const { family: _f, note: _n, typical: _t, usual: _u, pricePerKg: _price, ...rest } = record;
			expect(shotFiller(record)).toEqual({ ...shotFiller(record), ...rest });
		}
	});
});

describe('trials afloat', () => {
	it('Archimedes by hand: 60 g in 80 ml float three quarters under water; heavier than water sinks', () => {
		expect(foretoldPercent(60, 80)).toBeCloseTo(75, 9);
		expect(foretoldPercent(96, 80)).toBe(100);
		expect(() => foretoldPercent(0, 80)).toThrow(RangeError);
		expect(() => foretoldPercent(60, NaN)).toThrow(/got 60 g, NaN ml/);
	});
	it('is what the balance of the shot says of a copy', () => {
		const { balance } = planShot(typed({ usePot: false }), context);
		expect(foretoldPercent(balance!.massG, context.cavityVolumeMl)).toBeCloseTo(100 * balance!.underWater, 6);
	});
	it.each([
		[{ addedG: -1, sat: 'upright' }, 'addedG', /Nothing weighs less/],
		[{ addedG: 2, sat: 'flying' }, 'sat', /Choose how it sat/],
		[{ addedG: 2, sat: 'awash', underWaterPercent: 120 }, 'underWaterPercent', /at most all/i],
		[{ addedG: 2, sat: 'awash', massG: 0 }, 'massG', /weighs something/]
	])('%j is refused at %s', (raw, field, message) => {
		const issue = trialRecord.safeParse(raw).error!.issues[0]!;
		expect(issue.path).toEqual([field]);
		expect(issue.message).toMatch(message);
	});
});

describe('the mould’s own sprue', () => {
	const one = { copies: 1, mouldIds: ['a'], usePot: false };
	const narrow = { ...context, sprue: { diameterMm: 3, lengthMm: 20 } };
	const pourOf = (over: object, of: ShotContext) =>
		planShot(typed({ ...one, ...over }), of).shot.batches[0]!.steps.find((s) => s.name === 'Pour')!.durationS;
	const said = (over: object, of: ShotContext) =>
		planShot(typed({ ...one, ...over }), of).shot.warnings.map((w) => w.code);

	it('takes as long as its law says where that is longer than was typed', () => {
		const fill = sprue({
			volumeMl: 60,
			diameterMm: 3,
			lengthMm: 20,
			viscosityMpaS: viscosityOf(resin, 18),
			densityGPerMl: mixedDensityGPerMl(resin)
		}).fillS;
		expect(fill).toBeGreaterThan(5);
		expect(pourOf({}, narrow)).toBeCloseTo(fill, 9);
		expect(said({}, narrow)).toContain('slow-sprue');
	});
	it('a wide one leaves what was typed; so do a syringe and an open face', () => {
		expect(pourOf({}, { ...context, sprue: { diameterMm: 20, lengthMm: 20 } })).toBe(5);
		expect(pourOf({ pourWay: 'syringe' }, narrow)).toBe(5);
		expect(pourOf({}, { ...narrow, open: true })).toBe(5);
		expect(said({ pourWay: 'syringe' }, narrow)).not.toContain('slow-sprue');
	});
});
