import { describe, expect, it } from 'vitest';
import { arrhenius } from './kinetics';
import { conductionStepper } from './conduction';
import { catalystPlan, cup, cupFit, type CatalystPlanInput, type CureRecord } from '.';

const white: CureRecord = { potLifeS: 150, demouldS: 900, character: 'quick' };
const at = { massG: 200, startTempC: 24, roomTempC: 22 };

/** Readings off a cup whose truth is known, with a repeatable error. */
function readings(truth: CureRecord, timesS: number[], errorC: (i: number) => number = () => 0) {
	const { series } = cup({ resin: truth, ...at });
	return timesS.map((timeS, i) => {
		const k = series.findIndex((p) => p.timeS >= timeS);
		const [p, q] = [series[k - 1]!, series[k]!];
		const tempC = p.tempC + ((q.tempC - p.tempC) * (timeS - p.timeS)) / (q.timeS - p.timeS);
		return { timeS, tempC: tempC + errorC(i) };
	});
}

describe('learning from readings', () => {
	it.each([0.7, 0.9, 1, 1.2, 1.5])(
		'a batch %d times as fast as its sheet is found out from three readings',
		(rateFactor) => {
			const truth = { ...white, rateFactor };
			const life = cup({ resin: truth, ...at }).potLifeS;
			const fit = cupFit({
				resin: white,
				...at,
				readings: readings(
					truth,
					[0.4, 0.6, 0.8].map((x) => x * life)
				)
			});
			expect(fit.converged).toBe(true);
			expect(fit.potLifeS / life).toBeCloseTo(1, 1);
			expect(Math.abs(fit.rateFactor / rateFactor - 1)).toBeLessThan(0.06);
			expect(fit.potLifeLowS).toBeLessThan(life);
			expect(fit.potLifeHighS).toBeGreaterThan(life);
		}
	);

	it('every reading narrows the band, and with none to tell it apart the sheet stands', () => {
		const widths = [1, 2, 3, 5].map((n) => {
			const fit = cupFit({
				resin: white,
				...at,
				readings: readings(white, [30, 55, 75, 95, 110].slice(0, n))
			});
			expect(fit.rateFactor).toBeCloseTo(1, 1);
			return fit.potLifeHighS / fit.potLifeLowS;
		});
		expect([...widths].sort((a, b) => b - a)).toEqual(widths);
		// 80 % band of the prior alone: exp(2 · 1.2816 · 0.25)
		expect(widths[0]!).toBeLessThan(Math.exp(2 * 1.2816 * 0.25) * 1.01);
	});

	it('the kept factor makes the forecast of the next pour', () => {
		const truth = { ...white, rateFactor: 1.3 };
		const { rateFactor } = cupFit({ resin: white, ...at, readings: readings(truth, [30, 50, 70]) });
		const next = cup({ resin: { ...white, rateFactor }, massG: 90, startTempC: 18, roomTempC: 18 }).potLifeS;
		const real = cup({ resin: truth, massG: 90, startTempC: 18, roomTempC: 18 }).potLifeS;
		expect(next / real).toBeCloseTo(1, 1);
	});

	it('bands hold: noisy readings of batches drawn from the prior fall inside about four times in five', () => {
		// quasi-random normal scores, so that the test says the same each time
		const normal = (u: number) => Math.sqrt(2) * inverseErf(2 * u - 1);
		let inside = 0;
		const trials = 60;
		for (let i = 0; i < trials; i++) {
			const rateFactor = Math.exp(0.25 * normal(((i * 0.61803398875) % 1) * 0.98 + 0.01));
			const truth = { ...white, rateFactor };
			const life = cup({ resin: truth, ...at }).potLifeS;
			const noise = (k: number) => 0.8 * normal((((i * 5 + k) * 0.7548776662) % 1) * 0.98 + 0.01);
			const fit = cupFit({
				resin: white,
				...at,
				readings: readings(truth, [0.35 * life, 0.5 * life], noise)
			});
			if (life >= fit.potLifeLowS && life <= fit.potLifeHighS) inside++;
		}
		expect(inside / trials).toBeGreaterThan(0.68);
		expect(inside / trials).toBeLessThan(0.95);
	});

	it('nonsense readings give an answer that says how far off it is', () => {
		const fit = cupFit({
			resin: white,
			...at,
			readings: [
				{ timeS: 60, tempC: 200 },
				{ timeS: 5, tempC: -10 }
			]
		});
		expect(Number.isFinite(fit.potLifeS)).toBe(true);
		expect(fit.rmsC).toBeGreaterThan(5);
		expect(() => cupFit({ resin: white, ...at, readings: [] })).toThrow(/at least one reading/);
	});
});

/** Giles' approximation of the inverse error function (GPU Computing Gems, 2012), good to 1e-6 here. */
function inverseErf(x: number): number {
	let w = -Math.log((1 - x) * (1 + x));
	const small = w < 5;
	w = small ? w - 2.5 : Math.sqrt(w) - 3;
	const c = small
		? [
				2.81022636e-8, 3.43273939e-7, -3.5233877e-6, -4.39150654e-6, 2.1858087e-4, -1.25372503e-3,
				-4.17768164e-3, 0.246640727, 1.50140941
			]
		: [
				-2.00214257e-4, 1.00950558e-4, 1.34934322e-3, -3.67342844e-3, 5.73950773e-3, -7.6224613e-3,
				9.43887047e-3, 1.00167406, 2.83297682
			];
	return c.reduce((p, k) => p * w + k) * x;
}

describe('speed', () => {
	it('additives that lengthen by a third make pot life a third longer, isothermally', () => {
		const thin = { massG: 5, startTempC: 23, roomTempC: 23, cupDiameterMm: 300 };
		const plain = cup({ resin: white, ...thin }).potLifeS;
		const loaded = cup({ resin: { ...white, lengtheningPercent: 33 }, ...thin }).potLifeS;
		expect(loaded / plain).toBeCloseTo(1.33, 1);
	});
});

describe('catalyst share', () => {
	const input: CatalystPlanInput = {
		resin: {
			chemistry: 'polyester',
			demouldS: 14_400,
			character: 'gradual',
			catalyst: { percent: 1, referencePercent: 1, referenceGelS: 1200 }
		},
		massG: 300,
		thicknessMm: 15,
		startTempC: 20,
		roomTempC: 20,
		crackLimitC: 110,
		neededS: 300
	};
	it('the highest is a bound: the next tenth does not fit, and the answer is a usual share below it', () => {
		const plan = catalystPlan({ ...input, thicknessMm: 20, crackLimitC: 100 });
		expect(plan.limitedBy).toBe('crack');
		const next = plan.shares.find((s) => s.percent > plan.highestPercent!)!;
		expect(next.peakTempC).toBeGreaterThan(100);
		expect(plan.shares.filter((s) => s.fits).every((s) => s.peakTempC <= 100 && s.potLifeS >= 300)).toBe(
			true
		);
		expect(plan.percent!).toBeLessThanOrEqual(plan.highestPercent!);
	});
	it('a thin film takes a usual share, not the most that is allowed; a cold room more than a warm one', () => {
		const thin = catalystPlan({ ...input, thicknessMm: 4 });
		expect(thin.highestPercent).toBe(3);
		expect(thin.percent!).toBeGreaterThanOrEqual(1);
		expect(thin.percent!).toBeLessThanOrEqual(2);
		const at = (tempC: number) =>
			catalystPlan({ ...input, thicknessMm: 4, startTempC: tempC, roomTempC: tempC }).percent!;
		expect(at(15)).toBeGreaterThan(at(25));
	});
	it('a thick block takes less than usual, and says so; a great one none (common practice, no source)', () => {
		const plans = [15, 20, 25, 30, 80].map((thicknessMm) => catalystPlan({ ...input, thicknessMm }));
		const shares = plans.map((p) => p.percent ?? 0);
		expect([...shares].sort((a, b) => b - a)).toEqual(shares);
		expect(plans.some((p) => p.lessThanUsual)).toBe(true);
		expect(plans.at(-1)!.percent).toBeNull();
		expect(plans.at(-1)!.warnings[0]!.action).toContain('layers');
	});
	it('time to pour limits it too, and stages follow one another', () => {
		const plan = catalystPlan({ ...input, thicknessMm: 4, neededS: 1000 });
		expect(plan.limitedBy).toBe('time');
		const { gelS, softS, firmS, hardS } = plan.stages!;
		expect([gelS, softS, firmS, hardS]).toEqual([gelS, softS, firmS, hardS].sort((a, b) => a - b));
	});
	it('a resin with an A and a B has no share', () => {
		expect(() => catalystPlan({ ...input, resin: white })).toThrow(/not catalysed/);
	});
});

describe('runaway of a zero-order reaction', () => {
	/** Heats a body with the rate e^θ (Frank-Kamenetskii's exponential) and says whether it runs away. */
	function lumpedRunsAway(psi: number): boolean {
		let theta = 0;
		for (let i = 0; i < 400_000 && theta < 20; i++) theta += 1e-3 * (psi * Math.exp(theta) - theta);
		return theta >= 20;
	}
	it('a lumped mass runs away past ψ = 1/e (Semenov, Z. Phys. 48 (1928) 571)', () => {
		expect(lumpedRunsAway(0.99 / Math.E)).toBe(false);
		expect(lumpedRunsAway(1.01 / Math.E)).toBe(true);
	});

	// the conduction of the part model, its faces held, heated by δ·e^θ
	function slabRunsAway(dimension: 0 | 1 | 2, delta: number): boolean {
		const cells = 48;
		const conduct = conductionStepper({
			edgesM: Array.from({ length: cells + 1 }, (_, i) => i / cells),
			dimension,
			conductivity: new Array(cells).fill(1),
			heatCapacity: new Array(cells).fill(1),
			innerAir: 0,
			outerAir: 1e9,
			airTempC: 0
		});
		const theta = new Float64Array(cells);
		const dt = 2e-3;
		for (let i = 0; i < 40_000; i++) {
			for (let c = 0; c < cells; c++) theta[c] = theta[c]! + dt * delta * Math.exp(theta[c]!);
			conduct.step(theta, dt);
			if (!(theta[0]! < 20)) return true;
		}
		return false;
	}
	it.each([
		[0, 0.878],
		[1, 2.0],
		[2, 3.32]
	] as const)('dimension %d runs away past δ = %d (Frank-Kamenetskii, 1955)', (dimension, critical) => {
		expect(slabRunsAway(dimension, critical * 0.97)).toBe(false);
		expect(slabRunsAway(dimension, critical * 1.03)).toBe(true);
	});
});

it('Arrhenius is unity at the reference for any energy', () => {
	for (const e of [10_000, 55_000, 150_000]) expect(arrhenius(e, 23)).toBeCloseTo(1, 12);
});

describe('a thermometer that is off, and a batch of another character', () => {
	it('a gun two degrees high no longer moves the band off the truth', () => {
		for (const rateFactor of [0.8, 1, 1.25]) {
			const truth = { ...white, rateFactor };
			const life = cup({ resin: truth, ...at }).potLifeS;
			const times = [0.15, 0.3, 0.45, 0.6, 0.7].map((x) => x * life);
			const fit = cupFit({ resin: white, ...at, readings: readings(truth, times, () => 2) });
			expect(fit.potLifeLowS).toBeLessThan(life);
			expect(fit.potLifeHighS).toBeGreaterThan(life);
			expect(fit.offsetC).toBeGreaterThan(0.8);
			expect(Math.abs(fit.rateFactor / rateFactor - 1)).toBeLessThan(0.12);
		}
	});
	it('the band covers the characters that fit: from four readings on, whatever the record says', () => {
		for (const character of ['snap', 'quick', 'gradual'] as const) {
			const truth: CureRecord = { ...white, character };
			const life = cup({ resin: truth, ...at }).potLifeS;
			const times = [0.2, 0.4, 0.55, 0.7].map((x) => x * life);
			for (const said of ['snap', 'quick', 'gradual'] as const) {
				const fit = cupFit({ resin: { ...white, character: said }, ...at, readings: readings(truth, times) });
				expect(fit.potLifeLowS, `${character} said to be ${said}`).toBeLessThan(life);
				expect(fit.potLifeHighS, `${character} said to be ${said}`).toBeGreaterThan(life);
				expect(fit.characters.reduce((sum, c) => sum + c.share, 0)).toBeCloseTo(1, 9);
			}
			const few = cupFit({ resin: white, ...at, readings: readings(truth, times.slice(0, 3)) });
			expect(few.characters).toEqual([{ character: 'quick', share: 1 }]);
		}
	});
	it('offset guns and noise, drawn: about four of five pot lives lie inside', () => {
		const normal = (u: number) => Math.sqrt(2) * inverseErf(2 * u - 1);
		const draw = (i: number, golden: number) => normal(((i * golden) % 1) * 0.98 + 0.01);
		let inside = 0;
		const trials = 60;
		for (let i = 0; i < trials; i++) {
			const truth = { ...white, rateFactor: Math.exp(0.25 * draw(i, 0.61803398875)) };
			const life = cup({ resin: truth, ...at }).potLifeS;
			const offsetC = 1.5 * draw(i + 7, 0.7548776662);
			const noise = (k: number) => offsetC + 0.8 * draw(i * 5 + k + 3, 0.569840291);
			const fit = cupFit({
				resin: white,
				...at,
				readings: readings(
					truth,
					[0.2, 0.4, 0.6].map((x) => x * life),
					noise
				)
			});
			if (life >= fit.potLifeLowS && life <= fit.potLifeHighS) inside++;
		}
		expect((100 * inside) / trials).toBeGreaterThanOrEqual(72);
		expect((100 * inside) / trials).toBeLessThanOrEqual(90);
	});
});
