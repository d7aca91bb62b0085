import { cellCentre, cutColumns, type Columns } from './columns';
import { frameFor, fromFrame, toFrame } from './frame';
import type { Mesh, Vec3 } from './types';

/** A pocket of the cavity in which air stays in this pouring position. */
export interface Trap {
	/** Highest point of the pocket, mm in the mesh's own space: where a vent would go. */
	apex: Vec3;
	volumeMl: number;
	/** How far the statement of the volume may be off, ml, from the grid. */
	errorMl: number;
	/** From the apex down to where the air would find its way out, mm. */
	depthMm: number;
	/** Height along up below which the pocket no longer holds air, mm. */
	spillMm: number;
	/** Pieces of columns above the spill level: centre, lower and upper end in the frame, four numbers each. */
	columns: Float64Array;
}

export interface TrapOptions {
	/** Columns along the longer side of the mesh seen from above. */
	cells?: number;
	/** Points of the surface where a sprue or vent opens the cavity. */
	openings?: readonly Vec3[];
	/** How wide an opening is, mm. */
	openingMm?: number;
	/** Pockets that are smaller are left out. */
	leastMl?: number;
	leastDepthMm?: number;
}

export interface TrapResult {
	traps: Trap[];
	totalMl: number;
	cellMm: number;
	/** Columns that met a hole in the mesh. */
	brokenColumns: number;
	/** Highest point along up: where everything is open (the pour face). */
	topMm: number;
}

export const DEFAULT_CELLS = 256;
/** Everything this near to the top is open: the piece stands with it on the base board (common practice, no source). */
const OPEN_TOP_MM = 0.5;

/**
 * Air traps of a cavity in a pouring position. A trap is a connected pocket whose top is not connected
 * upward to an opening; its volume is what lies above its spill level, the highest saddle on the way to one.
 * Worked out as a merge tree of heights over upright columns of the material: columns are joined from the
 * top down, neighbours at the height up to which both hold material.
 * @param up pouring position: what points up while it is poured
 * @example
 * findTraps(cubeMesh, [0, 0, 1], { openings: [] }).traps.length; // 0
 */
export function findTraps(mesh: Mesh, up: Vec3, options: TrapOptions = {}): TrapResult {
	return trapsOf(cutColumns(mesh, frameFor(up), options.cells ?? DEFAULT_CELLS), options);
}

/** The same for columns that are cut already. */
export function trapsOf(columns: Columns, options: TrapOptions = {}): TrapResult {
	const { top, bottom, cellMm } = columns;
	let topMm = -Infinity;
	for (const h of top) if (h > topMm) topMm = h;
	const open = openPieces(columns, topMm, options);
	const order = Uint32Array.from(top.keys()).sort((a, b) => top[b]! - top[a]! || a - b);
	const groups = new Groups(top.length);
	const pockets: Pocket[] = [];
	const joins = neighbourJoins(columns);
	// from the top down: a piece is born at its top, a join happens at the lower of both tops
	const born = new Uint8Array(top.length);
	for (const i of order) {
		born[i] = 1;
		groups.make(i, open[i] === 1);
		joins(i, (k) => {
			if (!born[k]) return;
			const [a, b] = [groups.find(i), groups.find(k)];
			if (a === b) return;
			const level = top[i]!;
			// a pocket that meets an opened group stops being a pocket here
			if (groups.open[a] !== groups.open[b]) {
				const pocket = groups.open[a] ? b : a;
				if (top[groups.peak[pocket]!]! > level)
					pockets.push({ members: groups.members(pocket), peak: groups.peak[pocket]!, spillMm: level });
			}
			groups.join(a, b, top);
		});
	}
	// what never met an opening is shut off for good: a body of its own
	for (let i = 0; i < top.length; i++) {
		if (groups.find(i) === i && !groups.open[i]) {
			const members = groups.members(i);
			const spillMm = members.reduce((lo, m) => Math.min(lo, bottom[m]!), Infinity);
			pockets.push({ members, peak: groups.peak[i]!, spillMm });
		}
	}
	const leastDepth = options.leastDepthMm ?? Math.max(0.4, 1.5 * cellMm);
	const leastMl = options.leastMl ?? 0.005;
	const traps = pockets
		.flatMap((pocket) => separate(columns, pocket, joins))
		.map((pocket) => describe(columns, pocket))
		.filter((t) => t.depthMm >= leastDepth && t.volumeMl >= leastMl)
		.sort((a, b) => b.volumeMl - a.volumeMl);
	return {
		traps,
		totalMl: traps.reduce((sum, t) => sum + t.volumeMl, 0),
		cellMm,
		brokenColumns: columns.broken,
		topMm
	};
}

/** Groups of joined pieces, each with its highest piece, whether it is open, and its members in a ring. */
class Groups {
	readonly parent: Int32Array;
	readonly open: Uint8Array;
	readonly peak: Int32Array;
	readonly #next: Int32Array;
	readonly #size: Int32Array;
	constructor(n: number) {
		this.parent = new Int32Array(n).fill(-1);
		this.open = new Uint8Array(n);
		this.peak = new Int32Array(n);
		this.#next = new Int32Array(n);
		this.#size = new Int32Array(n).fill(1);
	}
	make(i: number, open: boolean): void {
		this.parent[i] = i;
		this.open[i] = open ? 1 : 0;
		this.peak[i] = i;
		this.#next[i] = i;
	}
	find(i: number): number {
		let at = i;
		while (this.parent[at] !== at) {
			this.parent[at] = this.parent[this.parent[at]!]!;
			at = this.parent[at]!;
		}
		return at;
	}
	join(a: number, b: number, top: Float64Array): void {
		const [big, small] = this.#size[a]! >= this.#size[b]! ? [a, b] : [b, a];
		this.parent[small] = big;
		this.#size[big]! += this.#size[small]!;
		this.open[big] = this.open[a]! | this.open[b]!;
		if (top[this.peak[small]!]! > top[this.peak[big]!]!) this.peak[big] = this.peak[small]!;
		// two rings become one by swapping what follows
		const after = this.#next[big]!;
		this.#next[big] = this.#next[small]!;
		this.#next[small] = after;
	}
	members(root: number): number[] {
		const out = [root];
		for (let at = this.#next[root]!; at !== root; at = this.#next[at]!) out.push(at);
		return out;
	}
}

/** Visits the pieces of the eight columns round a piece's that share a height with it. */
function neighbourJoins(c: Columns) {
	const { start, bottom, top, cell, nx, ny } = c;
	return (i: number, visit: (k: number) => void) => {
		const x = cell[i]! % nx;
		const y = (cell[i]! - x) / nx;
		for (let dy = -1; dy <= 1; dy++) {
			if (y + dy < 0 || y + dy >= ny) continue;
			for (let dx = -1; dx <= 1; dx++) {
				if ((dx === 0 && dy === 0) || x + dx < 0 || x + dx >= nx) continue;
				const other = (y + dy) * nx + x + dx;
				for (let k = start[other]!; k < start[other + 1]!; k++)
					if (Math.max(bottom[i]!, bottom[k]!) < Math.min(top[i]!, top[k]!)) visit(k);
			}
		}
	};
}

/** Pieces that are open to the air: all that reach the top, and those under a sprue or vent. */
function openPieces(c: Columns, topMm: number, options: TrapOptions): Uint8Array {
	const open = new Uint8Array(c.top.length);
	const near = Math.max(OPEN_TOP_MM, 0.25 * c.cellMm);
	for (let i = 0; i < c.top.length; i++) if (c.top[i]! >= topMm - near) open[i] = 1;
	const radius = Math.max((options.openingMm ?? 3) / 2, c.cellMm);
	for (const point of options.openings ?? []) {
		const [x, y, z] = toFrame(c.frame, point);
		const reach = Math.ceil(radius / c.cellMm);
		const ci = Math.round((x - c.x0) / c.cellMm);
		const cj = Math.round((y - c.y0) / c.cellMm);
		for (let j = Math.max(0, cj - reach); j <= Math.min(c.ny - 1, cj + reach); j++) {
			for (let i = Math.max(0, ci - reach); i <= Math.min(c.nx - 1, ci + reach); i++) {
				if (Math.hypot(i - (x - c.x0) / c.cellMm, j - (y - c.y0) / c.cellMm) * c.cellMm > radius) continue;
				for (let k = c.start[j * c.nx + i]!; k < c.start[j * c.nx + i + 1]!; k++)
					if (z > c.bottom[k]! - radius && z < c.top[k]! + 2 * radius && c.top[k]! - z < 2 * radius)
						open[k] = 1;
			}
		}
	}
	return open;
}

/** Pieces that were joined before they met an opening, at the level where they did. */
interface Pocket {
	members: readonly number[];
	peak: number;
	spillMm: number;
}

/** Heights that differ by less are one level, mm: a flat face is level only to its rounding. */
const SAME_LEVEL_MM = 1e-3;

/**
 * Pockets that meet each other only at the very level where they spill, as posts on a flat base do, are
 * pockets of their own: each wants its own vent.
 */
function separate(c: Columns, pocket: Pocket, joins: ReturnType<typeof neighbourJoins>): Pocket[] {
	const above = new Set(pocket.members.filter((m) => c.top[m]! > pocket.spillMm + SAME_LEVEL_MM));
	const parts: Pocket[] = [];
	for (const seed of above) {
		above.delete(seed);
		const members = [seed];
		let peak = seed;
		for (let at = 0; at < members.length; at++) {
			if (c.top[members[at]!]! > c.top[peak]!) peak = members[at]!;
			joins(members[at]!, (k) => {
				if (above.delete(k)) members.push(k);
			});
		}
		parts.push({ members, peak, spillMm: pocket.spillMm });
	}
	return parts;
}

function describe(c: Columns, { members, peak, spillMm }: Pocket): Trap {
	const inside = new Set(members.map((m) => c.cell[m]!));
	const columns = new Float64Array(4 * members.length);
	let volume = 0;
	let rim = 0;
	members.forEach((m, n) => {
		const [x, y] = cellCentre(c, c.cell[m]!);
		const from = Math.max(c.bottom[m]!, spillMm);
		const tall = Math.max(0, c.top[m]! - from);
		columns.set([x, y, from, c.top[m]!], 4 * n);
		volume += tall;
		const cell = c.cell[m]!;
		if (![cell - 1, cell + 1, cell - c.nx, cell + c.nx].every((o) => inside.has(o))) rim += tall;
	});
	const area = c.cellMm ** 2;
	const [px, py] = cellCentre(c, c.cell[peak]!);
	return {
		apex: fromFrame(c.frame, [px, py, c.top[peak]!]),
		volumeMl: (volume * area) / 1000,
		// a column at the rim may lie half outside; errors of both signs mostly cancel
		errorMl: (0.5 * rim * area) / 1000,
		depthMm: c.top[peak]! - spillMm,
		spillMm,
		columns
	};
}
