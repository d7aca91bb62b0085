/** A cube's edges by their two corners; a corner is a number with bit 0 for x, bit 1 for y, bit 2 for z. */
export const EDGES: readonly (readonly [number, number])[] = [0, 1, 2].flatMap((axis) =>
	[0, 1, 2, 3, 4, 5, 6, 7].filter((c) => !(c & (1 << axis))).map((c) => [c, c | (1 << axis)] as const)
);

/** The number of the edge that runs along an axis from a corner. */
export const edgeAt = (axis: number, corner: number): number => NUMBERS[axis * 8 + corner]!;
const NUMBERS = Int32Array.from({ length: 24 }, (_, i) =>
	EDGES.findIndex(([a, b]) => a === i % 8 && b === (a | (1 << Math.floor(i / 8))))
);

/** The sheets that run through a cube: how many, and to which one each of its edges belongs; −1 for an edge that none cuts. */
export interface Sheets {
	count: number;
	groupOf: Int8Array;
}

/** Sides of a cube as their four edges, by the corner that each pair of them meets at. */
const SIDES = [0, 1, 2].flatMap((axis) =>
	[0, 1 << axis].map((on) => {
		const [u, v] = [1 << ((axis + 1) % 3), 1 << ((axis + 2) % 3)];
		return [on, on | u, on | u | v, on | v].map((corner, k, all) => ({
			corner,
			edge: EDGES.findIndex(([a, b]) => {
				const next = all[(k + 1) % 4]!;
				return (a === corner && b === next) || (a === next && b === corner);
			})
		}));
	})
);

/** Edges that one sheet joins over a side: two that are cut, or where all four are, the two that meet at a corner inside. */
function sheetsOf(inside: number): Sheets {
	const is = (corner: number) => (inside >> corner) & 1;
	const group = EDGES.map(([a, b], e) => (is(a) === is(b) ? -1 : e));
	const join = (a: number, b: number) => {
		const [from, to] = [group[a]!, group[b]!];
		for (let e = 0; e < 12; e++) if (group[e] === from) group[e] = to;
	};
	for (const side of SIDES) {
		const cut = side.map((s) => s.edge).filter((e) => group[e]! >= 0);
		if (cut.length === 2) join(cut[0]!, cut[1]!);
		else if (cut.length === 4)
			side.forEach(({ corner, edge }, k) => {
				if (is(corner)) join(edge, side[(k + 3) % 4]!.edge);
			});
	}
	const names = [...new Set(group.filter((g) => g >= 0))];
	return { count: names.length, groupOf: Int8Array.from(group, (g) => (g < 0 ? -1 : names.indexOf(g))) };
}

/** For each of the 256 ways in which a cube's corners are in or out, bit by corner. */
export const GROUPS_OF: readonly Sheets[] = Array.from({ length: 256 }, (_, inside) => sheetsOf(inside));
