import { randomUUID } from 'node:crypto';
import { afterAll, afterEach, describe, expect, it } from 'vitest';
import { benchSteps, type PourEvent } from '../../src/lib/core/bench';
import { closeDb, db } from '../../src/lib/server/db/connection';
import { listPulls } from '../../src/lib/server/repositories/ledger';
import {
	correctPull,
	importPulls,
	listCorrections
} from '../../src/lib/server/repositories/ledgerCorrections';
import { listMoulds } from '../../src/lib/server/repositories/moulds';
import { recount } from '../../src/lib/server/repositories/mouldPulls';
import { addEvents, listPours, readEvents } from '../../src/lib/server/repositories/pours';

/**
 * A full disk as the database says it: error 1114, "the table is full", from some row on. A trigger says it, so that
 * nothing else of the machine is harmed.
 */
const fullFrom = async (table: string, condition: string) =>
	db().query(
		`CREATE TRIGGER disk_full BEFORE INSERT ON ${table} FOR EACH ROW
		BEGIN IF ${condition} THEN SIGNAL SQLSTATE 'HY000' SET MYSQL_ERRNO = 1114, MESSAGE_TEXT = 'The table is full'; END IF; END`
	);
afterEach(() => db().query('DROP TRIGGER IF EXISTS disk_full'));
afterAll(closeDb);

const row = (k: number, mouldNumber: number) => ({
	atMs: Date.UTC(2023, 1, 1 + k),
	mouldNumber,
	grade: 'good' as const,
	resin: 'Disk resin',
	copies: 1,
	massG: 100,
	faults: [],
	note: k === 250 ? 'the last straw' : ''
});

describe('a disk that is full in the middle of writing', () => {
	it('an old notebook is not there by half, and goes in whole once there is room', async () => {
		const mould = (await listMoulds()).find((m) => m.pulls > 0)!;
		const rows = Array.from({ length: 300 }, (_, k) => row(k, mould.number));
		const count = async () => (await listPulls({ resin: 'Disk resin' }, { offset: 0, limit: 1 })).total;
		await fullFrom('pulls', "NEW.searchText LIKE '%the last straw%'");
		const entry = randomUUID();
		await expect(importPulls(entry, rows)).rejects.toThrow(/full/);
		expect(await count()).toBe(0);
		await db().query('DROP TRIGGER disk_full');
		expect(await importPulls(entry, rows)).toBe(300);
		expect(await count()).toBe(300);
		await db().transaction(async (transaction) => {
			await db().query("DELETE FROM pulls WHERE resinName = 'Disk resin'", { transaction });
			await recount(transaction, [mould.id]);
		});
	});

	it('a correction without its old value is no correction', async () => {
		const [pull] = (await listPulls({}, { offset: 0, limit: 1 })).pulls;
		const before = await listCorrections(pull!.id);
		await fullFrom('pull_corrections', 'TRUE');
		const said = { field: 'note', to: 'written over', who: 'J', why: 'x' } as const;
		await expect(correctPull(pull!.id, randomUUID(), said, new Date())).rejects.toThrow(/full/);
		expect((await listPulls({}, { offset: 0, limit: 1 })).pulls[0]!.body.note).toBe(pull!.body.note);
		expect(await listCorrections(pull!.id)).toEqual(before);
	});

	it('events come all or none, and what follows from them with them', async () => {
		const pour = (await listPours({ status: 'open' }))[0]!;
		const before = (await readEvents(pour.id)).events.length;
		const steps = benchSteps(pour.plan);
		const events = steps.slice(0, 3).map((s, i): PourEvent => ({
			id: randomUUID(),
			atMs: Date.now() + i,
			kind: 'step-done',
			stepId: s.id
		}));
		await fullFrom('pour_events', `NEW.id = '${events[2]!.id}'`);
		await expect(addEvents(pour.id, events)).rejects.toThrow();
		expect((await readEvents(pour.id)).events.length).toBe(before);
		await db().query('DROP TRIGGER disk_full');
		await addEvents(pour.id, events);
		expect((await readEvents(pour.id)).events.length).toBe(before + 3);
	});
});
