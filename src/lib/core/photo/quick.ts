import { bodyOf, PictureError, type BodyOptions } from './bodyOf';
import { standpoint } from './camera';
import { directionOf } from './directions';
import type { View } from './hull';

/** The quick answer of two pictures. */
export interface Quick {
	volumeMl: number;
	lowMl: number;
	highMl: number;
	/** The height that both show for certain, mm. */
	tallMm: number;
}

/** Two pictures are from the front and from the side when they lie so far apart, degrees. */
const APART = { least: 60, most: 120 } as const;
/** They look along the table: from higher up they show the top as height, degrees. */
const HIGHEST_DEG = 35;
/** A section is taken to be an ellipse in the box that the two outlines leave: π/4 of it. */
const ELLIPSE = Math.PI / 4;
/** A section with its corners in the middle of the box's sides is half of it: few pieces are thinner (common practice, no source). */
const THINNEST = 0.5;

/**
 * Volume by the outlines of a front and a side picture: every level of the piece is an ellipse in what both leave of
 * it. Exact for balls, upright cylinders and cones; a box fills all of it, so the band reaches from half to the whole.
 * @throws PictureError where no two of the pictures are low and about a quarter turn apart
 * @example
 * quickOf(ballViews, { reachMm: 60, tallMm: 90, steps: 40, offPx: 0.3 }).highMl > 33.5; // true
 */
export function quickOf(views: readonly View[], options: Omit<BodyOptions, 'flatTop'>): Quick {
	let best: { views: [View, View]; off: number } | undefined;
	views.forEach((a, i) => {
		for (const b of views.slice(i + 1)) {
			const [p, q] = [directionOf(standpoint(a.pose)), directionOf(standpoint(b.pose))];
			// front and back show the same outline
			const apart = Math.abs(((p.roundDeg - q.roundDeg + 540) % 360) - 180);
			const high = Math.max(p.upDeg, q.upDeg);
			if (apart < APART.least || apart > APART.most || high > HIGHEST_DEG) continue;
			const off = Math.abs(apart - 90) + high;
			if (!best || off < best.off) best = { views: [a, b], off };
		}
	});
	if (!best)
		throw new PictureError(
			'For a quick answer two pictures are needed, from the front and from the side, low, as if along the table.'
		);
	const { volumeMl, highMl, sureTopMm } = bodyOf(best.views, { ...options, flatTop: true });
	const either = highMl - volumeMl;
	return {
		volumeMl: ELLIPSE * volumeMl,
		lowMl: Math.max(0, THINNEST * volumeMl - either),
		highMl: volumeMl + either,
		tallMm: sureTopMm
	};
}
