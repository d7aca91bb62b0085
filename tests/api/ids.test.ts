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
