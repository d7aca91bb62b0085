import { describe, expect, it } from 'vitest';
import { ratiosOf } from './resinSums';
import {
	colourSheet,
	fillerSheet,
	resinRecord,
	resinSheet,
	rubberSheet,
	sheetOf,
	thermoplasticSheet,
	usualOf,
	usualWarnings,
	usualWords,
	withUsual
} from '.';

const said = {
	name: 'Sea',
	family: 'fast urethane',
	potLifeS: 150,
	demouldS: 900,
	character: 'quick'
} as const;

describe('a sheet that says little', () => {
	it('a resin is its ratio and its two times; the rest is usual and marked', () => {
		const typed = { ...said, weightA: 100, weightB: 90 };
		expect(resinSheet.safeParse(typed).success).toBe(true);
		const record = resinRecord.parse(withUsual('resin', typed));
		// cast urethanes are 1.0 to 1.15 g/ml and 60 to 300 mPa·s (common practice, no source)
		expect(record.densityAGPerMl).toBeGreaterThan(1);
		expect(record.densityAGPerMl).toBeLessThan(1.2);
		expect(record.usual).toEqual(['densityAGPerMl', 'densityBGPerMl', 'viscosityMpaS']);
		expect(usualWords(record)).toBe('density of A, density of B, viscosity');
		expect(usualWarnings(record).map((w) => w.code)).toEqual(['usual-density']);
		expect(sheetOf(record)).not.toHaveProperty('densityAGPerMl');
	});
	it('two ratios tie the densities, and one that is typed gives the other', () => {
		const typed = { ...said, weightA: 100, weightB: 90, volumeA: 1, volumeB: 1, densityBGPerMl: 0.99 };
		const record = resinRecord.parse(withUsual('resin', typed));
		expect(record.densityAGPerMl).toBeCloseTo(1.1, 9);
		// it follows from the sheet: no guess, and no warning that it is one
		expect([record.usual, usualWarnings(record)]).toEqual([['viscosityMpaS'], []]);
		expect(ratiosOf(record)!.weightB).toBeCloseTo(90, 9);
	});
	it('what the sheet says stands, and nothing is marked', () => {
		const typed = {
			...said,
			weightA: 100,
			weightB: 90,
			densityAGPerMl: 1.2,
			densityBGPerMl: 1.1,
			viscosityMpaS: 80
		};
		const record = withUsual('resin', typed);
		expect(record).toMatchObject({ densityAGPerMl: 1.2, usual: [] });
		expect(usualWarnings(record)).toEqual([]);
		expect(usualWords(record)).toBeUndefined();
		expect(sheetOf(resinRecord.parse(record))).toMatchObject(typed);
	});
	it('a rule of the record is said at the form’s field', () => {
		const paths = (typed: object) =>
			resinSheet.safeParse({ ...said, ...typed }).error?.issues.map((i) => i.path[0]);
		expect(paths({})).toEqual(['weightA']);
		expect(paths({ demouldS: undefined, potLifeS: undefined })).toEqual(['demouldS', 'potLifeS', 'weightA']);
		expect(paths({ weightA: 100 })).toContain('weightB');
		expect(paths({ weightA: 100, weightB: 90, densityAGPerMl: 90 })).toEqual(['densityAGPerMl']);
	});
	it('rubber by how it cures and what it is for, colours and thermoplastics by their kind', () => {
		const rubber = {
			name: 'Blue',
			cureKind: 'addition',
			ratioA: 1,
			ratioB: 1,
			workingTimeS: 1800,
			cureTimeS: 14_400
		};
		expect(rubberSheet.safeParse(rubber).success).toBe(true);
		const brushed = usualOf('rubber', { ...rubber, use: 'brush-on' });
		expect(brushed['viscosityMpaS']).toBeGreaterThan(usualOf('rubber', rubber)['viscosityMpaS']!);
		expect(colourSheet.safeParse({ name: 'Gold', kind: 'mica' }).success).toBe(true);
		expect(thermoplasticSheet.safeParse({ name: 'Bar' }).success).toBe(true);
	});
	it('a metal powder has no usual density, for they lie 2.7 to 8.9 g/ml; its loose one follows from it', () => {
		const metal = { name: 'Powder', family: 'metal powder' };
		expect(fillerSheet.safeParse(metal).error?.issues.map((i) => i.path[0])).toContain('densityGPerMl');
		expect(withUsual('filler', { ...metal, densityGPerMl: 2.7 })).toMatchObject({
			bulkDensityGPerMl: 1.08,
			usual: ['bulkDensityGPerMl']
		});
		for (const family of [
			'hollow spheres',
			'mineral powder',
			'fibre',
			'fumed silica',
			'water',
			'glow or pearl powder'
		])
			expect(fillerSheet.safeParse({ name: 'x', family }).success).toBe(true);
	});
});
