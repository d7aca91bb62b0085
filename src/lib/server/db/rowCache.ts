import { LRUCache } from 'lru-cache';

/** Freezes a value and all in it: what several requests share nobody changes. */
function frozen<T>(value: T): T {
	if (typeof value !== 'object' || value === null || Object.isFrozen(value) || value instanceof Date)
		return value;
	for (const part of Object.values(value)) frozen(part);
	return Object.freeze(value);
}

/**
 * What was made of database rows, kept for as long as the row does not change. Reading a row's stamp is cheap;
 * parsing its JSON and checking it by a schema, for every row of every page, is not.
 *
 * A stamp says the row's state: it has to differ whenever the row does. Values are frozen, since every request gets
 * the same ones.
 */
export class RowCache<T extends object> {
	readonly #rows: LRUCache<string, { stamp: string; value: T }>;

	/** @param most rows that are kept at once; the least used go first */
	constructor(most = 5000) {
		this.#rows = new LRUCache({ max: most });
	}

	/** The kept value of this state of the row; nothing when it changed or was never kept. */
	peek(id: string, stamp: string): T | undefined {
		const kept = this.#rows.get(id);
		return kept?.stamp === stamp ? kept.value : undefined;
	}

	keep(id: string, stamp: string, value: T): T {
		this.#rows.set(id, { stamp, value: frozen(value) });
		return value;
	}

	/** The kept value, or what `make` makes of the row, kept from now on. */
	get(id: string, stamp: string, make: () => T): T {
		return this.peek(id, stamp) ?? this.keep(id, stamp, make());
	}
}

/** Stamp of a row that counts its versions: an import may bring a version back, but never its moment too. */
export const stampOf = (row: { version: number; updatedAt: Date | string }) =>
	`${row.version}/${row.updatedAt instanceof Date ? row.updatedAt.getTime() : row.updatedAt}`;
