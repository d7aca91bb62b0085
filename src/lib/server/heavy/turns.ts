/** Work that waits for its turn. */
export interface Waiting {
	/** Whose it is: each of them gets a turn before any gets a second one. */
	readonly client: string;
}

/**
 * A queue that is fair between clients: one of each in turn, in the order in which they came.
 * @example
 * const turns = new Turns<Waiting>();
 * for (const client of ['a', 'a', 'b']) turns.push({ client });
 * [turns.next()?.client, turns.next()?.client]; // a, b
 */
export class Turns<T extends Waiting> {
	readonly #of = new Map<string, T[]>();

	get size(): number {
		let sum = 0;
		for (const own of this.#of.values()) sum += own.length;
		return sum;
	}
	/** How many of a client wait. */
	sizeOf(client: string): number {
		return this.#of.get(client)?.length ?? 0;
	}
	push(work: T): void {
		const own = this.#of.get(work.client);
		if (own) own.push(work);
		else this.#of.set(work.client, [work]);
	}
	/** Takes out what nobody waits for any more. @returns whether it was there */
	remove(work: T): boolean {
		const own = this.#of.get(work.client);
		const at = own?.indexOf(work) ?? -1;
		if (at < 0) return false;
		own!.splice(at, 1);
		if (own!.length === 0) this.#of.delete(work.client);
		return true;
	}
	/** The next in turn; its client goes to the end of the row. */
	next(): T | undefined {
		for (const [client, own] of this.#of) {
			this.#of.delete(client);
			const work = own.shift()!;
			if (own.length > 0) this.#of.set(client, own);
			return work;
		}
		return undefined;
	}
	/** How many have their turn before it; nothing where it does not wait. */
	before(work: T): number | undefined {
		const round = this.#of.get(work.client)?.indexOf(work) ?? -1;
		if (round < 0) return undefined;
		let sum = round;
		let passed = false;
		for (const [client, own] of this.#of) {
			if (client === work.client) passed = true;
			// those ahead in the row have one turn more
			else sum += Math.min(own.length, passed ? round : round + 1);
		}
		return sum;
	}
}
