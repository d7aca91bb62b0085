import { generate, type GroupOrder } from './generate';
import type { Net } from './net';
import { better, valueOf, type Value } from './value';

/** Orders tried in the first cooling; each one after it is twice as long, whatever the budget is. */
const FIRST_COOLING = 400;
/** Share of the end by which a worse order is taken at the hottest, and at the coldest. */
const HOT = 0.02;
const COLD = 0.001;
/** A second late counts like so many of the end while orders are compared by chance. */
const LATE_COUNTS = 4;

/** The best starts so far, with the order of groups that gave them. */
export interface Found {
	startS: Float64Array;
	value: Value;
}

/**
 * Local search over the orders of generation, one order a step: what a late or last activity waits for on a resource changes
 * place with it, and worse orders are taken by a falling chance (van Laarhoven, Aarts & Lenstra, Oper. Res. 40 (1992) 113).
 * Coolings do not know of the budget, so that a longer run begins with the whole of a shorter one.
 * @yields the best found, after every order
 */
export function* improve(
	net: Net,
	order: GroupOrder,
	earliestS: Float64Array,
	first: Found,
	chance: () => number
): Generator<Found, never> {
	let best = first;
	for (let length = FIRST_COOLING; ; length *= 2) {
		let now = best;
		for (let step = 0; step < length; step++) {
			const rank = neighbour(net, now.startS, chance);
			const startS = rank && generate(net, order, earliestS, rank);
			if (startS) {
				const found = { startS, value: valueOf(net, startS) };
				const heat = best.value.finishS * HOT * (COLD / HOT) ** (step / length);
				if (chance() < Math.exp((cost(now.value) - cost(found.value)) / heat)) now = found;
				if (better(found.value, best.value)) best = found;
			}
			yield best;
		}
	}
}

const cost = ({ lateS, finishS }: Value) => finishS + LATE_COUNTS * lateS;

/** Ranks of groups by their starts. */
export function ranksOf(net: Net, startS: Float64Array): Float64Array {
	return Float64Array.from(net.groups, (members) => {
		let t = Infinity;
		for (const i of members) if (startS[i]! < t) t = startS[i]!;
		return t;
	});
}

/** Ranks in which two groups have changed places that meet on the way to what is late or last. */
function neighbour(net: Net, startS: Float64Array, chance: () => number): Float64Array | undefined {
	const pairs = waitsBefore(net, startS, target(net, startS, chance), chance);
	const pair = pairs[Math.floor(chance() * pairs.length)];
	const rank = ranksOf(net, startS);
	if (!pair) return undefined;
	const [a, b] = [net.groupOf[pair[0]]!, net.groupOf[pair[1]]!];
	const [rankA, rankB] = [rank[a]!, rank[b]!];
	rank[b] = Math.min(rankA, rankB) - 0.5;
	rank[a] =
		Math.max(rankA, rankB) === rankA ? rankA + 0.25 : rankA + 0.25 + (chance() < 0.3 ? rankB - rankA : 0);
	return rank;
}

/** One that is late, by its weight, or else the one that ends last. */
function target(net: Net, startS: Float64Array, chance: () => number): number {
	let sum = 0;
	let last = 0;
	const late: number[] = [];
	for (let i = 0; i < net.n; i++) {
		const end = startS[i]! + net.durationS[i]!;
		if (net.counts[i] && end > startS[last]! + net.durationS[last]!) last = i;
		if (end > net.dueS[i]!) {
			late.push(i);
			sum += net.weight[i]! * (end - net.dueS[i]!);
		}
	}
	if (late.length === 0 || chance() < 0.1) return last;
	let at = chance() * sum;
	for (const i of late) {
		at -= net.weight[i]! * (startS[i]! + net.durationS[i]! - net.dueS[i]!);
		if (at <= 0) return i;
	}
	return last;
}

/** What ends where the next one begins, on a resource that both take, on one way back from an activity. */
function waitsBefore(
	net: Net,
	startS: Float64Array,
	from: number,
	chance: () => number
): (readonly [number, number])[] {
	const endsAt = new Map<number, number[]>();
	for (let i = 0; i < net.n; i++) {
		const end = startS[i]! + net.durationS[i]!;
		const list = endsAt.get(end);
		if (list) list.push(i);
		else endsAt.set(end, [i]);
	}
	const pairs: (readonly [number, number])[] = [];
	const seen = new Set<number>();
	for (let i = from; !seen.has(i);) {
		seen.add(i);
		const t = startS[i]!;
		const byLag = net.into[i]!.filter((arc) => startS[arc.from]! + arc.lagS === t && !seen.has(arc.from));
		const byUse = (endsAt.get(t) ?? []).filter(
			(k) => k !== i && !seen.has(k) && net.groupOf[k] !== net.groupOf[i] && share(net, k, i)
		);
		for (const k of byUse) pairs.push([k, i]);
		const choices = [...byLag.map((arc) => arc.from), ...byUse];
		// a start at the opening of a calendar waits for whatever ended before the closing
		if (choices.length === 0) {
			const before = lastBefore(net, startS, i);
			if (before === undefined || seen.has(before)) break;
			if (net.groupOf[before] !== net.groupOf[i]) pairs.push([before, i]);
			choices.push(before);
		}
		i = choices[Math.floor(chance() * choices.length)]!;
	}
	return pairs;
}

const share = (net: Net, a: number, b: number) =>
	net.needs[a]!.some((x) => net.needs[b]!.some((y) => x.resource === y.resource));

function lastBefore(net: Net, startS: Float64Array, i: number): number | undefined {
	let found: number | undefined;
	for (let k = 0; k < net.n; k++) {
		if (k === i || startS[k]! + net.durationS[k]! > startS[i]! || !share(net, k, i)) continue;
		if (found === undefined || startS[k]! + net.durationS[k]! > startS[found]! + net.durationS[found]!)
			found = k;
	}
	return found;
}
