import { PNG } from 'pngjs';
import type { P } from './bodies';
import type { Face } from './surfaceNets';

const SIZE = 360;
const MARGIN = 0.86;
/** Seen from the front left and above. */
const [TURN, TILT] = [-0.6, 0.42];
const LIGHT: P = [-0.45, -0.55, 0.7];
const PAPER: P = [233, 228, 219];

const norm = (v: P): P => {
	const l = Math.hypot(...v) || 1;
	return [v[0] / l, v[1] / l, v[2] / l];
};
const dot = (a: P, b: P) => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
const cross = (a: P, b: P): P => [
	a[1] * b[2] - a[2] * b[1],
	a[2] * b[0] - a[0] * b[2],
	a[0] * b[1] - a[1] * b[0]
];
const minus = (a: P, b: P): P => [a[0] - b[0], a[1] - b[1], a[2] - b[2]];

/** Right, down and towards the eye. */
function seen([x, y, z]: P): P {
	const [c, s] = [Math.cos(TURN), Math.sin(TURN)];
	const [u, v] = [c * x - s * y, s * x + c * y];
	const [ct, st] = [Math.cos(TILT), Math.sin(TILT)];
	return [u, -(ct * z + st * v), ct * -v + st * z];
}

/** A picture of a piece as PNG: its faces shaded by one lamp, on plain paper. @param tint of the piece, 0 … 255 each */
export function pictureOf(faces: readonly Face[], tint: P): Buffer {
	const png = new PNG({ width: SIZE, height: SIZE });
	const depth = new Float32Array(SIZE * SIZE).fill(-Infinity);
	for (let i = 0; i < SIZE * SIZE; i++) png.data.set([...PAPER, 255], 4 * i);
	const points = faces.flatMap((f) => f.map(seen));
	const span = [0, 1].map((k) => {
		let [lo, hi] = [Infinity, -Infinity];
		for (const p of points) [lo, hi] = [Math.min(lo, p[k]!), Math.max(hi, p[k]!)];
		return { lo, hi };
	});
	const scale = (SIZE * MARGIN) / Math.max(...span.map((s) => s.hi - s.lo));
	const toPixel = (p: P): P => [
		SIZE / 2 + (p[0] - (span[0]!.lo + span[0]!.hi) / 2) * scale,
		SIZE / 2 + (p[1] - (span[1]!.lo + span[1]!.hi) / 2) * scale,
		p[2]
	];
	const light = norm(LIGHT);
	for (const face of faces) {
		const shade =
			0.42 + 0.58 * Math.max(0, dot(norm(cross(minus(face[1], face[0]), minus(face[2], face[0]))), light));
		fill(face.map((p) => toPixel(seen(p))) as [P, P, P], (at, z) => {
			if (z <= depth[at]!) return;
			depth[at] = z;
			png.data.set([...tint.map((c) => Math.round(c * shade)), 255], 4 * at);
		});
	}
	return PNG.sync.write(png);
}

/** Every pixel of a triangle with its depth, by barycentric coordinates. */
function fill([a, b, c]: [P, P, P], put: (at: number, z: number) => void): void {
	const area = (b[0] - a[0]) * (c[1] - a[1]) - (c[0] - a[0]) * (b[1] - a[1]);
	if (area === 0) return;
	const from = (k: 0 | 1) => Math.max(0, Math.floor(Math.min(a[k], b[k], c[k])));
	const to = (k: 0 | 1) => Math.min(SIZE - 1, Math.ceil(Math.max(a[k], b[k], c[k])));
	for (let y = from(1); y <= to(1); y++)
		for (let x = from(0); x <= to(0); x++) {
			const u = ((b[0] - x) * (c[1] - y) - (c[0] - x) * (b[1] - y)) / area;
			const v = ((c[0] - x) * (a[1] - y) - (a[0] - x) * (c[1] - y)) / area;
			const w = 1 - u - v;
			if (u >= 0 && v >= 0 && w >= 0) put(y * SIZE + x, u * a[2] + v * b[2] + w * c[2]);
		}
}
