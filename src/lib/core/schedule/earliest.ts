import type { Net } from './net';
import { inOpening } from './openings';

/** Earliest starts, or that there are none: activities that cannot hold together, each later because of the next. */
export type Earliest = { ok: true; startS: Float64Array } | { ok: false; chain: number[] };

/** The first moment from `t` on at which all that an activity needs is open together; Infinity for never. */
export function openFor(net: Net, i: number, t: number): number {
	const d = net.durationS[i]!;
	for (let again = true; again && t !== Infinity;) {
		again = false;
		for (const { resource } of net.needs[i]!) {
			const open = inOpening(net.calendars[resource], t, d);
			if (open > t) [t, again] = [open, true];
		}
	}
	return t;
}

/**
 * The least starts that keep lags, calendars and pins, as if there were enough of everything: no schedule begins anything
 * earlier. Each rule only ever makes something later, so that the first moment at which all rest is the least one.
 * A circle of lags that grows, something that is never open, or a pin that cannot be kept is the proof that there is no schedule.
 */
export function earliestStarts(net: Net): Earliest {
	const startS = Float64Array.from({ length: net.n }, (_, i) => openFor(net, i, net.releaseS[i]!));
	const by = new Int32Array(net.n).fill(-1);
	const never = startS.findIndex((t, i) => t > net.latestS[i]! || t === Infinity);
	if (never >= 0) return { ok: false, chain: [never] };
	const circle = growing(net);
	if (circle) return { ok: false, chain: circle };
	let queue = Array.from({ length: net.n }, (_, i) => i);
	const queued = new Uint8Array(net.n).fill(1);
	while (queue.length > 0) {
		const next: number[] = [];
		for (const i of queue) {
			queued[i] = 0;
			for (const { to, lagS } of net.out[i]!) {
				if (startS[i]! + lagS <= startS[to]!) continue;
				startS[to] = openFor(net, to, startS[i]! + lagS);
				by[to] = i;
				if (startS[to] === Infinity || startS[to]! > net.latestS[to]!)
					return { ok: false, chain: chainOf(by, to) };
				if (queued[to]) continue;
				queued[to] = 1;
				next.push(to);
			}
		}
		queue = next;
	}
	return { ok: true, startS };
}

/** Lags that lead round to where they began, later than it: looked for without calendars, where it would never end. */
function growing(net: Net): number[] | undefined {
	const reach = new Float64Array(net.n);
	const by = new Int32Array(net.n).fill(-1);
	let last = -1;
	for (let round = 0; round <= net.n; round++) {
		last = -1;
		for (let i = 0; i < net.n; i++)
			for (const { to, lagS } of net.out[i]!)
				if (reach[i]! + lagS > reach[to]!) {
					reach[to] = reach[i]! + lagS;
					by[to] = i;
					last = to;
				}
		if (last < 0) return undefined;
	}
	for (let k = 0; k < net.n; k++) last = by[last]!;
	const circle = [last];
	for (let k = by[last]!; k !== last; k = by[k]!) circle.push(k);
	return circle.reverse();
}

/** What made one later, back to where it began or came round. */
function chainOf(by: Int32Array, last: number): number[] {
	const chain: number[] = [];
	for (let i = last; i >= 0 && !chain.includes(i); i = by[i]!) chain.push(i);
	return chain.reverse();
}
