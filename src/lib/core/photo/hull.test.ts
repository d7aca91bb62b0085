import { describe, expect, it, vi } from 'vitest';
import { measure, readMeshFile, topology } from '../mesh';
import { bodyOf, hollowOver, PictureError, quickOf, rimOf, scaleToWater, stlBytes, type View } from '.';
import {
	ball,
	beaker,
	block,
	cone,
	ring,
	silhouette,
	sixteen,
	stand,
	type Lens,
	type Solid,
	type Stand
} from './rendered.testing';

vi.setConfig({ testTimeout: 180_000 });

const LENS: Lens = { w: 640, h: 480, f: 640, cx: 322, cy: 237, k1: -0.08, k2: 0.02 };
const view = (solid: Solid, from: Stand, lens = LENS): View => ({
	camera: {
		widthPx: lens.w,
		heightPx: lens.h,
		focalPx: lens.f,
		centrePx: [lens.cx, lens.cy],
		bend: [lens.k1, lens.k2]
	},
	pose: { rotation: from.rows, translationMm: from.shift },
	rim: rimOf({ widthPx: lens.w, heightPx: lens.h, piece: silhouette(solid, lens, from) })!
});
const FINE: Lens = { ...LENS, w: 1280, h: 960, f: 1280, cx: 644, cy: 474 };
const viewsOf = (solid: Solid) => sixteen(420, 25).map((s) => view(solid, s));
const OPTIONS = { reachMm: 80, tallMm: 200, steps: 80, offPx: 0.2 };

describe('a body from outlines of known place', () => {
	// true volumes by the formulas of solid geometry; how much too large each may be: the issue's own bounds
	it.each([
		['ball', ball(28), 0.03, 0.06],
		['cone', cone(28, 0.01, 60), 0.03, 0.06],
		['cylinder', cone(25, 25, 50), 0.07, 0.06],
		['box', block(50, 36, 44), 0.18, 0.06],
		// shrunk evenly although its excess lies before its faces: the edges come out too short
		['box askew', block(60, 30, 40, 0.6), 0.18, 0.09],
		['ring', ring(28, 10), 0.07, 0.06]
	])('%s: never too small, hardly too large, inside its band, closed', (_, solid, large, skin) => {
		const body = bodyOf(viewsOf(solid), OPTIONS);
		expect(body.volumeMl).toBeGreaterThan(0.99 * solid.volumeMl);
		expect(body.volumeMl).toBeLessThan((1 + large) * solid.volumeMl);
		expect(body.lowMl).toBeLessThan(solid.volumeMl);
		expect(body.highMl).toBeGreaterThan(solid.volumeMl);
		expect(body.areaLowMm2).toBeLessThan(solid.areaMm2);
		expect(body.areaHighMm2).toBeGreaterThan(solid.areaMm2);
		const { watertight, shells } = topology(body.mesh);
		expect([watertight, shells]).toEqual([true, 1]);
		// water within a hundredth, and what the skin is good to then
		const by = scaleToWater(body, solid.volumeMl, 0.01);
		expect(by.apart).toBe(false);
		expect(measure(scaled(body.mesh, by.lengthShare)).volumeMl).toBeCloseTo(solid.volumeMl, 1);
		expect(Math.abs((body.areaMm2 * by.lengthShare ** 2) / solid.areaMm2 - 1)).toBeLessThan(skin);
	});

	it('round a ball what single pictures take is six times what is left over (see `bodyOf`)', () => {
		const solid = ball(28);
		const { volumeMl, onlyByMl } = bodyOf(
			sixteen(420, 25).map((s) => view(solid, s, FINE)),
			{ ...OPTIONS, steps: 120 }
		);
		const taken = onlyByMl.reduce((a, b) => a + b, 0);
		expect((volumeMl - solid.volumeMl) / taken).toBeGreaterThan(0.08);
		expect((volumeMl - solid.volumeMl) / taken).toBeLessThan(0.35);
	});

	it('a flat top seen from above only: its height is known, the roof over it is said, and can be taken off', () => {
		const solid = cone(40, 40, 10);
		const views = viewsOf(solid);
		const body = bodyOf(views, OPTIONS);
		expect(body.sureTopMm).toBeCloseTo(10, 0);
		expect(body.max[2]).toBeGreaterThan(13);
		expect(body.lowMl).toBeLessThan(solid.volumeMl);
		const flat = bodyOf(views, { ...OPTIONS, flatTop: true });
		expect(flat.volumeMl).toBeLessThan(1.07 * solid.volumeMl);
		expect(flat.volumeMl).toBeGreaterThan(0.99 * solid.volumeMl);
	});

	it('a hollow is reported as filled: larger than the piece, and where it could be is marked', () => {
		const solid = beaker(25, 50, 20, 44);
		const body = bodyOf(viewsOf(solid), OPTIONS);
		expect(body.volumeMl).toBeGreaterThan(1.5 * solid.volumeMl);
		// what the page marks is the mouth, 40 mm wide, and not the wall
		const hollowMm = hollowOver(body);
		const marked = (is: (acrossMm: number, z: number) => boolean) => {
			const { vertices } = body.mesh;
			const at = [...body.bridgedMm].filter((_, v) =>
				is(Math.hypot(vertices[3 * v]!, vertices[3 * v + 1]!), vertices[3 * v + 2]!)
			);
			return at.filter((mm) => mm > hollowMm).length / at.length;
		};
		expect(hollowMm).toBeLessThan(40);
		const mouth = marked((r, z) => r < 12 && z > 45);
		expect(mouth).toBeGreaterThan(0.95);
		expect(marked((r, z) => r > 18 && z > 8 && z < 42)).toBeLessThan(mouth / 3);
	});

	it('does not depend on the order of the pictures', () => {
		const views = viewsOf(block(50, 36, 44));
		const there = bodyOf(views, { ...OPTIONS, steps: 40 });
		const back = bodyOf([...views].reverse(), { ...OPTIONS, steps: 40 });
		expect(back.volumeMl).toBeCloseTo(there.volumeMl, 9);
		expect([...back.onlyByMl].reverse()).toEqual(there.onlyByMl);
	});

	it('more pictures never make it larger', () => {
		const views = viewsOf(block(50, 36, 44));
		const few = bodyOf(views.slice(0, 7), { ...OPTIONS, steps: 48 });
		expect(bodyOf(views, { ...OPTIONS, steps: 48 }).volumeMl).toBeLessThan(few.volumeMl);
		expect(few.highMl - few.lowMl).toBeGreaterThan(0);
	});

	it.each([
		['ball', ball(28), 0.12],
		['cylinder', cone(25, 25, 50), 0.12],
		['cone', cone(28, 0.01, 60), 0.15]
	])('two pictures of a %s: close, and inside a wide band', (_, solid, off) => {
		const two = [0, Math.PI / 2].map((a) =>
			view(solid, stand([420 * Math.cos(a), 420 * Math.sin(a), 60], [0, 0, 25]))
		);
		const quick = quickOf(two, OPTIONS);
		expect(Math.abs(quick.volumeMl / solid.volumeMl - 1)).toBeLessThan(off);
		expect(quick.lowMl).toBeLessThan(solid.volumeMl);
		expect(quick.highMl).toBeGreaterThan(solid.volumeMl);
	});
	it('a box is inside the band of two pictures, and two from one side are refused', () => {
		const solid = block(50, 36, 44, 0);
		const from = (a: number) => view(solid, stand([420 * Math.cos(a), 420 * Math.sin(a), 60], [0, 0, 25]));
		expect(quickOf([from(0), from(1.57)], OPTIONS).highMl).toBeGreaterThan(solid.volumeMl);
		expect(() => quickOf([from(0), from(0.3)], OPTIONS)).toThrow(/from the front and from the side/);
		expect(() => quickOf([from(0), from(Math.PI)], OPTIONS)).toThrow(PictureError);
	});

	it('an outline that leaves out what others show is named, and the band reaches over it', () => {
		const solid = cone(25, 25, 50);
		const views = sixteen(420, 25).map((from, i) => {
			const piece = silhouette(solid, LENS, from);
			// of one picture the upper part is lost: its colour was that of the wall
			if (i === 3) piece.fill(0, 0, LENS.w * 235);
			return { ...view(solid, from), rim: rimOf({ widthPx: LENS.w, heightPx: LENS.h, piece })! };
		});
		const body = bodyOf(views, { ...OPTIONS, steps: 56 });
		expect(body.volumeMl).toBeLessThan(0.95 * solid.volumeMl);
		expect(body.highMl).toBeGreaterThan(solid.volumeMl);
		expect(body.contraryShare.indexOf(Math.max(...body.contraryShare))).toBe(3);
		const sound = bodyOf(viewsOf(solid), { ...OPTIONS, steps: 56 });
		expect(Math.max(...sound.contraryShare)).toBeLessThan(0.003);
		expect(sound.doubts.contraryMl).toBe(0);
	});

	it('what reaches out of its room is said, and never cut off in silence', () => {
		const views = viewsOf(cone(25, 25, 50));
		const small = { ...OPTIONS, steps: 40 };
		expect(() => bodyOf(views, { ...small, tallMm: 40 })).toThrow(/print a larger mat/);
		expect(() => bodyOf(views, { ...small, wallMm: 24 })).toThrow(/print a larger mat/);
		expect(bodyOf(views, { ...small, wallMm: 32 }).volumeMl).toBeGreaterThan(90);
	});

	it('says so where outlines leave nothing in common, and where there is only one', () => {
		const views = viewsOf(ball(20));
		const elsewhere = { ...views[3]!, rim: { ...views[3]!.rim, xPx: 0, yPx: 0 } };
		expect(() => bodyOf([...views.slice(0, 3), elsewhere], OPTIONS)).toThrow(PictureError);
		expect(() => bodyOf(views.slice(0, 1), OPTIONS)).toThrow(/At least two/);
	});

	it('is a 3D file that is read as any other', () => {
		const { mesh, volumeMl } = bodyOf(viewsOf(ball(28)), { ...OPTIONS, steps: 32 });
		const file = readMeshFile(stlBytes(mesh), 'body.stl');
		expect(file.parts[0]!.triangles).toBe(mesh.indices.length / 3);
		expect(volumeMl).toBeGreaterThan(80);
	});
});

const scaled = (mesh: { vertices: Float64Array; indices: Uint32Array }, share: number) => ({
	...mesh,
	vertices: mesh.vertices.map((v) => v * share)
});
