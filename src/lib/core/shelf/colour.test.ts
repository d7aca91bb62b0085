import { describe, expect, it } from 'vitest';
import fc from 'fast-check';
import { DEMO_COLOURS, DEMO_RELEASES, DEMO_RESINS, DEMO_THERMOPLASTICS } from '../../server/seed/materials';
import {
	colourLoad,
	colourRecord,
	colourSide,
	containerSpeed,
	dropsOf,
	flashOffS,
	isPaintable,
	isPowder,
	massOfDropsG,
	recipeRecord,
	releaseRecord,
	resinRecord,
	scaleRecipe,
	shadeAdvice,
	thermoplasticRecord,
	viscosityOf
} from '.';

const colour = (name: string) => colourRecord.parse(DEMO_COLOURS.find((c) => c.name === name));
const white = resinRecord.parse(DEMO_RESINS.find((r) => r.name === 'Lantern white'));

describe('colours', () => {
	it('every record of the demo is in range', () => {
		for (const c of DEMO_COLOURS) expect(colourRecord.safeParse(c).error).toBeUndefined();
		for (const r of DEMO_RELEASES) expect(releaseRecord.safeParse(r).error).toBeUndefined();
		for (const t of DEMO_THERMOPLASTICS) expect(thermoplasticRecord.safeParse(t).error).toBeUndefined();
	});

	it('goes into B unless the colour, the mica or the catalysed resin says otherwise', () => {
		expect(colourSide(colour('Buoy red'), white)).toBe('B');
		expect(colourSide(colour('Herring silver'), white)).toBe('A');
		const mica = { side: 'as the resin says', kind: 'mica' } as const;
		expect(colourSide(mica, white)).toBe('B');
		expect(colourSide(mica, { ...white, micaSide: 'A' })).toBe('A');
		expect(colourSide({ side: 'B', kind: 'dye' }, { ...white, family: 'clear polyester' })).toBe('A');
	});

	it('drops by hand: 1 g of a paste of 1.45 g/ml at 18 drops a millilitre', () => {
		expect(dropsOf(colour('Kelp brown'), 1)).toBe(Math.round(18 / 1.45));
		expect(massOfDropsG(colour('Kelp brown'), 18)).toBeCloseTo(1.45, 12);
		expect(massOfDropsG({ densityGPerMl: 1.2 }, 20)).toBeCloseTo(1.2, 12);
		expect(dropsOf(colour('Night wake'), 1)).toBeUndefined();
		expect(isPowder('glow powder')).toBe(true);
	});

	it('a recipe of 0.8 + 0.8 g in 100 g is 4 g in 250 g', () => {
		const doses = [
			{ colourId: 'a', massG: 0.8 },
			{ colourId: 'b', massG: 0.1 },
			{ colourId: 'a', massG: 0.8 }
		];
		const scaled = scaleRecipe({ doses, resinMassG: 100 }, 250);
		expect(scaled[0]).toMatchObject({ colourId: 'a', percent: 1.6 });
		expect(scaled[0]!.massG).toBeCloseTo(4, 12);
		expect(scaled[1]!.massG).toBeCloseTo(0.25, 12);
	});

	it('scaling a recipe keeps the whole of its colour, in whatever order it was dosed', () => {
		const dose = fc.record({
			colourId: fc.constantFrom('a', 'b', 'c'),
			massG: fc.double({ min: 1e-3, max: 50, noNaN: true })
		});
		fc.assert(
			fc.property(
				fc.array(dose, { minLength: 1, maxLength: 20 }),
				fc.double({ min: 1, max: 1e4, noNaN: true }),
				(doses, massG) => {
					const whole = doses.reduce((sum, d) => sum + d.massG, 0);
					const scaled = scaleRecipe({ doses, resinMassG: 100 }, massG);
					expect(scaled.reduce((sum, c) => sum + c.massG, 0)).toBeCloseTo((whole * massG) / 100, 6);
					const turned = scaleRecipe({ doses: [...doses].reverse(), resinMassG: 100 }, massG);
					for (const c of scaled)
						expect(turned.find((t) => t.colourId === c.colourId)!.massG).toBeCloseTo(c.massG, 6);
				}
			)
		);
	});

	it('a full load lengthens by its record, half a load by half, and too much is said', () => {
		const brown = colour('Kelp brown');
		expect(colourLoad([{ record: brown, percent: 5 }])).toEqual({ lengtheningPercent: 33, warnings: [] });
		expect(colourLoad([{ record: brown, percent: 2.5 }]).lengtheningPercent).toBeCloseTo(16.5, 9);
		const over = colourLoad([{ record: brown, percent: 9 }]);
		expect(over.lengtheningPercent).toBe(33);
		expect(over.warnings[0]!.message).toContain('5');
	});

	it('the advice names the cured shade and the thinning', () => {
		expect(shadeAdvice('amber', 2.1)).toMatch(/thins it 2\.1 times.*amber/);
		expect(shadeAdvice('not said', 1)).toBe('');
	});

	it.each([
		[{ kind: 'paint' }, 'kind'],
		[{ densityGPerMl: 0 }, 'densityGPerMl'],
		[{ bulkDensityGPerMl: 5 }, 'bulkDensityGPerMl'],
		[{ mostPercent: 80 }, 'mostPercent'],
		[{ name: ' ' }, 'name']
	])('%j is refused at its field', (over, field) => {
		const result = colourRecord.safeParse({ ...colour('Oyster'), ...over });
		expect(result.error!.issues.map((i) => i.path[0])).toContain(field);
	});

	it('a recipe needs a resin and at least one dose of more than nothing', () => {
		const bad = recipeRecord.safeParse({ name: 'x', resinId: '', resinMassG: 0, doses: [] });
		expect(bad.error!.issues.map((i) => i.path[0])).toEqual(['resinId', 'resinMassG', 'doses']);
	});
});

describe('releases', () => {
	it('kind decides paint and flash-off, the record may say otherwise', () => {
		const spray = releaseRecord.parse({ name: 'x', kind: 'silicone spray' });
		expect(isPaintable(spray)).toBe(false);
		expect(isPaintable({ ...spray, paintable: 'yes' })).toBe(true);
		// five minutes and more: common practice, no source
		expect(flashOffS(spray)).toBe(300);
		expect(flashOffS({ ...spray, flashOffS: 90 })).toBe(90);
		expect(flashOffS(releaseRecord.parse({ name: 'x', kind: 'talc' }))).toBe(0);
	});
});

describe('what sheets give besides', () => {
	it('a second viscosity needs its temperature, and thins as it warms', () => {
		const paths = (over: object) =>
			resinRecord.safeParse({ ...white, ...over }).error?.issues.map((i) => i.path[0]) ?? [];
		expect(paths({ viscosity2TempC: undefined })).toEqual(['viscosity2TempC']);
		expect(paths({ viscosity2MpaS: undefined })).toEqual(['viscosity2MpaS']);
		expect(paths({ viscosity2MpaS: 200 })).toEqual(['viscosity2MpaS']);
		expect(paths({ recoatConversion: 0.4 })).toEqual(['recoatConversion']);
		expect(viscosityOf(white, 32)).toBeCloseTo(60, 9);
		expect(viscosityOf(white, 23)).toBeCloseTo(90, 9);
	});

	it('old stock slows the forecast until readings have taught better', () => {
		expect(containerSpeed(0, null)).toBeUndefined();
		expect(containerSpeed(25, null)).toBeCloseTo(0.8, 12);
		expect(containerSpeed(25, 1.1)).toBe(1.1);
	});
});
