import { randomUUID } from 'node:crypto';
import { QueryTypes } from 'sequelize';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { shotMassG } from '$lib/core/bench';
import type { Fault } from '$lib/core/faults';
import type { PourPlan } from '$lib/core/plan';
import { closeDb, db } from '$lib/server/db/connection';
import { up as wholeShots } from '$lib/server/db/migrations/0012-whole-shots';
import { listPulls, lastPulls } from '$lib/server/repositories/ledger';
import { confirmCause, correctPull } from '$lib/server/repositories/ledgerCorrections';
import { listMasters, saveMaster } from '$lib/server/repositories/masters';
import { listResins, saveMaterial } from '$lib/server/repositories/materials';
import { getMould, listMoulds, saveMould } from '$lib/server/repositories/moulds';
import { readSettings, saveSettings } from '$lib/server/repositories/settings';
import { mouldWear, mouldWears, families } from '$lib/server/repositories/wear';
import { faultsByCause, yieldsBy } from '$lib/server/repositories/yields';

// what is kept of a row in this process has to follow every change, whoever made it
describe('what is kept between requests follows every change', () => {
	let pull: Awaited<ReturnType<typeof lastPulls>>[number];
	beforeAll(async () => {
		[pull] = (await lastPulls(1)) as [typeof pull];
	});
	afterAll(closeDb);

	it('a resin that is renamed, and one that another process changed', async () => {
		const resin = (await listResins())[0]!;
		const name = `Kept ${randomUUID().slice(0, 8)}`;
		await saveMaterial('resin', { ...resin.record, name }, resin);
		expect((await listResins()).find((r) => r.id === resin.id)!.record.name).toBe(name);
		const { version } = (await listResins()).find((r) => r.id === resin.id)!;
		// as another server on the same database would write it
		await db().query(
			`UPDATE materials SET name = ?, body = JSON_SET(body, '$.name', ?), version = version + 1, updatedAt = NOW(3) WHERE id = ?`,
			{ replacements: [resin.record.name, resin.record.name, resin.id] }
		);
		const back = (await listResins()).find((r) => r.id === resin.id)!;
		expect([back.record.name, back.version]).toEqual([resin.record.name, version + 1]);
	});

	it('a mould’s list shows its new label, its master’s new name, and the same plan', async () => {
		const mould = (await listMoulds()).find((m) => m.state === 'new') ?? (await listMoulds())[0]!;
		const label = `Kept ${randomUUID().slice(0, 8)}`;
		await saveMould({ ...mould.inputs, label }, mould);
		const seen = (await listMoulds()).find((m) => m.id === mould.id)!;
		expect(seen.label).toBe(label);
		expect(seen.inputs.label).toBe(label);
		expect(seen.plan).toEqual(mould.plan);
		const master = (await listMasters()).find((m) => m.id === mould.masterId)!;
		await saveMaster({ ...master.record, name: `${label} master` }, master.photoId, master);
		expect((await listMoulds()).find((m) => m.id === mould.id)!.masterName).toBe(`${label} master`);
		const changed = (await listMasters()).find((m) => m.id === mould.masterId)!;
		await saveMaster(master.record, master.photoId, changed);
		await saveMould(mould.inputs, await getMould(mould.id));
		expect((await listMoulds()).find((m) => m.id === mould.id)!.label).toBe(mould.label);
	});

	it('settings are those that were saved last', async () => {
		const before = await readSettings();
		await saveSettings({ ...before.settings, roomTempC: before.settings.roomTempC + 1.5 }, before.version);
		const warmer = await readSettings();
		expect(warmer.settings.roomTempC).toBe(before.settings.roomTempC + 1.5);
		await saveSettings(before.settings, warmer.version);
		expect((await readSettings()).settings).toEqual(before.settings);
	});

	it('a correction moves the yields and leaves the numbers of the pulls as they are', async () => {
		const scrap = (rows: Awaited<ReturnType<typeof yieldsBy>>) => rows.reduce((sum, r) => sum + r.scrap, 0);
		const before = scrap(await yieldsBy('mould'));
		const { pullsRevision } = await getMould(pull.mouldId);
		const to = pull.grade === 'scrap' ? 'good' : 'scrap';
		const why = { who: 'Test', why: 'kept rows' };
		await correctPull(pull.id, randomUUID(), { field: 'grade', to, ...why }, new Date());
		expect(scrap(await yieldsBy('mould')) - before).toBe(to === 'scrap' ? 1 : -1);
		const mould = await getMould(pull.mouldId);
		expect(mould.pullsRevision).not.toBe(pullsRevision);
		const { pulls, total } = await listPulls({ mouldId: pull.mouldId }, { offset: 0, limit: 500 });
		expect(pulls.map((p) => p.pullNumber)).toEqual(pulls.map((_, i) => total - i));
		expect(mould.pulls).toBe(total);
		await correctPull(pull.id, randomUUID(), { field: 'grade', to: pull.grade, ...why }, new Date());
		expect(scrap(await yieldsBy('mould'))).toBe(before);
	});

	it('pulls of casts in layers from before get the whole shot, once; corrected ones stay', async () => {
		// of pulls of what was planned: another test may have weighed its own, and those are none from before
		const rows = await db().query<{
			id: string;
			mouldId: string;
			massG: number;
			cupG: string;
			plan: PourPlan;
		}>(
			`SELECT p.id, p.mouldId, p.massG, JSON_VALUE(o.plan, '$.massG') AS cupG, o.plan
			FROM pulls p JOIN pours o ON o.id = p.pourId
			WHERE JSON_LENGTH(o.plan, '$.layers') > 1 AND p.id NOT IN (SELECT pullId FROM pull_corrections)`,
			{ type: QueryTypes.SELECT }
		);
		const row = rows.find((r) => Math.abs(shotMassG(r.plan) - r.massG) < 1e-6);
		const whole = row!.massG;
		expect(whole).toBeGreaterThan(1.05 * Number(row!.cupG));
		const massOf = async () => {
			const { pulls } = await listPulls({ mouldId: row!.mouldId }, { offset: 0, limit: 500 });
			return pulls.find((p) => p.id === row!.id)!.body.massG;
		};
		await db().query(`UPDATE pulls SET body = JSON_SET(body, '$.massG', ?) WHERE id = ?`, {
			replacements: [Number(row!.cupG), row!.id]
		});
		expect(await massOf()).toBeCloseTo(Number(row!.cupG), 6);
		await wholeShots();
		await wholeShots();
		expect(await massOf()).toBeCloseTo(whole, 6);
	});

	it('a confirmed cause is counted at once', async () => {
		const [row] = await db().query<{ pullId: string; fault: Fault }>(
			'SELECT pullId, fault FROM pull_faults WHERE pullId NOT IN (SELECT pullId FROM pull_causes) LIMIT 1',
			{ type: QueryTypes.SELECT }
		);
		const cause = 'uneven-rolling';
		const n = async () =>
			(await faultsByCause()).find((c) => c.cause === cause && c.fault === row!.fault)?.n ?? 0;
		const before = await n();
		await confirmCause(row!.pullId, row!.fault, cause, new Date());
		expect(await n()).toBe(before + 1);
		await db().query('DELETE FROM pull_causes WHERE pullId = ?', { replacements: [row!.pullId] });
		expect(await n()).toBe(before);
	});

	it('moulds asked for together wear as each one asked for alone', async () => {
		const moulds = (await listMoulds()).filter((m) => m.state === 'active').slice(0, 6);
		const now = new Date();
		const together = await mouldWears(moulds, await families());
		for (const [i, mould] of moulds.entries()) {
			const alone = await mouldWear(mould, { now });
			expect(together[i]!.forecast).toEqual(alone.forecast);
			expect(together[i]!.advice).toEqual(alone.advice);
			expect(together[i]!.inspections).toEqual(alone.inspections);
		}
	});
});
