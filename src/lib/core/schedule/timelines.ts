import type { Net } from './net';
import { inOpening } from './openings';

/** What is placed on one resource, by start. */
interface Line {
	start: number[];
	end: number[];
	amount: number[];
	id: number[];
	longestS: number;
}

/** Who is where when: for each resource what is placed on it. */
export class Timelines {
	readonly #net: Net;
	readonly #lines: Line[];
	constructor(net: Net) {
		this.#net = net;
		this.#lines = net.capacity.map(() => ({ start: [], end: [], amount: [], id: [], longestS: 0 }));
	}

	put(i: number, startS: number): void {
		const d = this.#net.durationS[i]!;
		for (const { resource, amount } of this.#net.needs[i]!) {
			const line = this.#lines[resource]!;
			const at = upper(line.start, startS);
			line.start.splice(at, 0, startS);
			line.end.splice(at, 0, startS + d);
			line.amount.splice(at, 0, amount);
			line.id.splice(at, 0, i);
			if (d > line.longestS) line.longestS = d;
		}
	}

	remove(i: number, startS: number): void {
		for (const { resource } of this.#net.needs[i]!) {
			const line = this.#lines[resource]!;
			let at = upper(line.start, startS) - 1;
			while (line.id[at] !== i) at--;
			for (const list of [line.start, line.end, line.amount, line.id]) list.splice(at, 1);
		}
	}

	/** The first moment from `fromS` on at which all that an activity needs is there for as long as it takes, s; Infinity for never. */
	earliest(i: number, fromS: number): number {
		const d = this.#net.durationS[i]!;
		let t = fromS;
		for (let again = true; again;) {
			again = false;
			for (const { resource, amount } of this.#net.needs[i]!) {
				const open = inOpening(this.#net.calendars[resource], t, d);
				const free = open === Infinity ? open : this.#free(resource, amount, open, d);
				if (free > t) [t, again] = [free, true];
				if (t === Infinity) return t;
			}
		}
		return t;
	}

	/** The first moment from `fromS` on at which so much is left over for as long as `d`. */
	#free(resource: number, amount: number, fromS: number, d: number): number {
		const line = this.#lines[resource]!;
		const room = this.#net.capacity[resource]! - amount;
		if (room < 0) return Infinity;
		for (let t = fromS; ;) {
			const next = blockedUntil(line, room, t, d);
			if (next === undefined) return t;
			t = next;
		}
	}
}

/** Where more than `room` is taken at some time within `d` from `t` on: the first end of those that take it. */
function blockedUntil(line: Line, room: number, t: number, d: number): number | undefined {
	const active: number[] = [];
	let used = 0;
	// what is taken rises at starts only, and is looked at there
	for (let at = upper(line.start, t - line.longestS); at < line.start.length; at++) {
		const s = line.start[at]!;
		if (s >= t + d) return undefined;
		if (line.end[at]! <= t) continue;
		for (let k = active.length - 1; k >= 0; k--) {
			if (line.end[active[k]!]! > s) continue;
			used -= line.amount[active[k]!]!;
			active.splice(k, 1);
		}
		active.push(at);
		used += line.amount[at]!;
		if (used > room) return Math.min(...active.map((a) => line.end[a]!));
	}
	return undefined;
}

/** First place behind all that are at most `value`. */
function upper(list: readonly number[], value: number): number {
	let lo = 0;
	let hi = list.length;
	while (lo < hi) {
		const mid = (lo + hi) >> 1;
		if (list[mid]! <= value) lo = mid + 1;
		else hi = mid;
	}
	return lo;
}
