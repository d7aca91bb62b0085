import { describe, expect, it, vi } from 'vitest';
import { seenAt } from '$lib/core/photo';
import { ball, block, cone } from '$lib/core/photo/rendered.testing';
import { cutAll, LENS, named, sat, shoot, STANDS } from './shoots.testing';
import type { Sitting } from './sitting';

// drawing and cutting sixteen pictures takes half a minute, and more on a busy machine
vi.setConfig({ testTimeout: 300_000 });

/** How far from the truth points of the room are seen by the poses that were found, root of the mean square, px. */
function poseErrorPx(sitting: Sitting): number {
	const { w, h, f, cx, cy, k1, k2 } = LENS;
	const truth = { widthPx: w, heightPx: h, focalPx: f, centrePx: [cx, cy], bend: [k1, k2] } as const;
	const squares = STANDS.flatMap((from, i) => {
		const { camera, pose } = sitting.placeOf(`p${String(i).padStart(2, '0')}`)!;
		return [-25, 0, 25].flatMap((x) =>
			[-25, 25].flatMap((y) =>
				[0, 40].map((z) => {
					const a = seenAt(camera, pose, x, y, z);
					const b = seenAt(truth, { rotation: from.rows, translationMm: from.shift }, x, y, z);
					return (a.xPx - b.xPx) ** 2 + (a.yPx - b.yPx) ** 2;
				})
			)
		);
	});
	return Math.sqrt(squares.reduce((a, b) => a + b, 0) / squares.length);
}

describe('sixteen pictures of a piece on its mat, with shadow, noise and a lens that bends', () => {
	it.each([
		['ball', ball(28), 0.03],
		['cylinder, grey as primer', cone(25, 25, 50, [140, 140, 142]), 0.07],
		['box', block(50, 36, 44), 0.18]
	])('%s', async (_, solid, large) => {
		const sitting = await sat(named(STANDS.map((s, i) => shoot(solid, s, i + 1))));
		const body = await cutAll(sitting);
		expect(sitting.sights().map((s) => s.fault)).toEqual(STANDS.map(() => undefined));
		expect(body.volumeMl).toBeGreaterThan(0.99 * solid.volumeMl);
		expect(body.volumeMl).toBeLessThan((1 + large) * solid.volumeMl);
		expect(body.lowMl).toBeLessThan(solid.volumeMl);
		expect(body.highMl).toBeGreaterThan(solid.volumeMl);
		expect(poseErrorPx(sitting)).toBeLessThan(0.3);
	});

	it('a piece as pale as its paper: pictures that guess its rim are told apart, and the rest hold the truth', async () => {
		const solid = cone(25, 12, 50, [228, 226, 220]);
		const some = STANDS.flatMap((s, i) => (i % 2 === 0 ? [shoot(solid, s, i + 1)] : []));
		const sitting = await sat(named(some));
		const body = await cutAll(sitting);
		const faults = sitting.sights().map((s) => s.fault);
		expect(faults.filter((f) => f === 'pale' || f === 'no-outline').length).toBeGreaterThanOrEqual(3);
		expect(body.ids).toHaveLength(faults.filter((f) => f === undefined).length);
		expect(body.lowMl).toBeLessThan(solid.volumeMl);
		expect(body.highMl).toBeGreaterThan(solid.volumeMl);
		// what the maker painted is no guess
		const pale = sitting.sights().find((s) => s.fault === 'pale')!.id;
		const painted = new Uint8Array(LENS.w * LENS.h);
		painted.fill(1, LENS.w * 300 + 415, LENS.w * 300 + 425);
		sitting.paint(pale, painted);
		await sitting.outline(pale);
		expect(sitting.sights().find((s) => s.id === pale)!.fault).toBeUndefined();
	});
});
