import { QueryTypes } from 'sequelize';
import { afterAll, expect, it } from 'vitest';
import { BACKUP_TABLE_NAMES, BACKUP_TABLES, TABLE_NAMES } from '$lib/core/openData';
import { closeDb, db } from '$lib/server/db/connection';
import { tables } from '$lib/server/db/models';

// the database itself, as the migrations made it, against the one list of tables
afterAll(() => closeDb());

/** Columns of each table that are written; what the database works out of them is left out. */
const columns = async () => {
	const rows = await db().query<{ t: string; c: string }>(
		`SELECT table_name AS t, column_name AS c FROM information_schema.columns
		WHERE table_schema = DATABASE() AND extra NOT LIKE '%GENERATED%'
			-- counted anew from the pulls themselves
			AND NOT (table_name = 'pulls' AND column_name = 'pullNumber')`,
		{ type: QueryTypes.SELECT }
	);
	const found = new Map<string, Set<string>>();
	for (const { t, c } of rows) found.set(t, (found.get(t) ?? new Set()).add(c));
	return found;
};

it('the list names every table that the migrations made, and none besides', async () => {
	const made = [...(await columns()).keys()].filter((t) => t !== 'migrations' && t !== 'locks');
	expect(made.length).toBeGreaterThan(20);
	expect(made.sort()).toEqual([...TABLE_NAMES].sort());
});

it('the book holds every column of its tables but the bytes that stand beside it', async () => {
	const made = await columns();
	expect(BACKUP_TABLE_NAMES.length).toBeGreaterThan(20);
	for (const table of BACKUP_TABLE_NAMES) {
		const held = new Set(Object.keys(BACKUP_TABLES[table].shape));
		const missing = [...made.get(table)!].filter((c) => !held.has(c) && c !== 'bytes');
		expect({ table, missing, foreign: [...held].filter((c) => !made.get(table)!.has(c)) }).toEqual({
			table,
			missing: [],
			foreign: []
		});
	}
});

it('every model has its table’s columns, all of them', async () => {
	const made = await columns();
	for (const model of Object.values(tables).map((define) => define()))
		expect({ table: model.name, columns: Object.keys(model.rawAttributes).sort() }).toEqual({
			table: model.name,
			columns: [...made.get(model.name)!].sort()
		});
});

it('rows may be written in the order of the list: what a table points to stands before it', async () => {
	const pointers = await db().query<{ t: string; to: string }>(
		`SELECT table_name AS t, referenced_table_name AS \`to\` FROM information_schema.key_column_usage
		WHERE table_schema = DATABASE() AND referenced_table_name IS NOT NULL`,
		{ type: QueryTypes.SELECT }
	);
	expect(pointers.length).toBeGreaterThan(15);
	const at = (t: string) => TABLE_NAMES.indexOf(t as (typeof TABLE_NAMES)[number]);
	expect(pointers.filter((p) => p.t !== p.to && at(p.to) > at(p.t))).toEqual([]);
});
