import type { Mesh, Vec3 } from '../mesh';
import { seenAt, standpoint, type Seen } from './camera';
import { gridAt, type Body, type View } from './hull';
import { insideAt } from './rim';

/** A hollow so wide beside the piece's longest side is worth a mark (common practice, no source). */
const HOLLOW_SHARE = 0.4;

/**
 * From how wide a hollow on is worth a mark on a body, mm.
 * @param body its lowest and highest corner, mm
 * @example
 * hollowOver({ min: [-10, -10, 0], max: [10, 10, 50] }); // 20
 */
export const hollowOver = ({ min, max }: { min: Vec3; max: Vec3 }): number =>
	HOLLOW_SHARE * Math.max(...max.map((hi, i) => hi - min[i]!));

/**
 * For each corner of the surface, how far the line of sight that shaped it runs along the body, mm: somewhere on that
 * stretch the piece touches it, and anywhere on it a hollow at least as wide would not be seen. 0 on the mat.
 */
export function unseen({ vertices, indices }: Mesh, views: readonly View[], body: Body): Float32Array {
	const from = views.map((v) => standpoint(v.pose));
	const seen: Seen = { xPx: 0, yPx: 0, depthMm: 0 };
	const bridged = new Float32Array(vertices.length / 3);
	for (let v = 0; v < bridged.length; v++) {
		const [x, y, z] = [vertices[3 * v]!, vertices[3 * v + 1]!, vertices[3 * v + 2]!];
		if (z < body.stepMm) continue;
		let [least, by] = [Infinity, -1];
		for (let i = 0; i < views.length; i++) {
			const { camera, pose, rim } = views[i]!;
			seenAt(camera, pose, x, y, z, seen);
			const inside = (insideAt(rim, seen.xPx, seen.yPx) * seen.depthMm) / camera.focalPx;
			if (inside < least) [least, by] = [inside, i];
		}
		const c = from[by]!;
		const far = Math.hypot(x - c[0], y - c[1], z - c[2]);
		const step = [(x - c[0]) / far, (y - c[1]) / far, (z - c[2]) / far].map((d) => d * body.stepMm);
		let length = 0;
		for (const way of [-1, 1])
			for (let n = 1; n < 400; n++) {
				const inside = gridAt(body, x + way * n * step[0]!, y + way * n * step[1]!, z + way * n * step[2]!);
				if (inside < -1.2 * body.stepMm) break;
				length += body.stepMm;
			}
		bridged[v] = length;
	}
	return evened(bridged, indices);
}

/** Rounds in which each corner takes the mean of itself and its neighbours: the grid's own roughness goes. */
const EVENED = 10;

function evened(of: Float32Array, indices: Uint32Array): Float32Array {
	let from = of;
	for (let round = 0; round < EVENED; round++) {
		const sum = from.slice();
		const count = new Float32Array(from.length).fill(1);
		for (let t = 0; t < indices.length; t += 3)
			for (let k = 0; k < 3; k++) {
				const [a, b] = [indices[t + k]!, indices[t + ((k + 1) % 3)]!];
				sum[a]! += from[b]!;
				count[a]!++;
			}
		from = sum.map((s, i) => s / count[i]!);
	}
	return from;
}
