import { cluster } from './cluster';
import { cutColumns } from './columns';
import { dot, frameFor, unit } from './frame';
import { trapsOf } from './traps';
import { undercutsOf } from './undercuts';
import type { Mesh, Progress, Vec3 } from './types';

/** A way up to pour in, and what it costs. */
export interface Candidate {
	up: Vec3;
	trappedMl: number;
	vents: number;
	/** Share of the area that a two-part mould opening along up does not reach. */
	undercutShare: number;
	undercutDepthMm: number;
}

const CANDIDATES = 3;
/** Directions nearer to each other than this are one choice, degrees. */
const APART_DEG = 30;
/** A mesh with more triangles is looked at through a coarser one. */
const COARSE_FROM = 60_000;
const COARSE_CELLS = 72;
const LOOK_CELLS = 72;
const EXACT_CELLS = 192;
/** Pockets that differ by less are one volume to a maker, ml. */
const SAME_ML = 0.05;

/**
 * Directions spread evenly over the sphere (Fibonacci lattice), with the six axes first.
 * @example
 * directions(96).length; // 102
 */
export function directions(count: number): Vec3[] {
	const out: Vec3[] = [
		[0, 0, 1],
		[0, 0, -1],
		[1, 0, 0],
		[-1, 0, 0],
		[0, 1, 0],
		[0, -1, 0]
	];
	const golden = Math.PI * (3 - Math.sqrt(5));
	for (let i = 0; i < count; i++) {
		const z = 1 - (2 * i + 1) / count;
		const r = Math.sqrt(1 - z * z);
		out.push([r * Math.cos(golden * i), r * Math.sin(golden * i), z]);
	}
	return out;
}

/**
 * Better first: least trapped, then fewest vents, then least undercut.
 * @example
 * const [best, next] = bestPositions(cubeMesh, undefined, 8);
 * byRank(best!, next!) <= 0; // true
 */
export function byRank(a: Candidate, b: Candidate): number {
	const ml = Math.round(a.trappedMl / SAME_ML) - Math.round(b.trappedMl / SAME_ML);
	return ml || a.vents - b.vents || a.undercutShare - b.undercutShare;
}

/**
 * Searches for the pouring position: least trapped volume, then fewest vents, then least undercut. A first
 * look over the sphere with a coarse mesh, a closer one round the best, and the exact figures for three that
 * are really different. When everything is equal, the first directions looked at (the axes) win.
 * @param count directions of the first look
 * @example
 * bestPositions(cubeMesh, undefined, 8)[0]?.trappedMl; // 0
 */
export function bestPositions(mesh: Mesh, progress?: Progress, count = 96): Candidate[] {
	const coarse = mesh.indices.length / 3 > COARSE_FROM ? cluster(mesh, COARSE_CELLS) : mesh;
	const all = directions(count);
	const looked: Candidate[] = [];
	const look = (up: Vec3): Candidate => {
		const found = trapsOf(cutColumns(coarse, frameFor(up), LOOK_CELLS));
		return { up, trappedMl: found.totalMl, vents: found.traps.length, undercutShare: 0, undercutDepthMm: 0 };
	};
	all.forEach((up, i) => {
		looked.push(look(up));
		progress?.((0.6 * i) / all.length);
	});
	looked.sort(byRank);
	const close = apart(looked, 6);
	close.forEach((c, i) => {
		let best = c;
		for (const up of around(c.up)) {
			const next = look(up);
			// a turned one must be clearly better: level faces and axes are worth keeping
			if (
				next.trappedMl < best.trappedMl - SAME_ML ||
				(next.vents < best.vents && next.trappedMl <= best.trappedMl)
			)
				best = next;
		}
		close[i] = best;
		progress?.(0.6 + (0.2 * i) / close.length);
	});
	const exact = close.map((c, i) => {
		const columns = cutColumns(mesh, frameFor(c.up), EXACT_CELLS);
		const found = trapsOf(columns);
		const cut = undercutsOf(mesh, columns);
		progress?.(0.8 + (0.2 * (i + 1)) / close.length);
		return {
			up: c.up,
			trappedMl: found.totalMl,
			vents: found.traps.length,
			undercutShare: cut.share,
			undercutDepthMm: cut.depthMm
		};
	});
	return apart(exact.sort(byRank), CANDIDATES);
}

/** The first few that are not nearly the same direction. */
function apart(sorted: readonly Candidate[], most: number): Candidate[] {
	const least = Math.cos((APART_DEG * Math.PI) / 180);
	const out: Candidate[] = [];
	for (const c of sorted) {
		if (out.length === most) break;
		if (out.every((o) => dot(o.up, c.up) < least)) out.push(c);
	}
	return out;
}

/** Eight directions round one, 12° off. */
function around(up: Vec3): Vec3[] {
	const f = frameFor(up);
	const lean = Math.tan((12 * Math.PI) / 180);
	return Array.from({ length: 8 }, (_, i) => {
		const a = (i * Math.PI) / 4;
		const [c, s] = [lean * Math.cos(a), lean * Math.sin(a)];
		return unit([
			f.w[0] + c * f.u[0] + s * f.v[0],
			f.w[1] + c * f.u[1] + s * f.v[1],
			f.w[2] + c * f.u[2] + s * f.v[2]
		]);
	});
}
