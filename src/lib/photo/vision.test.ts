import { beforeAll, describe, expect, it } from 'vitest';
import { isWhite, MARKER_CELLS, MATS, seenAt } from '$lib/core/photo';
import { freeing, type Vision } from './vision';
import { visionHere } from './vision.testing';
import { strokesOver, thinned } from './strokes';

let cv: Vision;
beforeAll(async () => ({ cv } = await visionHere()));

describe('against the library', () => {
	it('our markers are those of its dictionary, cell by cell', () => {
		const last = Math.max(...Object.values(MATS).flatMap((m) => m.markers.map((x) => x.id)));
		freeing((keep) => {
			const dictionary = keep(cv.getPredefinedDictionary(cv['DICT_4X4_100']!));
			for (let id = 0; id <= last; id++) {
				const drawn = keep(new cv.Mat());
				const side = MARKER_CELLS + 2;
				dictionary.generateImageMarker(id, side, drawn, 1);
				for (let row = 0; row < MARKER_CELLS; row++)
					for (let column = 0; column < MARKER_CELLS; column++)
						expect(isWhite(id, row, column), `${id} ${row} ${column}`).toBe(
							drawn.data[(row + 1) * side + column + 1]! > 127
						);
			}
		});
	});
	it('a point is seen where it says', () => {
		const turn = [0.3, -0.8, 1.9];
		const shift = [12, -7, 380] as const;
		const points = [0, 0, 0, 30, -20, 50, -60, 44, 12, 55, 55, 0];
		const [px, rotation] = freeing((keep) => {
			const mat = (rows: number, cols: number, of: readonly number[]) =>
				keep(cv.matFromArray(rows, cols, cv['CV_64F']!, of));
			const r = mat(3, 1, turn);
			const [out, square] = [keep(new cv.Mat()), keep(new cv.Mat())];
			cv.Rodrigues(r, square);
			const k = mat(3, 3, [900, 0, 410, 0, 900, 290, 0, 0, 1]);
			cv.projectPoints(mat(4, 3, points), r, mat(3, 1, shift), k, mat(5, 1, [-0.11, 0.07, 0, 0, 0]), out);
			return [[...out.data64F], [...square.data64F]] as const;
		});
		const camera = {
			widthPx: 800,
			heightPx: 600,
			focalPx: 900,
			centrePx: [410, 290] as const,
			bend: [-0.11, 0.07] as const
		};
		for (let i = 0; i < 4; i++) {
			const s = seenAt(
				camera,
				{ rotation, translationMm: shift },
				...(points.slice(3 * i, 3 * i + 3) as [number, number, number])
			);
			expect(s.xPx).toBeCloseTo(px[2 * i]!, 6);
			expect(s.yPx).toBeCloseTo(px[2 * i + 1]!, 6);
		}
	});
});

it('strokes say what they went over, later ones over earlier', () => {
	const said = strokesOver(
		[
			{ says: 'piece', wide: 0.2, points: [0.2, 0.25, 0.8, 0.25] },
			{ says: 'ground', wide: 0.1, points: [0.5, 0.25] },
			{ says: 'piece', wide: 0.1, points: [-3, 0.25] }
		],
		{ widthPx: 40, heightPx: 20 }
	);
	const at = (x: number, y: number) => said[y * 40 + x];
	expect([at(10, 10), at(20, 10), at(32, 10), at(10, 2), at(39, 10)]).toEqual([1, 2, 1, 0, 0]);
});

it('a stroke that a slow hand draws for minutes is kept with few points, and says the same', () => {
	const points = Array.from({ length: 30_000 }, (_, i) => {
		const t = i / 30_000;
		return [0.1 + 0.8 * t + 1e-5 * Math.sin(i), 0.3 + 0.1 * Math.sin(9 * t)];
	}).flat();
	const drawn = { says: 'piece', wide: 0.05, points } as const;
	const kept = thinned({ ...drawn, points });
	expect(kept.points.length).toBeLessThanOrEqual(4000);
	const size = { widthPx: 400, heightPx: 300 };
	const [a, b] = [strokesOver([{ ...drawn, points }], size), strokesOver([kept], size)];
	expect(a.filter((v, i) => v !== b[i]).length).toBeLessThan(0.01 * a.filter((v) => v === 1).length);
	// a hand that leaves the picture, and one that only touches it
	expect(thinned({ ...drawn, points: [-9, 0.2, 12, 0.2] }).points).toEqual([-1, 0.2, 3, 0.2]);
	expect(thinned({ ...drawn, points: [0.5, 0.25] }).points).toEqual([0.5, 0.25]);
});
