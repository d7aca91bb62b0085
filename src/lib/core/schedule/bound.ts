import type { Net } from './net';
import { afterWork } from './openings';
import { valueOf, type Value } from './value';

/** Pairs of "begins no earlier" and "leaves so much to do" are looked at for so many of each at most. */
const MOST_STEPS = 160;

/** What follows the end of each activity at the least, by lags alone, s. */
export function tailsOf(net: Net): Float64Array {
	const tail = new Float64Array(net.n);
	let queue = Array.from({ length: net.n }, (_, i) => i);
	const queued = new Uint8Array(net.n).fill(1);
	while (queue.length > 0) {
		const next: number[] = [];
		for (const i of queue) {
			queued[i] = 0;
			for (const { from, lagS } of net.into[i]!) {
				const t = lagS - net.durationS[from]! + net.durationS[i]! + tail[i]!;
				if (t <= tail[from]!) continue;
				tail[from] = t;
				if (queued[from]) continue;
				queued[from] = 1;
				next.push(from);
			}
		}
		queue = next;
	}
	return tail;
}

/**
 * No schedule is better than this: the longest way through lags and calendars, and for each resource the work between the
 * earliest that any of it can begin and the least that follows it; a single one also by Jackson's rule with breaks
 * (Carlier, EJOR 11 (1982) 42).
 * @param earliestS least starts that keep lags and calendars
 */
export function lowerBound(net: Net, earliestS: Float64Array): Value {
	const tail = tailsOf(net);
	const { lateS, finishS } = valueOf(net, earliestS);
	let bound = finishS;
	for (let i = 0; i < net.n; i++)
		if (net.counts[i]) bound = Math.max(bound, earliestS[i]! + net.durationS[i]! + tail[i]!);
	net.capacity.forEach((capacity, r) => {
		const users = usersOf(net, r);
		if (users.length < 2) return;
		bound = Math.max(bound, byWork(net, r, capacity, users, earliestS, tail));
		if (capacity === 1 && !net.calendars[r]) bound = Math.max(bound, preemptive(net, users, earliestS, tail));
	});
	return { lateS, finishS: Math.ceil(bound - 1e-9) };
}

/** Activities that take some of a resource and are waited for. */
export const usersOf = (net: Net, r: number): number[] =>
	Array.from({ length: net.n }, (_, i) => i).filter(
		(i) => net.counts[i] === 1 && net.needs[i]!.some((x) => x.resource === r)
	);

function byWork(
	net: Net,
	r: number,
	capacity: number,
	users: readonly number[],
	earliestS: Float64Array,
	tail: Float64Array
): number {
	const work = (i: number) => net.durationS[i]! * net.needs[i]!.find((x) => x.resource === r)!.amount;
	const levels = (values: number[]) => {
		const all = [...new Set(values)].sort((a, b) => a - b);
		const step = Math.ceil(all.length / MOST_STEPS);
		return all.filter((_, k) => k % step === 0);
	};
	let bound = 0;
	const byTail = [...users].sort((a, b) => tail[b]! - tail[a]!);
	const heads = Float64Array.from(byTail, (i) => earliestS[i]!);
	const tails = Float64Array.from(byTail, (i) => tail[i]!);
	const works = Float64Array.from(byTail, work);
	for (const head of levels([...heads])) {
		let sum = 0;
		for (let k = 0; k < works.length; k++) {
			if (heads[k]! >= head) sum += works[k]!;
			if (sum > 0 && (k + 1 === works.length || tails[k + 1]! < tails[k]!))
				bound = Math.max(bound, afterWork(net.calendars[r], head, sum / capacity) + tails[k]!);
		}
	}
	return bound;
}

/** The longest tail first, broken off when a longer one comes: the least that one machine can do. */
export function preemptive(
	net: Net,
	users: readonly number[],
	headS: Float64Array,
	tail: Float64Array
): number {
	const byHead = [...users].sort((a, b) => headS[a]! - headS[b]!);
	const left = new Map(users.map((i) => [i, net.durationS[i]!]));
	const open: number[] = [];
	let t = 0;
	let bound = 0;
	for (let k = 0; k < byHead.length || open.length > 0;) {
		if (open.length === 0) t = Math.max(t, headS[byHead[k]!]!);
		while (k < byHead.length && headS[byHead[k]!]! <= t) open.push(byHead[k++]!);
		const i = open.reduce((a, b) => (tail[b]! > tail[a]! ? b : a));
		const next = k < byHead.length ? headS[byHead[k]!]! : Infinity;
		const run = Math.min(left.get(i)!, next - t);
		t += run;
		left.set(i, left.get(i)! - run);
		if (left.get(i)! > 0) continue;
		open.splice(open.indexOf(i), 1);
		bound = Math.max(bound, t + tail[i]!);
	}
	return bound;
}
