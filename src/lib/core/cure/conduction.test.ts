import { describe, expect, it } from 'vitest';
import { conductionStepper, type Grid } from './conduction';
import { forecast, type CureRecord } from '.';

function grid(dimension: 0 | 1 | 2, over: Partial<Grid> = {}, cells = 80): Grid {
	return {
		edgesM: Array.from({ length: cells + 1 }, (_, i) => i / cells),
		dimension,
		conductivity: new Array<number>(cells).fill(1),
		heatCapacity: new Array<number>(cells).fill(1),
		innerAir: 0,
		outerAir: 1e9,
		airTempC: 0,
		...over
	};
}
function run(g: Grid, start: number, endS: number, steps = 600): Float64Array {
	const conduct = conductionStepper(g);
	const temp = new Float64Array(g.heatCapacity.length).fill(start);
	for (let i = 0; i < steps; i++) conduct.step(temp, endS / steps);
	return temp;
}

describe('conduction against series (Carslaw & Jaeger, Conduction of Heat in Solids, 1959)', () => {
	it.each([0.05, 0.2, 0.5])('middle of a ball with its face held, Fo = %d (§9.3)', (fo) => {
		// 2 Σ (−1)^(n+1) exp(−n²π²Fo)
		let series = 0;
		for (let n = 1; n < 80; n++) series += 2 * (n % 2 ? 1 : -1) * Math.exp(-(n * n) * Math.PI ** 2 * fo);
		expect(run(grid(2), 1, fo)[0]!).toBeCloseTo(series, 2);
	});

	it.each([0.1, 0.2, 0.4])('middle of a cylinder with its face held, Fo = %d (§7.6)', (fo) => {
		// 2 Σ exp(−βₙ²Fo)/(βₙ·J₁(βₙ)); zeros of J₀ and values of J₁ there: Abramowitz & Stegun, table 9.5
		const beta = [2.4048255577, 5.5200781103, 8.6537279129, 11.7915344391, 14.9309177086];
		const j1 = [0.5191474973, -0.3402648065, 0.2714522999, -0.2324598314, 0.2065464331];
		const series = beta.reduce((sum, b, i) => sum + (2 * Math.exp(-b * b * fo)) / (b * j1[i]!), 0);
		expect(run(grid(1), 1, fo)[0]!).toBeCloseTo(series, 2);
	});

	it('a thin slab in air cools as one lump: exp(−h·t/(ρ·c·L)) while h·L/k is small', () => {
		const h = 0.01;
		const temp = run(grid(0, { outerAir: h }), 1, 100);
		expect(temp[0]!).toBeCloseTo(Math.exp(-h * 100), 2);
	});

	it('between two airs at rest a slab ends at the air', () => {
		const temp = run(grid(0, { innerAir: 5, outerAir: 5, airTempC: 37 }), 0, 50);
		for (const t of temp) expect(t).toBeCloseTo(37, 3);
	});
});

describe('what conduction must keep', () => {
	it.each([0, 1, 2] as const)('dimension %d: heat lost is heat given to the air', (dimension) => {
		const g = grid(dimension, { outerAir: 3, airTempC: 10 });
		const conduct = conductionStepper(g);
		const temp = new Float64Array(80).map((_, i) => 50 - i / 4);
		const before = conduct.heatJ(temp);
		let lost = 0;
		for (let i = 0; i < 200; i++) lost += conduct.step(temp, 0.002 + (i % 7) * 0.001);
		expect(before - conduct.heatJ(temp)).toBeCloseTo(lost, 6);
	});

	it('nothing gets hotter than the hottest or colder than the coldest', () => {
		const conduct = conductionStepper(grid(0, { outerAir: 10, airTempC: 20 }));
		const temp = new Float64Array(80).map((_, i) => (i < 40 ? 90 : 15));
		for (let i = 0; i < 100; i++) {
			conduct.step(temp, 0.05);
			for (const t of temp) {
				expect(t).toBeLessThanOrEqual(90 + 1e-6);
				expect(t).toBeGreaterThanOrEqual(15 - 1e-6);
			}
		}
	});

	it('the face between two materials leans to the better conductor', () => {
		const cells = 20;
		const conductivity = Array.from({ length: cells }, (_, i) => (i < 10 ? 10 : 0.1));
		const conduct = conductionStepper(grid(0, { conductivity }, cells));
		const temp = new Float64Array(cells).map((_, i) => (i < 10 ? 80 : 20));
		expect(conduct.faceTempC(temp, 9)).toBeGreaterThan(79);
		expect(conduct.faceTempC(temp, cells - 1)).toBe(20);
	});
});

describe('forecast: cup and part together', () => {
	const white: CureRecord = { potLifeS: 150, demouldS: 900, character: 'quick' };
	const gradual: CureRecord = { potLifeS: 150, demouldS: 1800, character: 'gradual' };
	const at = { massG: 100, startTempC: 23, roomTempC: 23, mouldTempC: 23, mouldWallMm: 10, thicknessMm: 6 };

	it('gives the sheet back in both', () => {
		const f = forecast({ resin: white, ...at });
		expect(f.cup.potLifeS).toBeCloseTo(150, 1);
		expect(f.demouldS / 900).toBeCloseTo(1, 2);
		expect(f.fit).toBeUndefined();
		expect(f.defaulted).toContain('heat of cure');
	});

	it('the window for the next layer opens at gel and is wide for a gradual resin (common practice, no source)', () => {
		const width = (resin: CureRecord) => {
			const f = forecast({ resin, ...at, thicknessMm: 2 });
			expect(f.recoatFromS).toBeGreaterThanOrEqual(Math.max(f.gelCoreS, f.gelWallS) - 1e-9);
			return (f.recoatUntilS - f.recoatFromS) / f.recoatFromS;
		};
		expect(width(gradual)).toBeGreaterThan(width({ ...white, character: 'snap' }));
	});

	it('readings that run ahead bring the demould forward too', () => {
		const late = forecast({ resin: white, ...at }).demouldS;
		const f = forecast({
			resin: white,
			...at,
			readings: [
				{ timeS: 60, tempC: 40 },
				{ timeS: 75, tempC: 52 }
			]
		});
		expect(f.fit!.rateFactor).toBeGreaterThan(1.1);
		expect(f.demouldS).toBeLessThan(late);
	});

	it('a warm mould sets the part sooner, and its curve ends cured', () => {
		const warm = forecast({ resin: white, ...at, mouldTempC: 38 });
		expect(warm.gelWallS).toBeLessThan(forecast({ resin: white, ...at }).gelWallS);
		expect(warm.part.length).toBeGreaterThan(50);
		expect(warm.part.at(-1)!.slowest).toBeGreaterThan(0.8);
	});

	it.each([
		{ thicknessMm: 0 },
		{ mouldTempC: 500 },
		{ massG: NaN },
		{ readings: [{ timeS: -1, tempC: 20 }] }
	])('%j is refused', (over) => {
		expect(() => forecast({ resin: white, ...at, ...over })).toThrow();
	});
});
