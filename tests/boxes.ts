/** Boxes as one binary STL, each its own shell: `[x, y, z, length, width, height]` in the file's unit. */
export function boxesStl(
	boxes: readonly (readonly [number, number, number, number, number, number])[]
): Buffer {
	const quads = [
		[0, 2, 3, 1],
		[4, 5, 7, 6],
		[0, 1, 5, 4],
		[2, 6, 7, 3],
		[0, 4, 6, 2],
		[1, 3, 7, 5]
	] as const;
	const bytes = Buffer.alloc(84 + 50 * 12 * boxes.length);
	bytes.writeUInt32LE(12 * boxes.length, 80);
	let at = 84;
	for (const [x, y, z, l, w, h] of boxes) {
		const corner = (i: number) => [x + (i & 1 ? l : 0), y + (i & 2 ? w : 0), z + (i & 4 ? h : 0)];
		for (const [a, b, c, d] of quads) {
			for (const face of [
				[a, b, c],
				[a, c, d]
			]) {
				face.forEach((i, k) => corner(i).forEach((v, m) => bytes.writeFloatLE(v, at + 12 + 12 * k + 4 * m)));
				at += 50;
			}
		}
	}
	return bytes;
}

/** A base with a tall post and a short one: upright, the short one traps 8 × 8 × 15 mm of air. */
export const posts = () =>
	boxesStl([
		[-30, -10, 0, 60, 20, 10],
		[-25, -5, 10, 10, 10, 30],
		[16, -4, 10, 8, 8, 15]
	]);
