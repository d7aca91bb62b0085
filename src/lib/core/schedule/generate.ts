import { Heap } from './heap';
import type { Net } from './net';
import { Timelines } from './timelines';

/** A group is begun later so often at most before it is given up in this order. */
const MOST_SHIFTS = 2000;

/** Which groups come after each, and how many come before. */
export interface GroupOrder {
	after: readonly (readonly number[])[];
	waits: Int32Array;
}

/** The order of the groups that the lags ask for. */
export function groupOrder(net: Net): GroupOrder {
	const waits = new Int32Array(net.groups.length);
	const after = net.groups.map((members, g) => {
		const next = new Set(members.flatMap((i) => net.out[i]!.map(({ to }) => net.groupOf[to]!)));
		next.delete(g);
		return [...next];
	});
	for (const next of after) for (const g of next) waits[g]!++;
	return { after, waits };
}

/**
 * Serial generation (Kolisch, EJOR 90 (1996) 320): groups in the order of their ranks, each at the first moment at which it
 * fits. A member that would come too late after another moves that one later, and its group is placed anew.
 * @param earliestS of each activity, as if there were enough of everything
 * @param rank of each group: lower first, among those whose predecessors are placed
 * @returns starts, s; or nothing where a group could not be placed in this order
 */
export function generate(
	net: Net,
	order: GroupOrder,
	earliestS: Float64Array,
	rank: Float64Array
): Float64Array | undefined {
	const start = new Float64Array(net.n).fill(NaN);
	const lines = new Timelines(net);
	for (let i = 0; i < net.n; i++) {
		if (net.latestS[i] === Infinity) continue;
		// what is pinned has its place before anything else looks for one
		start[i] = net.releaseS[i]!;
		if (start[i]! < earliestS[i]! || lines.earliest(i, start[i]!) !== start[i]) return undefined;
		lines.put(i, start[i]!);
	}
	const waits = order.waits.slice();
	const ready = new Heap((a, b) => rank[a]! - rank[b]! || a - b);
	waits.forEach((w, g) => w === 0 && ready.push(g));
	for (let g = ready.pop(); g !== undefined; g = ready.pop()) {
		if (!place(net, earliestS, net.groups[g]!, start, lines)) return undefined;
		for (const next of order.after[g]!) if (--waits[next]! === 0) ready.push(next);
	}
	return start;
}

/** Places the members of a group, all of them or none. */
function place(
	net: Net,
	earliestS: Float64Array,
	group: readonly number[],
	start: Float64Array,
	lines: Timelines
): boolean {
	const least = new Map<number, number>();
	const free = group.filter((i) => net.latestS[i] === Infinity);
	for (const i of free) {
		let t = earliestS[i]!;
		for (const { from, lagS } of net.into[i]!) if (start[from]! + lagS > t) t = start[from]! + lagS;
		least.set(i, t);
	}
	const members = free.length === 1 ? free : free.sort((a, b) => earliestS[a]! - earliestS[b]! || a - b);
	for (let shift = 0; shift < MOST_SHIFTS; shift++) {
		const done: number[] = [];
		let late: { i: number; toS: number } | undefined;
		for (const i of members) {
			let t = least.get(i)!;
			for (const { from, lagS } of net.into[i]!) if (start[from]! + lagS > t) t = start[from]! + lagS;
			t = lines.earliest(i, t);
			if (t === Infinity) break;
			for (const { to, lagS } of net.out[i]!) if (start[to]! < t + lagS) late = { i: to, toS: t + lagS };
			if (late) break;
			start[i] = t;
			lines.put(i, t);
			done.push(i);
		}
		if (done.length === members.length) return true;
		for (const i of done) {
			lines.remove(i, start[i]!);
			start[i] = NaN;
		}
		// one of another group is placed already and cannot be later
		if (!late || !least.has(late.i)) return false;
		least.set(late.i, late.toS);
	}
	return false;
}
