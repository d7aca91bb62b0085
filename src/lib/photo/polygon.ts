type Point = readonly [number, number];

/** The convex hull of points, in order (A. M. Andrew, Information Processing Letters 9 (1979) 216). */
export function hullOfPoints(points: readonly Point[]): Point[] {
	const sorted = [...points].sort((a, b) => a[0] - b[0] || a[1] - b[1]);
	const half = (of: readonly Point[]) => {
		const line: Point[] = [];
		for (const p of of) {
			while (line.length > 1) {
				const [a, b] = [line[line.length - 2]!, line[line.length - 1]!];
				if ((b[0] - a[0]) * (p[1] - a[1]) - (b[1] - a[1]) * (p[0] - a[0]) > 0) break;
				line.pop();
			}
			line.push(p);
		}
		line.pop();
		return line;
	};
	return [...half(sorted), ...half(sorted.reverse())];
}

/** Whether a point lies within a convex polygon. */
export const within =
	(polygon: readonly Point[]) =>
	(x: number, y: number): boolean =>
		polygon.length > 2 &&
		polygon.every(([ax, ay], i) => {
			const [bx, by] = polygon[(i + 1) % polygon.length]!;
			return (bx - ax) * (y - ay) - (by - ay) * (x - ax) >= 0;
		});
