import type { BoxedBody, P } from './bodies';

/** Three corners of a face, anticlockwise from outside, mm. */
export type Face = readonly [P, P, P];

interface Grid {
	value: Float32Array;
	at: (i: number, j: number, k: number) => number;
	min: P;
	stepMm: number;
}

const AXES: readonly P[] = [
	[1, 0, 0],
	[0, 1, 0],
	[0, 0, 1]
];
const SQUARE = [
	[0, 0],
	[1, 0],
	[1, 1],
	[0, 1]
] as const;

/**
 * A body as a closed mesh: naive surface nets (Gibson, MERL TR99-24) over a grid. One corner for each cell that the
 * surface crosses, one square for each grid edge that it crosses.
 */
export function facesOf({ body, min, max, stepMm }: BoxedBody): Face[] {
	const [nx, ny, nz] = min.map((m, k) => Math.ceil((max[k]! - m) / stepMm)) as [number, number, number];
	const at = (i: number, j: number, k: number) => (k * ny + j) * nx + i;
	const value = new Float32Array(nx * ny * nz);
	for (let k = 0; k < nz; k++)
		for (let j = 0; j < ny; j++)
			for (let i = 0; i < nx; i++)
				value[at(i, j, k)] = body([min[0] + i * stepMm, min[1] + j * stepMm, min[2] + k * stepMm]);
	const grid: Grid = { value, at, min, stepMm };
	const corner = new Map<number, P>();
	for (let k = 0; k + 1 < nz; k++)
		for (let j = 0; j + 1 < ny; j++)
			for (let i = 0; i + 1 < nx; i++) {
				const c = cellCorner(grid, i, j, k);
				if (c) corner.set(at(i, j, k), c);
			}
	const faces: Face[] = [];
	for (let k = 1; k + 1 < nz; k++)
		for (let j = 1; j + 1 < ny; j++)
			for (let i = 1; i + 1 < nx; i++)
				for (let axis = 0; axis < 3; axis++) {
					const s = AXES[axis]!;
					const a = value[at(i, j, k)]! < 0;
					const b = value[at(i + s[0], j + s[1], k + s[2])]! < 0;
					if (a === b) continue;
					const [u, v] = [AXES[(axis + 1) % 3]!, AXES[(axis + 2) % 3]!];
					const ring = SQUARE.map(([x, y]) =>
						corner.get(at(i - x * u[0] - y * v[0], j - x * u[1] - y * v[1], k - x * u[2] - y * v[2]))!
					);
					const [p, q, r, t] = (a ? ring : ring.reverse()) as [P, P, P, P];
					faces.push([p, q, r], [p, r, t]);
				}
	return faces;
}

/** Mean of the places where the surface crosses the twelve edges of a cell, mm. */
function cellCorner({ value, at, min, stepMm }: Grid, i: number, j: number, k: number): P | undefined {
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
		: [min[0] + stepMm * (i + x / n), min[1] + stepMm * (j + y / n), min[2] + stepMm * (k + z / n)];
}

/** A shard with six faces round it and its foot: the fewest triangles of any piece. */
export function shardFaces(diameterMm: number, heightMm: number): Face[] {
	const foot = Array.from({ length: 6 }, (_, i): P => {
		const turn = (i * Math.PI) / 3;
		return [(diameterMm / 2) * Math.cos(turn), (diameterMm / 2) * Math.sin(turn), 0];
	});
	const tip: P = [0, 0, heightMm];
	return foot.flatMap((p, i): Face[] => {
		const q = foot[(i + 1) % 6]!;
		return [[p, q, tip], ...(i > 0 && i < 5 ? [[foot[0]!, q, p] as Face] : [])];
	});
}

/** Faces as a binary STL. */
export function stl(faces: readonly Face[]): Uint8Array {
	const bytes = new Uint8Array(84 + 50 * faces.length);
	const view = new DataView(bytes.buffer);
	view.setUint32(80, faces.length, true);
	faces.forEach((face, f) =>
		face.forEach((p, c) => p.forEach((x, k) => view.setFloat32(84 + 50 * f + 12 + 12 * c + 4 * k, x, true)))
	);
	return bytes;
}
