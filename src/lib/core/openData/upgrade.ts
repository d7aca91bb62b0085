import {
	EARLIER_CAUSES,
	EARLIER_CLOSINGS,
	EARLIER_DEVICES,
	EARLIER_FAULTS,
	EARLIER_GRADES,
	EARLIER_MEASURING,
	EARLIER_MOULD_FAULTS,
	EARLIER_STATES,
	idOf,
	withIds
} from '../earlierIds';
import { withKeysOfToday } from './earlierKeys';
import { withStockLines } from './earlierStock';
import { BACKUP, type BackupTable } from './tables';

type Row = Record<string, unknown>;
type Change = (value: unknown) => unknown;

const text =
	(earlier: Readonly<Record<string, string>>): Change =>
	(value) =>
		typeof value === 'string' ? idOf(earlier, value) : value;
const list =
	(earlier: Readonly<Record<string, string>>): Change =>
	(value) =>
		Array.isArray(value) ? value.map(text(earlier)) : value;
/** Changes some fields of a record and leaves the rest, and anything that is none. */
const within =
	(changes: Readonly<Record<string, Change>>): Change =>
	(value) => {
		if (value === null || typeof value !== 'object' || Array.isArray(value)) return value;
		const row = value as Row;
		const changed = Object.entries(changes).filter(([key]) => Object.hasOwn(row, key));
		return { ...row, ...Object.fromEntries(changed.map(([key, change]) => [key, change(row[key])])) };
	};

const faults = list(EARLIER_FAULTS);
const findings = within({ places: withIds(EARLIER_FAULTS) });
const measured = within({ measuring: text(EARLIER_MEASURING) });

/** A correction keeps the old value beside the new one: both by their field. */
function correction(value: unknown): unknown {
	const field = (value as Row | null)?.['field'];
	const change = field === 'grade' ? text(EARLIER_GRADES) : field === 'faults' ? faults : undefined;
	return change ? within({ from: change, to: change })(value) : value;
}

/** A view is the query of an address. */
function query(value: unknown): unknown {
	if (typeof value !== 'string') return value;
	const asked = new URLSearchParams(value);
	for (const [key, earlier] of [
		['grade', EARLIER_GRADES],
		['fault', EARLIER_FAULTS]
	] as const)
		if (asked.has(key)) asked.set(key, idOf(earlier, asked.get(key)!));
	return asked.toString();
}

/** What each table stored in words before it stored ids, by column. */
export const WORDS_TO_IDS: Readonly<Partial<Record<BackupTable, Readonly<Record<string, Change>>>>> = {
	settings: { body: measured },
	moulds: {
		state: text(EARLIER_STATES),
		inputs: within({ closing: text(EARLIER_CLOSINGS) }),
		inspection: within({ faults: list(EARLIER_MOULD_FAULTS) })
	},
	making_events: { body: within({ faults: list(EARLIER_MOULD_FAULTS) }) },
	shots: { inputs: measured },
	pours: { plan: measured },
	pour_events: {
		body: within({ grade: text(EARLIER_GRADES), faults, findings, device: text(EARLIER_DEVICES) })
	},
	device_commands: { body: within({ device: text(EARLIER_DEVICES) }) },
	pulls: { grade: text(EARLIER_GRADES), body: within({ faults, inspected: findings }) },
	pull_faults: { fault: text(EARLIER_FAULTS) },
	pull_causes: { fault: text(EARLIER_FAULTS), cause: text(EARLIER_CAUSES) },
	pull_corrections: { body: correction },
	saved_views: { query }
};

/** Tables that had another name, by that name. */
const EARLIER_TABLES: Readonly<Record<string, BackupTable>> = {
	bookings: 'stock_movements',
	vessel_looks: 'vessel_inspections',
	mould_looks: 'mould_inspections'
};

/** Tables that came after the first version, and with which: an earlier book has no rows of them. */
const NEW_TABLES: Readonly<Partial<Record<BackupTable, number>>> = {
	container_photos: 3,
	orders: 6,
	work_hours: 6,
	plans: 6
};

/** From this version on the stock of a tin is told in lines. */
const STOCK_LINES = 5;

/**
 * A book of an earlier version as today's writes it: ids in place of words, and today's names of keys and tables.
 * What an old device still sent after the change may stand in a later book too.
 * @returns the book itself when there is nothing to do, or when it is no book
 * @example
 * upgradeBackup({ form: 'workshop-book', version: 2, tables: {} }); // { form: 'workshop-book', version: 6, tables: { container_photos: [  ], orders: [  ], plans: [  ], work_hours: [  ] } }
 */
export function upgradeBackup(raw: unknown): unknown {
	const book = raw as { version?: unknown; tables?: Record<string, unknown> } | null;
	const version = Number(book?.version);
	if (
		!(Number.isInteger(version) && version >= 1 && version <= BACKUP.version) ||
		typeof book?.tables !== 'object' ||
		book.tables === null
	)
		return raw;
	const tables = Object.fromEntries(
		Object.entries(book.tables).map(([name, rows]) => {
			const changes = Object.hasOwn(WORDS_TO_IDS, name) ? WORDS_TO_IDS[name as BackupTable] : undefined;
			const today = Object.hasOwn(EARLIER_TABLES, name) ? EARLIER_TABLES[name]! : name;
			return [today, withKeysOfToday(changes && Array.isArray(rows) ? rows.map(within(changes)) : rows)];
		})
	);
	const absent = Object.entries(NEW_TABLES).filter(
		([t, since]) => version < since && !Object.hasOwn(tables, t)
	);
	const whole = { ...tables, ...Object.fromEntries(absent.map(([t]) => [t, []])) };
	return { ...book, version: BACKUP.version, tables: version < STOCK_LINES ? withStockLines(whole) : whole };
}
