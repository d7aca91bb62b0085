import { createRequire } from 'node:module';
import { describe, expect, it } from 'vitest';
import { CUP_LOSS_W_PER_M2K, integrateCup, standardCupAreaM2 } from './cupModel';
import { arrhenius, conversionFactor, curingRate, isothermalKt, type Kinetics } from './kinetics';
import { solvePart } from './partModel';
import { conductionStepper } from './conduction';
import { calibrate, cup, part, type CureRecord } from '.';

interface TheirSolver {
	absoluteTolerance: number;
	relativeTolerance: number;
	solve(f: (t: number, y: number[]) => number[], t0: number, y0: number[], t1: number): { y: number[] };
}
// required, not imported: its sources are TypeScript that a strict check does not accept
const { Solver } = createRequire(import.meta.url)('odex') as { Solver: new (n: number) => TheirSolver };

const white: CureRecord = { potLifeS: 150, demouldS: 900, character: 'quick' };
const snap: CureRecord = { potLifeS: 150, demouldS: 900, character: 'snap' };
const gradual: CureRecord = { potLifeS: 150, demouldS: 1800, character: 'gradual' };
const RECORDS = {
	white,
	snap,
	gradual,
	slow: { potLifeS: 480, demouldS: 4500, character: 'quick' } as CureRecord
};
const at23 = { startTempC: 23, roomTempC: 23 };
const slab = (thicknessMm: number) => ({ shape: 'slab' as const, thicknessMm });
const sheetMould = { mouldWallMm: 10, startTempC: 23, mouldTempC: 23, roomTempC: 23 };

describe('kinetics', () => {
	it('Arrhenius is 1 at 23 °C and about 2 ten degrees up', () => {
		expect(arrhenius(55_000, 23)).toBe(1);
		expect(arrhenius(55_000, 33)).toBeCloseTo(
			Math.exp((-55_000 / 8.314462618) * (1 / 306.15 - 1 / 296.15)),
			9
		);
		expect(arrhenius(55_000, 33)).toBeGreaterThan(1.9);
		expect(arrhenius(55_000, 33)).toBeLessThan(2.2);
	});

	it('k·t at constant temperature is the closed integral', () => {
		// n = 2, m = 0: ∫dα/(1−α)² = α/(1−α)
		expect(isothermalKt(0, 2, 0.85)).toBeCloseTo(0.85 / 0.15, 6);
		// n = 1.5, m = 0: 2·((1−α)^−½ − 1)
		expect(isothermalKt(0, 1.5, 0.5)).toBeCloseTo(2 * (0.5 ** -0.5 - 1), 8);
		// n = 1.2, m = 0: 5·((1−α)^−0.2 − 1)
		expect(isothermalKt(0, 1.2, 0.7)).toBeCloseTo(5 * (0.3 ** -0.2 - 1), 8);
	});

	it('the rate stops at full conversion and never goes negative past it', () => {
		expect(conversionFactor(5, 1.5, 1)).toBe(0);
		expect(conversionFactor(5, 1.5, 1.2)).toBe(0);
	});
});

describe('cup: limits with known answers', () => {
	const kinetics: Kinetics = {
		k23PerS: 0.002,
		m: 0,
		n: 2,
		activationJPerMol: 55_000,
		riseK: 105,
		inductionPerS: Infinity
	};
	const setup = {
		kinetics,
		massG: 100,
		densityGPerMl: 1.05,
		specificHeatJPerGK: 1.9,
		startTempC: 23,
		roomTempC: 23,
		areaM2: standardCupAreaM2(100, 1.05),
		lossWPerM2K: CUP_LOSS_W_PER_M2K
	};

	it('without loss the rise is heat of cure over specific heat', () => {
		const end = integrateCup({ ...setup, lossWPerM2K: 0 }, 1e6, (s) => s.y1[0]! > 0.99999);
		expect(end.y[1]! - 23).toBeCloseTo(105 * end.y[0]!, 3);
	});

	it('held at one temperature, second order gives α = kt/(1 + kt)', () => {
		const end = integrateCup({ ...setup, kinetics: { ...kinetics, riseK: 0 } }, 1000, () => false);
		expect(end.ended).toBe('reached');
		expect(end.y[0]!).toBeCloseTo(2 / 3, 6);
	});

	it('agrees with an independent solver from the registry (odex, Gragg–Bulirsch–Stoer)', () => {
		for (const record of Object.values(RECORDS)) {
			const model = calibrate(record);
			const cool =
				(CUP_LOSS_W_PER_M2K * standardCupAreaM2(250, model.densityGPerMl)) / (250 * model.specificHeatJPerGK);
			const solver = new Solver(2);
			solver.absoluteTolerance = 1e-9;
			solver.relativeTolerance = 1e-9;
			const theirRhs = (_t: number, y: number[]) => {
				const rate = curingRate(model.kinetics, y[0]!, y[1]!);
				return [rate, model.kinetics.riseK * rate - cool * (y[1]! - 19)];
			};
			const timeS = record.potLifeS! * 0.97;
			const theirs = solver.solve(theirRhs, 0, [0, 27], timeS).y;
			const ours = integrateCup(
				{
					kinetics: model.kinetics,
					massG: 250,
					densityGPerMl: model.densityGPerMl,
					specificHeatJPerGK: model.specificHeatJPerGK,
					startTempC: 27,
					roomTempC: 19,
					areaM2: standardCupAreaM2(250, model.densityGPerMl),
					lossWPerM2K: CUP_LOSS_W_PER_M2K
				},
				timeS,
				() => false
			).y;
			expect(ours[0]!).toBeCloseTo(theirs[0]!, 5);
			expect(ours[1]!).toBeCloseTo(theirs[1]!, 3);
		}
	});
});

describe('cup: what the sheet says comes back', () => {
	it.each(Object.entries(RECORDS))('%s', (_name, resin) => {
		const result = cup({ resin, massG: 100, ...at23 });
		expect(result.potLifeS).toBeCloseTo(resin.potLifeS!, 2);
		expect(result.gelTimeS).toBeGreaterThan(result.potLifeS);
		expect(result.peakTempC).toBeGreaterThan(60);
	});

	it('also for another mass and temperature on the sheet', () => {
		const resin: CureRecord = { ...white, potLifeMassG: 450, potLifeTempC: 25 };
		expect(cup({ resin, massG: 450, startTempC: 25, roomTempC: 25 }).potLifeS).toBeCloseTo(150, 2);
	});

	it('the series rises in conversion and its hottest point is the peak', () => {
		const { series, peakTempC } = cup({ resin: white, massG: 300, ...at23 });
		expect(series.length).toBeGreaterThan(100);
		for (let i = 1; i < series.length; i++) {
			expect(series[i]!.conversion).toBeGreaterThanOrEqual(series[i - 1]!.conversion - 1e-7);
			expect(series[i]!.conversion).toBeLessThanOrEqual(1.000001);
		}
		expect(Math.max(...series.map((p) => p.tempC))).toBeLessThanOrEqual(peakTempC + 1e-6);
	});
});

describe('cup: behaviour (common practice, no source)', () => {
	it('more mass, shorter pot life', () => {
		const lives = [20, 100, 500, 2000].map((massG) => cup({ resin: gradual, massG, ...at23 }).potLifeS);
		expect([...lives].sort((a, b) => b - a)).toEqual(lives);
	});
	it('spreading it out in a wide tray gives time back', () => {
		const cupS = cup({ resin: gradual, massG: 500, ...at23 }).gelTimeS;
		const traySpread = cup({ resin: gradual, massG: 500, ...at23, cupDiameterMm: 500 }).gelTimeS;
		expect(traySpread).toBeGreaterThan(cupS * 1.2);
	});
	it('ten degrees warmer about halves the time', () => {
		for (const resin of Object.values(RECORDS)) {
			const ratio = resin.potLifeS! / cup({ resin, massG: 100, startTempC: 33, roomTempC: 33 }).potLifeS;
			expect(ratio).toBeGreaterThan(1.8);
			expect(ratio).toBeLessThan(2.3);
		}
	});
	it('cold parts buy time', () => {
		const cold = cup({ resin: white, massG: 100, startTempC: 12, roomTempC: 21 }).potLifeS;
		expect(cold).toBeGreaterThan(
			cup({ resin: white, massG: 100, startTempC: 21, roomTempC: 21 }).potLifeS * 1.3
		);
	});
	it('the chosen pour temperature is reached on the way up, or said not to be', () => {
		const hot = cup({ resin: white, massG: 200, startTempC: 25, roomTempC: 23, pourTempC: 36 });
		expect(hot.reachesPourTempS!).toBeGreaterThan(0);
		expect(hot.reachesPourTempS!).toBeLessThan(hot.gelTimeS);
		const never = cup({ resin: white, massG: 200, startTempC: 25, roomTempC: 23, pourTempC: 149 });
		expect(never.reachesPourTempS).toBeUndefined();
		expect(never.warnings.map((w) => w.code)).toContain('pour-temp-not-reached');
	});
});

describe('polyester', () => {
	const polyester = (percent: number): CureRecord => ({
		chemistry: 'polyester',
		demouldS: 7200,
		character: 'quick',
		catalyst: { percent, referencePercent: 2, referenceGelS: 900 }
	});
	it('gels at the sheet’s time in a thin film that keeps its temperature (ISO 2535: 25 °C)', () => {
		const film = cup({ resin: polyester(2), massG: 5, startTempC: 25, roomTempC: 25, cupDiameterMm: 300 });
		expect(film.gelTimeS / 900).toBeGreaterThan(0.95);
		expect(film.gelTimeS / 900).toBeLessThan(1.02);
	});
	it('more catalyst is quicker, a share of the temperature is not lost, a big mass gets hotter', () => {
		const gel = (percent: number, massG: number) =>
			cup({ resin: polyester(percent), massG, startTempC: 25, roomTempC: 25 });
		expect(gel(3, 100).gelTimeS).toBeLessThan(gel(1, 100).gelTimeS);
		expect(gel(2, 2000).peakTempC).toBeGreaterThan(gel(2, 20).peakTempC);
	});
});

describe('part: conduction alone', () => {
	it('the centre of a slab with its faces held is 0.7723 at Fo = 0.2 (Carslaw & Jaeger, 1959, §3.4)', () => {
		// re-derived from the series 4/π Σ (−1)ⁿ/(2n+1) exp(−(2n+1)²π²Fo/4) cos 0
		let series = 0;
		for (let n = 0; n < 60; n++)
			series += ((n % 2 ? -1 : 1) / (2 * n + 1)) * Math.exp((-((2 * n + 1) ** 2) * Math.PI ** 2 * 0.2) / 4);
		series *= 4 / Math.PI;
		expect(series).toBeCloseTo(0.7723, 4);
		const cells = 60;
		const halfM = 0.01;
		const [k, c] = [0.2, 2e6];
		const conduct = conductionStepper({
			edgesM: Array.from({ length: cells + 1 }, (_, i) => (halfM * i) / cells),
			dimension: 0,
			conductivity: new Array(cells).fill(k),
			heatCapacity: new Array(cells).fill(c),
			innerAir: 0,
			outerAir: 1e9,
			airTempC: 0
		});
		const temp = new Float64Array(cells).fill(1);
		const endS = (0.2 * halfM ** 2 * c) / k;
		const steps = 400;
		for (let i = 0; i < steps; i++) conduct.step(temp, endS / steps);
		expect(temp[0]!).toBeCloseTo(series, 3);
	});
});

describe('part', () => {
	it.each(Object.entries(RECORDS))(
		'%s: the demould time of the sheet comes back for its section',
		(_name, resin) => {
			const result = part({ resin, section: slab(6), ...sheetMould });
			expect(result.demouldS / resin.demouldS).toBeCloseTo(1, 2);
			expect(result.warnings).toEqual([]);
		}
	);

	it('a demould time that the character cannot reach is said, with a snappier one', () => {
		const result = part({
			resin: { potLifeS: 900, demouldS: 1000, character: 'gradual' },
			section: slab(6),
			...sheetMould
		});
		expect(result.warnings[0]).toMatchObject({ code: 'times-do-not-fit' });
		expect(result.warnings[0]!.action).toContain('quick');
		expect(result.demouldS).toBeGreaterThan(1000);
	});

	it.each(['slab', 'cylinder', 'sphere'] as const)('energy is closed to 0.1 % in a %s', (shape) => {
		const run = solvePart(calibrate(white), { section: { shape, thicknessMm: 20 }, ...sheetMould });
		const { releasedJ, storedJ, lostJ } = run.energy;
		expect(releasedJ).toBeGreaterThan(0);
		expect(Math.abs(storedJ + lostJ - releasedJ) / releasedJ).toBeLessThan(1e-3);
	});

	describe('behaviour (common practice, no source)', () => {
		const of = (resin: CureRecord, thicknessMm: number, tempC = 23) =>
			part({
				resin,
				section: slab(thicknessMm),
				mouldWallMm: 10,
				startTempC: tempC,
				mouldTempC: tempC,
				roomTempC: tempC
			});
		it('the core sets before the wall', () => {
			for (const resin of Object.values(RECORDS)) {
				const result = of(resin, 12);
				expect(result.gelCoreS).toBeLessThan(result.gelWallS);
			}
		});
		it('ten degrees about halve the demould time', () => {
			for (const resin of Object.values(RECORDS)) {
				const share = of(resin, 6, 33).demouldS / of(resin, 6).demouldS;
				expect(share).toBeGreaterThan(0.3);
				expect(share).toBeLessThan(0.65);
			}
		});
		it('the first 1–2 mm of a gradual 2.5 min resin carry the next layer after some 5–10 min', () => {
			for (const thicknessMm of [1, 2]) {
				const skin = part({ resin: gradual, section: slab(thicknessMm), ...sheetMould, open: true });
				expect(skin.gelWallS).toBeGreaterThan(240);
				expect(skin.gelWallS).toBeLessThan(720);
			}
		});
		it('the mould face stays cooler than the resin, and heats more under more resin', () => {
			const thick = of(white, 30);
			expect(thick.peakMouldFaceC).toBeLessThan(thick.peakTempC);
			expect(thick.peakMouldFaceC).toBeGreaterThan(of(white, 3).peakMouldFaceC);
		});
	});
});

describe('bad records', () => {
	it.each([
		[{ demouldS: 900, character: 'quick' }, /pot life/],
		[{ potLifeS: -1, demouldS: 900, character: 'quick' }, /pot life/i],
		[{ potLifeS: 150, demouldS: 900, character: 'brisk' }, /snap, quick or gradual/],
		[{ potLifeS: 150, demouldS: 900, character: 'quick', potLifeConversion: 0.7 }, /Gel/],
		[{ potLifeS: 150, demouldS: 900, character: 'quick', heatOfCureJPerG: 1e9 }, /heat of cure/]
	])('%j', (resin, message) => {
		expect(() => calibrate(resin as CureRecord)).toThrow(message);
	});
});
