import type { Mesh } from '../mesh';
import type { Body } from './hull';
import { GROUPS_OF, edgeAt, EDGES } from './surfaceCases';

/**
 * Samples of which no two lie inside corner to corner across a square with nothing between them: there two sheets would
 * meet in an edge. Such a place is filled by a hair, so the body grows by nothing that counts and is never cut.
 */
function withoutCorners(
	given: Float32Array,
	[nx, ny, nz]: readonly [number, number, number],
	hair: number
): Float32Array {
	const inside = given.slice();
	const strides = [1, nx, nx * ny] as const;
	const ends = [nx, ny, nz] as const;
	for (let filled = true; filled;) {
		filled = false;
		for (let axis = 0; axis < 3; axis++) {
			const [i, j] = [(axis + 1) % 3, (axis + 2) % 3];
			const [u, v] = [strides[i]!, strides[j]!];
			for (let k = 0; k < ends[axis]!; k++)
				for (let b = 0; b + 1 < ends[j]!; b++)
					for (let a = 0, at = k * strides[axis]! + b * v; a + 1 < ends[i]!; a++, at += u) {
						const here = inside[at]! > 0;
						if (here !== inside[at + u + v]! > 0) continue;
						if (here === inside[at + u]! > 0 || here === inside[at + v]! > 0) continue;
						const [p, q] = here ? [at + u, at + v] : [at, at + u + v];
						inside[inside[p]! > inside[q]! ? p : q] = hair;
						filled = true;
					}
		}
	}
	return inside;
}

type Four = [number, number, number, number];

/**
 * The surface at which a body's samples change sign, closed, faces outwards: dual to marching cubes (G. M. Nielson, IEEE
 * Visualization 2004, 489). Each sheet that runs through a cube gets one corner there, at the middle of where it cuts
 * the cube's edges; so no two sheets hang together at a corner or an edge.
 * @example
 * surfaceOf({ min: [0, 0, 0], stepMm: 1, size: [1, 1, 1], insideMm: Float32Array.of(1) }).indices.length; // 36
 */
export function surfaceOf({ min, stepMm, size: [nx, ny, nz], insideMm: given }: Body): Mesh {
	const insideMm = withoutCorners(given, [nx, ny, nz], 0.01 * stepMm);
	const at = (x: number, y: number, z: number) =>
		x < 0 || y < 0 || z < 0 || x >= nx || y >= ny || z >= nz ? -stepMm : insideMm[(z * ny + y) * nx + x]!;
	// a cube wider than the grid all round, so that what touches its edge is closed too
	const [cx, cy, cz] = [nx + 1, ny + 1, nz + 1];
	const firstCorner = new Int32Array(cx * cy * cz);
	const caseOf = new Uint8Array(cx * cy * cz);
	const vertices: number[] = [];
	const value = new Float64Array(8);
	const sum = new Float64Array(16);
	for (let z = 0, cube = 0; z < cz; z++)
		for (let y = 0; y < cy; y++)
			for (let x = 0; x < cx; x++, cube++) {
				let inside = 0;
				for (let c = 0; c < 8; c++) {
					value[c] = at(x - 1 + (c & 1), y - 1 + ((c >> 1) & 1), z - 1 + (c >> 2));
					if (value[c]! > 0) inside |= 1 << c;
				}
				if (inside === 0 || inside === 255) continue;
				caseOf[cube] = inside;
				firstCorner[cube] = vertices.length / 3;
				const { count, groupOf } = GROUPS_OF[inside]!;
				sum.fill(0);
				for (let e = 0; e < 12; e++) {
					const g = groupOf[e]!;
					if (g < 0) continue;
					const [a, b] = EDGES[e]!;
					const t = value[a]! / (value[a]! - value[b]!);
					sum[4 * g]! += (a & 1) + t * ((b & 1) - (a & 1));
					sum[4 * g + 1]! += ((a >> 1) & 1) + t * (((b >> 1) & 1) - ((a >> 1) & 1));
					sum[4 * g + 2]! += (a >> 2) + t * ((b >> 2) - (a >> 2));
					sum[4 * g + 3]!++;
				}
				for (let g = 0; g < count; g++) {
					const n = sum[4 * g + 3]!;
					vertices.push(
						min[0] + (x - 1 + sum[4 * g]! / n) * stepMm,
						min[1] + (y - 1 + sum[4 * g + 1]! / n) * stepMm,
						min[2] + (z - 1 + sum[4 * g + 2]! / n) * stepMm
					);
				}
			}
	const indices: number[] = [];
	const stride = [1, cx, cx * cy] as const;
	for (let z = -1; z < nz; z++)
		for (let y = -1; y < ny; y++)
			for (let x = -1; x < nx; x++) {
				const from = at(x, y, z) > 0;
				const cube = ((z + 1) * cy + y + 1) * cx + x + 1;
				for (let axis = 0; axis < 3; axis++) {
					const to = axis === 0 ? at(x + 1, y, z) : axis === 1 ? at(x, y + 1, z) : at(x, y, z + 1);
					if (from === to > 0) continue;
					// the four cubes round this edge; where the body begins at it they are taken the other way round
					const [i, j] = [(axis + 1) % 3, (axis + 2) % 3];
					const [u, v] = [1 << i, 1 << j];
					const [a, b, c, d] = [0, u, u | v, v].map((corner) => {
						const at = cube - (corner & u ? stride[i]! : 0) - (corner & v ? stride[j]! : 0);
						return firstCorner[at]! + GROUPS_OF[caseOf[at]!]!.groupOf[edgeAt(axis, corner)]!;
					}) as Four;
					if (from) indices.push(a, b, c, a, c, d);
					else indices.push(a, c, b, a, d, c);
				}
			}
	return { vertices: Float64Array.from(vertices), indices: Uint32Array.from(indices) };
}
