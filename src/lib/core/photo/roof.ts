import { standpoint, type Seen } from './camera';
import { sightOf } from './sight';
import { insideMm, type Body, type Box, type View } from './hull';

/** Points along the rim of each picture that are followed through the body. */
const RAYS = 90;
/** A line of sight along the rim touches the body where the body is no farther off than so many steps. */
const TOUCH_STEPS = 0.75;

/** Points of a rim, px: where it crosses lines of the picture, evenly chosen. */
function rimPoints({ rim }: View): [number, number][] {
	const { widthPx: w, heightPx: h, insidePx, xPx, yPx } = rim;
	const all: [number, number][] = [];
	for (let y = 1; y < h; y++)
		for (let x = 1; x < w; x++) {
			const i = y * w + x;
			const here = insidePx[i]!;
			for (const [back, dx, dy] of [
				[i - 1, 1, 0],
				[i - w, 0, 1]
			] as const) {
				const there = insidePx[back]!;
				if (here > 0 === there > 0) continue;
				const t = here / (here - there);
				all.push([xPx + x - t * dx, yPx + y - t * dy]);
			}
		}
	const step = Math.max(1, all.length / RAYS);
	return Array.from({ length: Math.min(RAYS, all.length) }, (_, i) => all[Math.floor(i * step)]!);
}

/**
 * How high the piece is for certain, mm: every line of sight along a rim touches the piece somewhere on the stretch
 * where it runs along the body, and the lowest point of that stretch is the least that each asks for. What of the body
 * stands above is only what no picture looked under: a roof over a flat top, when all were taken from above.
 */
export function sureTopMm(views: readonly View[], box: Box, stepMm: number): number {
	const seen: Seen = { xPx: 0, yPx: 0, depthMm: 0 };
	const lows: number[] = [];
	for (const view of views) {
		const from = standpoint(view.pose);
		for (const [x, y] of rimPoints(view)) {
			const d = sightOf(view, x, y);
			let [near, far] = [0, Infinity];
			for (let axis = 0; axis < 3; axis++) {
				const [a, b] = [(box.min[axis]! - from[axis]!) / d[axis]!, (box.max[axis]! - from[axis]!) / d[axis]!];
				near = Math.max(near, Math.min(a, b));
				far = Math.min(far, Math.max(a, b));
			}
			let low = Infinity;
			for (let t = near; t <= far; t += stepMm) {
				const p = [0, 1, 2].map((c) => from[c]! + t * d[c]!) as [number, number, number];
				if (p[2] >= low || p[2] < 0) continue;
				if (insideMm(views, ...p, seen) > -TOUCH_STEPS * stepMm) low = p[2];
			}
			if (low < Infinity) lows.push(low);
		}
	}
	lows.sort((a, b) => a - b);
	return lows[Math.floor(0.985 * (lows.length - 1))] ?? 0;
}

/** What of a body stands above a height, ml. */
export function aboveMl({ min, stepMm, size: [nx, ny, nz], insideMm: inside }: Body, topMm: number): number {
	let cells = 0;
	for (let z = 0, i = 0; z < nz; z++)
		for (let n = 0; n < nx * ny; n++, i++) if (min[2] + z * stepMm > topMm && inside[i]! > 0) cells++;
	return (cells * stepMm ** 3) / 1000;
}
