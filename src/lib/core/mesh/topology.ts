import type { Mesh } from './types';

export interface Topology {
	/** Edges that only one triangle uses: holes. */
	openEdges: number;
	/** Edges that more than two triangles use. */
	crowdedEdges: number;
	/** Edges whose two triangles run the same way: one of them is turned inside out. */
	turnedEdges: number;
	/** Every edge is used exactly twice, in opposite senses. */
	watertight: boolean;
	/** Connected pieces of surface. */
	shells: number;
	/** Shell of each triangle. */
	shellOf: Uint32Array;
}

/** Representative of a corner's piece, with path halving. */
function find(parent: Int32Array, i: number): number {
	let at = i;
	while (parent[at] !== at) {
		parent[at] = parent[parent[at]!]!;
		at = parent[at]!;
	}
	return at;
}

/**
 * Holes, crowded and turned edges, and the shells of a mesh.
 * @example
 * topology(cubeMesh).openEdges; // 0
 */
export function topology(mesh: Mesh): Topology {
	const { indices } = mesh;
	const corners = mesh.vertices.length / 3;
	const parent = new Int32Array(corners);
	for (let i = 0; i < corners; i++) parent[i] = i;
	// edges sorted into buckets by their lower corner: each bucket holds a handful
	const start = new Uint32Array(corners + 1);
	for (let i = 0; i < indices.length; i++) {
		const a = indices[i]!;
		const b = indices[i % 3 === 2 ? i - 2 : i + 1]!;
		start[(a < b ? a : b) + 1]!++;
		const ra = find(parent, a);
		const rb = find(parent, b);
		if (ra !== rb) parent[ra < rb ? rb : ra] = ra < rb ? ra : rb;
	}
	for (let i = 0; i < corners; i++) start[i + 1]! += start[i]!;
	const fill = start.slice(0, corners);
	const others = new Uint32Array(indices.length);
	const forward = new Uint8Array(indices.length);
	for (let i = 0; i < indices.length; i++) {
		const a = indices[i]!;
		const b = indices[i % 3 === 2 ? i - 2 : i + 1]!;
		const at = fill[a < b ? a : b]!++;
		others[at] = a < b ? b : a;
		forward[at] = a < b ? 1 : 0;
	}
	const counts = countEdges(start, others, forward, corners);
	const { shells, shellOf } = nameShells(indices, parent);
	return {
		...counts,
		watertight: counts.openEdges + counts.crowdedEdges + counts.turnedEdges === 0 && indices.length > 0,
		shells,
		shellOf
	};
}

/** Longer buckets than this are no corner of a figure: they are sorted in another way, that does not take for ever. */
const SHORT = 64;

/** Sorts a corner's edges by their other corner; which way they run goes with them. */
function sortBucket(others: Uint32Array, forward: Uint8Array, from: number, to: number): void {
	if (to - from > SHORT) {
		const keys = Float64Array.from(
			{ length: to - from },
			(_, i) => 2 * others[from + i]! + forward[from + i]!
		);
		keys.sort().forEach((key, i) => {
			others[from + i] = Math.floor(key / 2);
			forward[from + i] = key % 2;
		});
		return;
	}
	for (let i = from + 1; i < to; i++) {
		const o = others[i]!;
		const f = forward[i]!;
		let k = i - 1;
		for (; k >= from && others[k]! > o; k--) {
			others[k + 1] = others[k]!;
			forward[k + 1] = forward[k]!;
		}
		others[k + 1] = o;
		forward[k + 1] = f;
	}
}

function countEdges(start: Uint32Array, others: Uint32Array, forward: Uint8Array, corners: number) {
	let openEdges = 0;
	let crowdedEdges = 0;
	let turnedEdges = 0;
	for (let v = 0; v < corners; v++) {
		const from = start[v]!;
		const to = start[v + 1]!;
		sortBucket(others, forward, from, to);
		for (let i = from; i < to;) {
			let end = i;
			let ways = 0;
			while (end < to && others[end] === others[i]) ways += forward[end++]!;
			const uses = end - i;
			if (uses === 1) openEdges++;
			else if (uses > 2) crowdedEdges++;
			else if (ways !== 1) turnedEdges++;
			i = end;
		}
	}
	return { openEdges, crowdedEdges, turnedEdges };
}

function nameShells(indices: Uint32Array, parent: Int32Array): { shells: number; shellOf: Uint32Array } {
	const numbers = new Map<number, number>();
	const shellOf = new Uint32Array(indices.length / 3);
	for (let t = 0; t < shellOf.length; t++) {
		const root = find(parent, indices[3 * t]!);
		let n = numbers.get(root);
		if (n === undefined) numbers.set(root, (n = numbers.size));
		shellOf[t] = n;
	}
	return { shells: numbers.size, shellOf };
}
