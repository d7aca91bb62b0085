import { describe, expect, it } from 'vitest';
import { roomFactor } from './block';
import { densityFromSpecificVolume, MASS_G } from '../units';
import { InputError } from '../working';
import { cavityFor, mouldBlock, nextMouldStates, planBlock, type BlockPlanInput } from '.';

const tin = {
	densityGPerMl: 1.18,
	ratio: { by: 'weight', a: 100, b: 10 },
	workingTimeS: 2400,
	cureTimeS: 57_600,
	refTempC: 23,
	cureKind: 'condensation'
} as const;
const platinum = {
	...tin,
	ratio: { by: 'volume', a: 1, b: 1 },
	cureTimeS: 14_400,
	cureKind: 'addition'
} as const;

describe('block', () => {
	it('a 3 in tube filled to 3½ in takes about a pound of 25 in³/lb rubber (common practice, no source)', () => {
		const r = mouldBlock({
			cavity: { shape: 'tube', diameterMm: 3 * 25.4, heightMm: 3.5 * 25.4 },
			masterVolumeMl: 0,
			rubber: { ...tin, densityGPerMl: densityFromSpecificVolume(25) },
			roomTempC: 23
		});
		expect(r.grossVolumeMl / 16.387064).toBeCloseTo(24.74, 2);
		expect(r.rubber.massG / MASS_G.lb).toBeCloseTo(0.99, 2);
	});

	it('box less master, plus what stays in the cup, by hand', () => {
		const r = mouldBlock({
			cavity: { shape: 'box', lengthMm: 100, widthMm: 50, heightMm: 40 },
			masterVolumeMl: 60,
			rubber: tin,
			roomTempC: 20,
			lossPercent: 5
		});
		expect(r.grossVolumeMl).toBeCloseTo(200, 9);
		expect(r.netVolumeMl).toBeCloseTo(140, 9);
		expect(r.rubber.massG).toBeCloseTo(140 * 1.05 * 1.18, 9);
		expect(r.a.massG / r.b.massG).toBeCloseTo(10, 9);
		expect(r.a.massG + r.b.massG).toBeCloseTo(r.rubber.massG, 9);
		expect(r.degasVesselMl).toBeCloseTo(5 * 147, 9);
	});

	it('heat hurries platinum and not tin', () => {
		const ready = (rubber: typeof tin | typeof platinum, roomTempC: number) =>
			mouldBlock({
				cavity: { shape: 'box', lengthMm: 50, widthMm: 50, heightMm: 50 },
				masterVolumeMl: 5,
				rubber,
				roomTempC
			}).readyInS;
		expect(ready(tin, 33)).toBe(57_600);
		expect(ready(platinum, 23)).toBeCloseTo(14_400, 6);
		expect(ready(platinum, 33) / 14_400).toBeCloseTo(0.5, 1);
		expect(ready(platinum, 13)).toBeGreaterThan(25_000);
	});

	it('refuses a master that does not fit its cavity', () => {
		const tooLarge = () =>
			mouldBlock({
				cavity: { shape: 'box', lengthMm: 50, widthMm: 50, heightMm: 50 },
				masterVolumeMl: 125,
				rubber: tin,
				roomTempC: 20
			});
		expect(tooLarge).toThrow(InputError);
		expect(tooLarge).toThrow(/does not fit/);
	});
});

describe('planning round a master', () => {
	const master = { footprint: 'rectangular', lengthMm: 60, widthMm: 80, heightMm: 40 } as const;
	const input: BlockPlanInput = {
		master,
		masterVolumeMl: 100,
		shape: 'box',
		clearanceMm: 12,
		coverMm: 14,
		rubber: tin,
		roomTempC: 21,
		lossPercent: 4
	};

	it('clearance on each side, cover above, the corner of the master inside the tube', () => {
		expect(cavityFor(master, 'box', 12, 14)).toEqual({
			shape: 'box',
			lengthMm: 84,
			widthMm: 104,
			heightMm: 54
		});
		// 60 × 80 has a diagonal of 100
		expect(cavityFor(master, 'tube', 10, 14)).toEqual({ shape: 'tube', diameterMm: 120, heightMm: 54 });
		expect(cavityFor({ ...master, footprint: 'round' }, 'tube', 10, 14)).toMatchObject({ diameterMm: 80 });
	});

	it('plans, and says what the other shape would take', () => {
		const plan = planBlock(input);
		expect(plan.grossVolumeMl).toBeCloseTo((84 * 104 * 54) / 1000, 9);
		expect(plan.otherShapeNetMl).toBeCloseTo((Math.PI * 62 ** 2 * 54) / 1000 - 100, 6);
		expect(plan.warnings).toEqual([]);
	});

	it('warns of thin walls with the value that would do', () => {
		const codes = planBlock({ ...input, clearanceMm: 4, coverMm: 5 }).warnings.map((w) => w.code);
		expect(codes).toEqual(['thin-cover', 'thin-wall']);
	});

	it.each([
		[{ clearanceMm: 0 }, /clearance on each side must be more than nothing: 12 mm is usual/],
		[{ coverMm: NaN }, /cover above the master/],
		[{ masterVolumeMl: 500 }, /more than its outer sizes hold/]
	])('%j is refused', (part, message) => {
		expect(() => planBlock({ ...input, ...part })).toThrow(message);
	});
});

it('a mould is made, new, used, rests or is worn, retires, and may come back', () => {
	expect(nextMouldStates('being-made')).toEqual(['new', 'retired']);
	expect(nextMouldStates('new')).toEqual(['active', 'retired']);
	expect(nextMouldStates('active')).toEqual(['resting', 'worn', 'retired']);
	expect(nextMouldStates('resting')).toContain('active');
	expect(nextMouldStates('retired')).toEqual(['active']);
});

it('cold slows both cures, warmth hurries addition alone (common practice, no source)', () => {
	expect(roomFactor('condensation', 23, 5)).toBeLessThan(0.65);
	expect(roomFactor('condensation', 23, 40)).toBe(1);
	// about two in ten degrees
	expect(roomFactor('addition', 23, 33)).toBeGreaterThan(1.9);
	expect(roomFactor('addition', 23, 33)).toBeLessThan(2.4);
	expect(roomFactor('addition', 23, 13)).toBeLessThan(0.5);
});
