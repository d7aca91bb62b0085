import type { Vec3 } from '../mesh';

/** Heights at which a camera looks at the piece: from the mat's level up, degrees above it. */
export const HEIGHTS = ['low', 'middle', 'high'] as const;
export type Height = (typeof HEIGHTS)[number];
/** Below the first it is low, below the second middle, degrees. */
const BOUNDS = [30, 50] as const;
/** Directions round the piece that a ring of pictures is told apart by. */
export const SECTORS = 12;
/** So many pictures are asked for at each height: odd, so that no two look along one line from both ends. */
export const WANTED: Readonly<Record<Height, number>> = { low: 7, middle: 5, high: 3 };

/** From where a picture was taken: which height, and how far round, degrees from the mat's right, counter-clockwise. */
export interface Direction {
	height: Height;
	roundDeg: number;
	upDeg: number;
}

/**
 * From where a camera at a place looks at the middle of the mat.
 * @example
 * directionOf([0, 300, 100]).roundDeg; // 90
 */
export function directionOf([x, y, z]: Vec3): Direction {
	const upDeg = (Math.atan2(z, Math.hypot(x, y)) * 180) / Math.PI;
	const roundDeg = ((Math.atan2(y, x) * 180) / Math.PI + 360) % 360;
	return { height: upDeg < BOUNDS[0] ? 'low' : upDeg < BOUNDS[1] ? 'middle' : 'high', roundDeg, upDeg };
}

/** What is covered of all round, and what is the next picture to take. */
export interface Coverage {
	/** For each height and sector, how many pictures. */
	count: Readonly<Record<Height, readonly number[]>>;
	/** Share of the wanted pictures that are there and apart from each other, 0 … 1. */
	share: number;
	/** Where the widest gap of the height that lacks most is; nothing when all is covered. */
	next: { height: Height; roundDeg: number } | undefined;
}

/** The widest gap between directions round the piece: its width and its middle, degrees. */
function widestGap(rounds: readonly number[]): { wide: number; at: number } {
	if (rounds.length === 0) return { wide: 360, at: 270 };
	const sorted = [...rounds].sort((a, b) => a - b);
	return sorted
		.map((from, i) => {
			const wide = i + 1 < sorted.length ? sorted[i + 1]! - from : sorted[0]! + 360 - from;
			return { wide, at: (from + wide / 2) % 360 };
		})
		.reduce((a, b) => (b.wide > a.wide ? b : a));
}

/**
 * How well the pictures go round the piece, and where the next one should be taken from.
 * @example
 * coverage([]).next?.height; // 'low'
 */
export function coverage(taken: readonly Direction[]): Coverage {
	const of = (height: Height) => taken.filter((d) => d.height === height).map((d) => d.roundDeg);
	const count = Object.fromEntries(
		HEIGHTS.map((height) => {
			const n = new Array<number>(SECTORS).fill(0);
			for (const d of of(height)) n[Math.floor((d / 360) * SECTORS) % SECTORS]!++;
			return [height, n];
		})
	) as unknown as Record<Height, number[]>;
	let [have, want] = [0, 0];
	let next: (Coverage['next'] & { lack: number }) | undefined;
	for (const height of HEIGHTS) {
		const { wide, at } = widestGap(of(height));
		// a gap of one and a half of the even one is as good as covered
		const covered = Math.min(1, (1.5 * 360) / WANTED[height] / wide, of(height).length / WANTED[height]);
		have += covered * WANTED[height];
		want += WANTED[height];
		const lack = (1 - covered) * WANTED[height];
		if (lack > 0.01 && lack > (next?.lack ?? 0)) next = { height, roundDeg: at, lack };
	}
	return { count, share: have / want, next: next && { height: next.height, roundDeg: next.roundDeg } };
}
