import { polygon, type Drawing, type Mark } from '../drawing/marks';
import type { MasterRecord } from '../master/master';
import { frameFor, toFrame } from '../mesh/frame';
import { slicesOf } from './slices';

/** How far the ground reaches beyond what stands on it, mm. */
export const FLOOR_MM = 8;

/** Half a master's outline by height above its foot: how far it reaches left and right of its middle. */
export interface Outline {
	left: [number, number][];
	right: [number, number][];
}

export function outline(master: MasterRecord): Outline {
	const slices = slicesOf(master);
	if (slices.length === 0) {
		const half = master.lengthMm / 2;
		return {
			left: [
				[-half, 0],
				[-half, master.heightMm]
			],
			right: [
				[half, 0],
				[half, master.heightMm]
			]
		};
	}
	const middle =
		(Math.min(...slices.map((s) => s.reachMm[0])) + Math.max(...slices.map((s) => s.reachMm[1]))) / 2;
	const at = (side: 0 | 1): [number, number][] =>
		slices.flatMap((s, i): [number, number][] => {
			const x = s.reachMm[side] - middle;
			const mid: [number, number] = [x, (s.fromMm + s.toMm) / 2];
			if (i === 0) return [[x, 0], mid];
			return i === slices.length - 1 ? [mid, [x, s.toMm]] : [mid];
		});
	return { left: at(0), right: at(1) };
}

/** A piece from the front: a path that stands on y = 0, and its sizes, mm. */
export interface PieceOutline {
	d: string;
	widthMm: number;
	heightMm: number;
}

/**
 * How a master looks from the front, as a path to scale that stands on y = 0 and reaches up to minus its height, mm: by
 * its 3D file where it has one, else by its outer sizes.
 * @example
 * masterOutline(cube); // { d: 'M-20 0L-20 -40L20 -40L20 0Z', widthMm: 40, heightMm: 40 }
 */
export function masterOutline(master: MasterRecord): PieceOutline {
	const o = outline(master);
	const reach = [...o.left, ...o.right].map(([x]) => x);
	return {
		d: silhouette(o, 0, 0),
		widthMm: Math.max(...reach) - Math.min(...reach),
		heightMm: o.left.at(-1)![1]
	};
}

/** The outline as a shape at a place, grown on all sides but its foot. */
export function silhouette(o: Outline, xMm: number, footY: number, growMm = 0): string {
	const top = (h: number, last: number) => (h === last ? h + growMm : h);
	const last = o.left.at(-1)![1];
	return polygon([
		...o.left.map(([x, h]) => [xMm + x - growMm, footY - top(h, last)] as const),
		...[...o.right].reverse().map(([x, h]) => [xMm + x + growMm, footY - top(h, last)] as const)
	]);
}

/** Places of the master's vents in the section: along its length from the middle, height above the foot. */
export function ventsOf(master: MasterRecord): { xMm: number; upMm: number }[] {
	const shape = master.shape;
	const slices = slicesOf(master);
	if (!shape || shape.findings.topMm === undefined || slices.length === 0) return [];
	const f = frameFor(shape.up);
	const [lo, hi] = [
		Math.min(...slices.map((s) => s.reachMm[0])),
		Math.max(...slices.map((s) => s.reachMm[1]))
	];
	return master.traps
		.filter((t) => t.cure === 'vent' && t.apex)
		.slice(0, 12)
		.map((t) => {
			const p = toFrame(f, t.apex!);
			// of the two level axes the one whose range the profile's length has
			const along = p[0] >= lo - 0.1 && p[0] <= hi + 0.1 ? p[0] : p[1];
			return { xMm: along - (lo + hi) / 2, upMm: shape.findings.topMm! - p[2] };
		});
}

export function framed(
	marks: Mark[],
	box: { x: number; y: number; w: number; h: number },
	letterMm: number
): Drawing {
	return { x: box.x, y: box.y, widthMm: box.w, heightMm: box.h, letterMm, marks };
}
