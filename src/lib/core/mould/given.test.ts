import { describe, expect, it } from 'vitest';
import { blue, cube, mouldOf } from '../examples.testing';
import { starterShelf } from '../shelf';
import { InputError } from '../working';
import { planMould } from './planMould';
import type { MouldInputs } from './inputs';
import { MOULD_MODULES } from './kinds';

const planned = (over: Partial<MouldInputs>) =>
	planMould({ ...mouldOf('one-piece').inputs, shape: 'given', lossPercent: 0, ...over }, cube, {
		rubber: blue,
		thermoplastic: starterShelf().thermoplastic[0]
	});
/** The field at which it is refused. */
const refused = (over: Partial<MouldInputs>) => {
	try {
		planned(over);
	} catch (error) {
		if (error instanceof InputError) return error.path[0];
		throw error;
	}
	return undefined;
};

describe('a container at hand', () => {
	it('a 3 in tube filled to 3½ in holds 24.74 in³ (common practice, no source): rubber is what the piece leaves', () => {
		const plan = planned({ givenAs: 'tube', givenDiameterMm: 76.2, givenFillMm: 88.9 });
		expect(plan.grossVolumeMl).toBeCloseTo(24.74 * 16.387064, 0);
		expect(plan.netVolumeMl).toBeCloseTo(plan.grossVolumeMl - 64, 6);
		expect(plan.left!.clearanceMm).toBeCloseTo((76.2 - Math.hypot(40, 40)) / 2, 6);
		expect(plan.left!.coverMm).toBeCloseTo(48.9, 6);
		expect(plan.cutList).toEqual([]);
		expect(plan.others).toBeUndefined();
	});
	it('a box is length × width × fill, its thinnest wall the one that counts', () => {
		const plan = planned({ givenAs: 'box', givenLengthMm: 100, givenWidthMm: 60, givenFillMm: 55 });
		expect(plan.grossVolumeMl).toBeCloseTo(330, 9);
		expect(plan.left).toEqual({ clearanceMm: 10, coverMm: 15 });
		const halves = planned({
			kind: 'two-part',
			givenAs: 'box',
			givenLengthMm: 100,
			givenWidthMm: 60,
			givenFillMm: 70
		});
		expect(halves.grossVolumeMl).toBeCloseTo(420, 9);
		expect(halves.left!.coverMm).toBeCloseTo(15, 9);
	});
	it('a bucket is a frustum: πh/12·(D² + Dd + d²)', () => {
		const plan = planned({ givenAs: 'bucket', givenDiameterMm: 80, givenTopMm: 100, givenFillMm: 60 });
		expect(plan.grossVolumeMl).toBeCloseTo((Math.PI * 60 * (80 ** 2 + 80 * 100 + 100 ** 2)) / 12 / 1000, 6);
	});
	it('what does not fit or is not said is refused at its field', () => {
		const tube = { givenAs: 'tube', givenDiameterMm: 80, givenFillMm: 55 } as const;
		expect(refused(tube)).toBeUndefined();
		expect(refused({ ...tube, givenDiameterMm: undefined })).toBe('givenDiameterMm');
		expect(refused({ ...tube, givenDiameterMm: 56 })).toBe('givenDiameterMm');
		expect(refused({ ...tube, givenFillMm: undefined })).toBe('givenFillMm');
		expect(refused({ ...tube, givenFillMm: 40 })).toBe('givenFillMm');
		expect(refused({ ...tube, givenAs: 'bucket' })).toBe('givenTopMm');
		const box = { givenAs: 'box', givenLengthMm: 60, givenWidthMm: 60, givenFillMm: 55 } as const;
		expect(refused({ ...box, givenWidthMm: 40 })).toBe('givenWidthMm');
		expect(refused({ ...box, cavities: 2 })).toBeDefined();
	});
});

describe('what is mixed', () => {
	const tube = { givenAs: 'tube', givenDiameterMm: 80, givenFillMm: 55 } as const;
	it('a little over is mixed in the same ratio', () => {
		const plain = planned(tube);
		const plan = planned({ ...tube, rubberMassG: plain.rubber.massG * 1.2 });
		expect(plan.a.massG + plan.b.massG).toBeCloseTo(plan.rubber.massG, 9);
		expect(plan.a.massG / plan.b.massG).toBeCloseTo(plain.a.massG / plain.b.massG, 9);
		expect(plan.netVolumeMl).toBeCloseTo(plain.netVolumeMl, 9);
		expect(plan.warnings.map((w) => w.code)).not.toContain('too-little-rubber');
	});
	it('less than stands in it is said', () => {
		const plan = planned({ ...tube, rubberMassG: 50 });
		expect(plan.warnings.find((w) => w.code === 'too-little-rubber')?.severity).toBe('harm');
	});
});

describe('a press mould', () => {
	const press = { ...mouldOf('press').inputs, kind: 'press', shape: 'box' } as const;
	it('several cavities share its halves', () => {
		const one = planned(press);
		const four = planned({ ...press, cavities: 4, gapMm: 10 });
		expect(four.grid).toMatchObject({ count: 4 });
		expect(four.grossVolumeMl - four.netVolumeMl).toBeCloseTo(4 * 64, 6);
		expect(four.rubber.massG).toBeLessThan(4 * one.rubber.massG);
	});
	it('bricks round it leave whole bricks of room, and are counted', () => {
		const bricks = planned({ ...press, shape: 'bricks', brickPitchMm: 8, brickHeightMm: 10 });
		expect(bricks.brickUnits).toBeGreaterThan(20);
		if (bricks.cavity?.shape !== 'box') throw new Error('no box');
		expect(bricks.cavity.lengthMm % 8).toBeCloseTo(0, 9);
	});
	it('what is mixed stands in its field with the grams of the answer: A and B, each as it is weighed', () => {
		const field = MOULD_MODULES['one-piece'].fields.find((f) => f.name === 'rubberMassG')!;
		// halves of a gram on both parts: the whole is rounded another way than its parts are
		const plans = Array.from({ length: 60 }, (_, i) =>
			planned({ givenAs: 'tube', givenDiameterMm: 76.2, givenFillMm: 60 + i / 3 })
		);
		for (const plan of plans)
			expect(field.inForce!(plan)).toBe(Math.round(plan.a.massG) + Math.round(plan.b.massG));
		expect(plans.some((plan) => field.inForce!(plan) !== Math.round(plan.rubber.massG))).toBe(true);
	});
});
