import { randomUUID } from 'node:crypto';
import { QueryTypes } from 'sequelize';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { PourEvent } from '../../src/lib/core/bench';
import { containerRecord } from '../../src/lib/core/shelf';
import { shotInputs } from '../../src/lib/core/shot';
import { closeDb, db } from '../../src/lib/server/db/connection';
import { up } from '../../src/lib/server/db/migrations/0022-stock';
import { changeContainer, getContainer, saveContainer } from '../../src/lib/server/repositories/containers';
import { listMaterials, saveMaterial } from '../../src/lib/server/repositories/materials';
import { emptyMoulds } from '../../src/lib/server/repositories/moulds';
import { beginToday } from '../../src/lib/server/repositories/beginPour';
import { addEvents, getPour } from '../../src/lib/server/repositories/pours';
import { readSettings } from '../../src/lib/server/repositories/settings';
import { saveShot } from '../../src/lib/server/repositories/shots';
import { stockLines, throwAway } from '../../src/lib/server/repositories/stock';
import { post, sendForm } from './http';

afterAll(closeDb);
const select = <T extends object>(sql: string, replacements: unknown[] = []) =>
	db().query<T>(sql, { type: QueryTypes.SELECT, replacements });
const done = (stepId: string, atMs: number): PourEvent => ({
	id: randomUUID(),
	kind: 'step-done',
	stepId,
	atMs
});

/** A resin of its own with two tins, a filler with one, and an open pour that takes from all three. */
async function pourOfItsOwn() {
	const { settings } = await readSettings();
	const [resin] = (await listMaterials('resin')).filter((r) => r.record.name === 'Harbour slow');
	const [filler] = (await listMaterials('filler')).filter((f) => f.record.name === 'Slate flour');
	const name = `Stock ${randomUUID().slice(0, 8)}`;
	const resinId = await saveMaterial('resin', { ...resin!.record, name });
	const fillerId = await saveMaterial('filler', { ...filler!.record, name: `${name} flour` });
	const tin = (materialId: string, part: 'A' | 'B' | 'whole') =>
		saveContainer(
			containerRecord.parse({ materialId, part, sizeG: 5000, weighedG: 4000, openings: 2 }),
			new Date()
		);
	const [a, b, f] = [await tin(resinId, 'A'), await tin(resinId, 'B'), await tin(fillerId, 'whole')];
	const [mould] = await emptyMoulds();
	const shotId = await saveShot(
		shotInputs.parse({
			masterId: mould!.masterId,
			mouldIds: [mould!.id],
			resinId,
			fillerId,
			fillerPercent: 20,
			copies: 1,
			sprueVolumeMl: 0,
			sectionMm: 6,
			startTempC: 21,
			mouldTempC: 21,
			roomTempC: 21,
			relativeHumidity: 40
		}),
		settings
	);
	const pourId = await beginToday(shotId, 0, settings);
	return { a, b, f, pourId, plan: (await getPour(pourId)).plan };
}
const leftG = async (id: string) => (await getContainer(id)).remainingG;

describe('stock is told in lines', () => {
	let own: Awaited<ReturnType<typeof pourOfItsOwn>>;
	beforeAll(async () => void (own = await pourOfItsOwn()), 60_000);
	afterAll(async () =>
		addEvents(own.pourId, [{ id: randomUUID(), kind: 'abandoned', reason: 'test', atMs: Date.now() }])
	);

	it('an offline pour, or one whose clock is slow, that arrives after a weighing is booked all the same', async () => {
		const { a, b, f, pourId, plan } = own;
		const before = await getContainer(a);
		await changeContainer({ ...before.record, weighedG: 3900 }, new Date(), {
			id: a,
			version: before.version
		});
		// its own clock says an hour ago
		await addEvents(pourId, [done('combine', Date.now() - 3_600_000)]);
		expect(await leftG(a)).toBeCloseTo(3900 - plan.a.massG, 6);
		expect(await leftG(b)).toBeCloseTo(4000 - plan.b.massG, 6);
		expect(plan.fillers![0]!.massG).toBeGreaterThan(5);
		expect(await leftG(f)).toBeCloseTo(4000 - plan.fillers![0]!.massG, 6);
		const used = (await stockLines(a)).at(-1)!;
		expect(used).toMatchObject({ kind: 'used', masterName: plan.masterName, openings: 1 });
		expect(used.receivedAt.getTime() - used.at.getTime()).toBeGreaterThan(3_000_000);
	});
	it('what is known better later is a line of its own; what was written stays; twice sent is once booked', async () => {
		const { a, f, pourId, plan } = own;
		const written = await stockLines(a);
		const weighed = {
			id: randomUUID(),
			kind: 'weighed',
			stepId: 'measure-a',
			massG: plan.a.massG + 25
		} as const;
		const added = { id: randomUUID(), kind: 'added', name: plan.fillers![0]!.name, massG: 3 } as const;
		const atMs = Date.now();
		for (let i = 0; i < 2; i++)
			await addEvents(pourId, [
				{ ...weighed, atMs },
				{ ...added, atMs: atMs + 1 }
			] as PourEvent[]);
		expect(await leftG(a)).toBeCloseTo(3900 - plan.a.massG - 25, 6);
		expect(await leftG(f)).toBeCloseTo(4000 - plan.fillers![0]!.massG - 3, 6);
		const now = await stockLines(a);
		expect(now.map((l) => l.id)).toEqual([...written.map((l) => l.id), now.at(-1)!.id]);
		expect(now.at(-1)).toMatchObject({ kind: 'used', placeSeq: written.at(-1)!.seq, openings: 0 });
		expect((await getContainer(a)).openings).toBe(3);
	});
	it('a weighing after it takes in what is amended later', async () => {
		const { a, pourId } = own;
		const tin = await getContainer(a);
		await changeContainer({ ...tin.record, weighedG: 2000 }, new Date(), { id: a, version: tin.version });
		const events = await select<{ id: string }>(
			"SELECT id FROM pour_events WHERE pourId = ? AND kind = 'weighed'",
			[pourId]
		);
		await addEvents(pourId, [{ id: randomUUID(), kind: 'undone', eventId: events[0]!.id, atMs: Date.now() }]);
		expect(await leftG(a)).toBe(2000);
	});
	it('how far the clock of a device is off is kept with what it sends, and a time years ahead is refused', async () => {
		const send = (e: object, sentAtMs: number) =>
			post(`/api/pours/${own.pourId}/events`, { events: [e], sentAtMs });
		const slow = done('look', Date.now() - 120_000);
		const answer = await send(slow, Date.now() - 120_000);
		expect(answer.status).toBe(200);
		expect(Math.abs(answer.json.nowMs - Date.now())).toBeLessThan(20_000);
		const [row] = await select<{ clockOffMs: number }>('SELECT clockOffMs FROM pour_events WHERE id = ?', [
			slow.id
		]);
		expect(Number(row!.clockOffMs)).toBeGreaterThan(119_000);
		expect(Number(row!.clockOffMs)).toBeLessThan(150_000);
		const ahead = await send(done('look', Date.now() + 3 * 366 * 86_400_000), Date.now());
		expect(ahead.status).toBe(422);
		expect(ahead.json.errors[0].message).toMatch(/set the clock of this device/);
	});
	it('what is thrown away is booked once however often it is sent, and wrong figures are said at their field', async () => {
		const { b } = own;
		const before = await leftG(b);
		const id = randomUUID();
		for (let i = 0; i < 3; i++) await throwAway(b, 40, 'a trial cup', id);
		expect(await leftG(b)).toBeCloseTo(before - 40, 6);
		for (const wrong of ['', '0', '-3', 'NaN', '1e9', 'much']) {
			const answer = await sendForm(`/shelf/containers/${b}?/thrown`, [
				['massG', wrong],
				['note', ''],
				['madeId', randomUUID()]
			]);
			expect(answer.text, wrong).toMatch(/failure/);
			expect(answer.text, wrong).toMatch(/went out|Over a tonne/);
		}
		expect(await leftG(b)).toBeCloseTo(before - 40, 6);
	});
	it('is as it was when it was one weight on each tin, and a migration that was cut short goes on', async () => {
		const tins = await select<{ id: string }>('SELECT id FROM containers ORDER BY id');
		const held = async () =>
			Promise.all(
				tins.map(async ({ id }) => [
					id,
					(await getContainer(id)).remainingG,
					(await getContainer(id)).openings
				])
			);
		const kept = await select<Record<string, unknown>>('SELECT * FROM stock_movements ORDER BY seq');
		const is = await held();
		// the tables as the version before had them: what is in the tin, and one booking for each pour
		await db().query('CREATE TABLE stock_kept LIKE stock_movements');
		await db().query('INSERT INTO stock_kept SELECT * FROM stock_movements');
		const weights = await Promise.all(tins.map(({ id }) => getContainer(id)));
		await db().query('ALTER TABLE containers ADD COLUMN weighedAt DATETIME(3) NULL');
		for (const t of weights)
			await db().query(
				"UPDATE containers SET weighedAt = ?, body = JSON_SET(body, '$.weighedG', ?, '$.openings', ?) WHERE id = ?",
				{ replacements: [new Date(), t.remainingG, t.openings, t.id] }
			);
		await db().query('DROP TABLE stock_movements');
		await db().query(
			'CREATE TABLE stock_movements (pourId CHAR(36) NOT NULL, containerId CHAR(36) NOT NULL, massG DOUBLE NOT NULL, at DATETIME(3) NOT NULL, PRIMARY KEY (pourId, containerId))'
		);
		// cut short: the lines stand half made
		await db().query('CREATE TABLE IF NOT EXISTS stock_lines LIKE stock_kept');
		await db().query('DROP TABLE stock_lines');
		await up();
		const then = await held();
		for (const [i, [, left, openings]] of then.entries()) {
			expect(left).toBeCloseTo(Number(is[i]![1]), 6);
			expect(openings).toBe(is[i]![2]);
		}
		await up();
		expect(await held()).toEqual(then);
		await db().query('DELETE FROM stock_movements');
		await db().query('INSERT INTO stock_movements SELECT * FROM stock_kept');
		await db().query('DROP TABLE stock_kept');
		expect(await select('SELECT * FROM stock_movements ORDER BY seq')).toEqual(kept);
		expect(await held()).toEqual(is);
	});
});
