import { faceNormal } from './ceilings';
import { cutColumns } from './columns';
import { frameFor, toFrame } from './frame';
import type { Mesh, Vec3 } from './types';

export interface Sections {
	/** Diameter of the largest ball that fits inside, mm. */
	thickestMm: number;
	/** Thin parts of the piece: a twentieth of its face stands on less, mm. */
	thinnestMm: number;
	/** Edge of the cells that both were measured with, mm: they are good to about two. */
	cellMm: number;
}

/** Faces that are probed for the thinnest section. */
const PROBES = 4000;
const THIN_SHARE = 0.05;

/**
 * Thickest and thinnest section of a piece, for the cure engine. Thickest: the deepest point by an exact
 * distance transform on a grid (Felzenszwalb & Huttenlocher, Theory of Computing 8 (2012) 415). Thinnest:
 * straight ways through the material from many faces inwards, their fifth percentile.
 * @param cells cells along the longest side
 * @example
 * sections(cubeMesh, 32).thickestMm; // 39.375
 */
export function sections(mesh: Mesh, cells = 96): Sections {
	const columns = cutColumns(mesh, frameFor([0, 0, 1]), cells);
	const { nx, ny, cellMm, start, bottom, top } = columns;
	let [lo, hi] = [Infinity, -Infinity];
	for (let i = 0; i < top.length; i++) {
		if (bottom[i]! < lo) lo = bottom[i]!;
		if (top[i]! > hi) hi = top[i]!;
	}
	if (!(hi > lo)) return { thickestMm: 0, thinnestMm: 0, cellMm };
	const nz = Math.min(512, Math.ceil((hi - lo) / cellMm)) + 2;
	const z0 = lo - cellMm / 2;
	// one empty cell all round, so that the outside is always there
	const [sx, sy] = [nx + 2, ny + 2];
	const inside = new Uint8Array(sx * sy * nz);
	for (let c = 0; c < nx * ny; c++) {
		const at = ((((c / nx) | 0) + 1) * sx + (c % nx) + 1) * nz;
		for (let k = start[c]!; k < start[c + 1]!; k++) {
			const from = Math.max(0, Math.ceil((bottom[k]! - z0) / cellMm));
			const to = Math.min(nz - 1, Math.floor((top[k]! - z0) / cellMm));
			for (let z = from; z <= to; z++) inside[at + z] = 1;
		}
	}
	const far = distanceSquared(inside, sx, sy, nz);
	let deepest = 0;
	for (const d of far) if (d > deepest) deepest = d;
	return {
		// the distance is to the middle of the nearest empty cell: up to a cell past a flat wall, none past a round one
		thickestMm: Math.max(0, 2 * (Math.sqrt(deepest) - 0.25) * cellMm),
		thinnestMm: thinnest(mesh, inside, {
			sx,
			sy,
			nz,
			cellMm,
			x0: columns.x0,
			y0: columns.y0,
			z0,
			frame: columns.frame
		}),
		cellMm
	};
}

/** Squared distance of each cell to the nearest empty one, cells². One pass for each axis. */
function distanceSquared(inside: Uint8Array, sx: number, sy: number, sz: number): Float32Array {
	const far = new Float32Array(inside.length);
	const most = sx * sx + sy * sy + sz * sz;
	for (let i = 0; i < inside.length; i++) far[i] = inside[i] ? most : 0;
	const longest = Math.max(sx, sy, sz);
	const line = new Float64Array(longest);
	const at = new Int32Array(longest);
	const border = new Float64Array(longest + 1);
	const pass = (count: number, stride: number, first: number) => {
		for (let i = 0; i < count; i++) line[i] = far[first + i * stride]!;
		let k = 0;
		at[0] = 0;
		border[0] = -Infinity;
		border[1] = Infinity;
		for (let q = 1; q < count; q++) {
			let s: number;
			do {
				const p = at[k]!;
				s = (line[q]! + q * q - line[p]! - p * p) / (2 * q - 2 * p);
			} while (s <= border[k]! && --k >= 0);
			at[++k] = q;
			border[k] = s;
			border[k + 1] = Infinity;
		}
		k = 0;
		for (let q = 0; q < count; q++) {
			while (border[k + 1]! < q) k++;
			far[first + q * stride] = (q - at[k]!) ** 2 + line[at[k]!]!;
		}
	};
	for (let y = 0; y < sy; y++) for (let x = 0; x < sx; x++) pass(sz, 1, (y * sx + x) * sz);
	for (let y = 0; y < sy; y++) for (let z = 0; z < sz; z++) pass(sx, sz, y * sx * sz + z);
	for (let x = 0; x < sx; x++) for (let z = 0; z < sz; z++) pass(sy, sx * sz, x * sz + z);
	return far;
}

interface Voxels {
	sx: number;
	sy: number;
	nz: number;
	cellMm: number;
	x0: number;
	y0: number;
	z0: number;
	frame: ReturnType<typeof frameFor>;
}

function thinnest(mesh: Mesh, inside: Uint8Array, g: Voxels): number {
	const faces = mesh.indices.length / 3;
	const every = Math.max(1, Math.floor(faces / PROBES));
	const normal = new Float64Array(3);
	const found: { mm: number; weight: number }[] = [];
	let whole = 0;
	for (let f = 0; f < faces; f += every) {
		const t = 3 * f;
		const weight = faceNormal(mesh, t, normal);
		if (weight === 0) continue;
		const p = [0, 0, 0] as [number, number, number];
		for (let k = 0; k < 3; k++)
			p[k] = [0, 1, 2].reduce((sum, c) => sum + mesh.vertices[3 * mesh.indices[t + c]! + k]! / 3, 0);
		const mm = throughMm(
			toFrame(g.frame, p),
			toFrame(g.frame, [normal[0]!, normal[1]!, normal[2]!]),
			inside,
			g
		);
		if (mm === undefined) continue;
		found.push({ mm, weight });
		whole += weight;
	}
	found.sort((a, b) => a.mm - b.mm);
	let seen = 0;
	for (const f of found) if ((seen += f.weight) >= THIN_SHARE * whole) return f.mm;
	return 0;
}

/** From a point of the face straight inwards until the material ends, mm. */
function throughMm(p: Vec3, normal: Vec3, inside: Uint8Array, g: Voxels): number | undefined {
	const step = 0.25;
	let entered: number | undefined;
	for (let n = 0; n < 8 * (g.sx + g.sy + g.nz); n++) {
		const d = n * step * g.cellMm;
		const i = Math.round((p[0] - d * normal[0] - g.x0) / g.cellMm) + 1;
		const j = Math.round((p[1] - d * normal[1] - g.y0) / g.cellMm) + 1;
		const k = Math.round((p[2] - d * normal[2] - g.z0) / g.cellMm);
		const there =
			i >= 0 &&
			j >= 0 &&
			k >= 0 &&
			i < g.sx &&
			j < g.sy &&
			k < g.nz &&
			inside[(j * g.sx + i) * g.nz + k] === 1;
		if (there) entered ??= d;
		else if (entered !== undefined) return d - entered;
		else if (d > 2 * g.cellMm) return undefined;
	}
	return undefined;
}
