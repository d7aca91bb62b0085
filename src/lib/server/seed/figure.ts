type P = readonly [number, number, number];
/** Signed distance to a body, mm; negative inside. */
type Body = (p: P) => number;

const sub = (a: P, b: P): P => [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
const dot = (a: P, b: P) => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];

/** A limb: a rod with round ends that tapers from one radius to another. */
function limb(a: P, b: P, ra: number, rb: number): Body {
	const ab = sub(b, a);
	const length2 = dot(ab, ab);
	return (p) => {
		const t = Math.min(1, Math.max(0, dot(sub(p, a), ab) / length2));
		return (
			Math.hypot(p[0] - a[0] - t * ab[0], p[1] - a[1] - t * ab[1], p[2] - a[2] - t * ab[2]) -
			(ra + t * (rb - ra))
		);
	};
}

/** A flat round plate, its edge a little rounded. */
function plate(z0: number, z1: number, radius: number): Body {
	return (p) => {
		const dr = Math.hypot(p[0], p[1]) - radius + 1;
		const dz = Math.abs(p[2] - (z0 + z1) / 2) - (z1 - z0) / 2 + 1;
		return Math.hypot(Math.max(dr, 0), Math.max(dz, 0)) + Math.min(Math.max(dr, dz), 0) - 1;
	};
}

/** Joins bodies with a soft fillet of about k mm (polynomial smooth minimum). */
function blend(k: number, ...bodies: readonly Body[]): Body {
	return (p) =>
		bodies
			.map((b) => b(p))
			.reduce((a, b) => {
				const h = Math.max(k - Math.abs(a - b), 0) / k;
				return Math.min(a, b) - (h * h * k) / 4;
			});
}

/** The lamplighter of the demo, invented: a man on a round base, a lantern held up, a short ladder pole. */
const LAMPLIGHTER: Body = blend(
	3,
	plate(0, 9, 28),
	limb([-10, 2, 14], [-8, 0, 62], 11, 11),
	limb([11, -3, 14], [8, 0, 62], 11, 11),
	limb([0, 0, 62], [0, -1, 104], 21, 18),
	limb([0, 0, 112], [0, 1, 126], 8, 8),
	limb([0, 0, 128], [0, 0, 134], 12.5, 12),
	limb([0, 0, 140], [0, 0, 152], 12, 10),
	limb([15, 0, 106], [22, 6, 82], 6.5, 5.5),
	limb([22, 6, 82], [22, -8, 66], 5.5, 5),
	limb([-15, 0, 106], [-23, 4, 124], 6.5, 5.5),
	limb([-23, 4, 124], [-24, 8, 146], 5.5, 5),
	limb([-24, 8, 150], [-24, 8, 160], 7, 5.5),
	limb([22, -9, 12], [22, -9, 98], 3.4, 2.8)
);

const STEP = 1.43;
const MIN: P = [-34, -30, -3];
const SIZE: P = [48, 43, 122];

/**
 * The figure as a closed mesh in a binary STL: naive surface nets (Gibson, MERL TR99-24) over a grid. One
 * corner for each cell that the surface crosses, one square for each grid edge that it crosses.
 */
export function lamplighterStl(): Uint8Array {
	const [nx, ny, nz] = SIZE;
	const at = (i: number, j: number, k: number) => (k * ny + j) * nx + i;
	const value = new Float32Array(nx * ny * nz);
	for (let k = 0; k < nz; k++)
		for (let j = 0; j < ny; j++)
			for (let i = 0; i < nx; i++)
				value[at(i, j, k)] = LAMPLIGHTER([MIN[0] + i * STEP, MIN[1] + j * STEP, MIN[2] + k * STEP]);
	const corner = new Map<number, P>();
	for (let k = 0; k + 1 < nz; k++)
		for (let j = 0; j + 1 < ny; j++)
			for (let i = 0; i + 1 < nx; i++) {
				const c = cellCorner(value, at, i, j, k);
				if (c) corner.set(at(i, j, k), c);
			}
	const faces: [P, P, P][] = [];
	const steps: P[] = [
		[1, 0, 0],
		[0, 1, 0],
		[0, 0, 1]
	];
	for (let k = 1; k + 1 < nz; k++)
		for (let j = 1; j + 1 < ny; j++)
			for (let i = 1; i + 1 < nx; i++)
				for (let axis = 0; axis < 3; axis++) {
					const s = steps[axis]!;
					const a = value[at(i, j, k)]! < 0;
					const b = value[at(i + s[0], j + s[1], k + s[2])]! < 0;
					if (a === b) continue;
					const [u, v] = [steps[(axis + 1) % 3]!, steps[(axis + 2) % 3]!];
					const ring = [
						[0, 0],
						[1, 0],
						[1, 1],
						[0, 1]
					].map(([x, y]) =>
						corner.get(at(i - x! * u[0] - y! * v[0], j - x! * u[1] - y! * v[1], k - x! * u[2] - y! * v[2]))!
					);
					const [p, q, r, t] = (a ? ring : ring.reverse()) as [P, P, P, P];
					faces.push([p, q, r], [p, r, t]);
				}
	return stl(faces);
}

/** Mean of the places where the surface crosses the twelve edges of a cell, mm. */
function cellCorner(
	value: Float32Array,
	at: (i: number, j: number, k: number) => number,
	i: number,
	j: number,
	k: number
): P | undefined {
	let [x, y, z, n] = [0, 0, 0, 0];
	for (let e = 0; e < 12; e++) {
		const axis = e >> 2;
		const [u, v] = [e & 1, (e >> 1) & 1];
		const a = axis === 0 ? [0, u, v] : axis === 1 ? [u, 0, v] : [u, v, 0];
		const b = a.map((w, m) => (m === axis ? 1 : w));
		const va = value[at(i + a[0]!, j + a[1]!, k + a[2]!)]!;
		const vb = value[at(i + b[0]!, j + b[1]!, k + b[2]!)]!;
		if (va < 0 === vb < 0) continue;
		const t = va / (va - vb);
		x += a[0]! + t * (b[0]! - a[0]!);
		y += a[1]! + t * (b[1]! - a[1]!);
		z += a[2]! + t * (b[2]! - a[2]!);
		n++;
	}
	return n === 0
		? undefined
		: [MIN[0] + STEP * (i + x / n), MIN[1] + STEP * (j + y / n), MIN[2] + STEP * (k + z / n)];
}

function stl(faces: readonly [P, P, P][]): Uint8Array {
	const bytes = new Uint8Array(84 + 50 * faces.length);
	const view = new DataView(bytes.buffer);
	view.setUint32(80, faces.length, true);
	faces.forEach((face, f) =>
		face.forEach((p, c) => p.forEach((x, k) => view.setFloat32(84 + 50 * f + 12 + 12 * c + 4 * k, x, true)))
	);
	return bytes;
}
