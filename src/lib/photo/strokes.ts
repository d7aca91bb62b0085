/** One stroke of the maker's over a picture: what it says, how wide, and where it went; all as shares of the picture's width. */
export interface Stroke {
	says: 'piece' | 'ground';
	wide: number;
	/** x and y in turn. */
	points: number[];
}

/** What strokes say of each pixel, later ones over earlier: 1 for the piece, 2 for none of it, 0 for nothing said. */
export function strokesOver(
	strokes: readonly Stroke[],
	{ widthPx, heightPx }: { widthPx: number; heightPx: number }
): Uint8Array {
	const said = new Uint8Array(widthPx * heightPx);
	for (const { says, wide, points } of strokes) {
		const value = says === 'piece' ? 1 : 2;
		const radius = Math.max(0.5, (wide * widthPx) / 2);
		const at = (i: number) => [points[i]! * widthPx, points[i + 1]! * widthPx] as const;
		for (let i = 0; i + 1 < points.length; i += 2)
			alongLine(at(Math.max(0, i - 2)), at(i), radius, (x, y) => {
				if (x >= 0 && y >= 0 && x < widthPx && y < heightPx) said[y * widthPx + x] = value;
			});
	}
	return said;
}

/** Points of a stroke nearer together than this say nothing new, as a share of the picture's width. */
const NEAR = 0.001;
/** A stroke is kept with so many points at most. */
const MOST_POINTS = 2000;

/** So far beside the picture a hand may go; farther off nothing is painted either. */
const within = (share: number) => Math.min(3, Math.max(-1, share));

/** A stroke as it is kept: points that say nothing new are left out, the rest to a tenth of a thousandth. */
export function thinned({ says, wide, points }: Stroke): Stroke {
	const kept: number[] = [];
	for (let i = 0; i + 1 < points.length; i += 2) {
		const [x, y] = [within(points[i]!), within(points[i + 1]!)];
		const [wasX, wasY] = [kept.at(-2) ?? Infinity, kept.at(-1) ?? Infinity];
		if (Math.hypot(x - wasX, y - wasY) >= NEAR)
			kept.push(Math.round(x * 1e4) / 1e4, Math.round(y * 1e4) / 1e4);
	}
	const every = Math.max(1, Math.ceil(kept.length / 2 / MOST_POINTS));
	return { says, wide, points: kept.filter((_, i) => Math.floor(i / 2) % every === 0) };
}

type Point = readonly [number, number];

/** Every pixel within so many pixels of a straight line. */
function alongLine(
	[ax, ay]: Point,
	[bx, by]: Point,
	radius: number,
	mark: (x: number, y: number) => void
): void {
	const [dx, dy] = [bx - ax, by - ay];
	const length = dx * dx + dy * dy;
	for (let y = Math.floor(Math.min(ay, by) - radius); y <= Math.max(ay, by) + radius; y++)
		for (let x = Math.floor(Math.min(ax, bx) - radius); x <= Math.max(ax, bx) + radius; x++) {
			const t = length === 0 ? 0 : Math.min(1, Math.max(0, ((x - ax) * dx + (y - ay) * dy) / length));
			if ((x - ax - t * dx) ** 2 + (y - ay - t * dy) ** 2 <= radius * radius) mark(x, y);
		}
}
