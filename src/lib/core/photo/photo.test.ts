import { describe, expect, it } from 'vitest';
import fc from 'fast-check';
import { PNG } from 'pngjs';
import {
	coverage,
	directionOf,
	insideAt,
	MATS,
	MAT_SIZES,
	markerOf,
	refusedBySize,
	rimOf,
	scaleToWater,
	statedSize,
	surfaceOf
} from '.';
import { topology } from '../mesh';
import { chance } from './rendered.testing';

describe('mats', () => {
	it('share no marker, and every marker knows its mat', () => {
		const ids = MAT_SIZES.flatMap((size) => MATS[size].markers.map((m) => m.id));
		expect(new Set(ids).size).toBe(ids.length);
		for (const size of MAT_SIZES)
			for (const m of MATS[size].markers) expect(markerOf(m.id)).toEqual({ size, marker: m });
		expect(markerOf(99)).toBeUndefined();
	});
	it('leave the middle free, and a paper-white cell round each marker', () => {
		for (const { middleMm, markers } of Object.values(MATS))
			for (const m of markers) {
				expect(Math.max(Math.abs(m.xMm), Math.abs(m.yMm)) - m.edgeMm / 2).toBeGreaterThan(middleMm + 4);
				for (const o of markers) {
					if (o.id === m.id) continue;
					const gap = Math.max(Math.abs(o.xMm - m.xMm), Math.abs(o.yMm - m.yMm)) - m.edgeMm;
					expect(gap).toBeGreaterThan(m.edgeMm / 6);
				}
			}
	});
});

describe('the rim of an outline', () => {
	it('is the distance to the nearest pixel of the other kind, less half a pixel', () => {
		const random = chance(4);
		const [w, h] = [31, 23];
		const piece = Uint8Array.from({ length: w * h }, (_, i) =>
			Math.hypot((i % w) - 14, i / w - 11) < 7 + 3 * random() ? 1 : 0
		);
		const rim = rimOf({ widthPx: w, heightPx: h, piece })!;
		for (let y = 0; y < h; y++)
			for (let x = 0; x < w; x++) {
				const mine = piece[y * w + x];
				let nearest = Infinity;
				piece.forEach((p, i) => {
					if (p !== mine) nearest = Math.min(nearest, Math.hypot((i % w) - x, Math.floor(i / w) - y));
				});
				expect(insideAt(rim, x, y)).toBeCloseTo(mine ? nearest - 0.5 : 0.5 - nearest, 3);
			}
	});
	it('is outside beyond its window, the more the farther', () => {
		const rim = rimOf({ widthPx: 200, heightPx: 90, piece: new Uint8Array(200 * 90).fill(1, 9100, 9103) })!;
		expect(insideAt(rim, 190, 45)).toBeLessThan(insideAt(rim, 160, 45));
		expect(insideAt(rim, 160, 45)).toBeLessThan(-20);
	});
	it('is none where there is no piece', () => {
		expect(rimOf({ widthPx: 4, heightPx: 4, piece: new Uint8Array(16) })).toBeUndefined();
	});
});

describe('the surface of samples', () => {
	it('is closed and no two sheets share an edge, whatever the samples', () => {
		fc.assert(
			fc.property(
				fc.array(fc.double({ min: -1, max: 1, noNaN: true }), { minLength: 125, maxLength: 125 }),
				(values) => {
					const mesh = surfaceOf({
						min: [0, 0, 0],
						stepMm: 1,
						size: [5, 5, 5],
						insideMm: Float32Array.from(values, (v) => v || -1e-3)
					});
					if (mesh.indices.length === 0) return;
					const { openEdges, crowdedEdges, turnedEdges } = topology(mesh);
					expect([openEdges, crowdedEdges, turnedEdges]).toEqual([0, 0, 0]);
				}
			),
			{ numRuns: 200, seed: 24 }
		);
	});
});

describe('from where pictures were taken', () => {
	it.each([
		[[300, 0, 100], 0, 'low'],
		[[0, 300, 300], 90, 'middle'],
		[[-100, 0, 300], 180, 'high'],
		[[0, -300, 0], 270, 'low']
	] as const)('%j is %d° round and %s', (at, deg, height) => {
		const d = directionOf(at);
		expect(d.roundDeg).toBeCloseTo(deg, 9);
		expect(d.height).toBe(height);
	});
	const evenly = (n: number, height: 'low' | 'middle' | 'high') =>
		Array.from({ length: n }, (_, i) => ({ height, roundDeg: (360 * i) / n, upDeg: 20 }));
	it('asks for the widest gap of what lacks most, until all is covered', () => {
		const low = evenly(7, 'low').slice(0, 6);
		const { next, share } = coverage([...low, ...evenly(5, 'middle'), ...evenly(3, 'high')]);
		expect(next).toEqual({ height: 'low', roundDeg: expect.closeTo((360 * 6) / 7, 6) as number });
		expect(share).toBeCloseTo((7 * Math.min(1, (1.5 * 360) / 7 / ((2 * 360) / 7)) + 8) / 15, 9);
		expect(
			coverage([...evenly(7, 'low'), ...evenly(5, 'middle'), ...evenly(3, 'high')]).next
		).toBeUndefined();
	});
	it('many from one side cover little', () => {
		const oneSide = Array.from({ length: 15 }, (_, i) => ({
			height: 'low' as const,
			roundDeg: i,
			upDeg: 20
		}));
		expect(coverage(oneSide).share).toBeLessThan(0.2);
	});
});

describe('a picture before it is decoded', () => {
	it('is told by an independent writer', () => {
		const png = PNG.sync.write(new PNG({ width: 640, height: 700 }));
		expect(statedSize(png)).toEqual({ type: 'image/png', widthPx: 640, heightPx: 700 });
		expect(refusedBySize(png.length, statedSize(png))).toBeUndefined();
	});
	// heads by hand after ITU-T T.81 B.2.2 (JPEG, with a table before the frame), ISO/IEC 15948 (PNG), RFC 9649 (WebP)
	const jpeg = (w: number, h: number) =>
		Uint8Array.from([
			0xff,
			0xd8,
			0xff,
			0xc4,
			0,
			4,
			1,
			2,
			0xff,
			0xff,
			0xc2,
			0,
			17,
			8,
			h >> 8,
			h & 255,
			w >> 8,
			w & 255,
			3,
			0,
			0,
			0
		]);
	it('JPEG and WebP heads', () => {
		expect(statedSize(jpeg(4032, 3024))).toEqual({ type: 'image/jpeg', widthPx: 4032, heightPx: 3024 });
		const webp = new Uint8Array(30);
		webp.set([0x52, 0x49, 0x46, 0x46, 0, 0, 0, 0, 0x57, 0x45, 0x42, 0x50, 0x56, 0x50, 0x38, 0x58]);
		webp.set([0xff, 0x0f, 0, 0xff, 0x0b, 0], 24);
		expect(statedSize(webp)).toEqual({ type: 'image/webp', widthPx: 4096, heightPx: 3072 });
	});
	it.each([
		['a bomb', 4000, jpeg(65_000, 65_000), /4225 million points/],
		['a thumbnail', 4000, jpeg(320, 240), /only 320 × 240/],
		['one without a size', 4000, jpeg(0, 3000), /no size/],
		['a page', 4000, new TextEncoder().encode('<html>nothing here</html>'), /no JPEG, PNG or WebP/],
		['half of a head', 4000, jpeg(4032, 3024).slice(0, 12), /no JPEG, PNG or WebP/],
		['one that is huge', 90 * 1024 ** 2, jpeg(4032, 3024), /90 MB/]
	])('%s is refused', (_, bytes, head, why) => {
		expect(refusedBySize(bytes, statedSize(head))).toMatch(why);
	});
	it('whatever bytes come, it answers', () => {
		fc.assert(
			fc.property(
				fc.uint8Array({ maxLength: 80 }),
				fc.constantFrom([], [0xff, 0xd8], [0x89, 0x50, 0x4e, 0x47]),
				(bytes, head) => {
					statedSize(Uint8Array.from([...head, ...bytes]));
				}
			),
			{ seed: 24 }
		);
	});
});

describe('water and pictures', () => {
	const body = { volumeMl: 110, lowMl: 98, highMl: 112 };
	it('scales every length by the third root', () => {
		expect(scaleToWater(body, 100, 0.02)).toMatchObject({
			apart: false,
			volumeMl: 100,
			lowMl: 98,
			highMl: 102
		});
		expect(scaleToWater(body, 100, 0.02).lengthShare ** 3).toBeCloseTo(100 / 110, 9);
	});
	it('a hollow, or air in the water, is said', () => {
		expect(scaleToWater(body, 70, 0.02).apart).toBe(true);
		expect(scaleToWater(body, 130, 0.02).apart).toBe(true);
	});
});
