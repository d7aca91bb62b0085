import { seenAt, type Seen } from './camera';
import type { Box, View } from './hull';
import { insideAt } from './rim';

/**
 * What each picture alone takes away, ml: room that all others would have left to the body. Where many pictures see
 * the piece from all sides, none takes much; a picture that takes far more than the rest is the only one from its side,
 * or its outline is wrong.
 * @param steps samples along the longest edge of the box
 */
export function onlyBy(views: readonly View[], box: Box, steps: number): number[] {
	const stepMm = Math.max(...box.max.map((hi, i) => hi - box.min[i]!)) / steps;
	const seen: Seen = { xPx: 0, yPx: 0, depthMm: 0 };
	const takes = views.map(() => 0);
	const cellMl = stepMm ** 3 / 1000;
	for (let z = Math.max(box.min[2], 0) + stepMm / 2; z < box.max[2]; z += stepMm)
		for (let y = box.min[1] + stepMm / 2; y < box.max[1]; y += stepMm)
			for (let x = box.min[0] + stepMm / 2; x < box.max[0]; x += stepMm) {
				let by = -1;
				for (let i = 0; i < views.length; i++) {
					const { camera, pose, rim } = views[i]!;
					seenAt(camera, pose, x, y, z, seen);
					if (insideAt(rim, seen.xPx, seen.yPx) > 0) continue;
					if (by >= 0) {
						by = -2;
						break;
					}
					by = i;
				}
				if (by >= 0) takes[by]! += cellMl;
			}
	return takes;
}
