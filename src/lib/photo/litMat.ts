import { seenAt, type Mat as PrintedMat } from '$lib/core/photo';
import type { Pixels } from './findMarkers';
import { whiteOf } from './ground';
import type { LitMat, Setting } from './setting';

const STEP_MM = 1;
/** The brightness that so large a share of the pictures does not pass: the piece hides a place in fewer than the rest. */
const SHARE = 0.8;
/** Fewer pictures than this tell nothing of a place. */
const FEWEST = 4;

/** Gathers the mat's own brightness from all pictures: what one hides another shows. A picture's pixels are held while it is looked at. */
export async function litMatOf(
	pictures: readonly { picture: () => Promise<Pixels>; setting: Setting }[],
	mat: PrintedMat
): Promise<LitMat> {
	const halfMm = mat.halfMm + 3;
	const side = Math.ceil((2 * halfMm) / STEP_MM) + 1;
	const seenBy: Float32Array[] = [];
	for (const { picture, setting } of pictures)
		seenBy.push(brightnessOf(await picture(), setting, halfMm, side));
	const bright = new Float32Array(side * side);
	for (let i = 0; i < bright.length; i++) {
		const values = seenBy.map((b) => b[i]!).filter((v) => v > 0);
		values.sort((a, b) => a - b);
		bright[i] = values.length < FEWEST ? 0 : values[Math.floor((values.length - 1) * SHARE)]!;
	}
	return { halfMm, side, bright: leastNear(bright, side) };
}

/** Brightness of each place of the mat in one picture, beside its paper; 0 where the picture ends. */
function brightnessOf(
	picture: Pixels,
	{ mat, camera, pose, scale }: Setting,
	halfMm: number,
	side: number
): Float32Array {
	const white = whiteOf(picture, mat, camera, pose, scale);
	const bright = new Float32Array(side * side);
	for (let j = 0, i = 0; j < side; j++)
		for (let k = 0; k < side; k++, i++) {
			const s = seenAt(camera, pose, (k * STEP_MM - halfMm) * scale, (j * STEP_MM - halfMm) * scale, 0);
			const [u, v] = [Math.round(s.xPx), Math.round(s.yPx)];
			if (u < 0 || v < 0 || u >= picture.width || v >= picture.height) continue;
			const o = 4 * (v * picture.width + u);
			bright[i] = Math.max(...white.map((w, c) => picture.data[o + c]! / w));
		}
	return bright;
}

/** The least of a place and its neighbours: along the edge of a shadow nothing passes for paper in the open. */
function leastNear(bright: Float32Array, side: number): Float32Array {
	return bright.map((_, i) => {
		const [k, j] = [i % side, Math.floor(i / side)];
		let least = Infinity;
		for (let y = Math.max(0, j - 1); y <= Math.min(side - 1, j + 1); y++)
			for (let x = Math.max(0, k - 1); x <= Math.min(side - 1, k + 1); x++)
				least = Math.min(least, bright[y * side + x]!);
		return least;
	});
}

/** The mat's brightness at a place, mm of the drawing; 0 where it is not known. */
export function litAt({ halfMm, side, bright }: LitMat, x: number, y: number): number {
	const [k, j] = [Math.round((x + halfMm) / STEP_MM), Math.round((y + halfMm) / STEP_MM)];
	return k < 0 || j < 0 || k >= side || j >= side ? 0 : bright[j * side + k]!;
}
