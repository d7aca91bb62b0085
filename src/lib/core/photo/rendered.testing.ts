/**
 * Bodies of known volume and pictures of them, drawn by rays: nothing here is shared with what measures, but for the
 * mat's layout. Lengths in mm, z up, bodies stand on z = 0.
 */
import { isWhite } from './markers';
import { MATS, type MatSize } from './mat';

type V = readonly [number, number, number];

/** Where a ray first meets a body, and the direction outwards there. */
interface Hit {
	t: number;
	n: V;
}
export interface Solid {
	volumeMl: number;
	areaMm2: number;
	colour: V;
	/** No point of it is farther from the middle of the mat, mm. */
	reachMm: number;
	hit(from: V, along: V): Hit | undefined;
}

const dot = (a: V, b: V) => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
/** Whether a ray (of length one) comes near enough to meet a body at all. */
const near = (solid: Solid, o: V, d: V): boolean => {
	const far = dot(o, o);
	const reach = solid.reachMm ** 2;
	const along = dot(o, d);
	return far <= reach || (along < 0 && far - along * along <= reach);
};
const on = (o: V, d: V, t: number): V => [o[0] + d[0] * t, o[1] + d[1] * t, o[2] + d[2] * t];
export const unit = (a: V): V => {
	const l = Math.hypot(...a);
	return [a[0] / l, a[1] / l, a[2] / l];
};

export const ball = (r: number, colour: V = [150, 110, 80]): Solid => ({
	volumeMl: ((4 / 3) * Math.PI * r ** 3) / 1000,
	areaMm2: 4 * Math.PI * r * r,
	colour,
	reachMm: 2 * r,
	hit(o, d) {
		const p: V = [o[0], o[1], o[2] - r];
		const b = dot(p, d);
		const q = b * b - dot(p, p) + r * r;
		const t = -b - Math.sqrt(q);
		if (!(q >= 0 && t > 0)) return undefined;
		const h = on(p, d, t);
		return { t, n: unit(h) };
	}
});

export const block = (a: number, b: number, h: number, turn = 0.2, colour: V = [90, 120, 100]): Solid => ({
	volumeMl: (a * b * h) / 1000,
	areaMm2: 2 * (a * b + b * h + a * h),
	colour,
	reachMm: Math.hypot(a / 2, b / 2, h),
	hit(o, d) {
		const [c, s] = [Math.cos(turn), Math.sin(turn)];
		const O = [c * o[0] + s * o[1], c * o[1] - s * o[0], o[2]];
		const D = [c * d[0] + s * d[1], c * d[1] - s * d[0], d[2]];
		const half = [a / 2, b / 2, h];
		let [near, far, axis, sign] = [-Infinity, Infinity, 0, 1];
		for (let i = 0; i < 3; i++) {
			const faces = [((i === 2 ? 0 : -half[i]!) - O[i]!) / D[i]!, (half[i]! - O[i]!) / D[i]!];
			if (Math.min(...faces) > near) [near, axis, sign] = [Math.min(...faces), i, D[i]! > 0 ? -1 : 1];
			far = Math.min(far, ...[Math.max(...faces)]);
		}
		if (near > far || near <= 0) return undefined;
		const n = [0, 0, 0];
		n[axis] = sign;
		return { t: near, n: [c * n[0]! - s * n[1]!, s * n[0]! + c * n[1]!, n[2]!] };
	}
});

/** A cylinder or cone from a lower to an upper radius. */
export const cone = (r0: number, r1: number, h: number, colour: V = [140, 80, 70]): Solid => {
	const k = (r1 - r0) / h;
	const radius = (z: number) => r0 + k * z;
	return {
		volumeMl: ((Math.PI * h) / 3 / 1000) * (r0 * r0 + r0 * r1 + r1 * r1),
		areaMm2: Math.PI * (r0 * r0 + r1 * r1 + (r0 + r1) * Math.hypot(r0 - r1, h)),
		colour,
		reachMm: Math.hypot(Math.max(r0, r1), h),
		hit(o, d) {
			let best: Hit | undefined;
			const take = (t: number, n: V) => {
				if (t > 0 && (!best || t < best.t)) best = { t, n };
			};
			const A = d[0] ** 2 + d[1] ** 2 - k * k * d[2] ** 2;
			const B = o[0] * d[0] + o[1] * d[1] - k * d[2] * radius(o[2]);
			const q = B * B - A * (o[0] ** 2 + o[1] ** 2 - radius(o[2]) ** 2);
			if (q >= 0)
				for (const s of [-1, 1]) {
					const t = (s * Math.sqrt(q) - B) / A;
					const p = on(o, d, t);
					if (p[2] >= 0 && p[2] <= h) take(t, unit([p[0], p[1], -k * radius(p[2])]));
				}
			for (const [z, r, up] of [
				[h, r1, 1],
				[0, r0, -1]
			] as const) {
				const t = (z - o[2]) / d[2];
				const p = on(o, d, t);
				if (p[0] ** 2 + p[1] ** 2 <= r * r) take(t, [0, 0, up]);
			}
			return best;
		}
	};
};

export const ring = (R: number, r: number, colour: V = [70, 90, 150]): Solid => ({
	volumeMl: (2 * Math.PI ** 2 * R * r * r) / 1000,
	areaMm2: 4 * Math.PI ** 2 * R * r,
	colour,
	reachMm: Math.hypot(R + r, 2 * r),
	hit(o, d) {
		const ends = [(2 * r - o[2]) / d[2], -o[2] / d[2]];
		let t = Math.max(0, Math.min(...ends));
		for (let i = 0; i < 300 && t <= Math.max(...ends); i++) {
			const p = on(o, d, t);
			const q = Math.hypot(p[0], p[1]);
			const off = Math.hypot(q - R, p[2] - r) - r;
			if (off < 1e-3) return { t, n: unit([(p[0] * (q - R)) / q, (p[1] * (q - R)) / q, p[2] - r]) };
			t += off;
		}
		return undefined;
	}
});

/** A beaker: a cylinder with a round hollow from above that no picture from outside can measure. */
export const beaker = (r: number, h: number, hollowR: number, depth: number): Solid => {
	const outer = cone(r, r, h, [120, 110, 150]);
	return { ...outer, volumeMl: outer.volumeMl - (Math.PI * hollowR ** 2 * depth) / 1000 };
};

/** A body that stands so much higher. */
export const raised = (solid: Solid, byMm: number): Solid => ({
	...solid,
	reachMm: solid.reachMm + byMm,
	hit: (o, d) => solid.hit([o[0], o[1], o[2] - byMm], d)
});

/** Bodies that stand in each other: the first that a ray meets; what they share is to be taken off by the caller. */
export const together = (solids: readonly Solid[], sharedMl: number): Solid => ({
	volumeMl: solids.reduce((sum, s) => sum + s.volumeMl, 0) - sharedMl,
	areaMm2: NaN,
	colour: solids[0]!.colour,
	reachMm: Math.max(...solids.map((s) => s.reachMm)),
	hit(o, d) {
		let best: Hit | undefined;
		for (const s of solids) {
			const h = s.hit(o, d);
			if (h && (!best || h.t < best.t)) best = h;
		}
		return best;
	}
});

/** A camera of these tests: focal length and middle in pixels, a lens that bends. */
export interface Lens {
	w: number;
	h: number;
	f: number;
	cx: number;
	cy: number;
	k1: number;
	k2: number;
}
/** Where it stands and how it looks: rows of the turn, and the shift. */
export interface Stand {
	at: V;
	rows: readonly number[];
	shift: V;
}

/** A camera at a place that looks at another, turned about its line of sight. */
export function stand(at: V, target: V, roll = 0): Stand {
	const z = unit([target[0] - at[0], target[1] - at[1], target[2] - at[2]]);
	const x = unit([z[1], -z[0], 0]);
	const y: V = [z[1] * x[2] - z[2] * x[1], z[2] * x[0] - z[0] * x[2], z[0] * x[1] - z[1] * x[0]];
	const [c, s] = [Math.cos(roll), Math.sin(roll)];
	const turned = [x.map((v, i) => c * v + s * y[i]!), y.map((v, i) => c * v - s * x[i]!)] as unknown as [
		V,
		V
	];
	const rows = [...turned[0], ...turned[1], ...z];
	return { at, rows, shift: [-dot(turned[0], at), -dot(turned[1], at), -dot(z, at)] };
}

/** Sixteen places: seven low, five in the middle, three high, one from above; held by hand, so nothing is even. */
export function sixteen(farMm: number, middleMm: number): Stand[] {
	const places: V[] = [];
	for (const [count, up, from] of [
		[7, 18, 0],
		[5, 38, 0.3],
		[3, 58, 0.1]
	] as const)
		for (let i = 0; i < count; i++) {
			const a = (2 * Math.PI * i) / count + from + 0.05 * Math.sin(7 * i);
			const e = ((up + 3 * Math.sin(5 * i)) * Math.PI) / 180;
			places.push([
				farMm * Math.cos(e) * Math.cos(a),
				farMm * Math.cos(e) * Math.sin(a),
				farMm * Math.sin(e) + middleMm / 2
			]);
		}
	places.push([20, -43, farMm]);
	return places.map((at, i) =>
		stand(at, [3 * Math.sin(i), 4 * Math.cos(i), middleMm], 0.05 * Math.sin(3 * i))
	);
}

/** Numbers from 0 to 1 that look like chance and are the same each time (mulberry32, public domain). */
export function chance(seed: number): () => number {
	let s = seed >>> 0;
	return () => {
		s = (s + 0x6d2b79f5) | 0;
		let t = Math.imul(s ^ (s >>> 15), 1 | s);
		t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
		return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
	};
}

/** The direction of a pixel in the world. */
function sight({ f, cx, cy, k1, k2 }: Lens, { rows: r }: Stand, x: number, y: number): V {
	const [u, v] = [(x - cx) / f, (y - cy) / f];
	let [a, b] = [u, v];
	for (let i = 0; i < 6; i++) {
		const q = a * a + b * b;
		const g = 1 + q * (k1 + q * k2);
		[a, b] = [u / g, v / g];
	}
	const along = (c: number) => r[c]! * a + r[c + 3]! * b + r[c + 6]!;
	return unit([along(0), along(1), along(2)]);
}

/** The piece's own outline, pixel by pixel. */
export function silhouette(solid: Solid, lens: Lens, from: Stand): Uint8Array {
	const piece = new Uint8Array(lens.w * lens.h);
	for (let y = 0, i = 0; y < lens.h; y++)
		for (let x = 0; x < lens.w; x++, i++) {
			const d = sight(lens, from, x, y);
			if (near(solid, from.at, d) && solid.hit(from.at, d)) piece[i] = 1;
		}
	return piece;
}

/** How bright a place of the mat is printed, 0 … 1; nothing beyond the sheet. */
export type Print = (x: number, y: number) => number | undefined;

/** A mat as a printer lays it down on a sheet of A4: its layout and its dictionary are all that is taken from the core. */
export const printed =
	(size: MatSize): Print =>
	(x, y) => {
		if (Math.abs(x) > 105 || Math.abs(y) > 148.5) return undefined;
		for (const m of MATS[size].markers) {
			if (Math.abs(x - m.xMm) > m.edgeMm / 2 || Math.abs(y - m.yMm) > m.edgeMm / 2) continue;
			const [u, v] = [((x - m.xMm) / m.edgeMm + 0.5) * 6, (0.5 - (y - m.yMm) / m.edgeMm) * 6];
			if (u < 0 || v < 0 || u >= 6 || v >= 6) continue;
			const [column, row] = [Math.floor(u), Math.floor(v)];
			const border = column % 5 === 0 || row % 5 === 0;
			return border || !isWhite(m.id, row - 1, column - 1) ? 0.12 : 1;
		}
		return 1;
	};

export interface Scene {
	solid?: Solid;
	print: Print;
	lens: Lens;
	from: Stand;
	seed: number;
	/** Of the light, 1 in full day. */
	light?: number;
	noise?: number;
}

/** Light from a window: where it comes from, and how much comes from all round. */
const SUN = unit([0.5, -0.3, 1]);
const ROUND = 0.35;

/** A picture with shading, a soft shadow, noise and a table beyond the mat; finer where neighbours differ. */
export function picture({ solid, print, lens, from, seed, light = 1, noise = 2 }: Scene): {
	width: number;
	height: number;
	data: Uint8ClampedArray;
} {
	const random = chance(seed);
	const lamps = Array.from({ length: 4 }, () =>
		unit([SUN[0] + 0.12 * (random() - 0.5), SUN[1] + 0.12 * (random() - 0.5), SUN[2]])
	);
	const colourOf = (x: number, y: number): V => {
		const d = sight(lens, from, x, y);
		const hit = solid && near(solid, from.at, d) ? solid.hit(from.at, d) : undefined;
		if (hit) {
			const lit = ROUND + (1 - ROUND) * Math.max(0, dot(hit.n, SUN));
			return solid!.colour.map((c) => c * lit) as unknown as V;
		}
		if (d[2] >= 0) return [190, 200, 215];
		const p = on(from.at, d, -from.at[2] / d[2]);
		const ground: V = [p[0], p[1], 1e-3];
		const shone = solid
			? lamps.filter((l) => !near(solid, ground, l) || !solid.hit(ground, l)).length / 4
			: 1;
		const s = 0.55 + 0.45 * shone;
		const m = print(p[0], p[1]);
		return m === undefined ? [150 * s, 125 * s, 100 * s] : [235 * s * m, 233 * s * m, 228 * s * m];
	};
	const { w, h } = lens;
	const first = new Float32Array(3 * w * h);
	for (let y = 0, o = 0; y < h; y++) for (let x = 0; x < w; x++, o += 3) first.set(colourOf(x, y), o);
	const unlike = (o: number, p: number) =>
		Math.abs(first[o]! - first[p]!) > 6 ||
		Math.abs(first[o + 1]! - first[p + 1]!) > 6 ||
		Math.abs(first[o + 2]! - first[p + 2]!) > 6;
	const differs = (o: number, x: number, y: number) =>
		(x > 0 && unlike(o, o - 3)) ||
		(x < w - 1 && unlike(o, o + 3)) ||
		(y > 0 && unlike(o, o - 3 * w)) ||
		(y < h - 1 && unlike(o, o + 3 * w));
	const data = new Uint8ClampedArray(4 * w * h);
	const gauss = () => Math.sqrt(-2 * Math.log(random() + 1e-12)) * Math.cos(2 * Math.PI * random());
	for (let y = 0, o = 0, i = 0; y < h; y++)
		for (let x = 0; x < w; x++, o += 3, i += 4) {
			let c: number[] = [...first.subarray(o, o + 3)];
			if (differs(o, x, y)) {
				const fine = [-0.25, 0.25].flatMap((dx) => [-0.25, 0.25].map((dy) => colourOf(x + dx, y + dy)));
				c = [0, 1, 2].map((k) => fine.reduce((sum, f) => sum + f[k]!, 0) / 4);
			}
			for (let k = 0; k < 3; k++) data[i + k] = c[k]! * light + noise * gauss();
			data[i + 3] = 255;
		}
	return { width: w, height: h, data };
}

/** A picture as if it were out of focus: the mean of so many pixels round each, twice. */
export function blurred(
	p: { width: number; height: number; data: Uint8ClampedArray },
	reach: number
): typeof p {
	let from = p.data;
	for (const [step, n, lines, other] of [
		[4, p.width, p.height, 4 * p.width],
		[4 * p.width, p.height, p.width, 4],
		[4, p.width, p.height, 4 * p.width],
		[4 * p.width, p.height, p.width, 4]
	] as const) {
		const into = new Uint8ClampedArray(from.length);
		for (let l = 0; l < lines; l++)
			for (let c = 0; c < 4; c++) {
				let sum = 0;
				const at = (i: number) => from[l * other + Math.min(n - 1, Math.max(0, i)) * step + c]!;
				for (let i = -reach; i <= reach; i++) sum += at(i);
				for (let i = 0; i < n; i++) {
					into[l * other + i * step + c] = sum / (2 * reach + 1);
					sum += at(i + reach + 1) - at(i - reach);
				}
			}
		from = into;
	}
	return { ...p, data: from };
}
