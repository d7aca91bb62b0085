import { seenAt, standpoint, type Seen } from './camera';
import { gridAt, type Body, type View } from './hull';
import { insideAt } from './rim';
import { sightOf } from './sight';

/** Outlines are looked at at so many points along their longer side. */
const POINTS = 60;
/** So far inside its outline a point is surely of the piece, px. */
const SURE_PX = 3;

/**
 * For each picture, what share of an outline it denies: points that lie well within another outline, but along whose
 * line of sight nothing of the body is left. It is laid to the picture that alone stands against the point where the
 * fewest do. Sound outlines deny nothing.
 */
export function contrary(views: readonly View[], body: Body): number[] {
	const denied = views.map(() => 0);
	let all = 0;
	const seen: Seen = { xPx: 0, yPx: 0, depthMm: 0 };
	for (const view of views) {
		const { rim } = view;
		const step = Math.max(2, Math.max(rim.widthPx, rim.heightPx) / POINTS);
		const from = standpoint(view.pose);
		for (let v = step / 2; v < rim.heightPx; v += step)
			for (let u = step / 2; u < rim.widthPx; u += step) {
				const [x, y] = [rim.xPx + u, rim.yPx + v];
				if (insideAt(rim, x, y) < SURE_PX) continue;
				all++;
				const d = sightOf(view, x, y);
				const against = leastAgainst(views, body, from, d, seen);
				for (const i of against) denied[i]! += 1 / against.length;
			}
	}
	return denied.map((n) => (all > 0 ? (n * views.length) / all : 0));
}

type V = readonly [number, number, number];

/** Pictures that stand against the point of a line of sight where the fewest do; none where the line meets the body. */
function leastAgainst(views: readonly View[], body: Body, from: V, d: V, seen: Seen): number[] {
	const { min, stepMm, size } = body;
	let [near, far] = [0, Infinity];
	for (let axis = 0; axis < 3; axis++) {
		const ends = [min[axis]!, min[axis]! + (size[axis]! - 1) * stepMm].map(
			(e) => (e - from[axis]!) / d[axis]!
		);
		near = Math.max(near, Math.min(...ends));
		far = Math.min(far, Math.max(...ends));
	}
	const at = (t: number): V => [from[0] + t * d[0], from[1] + t * d[1], from[2] + t * d[2]];
	for (let t = near; t <= far; t += stepMm) if (gridAt(body, ...at(t)) > -stepMm) return [];
	let least: number[] | undefined;
	for (let t = near; t <= far; t += 3 * stepMm) {
		const p = at(t);
		if (p[2] < 0) continue;
		const against: number[] = [];
		views.forEach(({ camera, pose, rim }, i) => {
			seenAt(camera, pose, ...p, seen);
			if (insideAt(rim, seen.xPx, seen.yPx) < 0) against.push(i);
		});
		if (!least || against.length < least.length) least = against;
	}
	return least ?? [];
}
