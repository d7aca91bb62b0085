import { LRUCache } from 'lru-cache';

/** Each may ask so often for long, a second, and so often at once: a page with all its data asks a few dozen times. */
const EACH = { perS: 30, atOnce: 600 };
/** So many who ask are remembered. */
const MOST_KNOWN = 5000;

interface Bucket {
	left: number;
	atMs: number;
}

/** How often each of those who ask may do so: a bucket that fills by itself (token bucket, RFC 2697 calls it a meter). */
export class Rates {
	readonly #buckets = new LRUCache<string, Bucket>({ max: MOST_KNOWN });
	readonly #each: { perS: number; atOnce: number };
	constructor(each = EACH) {
		this.#each = each;
	}

	/** Takes one turn. @returns 0 where there was one; else how long to wait for the next, ms */
	take(who: string, nowMs = Date.now()): number {
		const { perS, atOnce } = this.#each;
		const known = this.#buckets.get(who) ?? { left: atOnce, atMs: nowMs };
		// a clock that was set back fills nothing
		const left = Math.min(atOnce, known.left + (Math.max(0, nowMs - known.atMs) / 1000) * perS);
		if (left < 1) {
			this.#buckets.set(who, { left, atMs: nowMs });
			return Math.ceil(((1 - left) / perS) * 1000);
		}
		this.#buckets.set(who, { left: left - 1, atMs: nowMs });
		return 0;
	}
}

/** Of each who asks so many lines are open at once. */
export class Lines {
	readonly #open = new Map<string, number>();
	readonly #most: number;
	constructor(most: number) {
		this.#most = most;
	}

	/** Opens one. @returns how it is closed again, once; nothing where there are too many */
	open(who: string): (() => void) | undefined {
		const now = this.#open.get(who) ?? 0;
		if (now >= this.#most) return undefined;
		this.#open.set(who, now + 1);
		let closed = false;
		return () => {
			if (closed) return;
			closed = true;
			const left = (this.#open.get(who) ?? 1) - 1;
			if (left > 0) this.#open.set(who, left);
			else this.#open.delete(who);
		};
	}
}
