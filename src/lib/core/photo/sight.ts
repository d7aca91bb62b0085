import type { View } from './hull';

/** The line of sight of a pixel: its direction in the mat's space, of length 1. */
export function sightOf(
	{ camera, pose }: Pick<View, 'camera' | 'pose'>,
	x: number,
	y: number
): [number, number, number] {
	const [u, v] = [(x - camera.centrePx[0]) / camera.focalPx, (y - camera.centrePx[1]) / camera.focalPx];
	let [a, b] = [u, v];
	for (let i = 0; i < 6; i++) {
		const q = a * a + b * b;
		const grown = 1 + q * (camera.bend[0] + q * camera.bend[1]);
		[a, b] = [u / grown, v / grown];
	}
	const r = pose.rotation;
	const n = Math.hypot(a, b, 1);
	return [0, 1, 2].map((c) => (r[c]! * a + r[c + 3]! * b + r[c + 6]!) / n) as [number, number, number];
}
