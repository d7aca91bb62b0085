import { QueryTypes } from 'sequelize';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import {
	EARLIER_CAUSES,
	EARLIER_FAULTS,
	EARLIER_GRADES,
	EARLIER_MEASURING,
	EARLIER_STATES
} from '$lib/core/earlierIds';
import { closeDb, db } from '$lib/server/db/connection';
import { up } from '$lib/server/db/migrations/0016-ids';
import { up as rename } from '$lib/server/db/migrations/0018-names';

// the demo's database is put back to what the version before stored, and migrated once more
afterAll(() => closeDb());

const select = <T extends object>(sql: string) => db().query<T>(sql, { type: QueryTypes.SELECT });
const TELL = {
	pulls: "SELECT id, grade, JSON_EXTRACT(body, '$.faults') AS faults FROM pulls ORDER BY id",
	faults: 'SELECT pullId, fault FROM pull_faults ORDER BY pullId, fault',
	causes: 'SELECT pullId, fault, cause FROM pull_causes ORDER BY pullId, fault',
	moulds: "SELECT id, state, JSON_VALUE(inputs, '$.closing') AS closing FROM moulds ORDER BY id",
	shots: "SELECT id, JSON_VALUE(inputs, '$.measuring') AS measuring FROM shots ORDER BY id",
	pours: "SELECT id, JSON_VALUE(plan, '$.measuring') AS measuring FROM pours ORDER BY id",
	graded: `SELECT id, JSON_VALUE(body, '$.grade') AS grade, JSON_EXTRACT(body, '$.faults') AS faults
		FROM pour_events WHERE kind = 'graded' ORDER BY id`
} as const;
const tell = async () =>
	Object.fromEntries(
		await Promise.all(Object.entries(TELL).map(async ([what, sql]) => [what, await select(sql)]))
	) as Record<keyof typeof TELL, Record<string, unknown>[]>;

async function back(table: string, column: string, earlier: Readonly<Record<string, string>>) {
	for (const [words, id] of Object.entries(earlier))
		await db().query(`UPDATE ${table} SET ${column} = ? WHERE ${column} = ?`, { replacements: [words, id] });
}
/** Inside a JSON text: `"id"` becomes `"words"` where it stands after this key. */
async function backInside(
	table: string,
	column: string,
	earlier: Readonly<Record<string, string>>,
	where: string
) {
	for (const [words, id] of Object.entries(earlier))
		await db().query(`UPDATE ${table} SET ${column} = REPLACE(${column}, ?, ?) WHERE ${where}`, {
			replacements: [`"${id}"`, `"${words}"`]
		});
}

let before: Awaited<ReturnType<typeof tell>>;
beforeAll(async () => {
	before = await tell();
	await back('pulls', 'grade', EARLIER_GRADES);
	await back('moulds', 'state', EARLIER_STATES);
	await back('pull_causes', 'cause', EARLIER_CAUSES);
	await back('pull_causes', 'fault', EARLIER_FAULTS);
	await back('pull_faults', 'fault', EARLIER_FAULTS);
	await backInside('pulls', 'body', EARLIER_FAULTS, '1');
	await backInside('shots', 'inputs', EARLIER_MEASURING, '1');
	await backInside('pours', 'plan', EARLIER_MEASURING, '1');
	for (const earlier of [EARLIER_FAULTS, EARLIER_GRADES])
		await backInside('pour_events', 'body', earlier, "kind = 'graded'");
}, 60_000);

describe('a database of the version before', () => {
	it('holds words where there are ids now', async () => {
		const old = await tell();
		expect(before.causes.length).toBeGreaterThan(3);
		expect(old.causes).not.toEqual(before.causes);
		for (const what of ['pulls', 'faults', 'moulds', 'shots', 'pours', 'graded'] as const)
			expect({ what, same: JSON.stringify(old[what]) === JSON.stringify(before[what]) }).toEqual({
				what,
				same: false
			});
	});
	it('is as it was after its migration, every confirmed cause kept; a second run changes nothing', async () => {
		await up();
		expect(await tell()).toEqual(before);
		const [{ at } = { at: '' }] = await select<{ at: string }>('SELECT MAX(updatedAt) AS at FROM pulls');
		await up();
		expect(await tell()).toEqual(before);
		expect(await select('SELECT MAX(updatedAt) AS at FROM pulls')).toEqual([{ at }]);
	});
});

describe('a database from before its keys had the names of today', () => {
	const RECORDS = {
		materials: ['body', 'potLifeConversion', 'potConversion'],
		pours: ['plan', 'severity', 'level'],
		shots: ['result', 'fillerMix', 'filled'],
		device_commands: ['body', 'device', 'device']
	} as const;
	const stored = async () => ({
		...Object.fromEntries(
			await Promise.all(
				Object.entries(RECORDS).map(async ([table, [column]]) => {
					const rows = await select<{ id: string; body: unknown }>(
						`SELECT id, ${column} AS body FROM ${table} ORDER BY id`
					);
					return [
						table,
						rows.map((r) => (typeof r.body === 'string' ? JSON.parse(r.body) : r.body) as unknown)
					];
				})
			)
		),
		movements: await select('SELECT * FROM stock_movements ORDER BY seq'),
		instruments: await select('SELECT id, kind FROM instruments ORDER BY id')
	});
	it('is as it was after its migration; a second run changes nothing', async () => {
		const [resin] = await select<{ id: string }>("SELECT id FROM materials WHERE kind = 'resin' ORDER BY id");
		await db().query(
			"UPDATE materials SET body = JSON_SET(body, '$.potLifeConversion', 0.3, '$.gelConversion', 0.6) WHERE id = ?",
			{ replacements: [resin!.id] }
		);
		const is = await stored();
		expect(is.movements.length).toBeGreaterThan(3);
		for (const [table, [column, key, old]] of Object.entries(RECORDS))
			await db().query(`UPDATE ${table} SET ${column} = REPLACE(${column}, ?, ?)`, {
				replacements: [`"${key}":`, `"${old}":`]
			});
		await db().query('RENAME TABLE stock_movements TO bookings');
		await rename();
		expect(await stored()).toEqual(is);
		await rename();
		expect(await stored()).toEqual(is);
		await db().query(
			"UPDATE materials SET body = JSON_REMOVE(body, '$.potLifeConversion', '$.gelConversion') WHERE id = ?",
			{ replacements: [resin!.id] }
		);
	});
});
