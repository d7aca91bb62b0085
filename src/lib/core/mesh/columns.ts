import type { Frame } from './frame';
import { tooTangled, type Mesh } from './types';

/** The cavity as upright columns on a grid: where each column enters and leaves the material. */
export interface Columns {
	frame: Frame;
	cellMm: number;
	nx: number;
	ny: number;
	/** Centre of the first cell in the frame. */
	x0: number;
	y0: number;
	/** First piece of each column; one more entry than columns. */
	start: Uint32Array;
	/** Lower and upper end of each piece, mm along up. */
	bottom: Float64Array;
	top: Float64Array;
	/** Column of each piece. */
	cell: Uint32Array;
	/** All exits less all entries, mm: what the columns hold when shells count as often as they cover. */
	signedMm: number;
	/** Columns whose entries and exits did not match: holes in the mesh. */
	broken: number;
}

/** A mesh in the coordinates of a frame, x and y and height apart. */
interface Turned {
	x: Float64Array;
	y: Float64Array;
	z: Float64Array;
}

function turn(mesh: Mesh, f: Frame): Turned {
	const n = mesh.vertices.length / 3;
	const [x, y, z] = [new Float64Array(n), new Float64Array(n), new Float64Array(n)];
	const v = mesh.vertices;
	const [u0, u1, u2] = f.u;
	const [v0, v1, v2] = f.v;
	const [w0, w1, w2] = f.w;
	for (let i = 0; i < n; i++) {
		const [a, b, c] = [v[3 * i]!, v[3 * i + 1]!, v[3 * i + 2]!];
		x[i] = a * u0 + b * u1 + c * u2;
		y[i] = a * v0 + b * v1 + c * v2;
		z[i] = a * w0 + b * w1 + c * w2;
	}
	return { x, y, z };
}

/** Shifts the grid off round numbers, so that edges of drawn parts do not run through cell centres. */
const OFFSET = { x: 0.43567, y: 0.57133 };

/**
 * Cuts a mesh into columns along the frame's up. Pieces follow the winding number, so shells that run into
 * each other count as one body.
 * @param cells columns along the longer side, ≥ 8
 * @throws MeshError for a tangle that is crossed hundreds of times by every line
 * @example
 * const { nx, cellMm } = cutColumns(cubeMesh, frameFor([0, 0, 1]), 40);
 * nx * cellMm; // 41
 */
export function cutColumns(mesh: Mesh, frame: Frame, cells: number): Columns {
	const turned = turn(mesh, frame);
	const { x, y } = turned;
	let [minX, maxX, minY, maxY] = [Infinity, -Infinity, Infinity, -Infinity];
	for (let i = 0; i < x.length; i++) {
		if (x[i]! < minX) minX = x[i]!;
		if (x[i]! > maxX) maxX = x[i]!;
		if (y[i]! < minY) minY = y[i]!;
		if (y[i]! > maxY) maxY = y[i]!;
	}
	const cellMm = Math.max(maxX - minX, maxY - minY, 1e-6) / cells;
	const nx = Math.ceil((maxX - minX) / cellMm) + 1;
	const ny = Math.ceil((maxY - minY) / cellMm) + 1;
	const grid = { cellMm, nx, ny, x0: minX - cellMm * (1 - OFFSET.x), y0: minY - cellMm * (1 - OFFSET.y) };
	const { start, height, way } = crossings(mesh, turned, grid);
	return { frame, ...grid, ...pieces(start, height, way, nx * ny) };
}

/**
 * A figure's surface is crossed a handful of times by a line, a lattice's a few dozen times; past so many on the average
 * it is a tangle, and sorting it would take for ever.
 */
const MOST_CROSSINGS = 200;

type Grid = Pick<Columns, 'cellMm' | 'nx' | 'ny' | 'x0' | 'y0'>;

/** Every crossing of a column's centre line with a triangle: height, and whether it enters or leaves. */
function crossings(mesh: Mesh, { x, y, z }: Turned, g: Grid) {
	const { indices } = mesh;
	const cells = g.nx * g.ny;
	const start = new Uint32Array(cells + 1);
	let height = new Float64Array(0);
	let way = new Int8Array(0);
	let fill = new Uint32Array(0);
	let count = 0;
	// twice over the triangles: first count, then fill, so that memory is asked for once
	for (const counting of [true, false]) {
		for (let t = 0; t < indices.length; t += 3) {
			const a = indices[t]!;
			const b = indices[t + 1]!;
			const c = indices[t + 2]!;
			const ax = (x[a]! - g.x0) / g.cellMm;
			const bx = (x[b]! - g.x0) / g.cellMm;
			const cx = (x[c]! - g.x0) / g.cellMm;
			const loX = Math.max(0, Math.ceil(Math.min(ax, bx, cx)));
			const hiX = Math.min(g.nx - 1, Math.floor(Math.max(ax, bx, cx)));
			if (loX > hiX) continue;
			const ay = (y[a]! - g.y0) / g.cellMm;
			const by = (y[b]! - g.y0) / g.cellMm;
			const cy = (y[c]! - g.y0) / g.cellMm;
			const loY = Math.max(0, Math.ceil(Math.min(ay, by, cy)));
			const hiY = Math.min(g.ny - 1, Math.floor(Math.max(ay, by, cy)));
			if (loY > hiY) continue;
			if (count > MOST_CROSSINGS * cells) throw tooTangled('a line through it meets it hundreds of times');
			const twice = (bx - ax) * (cy - ay) - (by - ay) * (cx - ax);
			if (twice === 0) continue;
			const sign = twice > 0 ? 1 : -1;
			for (let j = loY; j <= hiY; j++) {
				for (let i = loX; i <= hiX; i++) {
					const ea = sign * edge(b, c, bx, by, cx, cy, i, j);
					if (ea < 0) continue;
					const eb = sign * edge(c, a, cx, cy, ax, ay, i, j);
					if (eb < 0) continue;
					const ec = sign * edge(a, b, ax, ay, bx, by, i, j);
					if (ec < 0) continue;
					const cell = j * g.nx + i;
					if (counting) {
						start[cell + 1]!++;
						count++;
					} else {
						const at = fill[cell]!++;
						const sum = ea + eb + ec;
						height[at] = (ea * z[a]! + eb * z[b]! + ec * z[c]!) / sum;
						// a face that looks up is where the material ends
						way[at] = sign > 0 ? -1 : 1;
					}
				}
			}
		}
		if (counting) {
			for (let i = 0; i < cells; i++) start[i + 1]! += start[i]!;
			height = new Float64Array(start[cells]!);
			way = new Int8Array(start[cells]!);
			fill = start.slice(0, cells);
		}
	}
	return { start, height, way };
}

/** Which side of an edge a cell centre is on; worked out from the lower corner, so that neighbours agree. */
function edge(
	p: number,
	q: number,
	px: number,
	py: number,
	qx: number,
	qy: number,
	i: number,
	j: number
): number {
	return p < q ? (qx - px) * (j - py) - (qy - py) * (i - px) : -((px - qx) * (j - qy) - (py - qy) * (i - qx));
}

/** Turns crossings into pieces of material by their winding number. */
function pieces(start: Uint32Array, height: Float64Array, way: Int8Array, cells: number) {
	const most = height.length;
	const bottom = new Float64Array(most);
	const top = new Float64Array(most);
	const cell = new Uint32Array(most);
	const first = new Uint32Array(cells + 1);
	let count = 0;
	let broken = 0;
	let signedMm = 0;
	for (let c = 0; c < cells; c++) {
		first[c] = count;
		const from = start[c]!;
		const to = start[c + 1]!;
		sortRun(height, way, from, to);
		let depth = 0;
		let since = 0;
		for (let i = from; i < to; i++) {
			const before = depth;
			depth += way[i]!;
			signedMm -= way[i]! * height[i]!;
			if (before === 0) since = height[i]!;
			else if (depth === 0 && height[i]! - since > 1e-9) {
				bottom[count] = since;
				top[count] = height[i]!;
				cell[count++] = c;
			}
		}
		if (depth !== 0) broken++;
	}
	first[cells] = count;
	return {
		start: first,
		bottom: bottom.slice(0, count),
		top: top.slice(0, count),
		cell: cell.slice(0, count),
		broken,
		signedMm
	};
}

/** Insertion sort of one column's crossings from below; columns hold a handful. Entries go before exits. */
function sortRun(height: Float64Array, way: Int8Array, from: number, to: number): void {
	for (let i = from + 1; i < to; i++) {
		const h = height[i]!;
		const w = way[i]!;
		let k = i - 1;
		for (; k >= from && (height[k]! > h || (height[k] === h && way[k]! < w)); k--) {
			height[k + 1] = height[k]!;
			way[k + 1] = way[k]!;
		}
		height[k + 1] = h;
		way[k + 1] = w;
	}
}

/** Centre of a cell in the frame. */
export function cellCentre(columns: Columns, cell: number): [number, number] {
	return [
		columns.x0 + (cell % columns.nx) * columns.cellMm,
		columns.y0 + Math.floor(cell / columns.nx) * columns.cellMm
	];
}

/**
 * Volume of all pieces, ml: a second way to the volume, good for meshes whose shells run into each other.
 * @example
 * columnsVolumeMl(cutColumns(cubeMesh, frameFor([0, 0, 1]), 40)); // 64
 */
export function columnsVolumeMl(columns: Columns): number {
	let sum = 0;
	for (let i = 0; i < columns.top.length; i++) sum += columns.top[i]! - columns.bottom[i]!;
	return (sum * columns.cellMm ** 2) / 1000;
}
