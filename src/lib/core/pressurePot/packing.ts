/** Something that stands on a round shelf, seen from above, mm. */
export type Footprint =
	| { readonly shape: 'round'; readonly diameterMm: number }
	| { readonly shape: 'rectangular'; readonly lengthMm: number; readonly widthMm: number };

/** Where it stands: its middle from the middle of the shelf, and whether it is turned by a quarter. */
export interface Placed {
	index: number;
	xMm: number;
	yMm: number;
	turned: boolean;
}

/**
 * Radius of the smallest circle that takes n circles of radius 1: exact for n ≤ 9, where the best lie on a ring,
 * from seven on with one in the middle (Pirl, Math. Nachr. 40 (1969) 111, proved to ten).
 * @throws RangeError when a number is outside its range.
 * @example
 * ringRadius(3); // 2.1547
 */
export function ringRadius(n: number): number {
	if (!(Number.isInteger(n) && n >= 1 && n <= 9)) throw new RangeError(`ringRadius: 1…9 circles, got ${n}`);
	if (n === 1) return 1;
	const ring = n >= 7 ? n - 1 : n;
	return Math.max(1 + 1 / Math.sin(Math.PI / ring), n >= 7 ? 3 : 0);
}

interface Body {
	index: number;
	/** Half sizes; of a round one the radius twice. */
	hx: number;
	hy: number;
	round: boolean;
	x: number;
	y: number;
	turned: boolean;
}

/** Gap between two bodies; less than nothing when they overlap. */
function gap(a: Body, b: Body): number {
	if (a.round && b.round) return Math.hypot(a.x - b.x, a.y - b.y) - a.hx - b.hx;
	if (!a.round && !b.round)
		return Math.max(Math.abs(a.x - b.x) - a.hx - b.hx, Math.abs(a.y - b.y) - a.hy - b.hy);
	const [disc, box] = a.round ? [a, b] : [b, a];
	const dx = Math.max(0, Math.abs(disc.x - box.x) - box.hx);
	const dy = Math.max(0, Math.abs(disc.y - box.y) - box.hy);
	// a middle inside the box is as deep in as the nearest side
	if (dx === 0 && dy === 0)
		return Math.max(Math.abs(disc.x - box.x) - box.hx, Math.abs(disc.y - box.y) - box.hy) - disc.hx;
	return Math.hypot(dx, dy) - disc.hx;
}

/** How far a body stays inside a shelf of this radius; less than nothing when it sticks out. */
function inside(b: Body, radius: number): number {
	if (b.round) return radius - b.hx - Math.hypot(b.x, b.y);
	return radius - Math.hypot(Math.abs(b.x) + b.hx, Math.abs(b.y) + b.hy);
}

const EPS = 1e-6;
const fits = (b: Body, placed: readonly Body[], radius: number) =>
	inside(b, radius) >= -EPS && placed.every((p) => gap(b, p) >= -EPS);

/** Places where a disc touches two of: the shelf's wall, other discs. */
function touching(r: number, placed: readonly Body[], radius: number): [number, number][] {
	const spots: [number, number][] = [[0, 0]];
	const R = radius - r;
	if (R < -EPS) return [];
	if (placed.length === 0) return [[-R, 0], ...spots];
	const circles = [
		{ x: 0, y: 0, d: R },
		...placed.filter((p) => p.round).map((p) => ({ x: p.x, y: p.y, d: p.hx + r }))
	];
	for (let i = 0; i < circles.length; i++)
		for (let j = i + 1; j < circles.length; j++) spots.push(...crossing(circles[i]!, circles[j]!));
	return spots;
}

function crossing(
	a: { x: number; y: number; d: number },
	b: { x: number; y: number; d: number }
): [number, number][] {
	const D = Math.hypot(b.x - a.x, b.y - a.y);
	if (D < EPS || D > a.d + b.d + EPS || D < Math.abs(a.d - b.d) - EPS) return [];
	const along = (D * D + a.d * a.d - b.d * b.d) / (2 * D);
	const up = Math.sqrt(Math.max(0, a.d * a.d - along * along));
	const [ux, uy] = [(b.x - a.x) / D, (b.y - a.y) / D];
	const [mx, my] = [a.x + ux * along, a.y + uy * along];
	return [
		[mx - uy * up, my + ux * up],
		[mx + uy * up, my - ux * up]
	];
}

/** A grid over the shelf for bodies that are not round, from the wall inwards. */
function grid(radius: number): [number, number][] {
	const step = Math.max(radius / 24, 1);
	const spots: { at: [number, number]; out: number }[] = [];
	for (let x = -radius; x <= radius; x += step)
		for (let y = -radius; y <= radius; y += step) {
			const out = Math.hypot(x, y);
			if (out <= radius) spots.push({ at: [x, y], out });
		}
	return spots.sort((a, b) => b.out - a.out).map(({ at }) => at);
}

/** Pushes a body that fits as far out as it goes, so that the middle stays free. */
function pushed(b: Body, placed: readonly Body[], radius: number): Body {
	let best = b;
	for (const [ux, uy] of [
		[-1, 0],
		[0, -1],
		[0, 1],
		[1, 0]
	] as const) {
		let step = radius / 8;
		let here = best;
		while (step > radius / 2000) {
			const next = { ...here, x: here.x + ux * step, y: here.y + uy * step };
			if (Math.hypot(next.x, next.y) > Math.hypot(here.x, here.y) && fits(next, placed, radius)) here = next;
			else step /= 2;
		}
		best = here;
	}
	return best;
}

function bodyOf(f: Footprint, index: number, marginMm: number): Body {
	const half = marginMm / 2;
	return f.shape === 'round'
		? { index, hx: f.diameterMm / 2 + half, hy: 0, round: true, x: 0, y: 0, turned: false }
		: { index, hx: f.lengthMm / 2 + half, hy: f.widthMm / 2 + half, round: false, x: 0, y: 0, turned: false };
}

/** One attempt in a given order: each body to the first place that it fits. */
function attempt(order: readonly Body[], radius: number, spots: readonly [number, number][]): Body[] {
	const placed: Body[] = [];
	for (const body of order) {
		const turns = body.round ? [body] : [body, { ...body, hx: body.hy, hy: body.hx, turned: true }];
		let best: Body | undefined;
		for (const t of turns) {
			const candidates = t.round
				? [...touching(t.hx, placed, radius), ...(placed.some((p) => !p.round) ? spots : [])]
				: spots;
			for (const [x, y] of candidates) {
				const here = { ...t, x, y };
				if (!fits(here, placed, radius)) continue;
				// outermost first: the middle stays for what comes last
				if (!best || Math.hypot(x, y) > Math.hypot(best.x, best.y) + EPS) best = here;
				if (!t.round) break;
			}
		}
		if (best) placed.push(best.round ? best : pushed(best, placed, radius));
	}
	return placed;
}

/** Equal discs on a ring, one more in the middle: the exact answer for few. */
function ring(bodies: readonly Body[], radius: number): Body[] | undefined {
	const n = bodies.length;
	const r = bodies[0]?.hx ?? 0;
	if (n === 0 || n > 9 || bodies.some((b) => !b.round || Math.abs(b.hx - r) > EPS)) return undefined;
	if (radius < r * ringRadius(n) - EPS) return undefined;
	const outer = n >= 7 ? n - 1 : n;
	if (n === 1) return [{ ...bodies[0]! }];
	return bodies.map((b, i) => {
		if (i === outer) return { ...b, x: 0, y: 0 };
		const angle = (2 * Math.PI * i) / outer;
		return { ...b, x: (radius - r) * Math.cos(angle), y: (radius - r) * Math.sin(angle) };
	});
}

/**
 * Which of these stand together on a round shelf, and where. Exact for up to nine equal rounds; otherwise largest
 * first to the outermost place that it fits, in several orders, the attempt that places the most area kept.
 * @param marginMm kept free between any two and the wall
 * @returns those that were placed; what is missing did not go in
 * @throws RangeError when a number is outside its range.
 * @example
 * packShelf(
 *   [
 *     { shape: 'round', diameterMm: 80 },
 *     { shape: 'round', diameterMm: 80 }
 *   ],
 *   200
 * ).length; // 2
 */
export function packShelf(things: readonly Footprint[], diameterMm: number, marginMm = 0): Placed[] {
	if (!(diameterMm > 0)) throw new RangeError(`packShelf: the shelf must have a size, got ${diameterMm}`);
	const radius = diameterMm / 2 - marginMm / 2;
	const bodies = things.map((f, i) => bodyOf(f, i, marginMm));
	const areaOf = (b: Body) => (b.round ? Math.PI * b.hx * b.hx : 4 * b.hx * b.hy);
	const bySize = [...bodies].sort((a, b) => areaOf(b) - areaOf(a));
	const spots = bodies.some((b) => !b.round) ? grid(radius) : [];
	const orders = [
		bySize,
		[...bySize].sort((a, b) => Math.max(b.hx, b.hy) - Math.max(a.hx, a.hy)),
		[...bySize].reverse(),
		// what does not go in first may go in beside the others
		...bySize.slice(0, 4).map((_, k) => [...bySize.slice(k + 1), ...bySize.slice(0, k + 1)])
	];
	const worth = (p: readonly Body[]) => p.length * 1e9 + p.reduce((sum, b) => sum + areaOf(b), 0);
	let best = ring(bodies, radius) ?? [];
	for (const order of orders) {
		// nothing is better than all of them
		if (best.length === bodies.length) break;
		const tried = attempt(order, radius, spots);
		if (worth(tried) > worth(best)) best = tried;
	}
	return best
		.map(({ index, x, y, turned }) => ({ index, xMm: x, yMm: y, turned }))
		.sort((a, b) => a.index - b.index);
}
