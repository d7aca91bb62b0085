import { openFor } from './earliest';
import { preemptive, usersOf } from './bound';
import type { Net } from './net';
import type { Found } from './improve';
import { better, valueOf, type Value } from './value';

/** Projects of more activities are left to the search by chance. */
export const MOST_EXACT = 40;

/** How far a search through all schedules has come. */
export interface Searched {
	/** The best found. */
	best: Found | undefined;
	/** Nothing better exists, or nothing at all where none was found. */
	done: boolean;
}

/** A point of the search: longest ways between all pairs, and the least starts by them. */
interface Node {
	way: Float64Array;
	startS: Float64Array;
}

/**
 * Branch and bound over what meets on a resource: of those that take too much at the first such moment, one has to end before
 * another begins (De Reyck & Herroelen, EJOR 111 (1998) 152). Least starts by longest ways and calendars; a branch that holds
 * nothing better is left, and one that cannot hold is left at once. Ends with the proof.
 * @param earliestS least starts that keep lags and calendars
 * @yields after every branch what is known
 */
export function* searchAll(
	net: Net,
	earliestS: Float64Array,
	first: () => Found | undefined
): Generator<Searched, Searched> {
	let best = first();
	const singles = net.capacity.flatMap((c, r) => (c === 1 && !net.calendars[r] ? [usersOf(net, r)] : []));
	const root = { way: waysOf(net), startS: earliestS.slice() };
	const stack: Node[] = [root];
	for (let node = stack.pop(); node; node = stack.pop()) {
		const other = first();
		if (other && (!best || better(other.value, best.value))) best = other;
		yield { best, done: false };
		if (best && !better(leastOf(net, node, singles, best.value), best.value)) continue;
		const met = meeting(net, node.startS);
		if (!met) {
			const found = { startS: node.startS, value: valueOf(net, node.startS) };
			if (!best || better(found.value, best.value)) best = found;
			continue;
		}
		const children: { node: Node; least: Value }[] = [];
		for (const i of met)
			for (const j of met) {
				const child = i === j ? undefined : withArc(net, node, i, j, net.durationS[i]!);
				if (!child) continue;
				const least = leastOf(net, child, singles, best?.value);
				if (!best || better(least, best.value)) children.push({ node: child, least });
			}
		// the most promising is looked at first: it lies on top
		children.sort((a, b) => b.least.lateS - a.least.lateS || b.least.finishS - a.least.finishS);
		for (const child of children) stack.push(child.node);
	}
	return { best, done: true };
}

/** Longest ways by lags between all pairs; minus infinity for none. */
function waysOf(net: Net): Float64Array {
	const n = net.n;
	const way = new Float64Array(n * n).fill(-Infinity);
	for (let i = 0; i < n; i++) {
		way[i * n + i] = 0;
		for (const { to, lagS } of net.out[i]!) way[i * n + to] = Math.max(way[i * n + to]!, lagS);
	}
	for (let k = 0; k < n; k++)
		for (let i = 0; i < n; i++) {
			const first = way[i * n + k]!;
			if (first === -Infinity) continue;
			for (let j = 0; j < n; j++) {
				const t = first + way[k * n + j]!;
				if (t > way[i * n + j]!) way[i * n + j] = t;
			}
		}
	return way;
}

/** The point with one more lag; nothing where it cannot hold. */
function withArc(net: Net, node: Node, i: number, j: number, lagS: number): Node | undefined {
	const n = net.n;
	if (node.way[j * n + i]! + lagS > 0) return undefined;
	const way = node.way.slice();
	for (let a = 0; a < n; a++) {
		const to = way[a * n + i]!;
		if (to === -Infinity) continue;
		for (let b = 0; b < n; b++) {
			const t = to + lagS + node.way[j * n + b]!;
			if (t > way[a * n + b]!) way[a * n + b] = t;
		}
	}
	const startS = node.startS.slice();
	let queue = [i];
	while (queue.length > 0) {
		const next: number[] = [];
		for (const a of queue)
			for (let b = 0; b < n; b++) {
				const t = startS[a]! + way[a * n + b]!;
				if (t <= startS[b]!) continue;
				startS[b] = openFor(net, b, t);
				if (startS[b] === Infinity || startS[b]! > net.latestS[b]!) return undefined;
				next.push(b);
			}
		queue = next;
	}
	return { way, startS };
}

/** No schedule below this point is better. */
function leastOf(net: Net, node: Node, singles: readonly number[][], best: Value | undefined): Value {
	const least = valueOf(net, node.startS);
	if (best && !better(least, best)) return least;
	const n = net.n;
	const tail = new Float64Array(n);
	for (let i = 0; i < n; i++)
		for (let j = 0; j < n; j++) {
			const t = node.way[i * n + j]! + net.durationS[j]! - net.durationS[i]!;
			if (t > tail[i]!) tail[i] = t;
		}
	for (const users of singles)
		if (users.length > 1) least.finishS = Math.max(least.finishS, preemptive(net, users, node.startS, tail));
	return least;
}

/** All that take some of a resource, whether they are waited for or not. */
const takersOf = (net: Net, r: number) =>
	Array.from({ length: net.n }, (_, i) => i).filter((i) => net.needs[i]!.some((x) => x.resource === r));

/** Those that take too much of a resource at the first moment at which that happens. */
function meeting(net: Net, startS: Float64Array): number[] | undefined {
	let found: number[] | undefined;
	let firstS = Infinity;
	net.capacity.forEach((capacity, r) => {
		const users = takersOf(net, r);
		for (const u of users) {
			const t = startS[u]!;
			if (t >= firstS) continue;
			const active = users.filter((i) => startS[i]! <= t && startS[i]! + net.durationS[i]! > t);
			const used = active.reduce((sum, i) => sum + net.needs[i]!.find((x) => x.resource === r)!.amount, 0);
			if (used > capacity) [found, firstS] = [active, t];
		}
	});
	return found;
}
