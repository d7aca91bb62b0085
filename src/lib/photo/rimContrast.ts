import { rimOf, type Outline } from '$lib/core/photo';
import type { Pixels } from './findMarkers';

/** So far on both sides of the rim colours are compared, px: beyond the pixels that both share. */
const ASIDE_PX = [2.5, 3.5, 4.5];
/** Sides that differ by less than this of the brightest colour are not told apart (common practice, no source). */
const LEAST = 0.06;

/**
 * What share of an outline's rim has the same colour on both sides, 0 … 1: there the rim is a guess, and a piece that is
 * as pale as its paper ends at its own shading instead. 1 where there is no piece.
 */
export function rimLost(picture: Pixels, outline: Outline): number {
	const rim = rimOf(outline);
	if (!rim) return 1;
	const { xPx, yPx, widthPx, heightPx, insidePx } = rim;
	const top = brightest(picture);
	let [all, lost] = [0, 0];
	for (let y = 1; y < heightPx - 1; y++)
		for (let x = 1; x < widthPx - 1; x++) {
			const i = y * widthPx + x;
			if (insidePx[i] !== 0.5) continue;
			let [gx, gy] = [insidePx[i + 1]! - insidePx[i - 1]!, insidePx[i + widthPx]! - insidePx[i - widthPx]!];
			const length = Math.hypot(gx, gy);
			if (length === 0) continue;
			[gx, gy] = [gx / length, gy / length];
			all++;
			const differs = [0, 1, 2].some((c) => {
				let sum = 0;
				for (const d of ASIDE_PX)
					sum +=
						at(picture, xPx + x + d * gx, yPx + y + d * gy, c) -
						at(picture, xPx + x - d * gx, yPx + y - d * gy, c);
				return Math.abs(sum / ASIDE_PX.length) > LEAST * top;
			});
			if (!differs) lost++;
		}
	return all === 0 ? 1 : lost / all;
}

function at({ data, width, height }: Pixels, x: number, y: number, colour: number): number {
	const u = Math.min(width - 1, Math.max(0, Math.round(x)));
	const v = Math.min(height - 1, Math.max(0, Math.round(y)));
	return data[4 * (v * width + u) + colour]!;
}

/** The value that one point in a hundred passes, 0 … 255. */
function brightest({ data }: Pixels): number {
	const values: number[] = [];
	for (let o = 1; o < data.length; o += 4 * 61) values.push(data[o]!);
	values.sort((a, b) => a - b);
	return Math.max(24, values[Math.floor(values.length * 0.99)] ?? 255);
}
