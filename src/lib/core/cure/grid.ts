import type { Grid } from './conduction';
import { AIR_W_PER_M2K, WALLS, type WallMaterial } from './wall';

/** The widest cell at the face, m: a reaction front and the cold of the wall are narrower than a millimetre. */
const FACE_CELL_M = 0.15e-3;
const MOULD_SHARE = 0.75;

export interface GridSetup {
	readonly section: { readonly shape: 'slab' | 'cylinder' | 'sphere'; readonly thicknessMm: number };
	readonly mouldWallMm: number;
	readonly wall?: WallMaterial | undefined;
	readonly roomTempC: number;
	/** A slab open to the air on one face. */
	readonly open?: boolean | undefined;
}

/**
 * Widths of cells from a face inwards, each wider than the one before by the same factor, so that the first is at
 * most `firstM` wide.
 * @returns `count` widths in m that sum to `lengthM`
 */
export function gradedWidths(lengthM: number, count: number, firstM: number): number[] {
	const even = lengthM / count;
	if (even <= firstM) return new Array<number>(count).fill(even);
	const sum = (g: number) => (firstM * (g ** count - 1)) / (g - 1);
	let [lo, hi] = [1 + 1e-9, 3];
	for (let i = 0; i < 60; i++) {
		const mid = (lo + hi) / 2;
		if (sum(mid) < lengthM) lo = mid;
		else hi = mid;
	}
	const widths = Array.from({ length: count }, (_, i) => firstM * hi ** i);
	const scale = lengthM / widths.reduce((s, w) => s + w, 0);
	return widths.map((w) => w * scale);
}

/**
 * Finite-volume cells of resin and mould from the middle (or the open face) outwards, narrow at the faces.
 * @param cells of the resin
 */
export function makeGrid(
	resin: { conductivityWPerMK: number; densityGPerMl: number; specificHeatJPerGK: number },
	setup: GridSetup,
	cells: number
): { grid: Grid; weights: Float64Array } {
	const { shape, thicknessMm } = setup.section;
	const open = setup.open === true && shape === 'slab';
	const dimension = shape === 'slab' ? 0 : shape === 'cylinder' ? 1 : 2;
	const thickM = thicknessMm / 1000;
	const faceM = FACE_CELL_M * (28 / cells);
	const inner = open
		? mirrored(gradedWidths(thickM / 2, cells / 2, faceM))
		: gradedWidths(thickM / 2, cells, faceM).reverse();
	const mouldCells = Math.max(6, Math.round(cells * MOULD_SHARE));
	const widths = [...inner, ...gradedWidths(setup.mouldWallMm / 1000, mouldCells, 2 * faceM)];
	const edges = [0];
	for (const w of widths) edges.push(edges[edges.length - 1]! + w);
	const wall = setup.wall ?? WALLS.silicone;
	const of = [resin, wall].map((x) => ({
		k: x.conductivityWPerMK,
		c: x.densityGPerMl * x.specificHeatJPerGK * 1e6
	}));
	const materials = widths.map((_, i) => of[i < cells ? 0 : 1]!);
	return {
		weights: stiffnessWeights(edges.slice(0, cells + 1), dimension, open ? thickM / 2 : 0),
		grid: {
			edgesM: edges,
			dimension,
			conductivity: materials.map((x) => x.k),
			heatCapacity: materials.map((x) => x.c),
			innerAir: open ? AIR_W_PER_M2K : 0,
			outerAir: AIR_W_PER_M2K,
			airTempC: setup.roomTempC
		}
	};
}

/** Widths that stand on both faces, the middle widest. */
const mirrored = (half: readonly number[]) => [...half, ...[...half].reverse()];

/**
 * What each cell gives to the bending stiffness of the section: its volume times the square of its distance from
 * the middle, as shares of one.
 */
export function stiffnessWeights(
	edgesM: readonly number[],
	dimension: 0 | 1 | 2,
	middleM: number
): Float64Array {
	const power = 3 + dimension;
	const upTo = (x: number) => (Math.sign(x) ** power * Math.abs(x) ** power) / power;
	const weights = Float64Array.from(
		edgesM.slice(1).map((edge, i) => upTo(edge - middleM) - upTo(edgesM[i]! - middleM))
	);
	const sum = weights.reduce((s, w) => s + w, 0);
	return weights.map((w) => w / sum);
}
