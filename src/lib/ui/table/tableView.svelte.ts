import { z } from 'zod';

/** One column of a list: how its rows are sorted and found by it. */
export interface Column<R> {
	key: string;
	label: string;
	/** What it is sorted by; words also find the row. */
	value: (row: R) => string | number | null;
	/** Set to the right, as numbers are. */
	num?: boolean;
	/** It stands always: the row would have no name without it. */
	always?: boolean;
}

const kept = z.object({
	sort: z.object({ by: z.string(), down: z.boolean() }).nullable().catch(null),
	hidden: z.array(z.string()).catch([]),
	group: z.string().catch('')
});

/** Opened with the first list that is sorted by its words: it takes the browser a twentieth of a second. */
let alphabet: Intl.Collator | undefined;

/** How a list was left: sorted, grouped, which columns; kept on this device and read again whatever stands there. */
export class TableView<R> {
	text = $state('');
	sort = $state<{ by: string; down: boolean } | null>(null);
	hidden = $state<string[]>([]);
	group = $state('');
	readonly #key: string;
	readonly #columns: readonly Column<R>[];

	/** @param name of the list, by which its view is kept; @param group by which key it is grouped at first */
	constructor(name: string, columns: readonly Column<R>[], group = '') {
		this.#key = `table:${name}`;
		this.#columns = columns;
		this.group = group;
	}

	/** Reads what this device kept; nothing kept, or nonsense, changes nothing. */
	load(storage: Pick<Storage, 'getItem'>): void {
		try {
			const found = kept.safeParse(JSON.parse(storage.getItem(this.#key) ?? 'null'));
			if (!found.success) return;
			const { sort, hidden, group } = found.data;
			this.sort = sort && this.#knows(sort.by) ? sort : null;
			this.hidden = hidden.filter((k) => this.#knows(k) && !this.#columns.find((c) => c.key === k)!.always);
			this.group = group === '' || this.#knows(group) ? group : this.group;
		} catch {
			// a view that cannot be read is no reason to show no list
		}
	}
	save(storage: Pick<Storage, 'setItem'>): void {
		try {
			storage.setItem(this.#key, JSON.stringify({ sort: this.sort, hidden: this.hidden, group: this.group }));
		} catch {
			// a full or forbidden store: the list stays as it is until it is left
		}
	}

	#knows(key: string): boolean {
		return this.#columns.some((c) => c.key === key);
	}

	get shown(): readonly Column<R>[] {
		return this.#columns.filter((c) => !this.hidden.includes(c.key));
	}
	get columns(): readonly Column<R>[] {
		return this.#columns;
	}
	/** Sorted by this column; once more, the other way; a third time, as it came. */
	sortBy(key: string): void {
		if (this.sort?.by !== key) this.sort = { by: key, down: false };
		else this.sort = this.sort.down ? null : { by: key, down: true };
	}
	toggle(key: string): void {
		this.hidden = this.hidden.includes(key) ? this.hidden.filter((k) => k !== key) : [...this.hidden, key];
	}

	/** The rows that hold every word that is asked for, sorted. */
	rows(all: readonly R[]): R[] {
		const words = this.text.toLowerCase().split(/\s+/).filter(Boolean);
		const found = all.filter((row) => {
			const text = this.#columns.map((c) => String(c.value(row) ?? '').toLowerCase());
			return words.every((w) => text.some((t) => t.includes(w)));
		});
		const by = this.sort && this.#columns.find((c) => c.key === this.sort!.by);
		if (!by) return found;
		const sign = this.sort!.down ? -1 : 1;
		// what is not known stands last, whichever way it is sorted
		return found.sort((a, b) => {
			const [x, y] = [by.value(a), by.value(b)];
			if (x === null || y === null) return x === y ? 0 : x === null ? 1 : -1;
			if (typeof x === 'number' && typeof y === 'number') return sign * (x - y);
			return (
				sign * (alphabet ??= new Intl.Collator(undefined, { numeric: true })).compare(String(x), String(y))
			);
		});
	}
	/** The same under a head for each value of the column by which it is grouped, in the order in which they come. */
	groups(all: readonly R[]): { head: string; rows: R[] }[] {
		const rows = this.rows(all);
		const by = this.#columns.find((c) => c.key === this.group);
		if (!by) return [{ head: '', rows }];
		const under: { head: string; rows: R[] }[] = [];
		for (const row of rows) {
			const head = String(by.value(row) ?? '');
			const group = under.find((g) => g.head === head);
			if (group) group.rows.push(row);
			else under.push({ head, rows: [row] });
		}
		return under;
	}
}
