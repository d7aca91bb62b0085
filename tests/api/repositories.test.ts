import { randomUUID } from 'node:crypto';
import { QueryTypes } from 'sequelize';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { benchSteps, type PourEvent } from '$lib/core/bench';
import { masterRecord } from '$lib/core/master';
import { mouldInputs, type MouldInputs } from '$lib/core/mould';
import { containerRecord } from '$lib/core/shelf';
import { shotInputs, type ShotInputs } from '$lib/core/shot';
import { closeDb, db } from '$lib/server/db/connection';
import { migrate } from '$lib/server/db/migrate';
import { ConflictError, NotFoundError, RefusedError } from '$lib/server/errors';
import {
	getContainer,
	openingsBy,
	inUse,
	changeContainer,
	saveContainer,
	setEmptied,
	setRateFactor
} from '$lib/server/repositories/containers';
import { getPull, listPulls } from '$lib/server/repositories/ledger';
import { getMaster, listMasters, saveMaster } from '$lib/server/repositories/masters';
import { getResin, listResins, listRubbers, saveMaterial } from '$lib/server/repositories/materials';
import { getMould, pourRubber, saveMould, setMouldState } from '$lib/server/repositories/moulds';
import { readPhoto, savePhoto } from '$lib/server/repositories/photos';
import { beginToday } from '$lib/server/repositories/beginPour';
import { addEvents, getPour, readEvents, runningClocks } from '$lib/server/repositories/pours';
import { readSettings, saveSettings } from '$lib/server/repositories/settings';
import { getShot, saveShot } from '$lib/server/repositories/shots';
import { loadDemo } from '$lib/server/seed/load';

// against the database of the running test application, which the demo filled
const name = `Test whelk ${randomUUID().slice(0, 8)}`;
let masterId = '';
let resinId = '';
let rubberId = '';
let settings: Awaited<ReturnType<typeof readSettings>>['settings'];

const mouldOf = (over: Partial<MouldInputs> = {}): MouldInputs =>
	mouldInputs.parse({
		label: name,
		masterId,
		rubberId,
		shape: 'box',
		clearanceMm: 12,
		coverMm: 14,
		lossPercent: 4,
		roomTempC: 21,
		place: '',
		note: '',
		...over
	});
const shotOf = (mouldIds: string[], over: Partial<ShotInputs> = {}): ShotInputs =>
	shotInputs.parse({
		masterId,
		mouldIds,
		resinId,
		copies: 1,
		sprueVolumeMl: 2,
		sectionMm: 6,
		mixS: 40,
		pourS: 15,
		startTempC: 21,
		mouldTempC: 21,
		roomTempC: 21,
		relativeHumidity: 40,
		...over
	});
async function activeMould(over: Partial<MouldInputs> = {}): Promise<string> {
	const id = await saveMould(mouldOf(over));
	await setMouldState(id, 1, 'active');
	return id;
}
let clockMs = Date.now() - 3_600_000;
const event = (over: Record<string, unknown>) =>
	({ id: randomUUID(), atMs: (clockMs += 1000), ...over }) as PourEvent;
const done = (stepId: string) => event({ kind: 'step-done', stepId });

beforeAll(async () => {
	await migrate();
	({ settings } = await readSettings());
	resinId = (await listResins()).find((r) => r.record.name === 'Harbour slow')!.id;
	rubberId = (await listRubbers())[0]!.id;
	masterId = await saveMaster(
		masterRecord.parse({
			name,
			material: 'metal',
			footprint: 'rectangular',
			lengthMm: 50,
			widthMm: 40,
			heightMm: 30,
			reading: { method: 'overflow', overflowMassG: 40, waterTempC: 20 },
			note: ''
		}),
		null
	);
});
afterAll(closeDb);

describe('set-up', () => {
	it('migrating again, also from many processes at once, changes nothing', async () => {
		const count = async () => {
			const sql = 'SELECT COUNT(*) AS n FROM information_schema.tables WHERE table_schema = DATABASE()';
			return (await db().query<{ n: number }>(sql, { type: QueryTypes.SELECT }))[0]!.n;
		};
		const before = await count();
		await Promise.all([migrate(), migrate(), migrate()]);
		expect(await count()).toBe(before);
	});
	it('the demo is loaded once', async () => {
		const before = (await listMasters()).length;
		await loadDemo(new Date());
		expect((await listMasters()).length).toBe(before);
	});
});

describe('changes that meet', () => {
	it('the second of two changes to one thing is told, and nothing is overwritten', async () => {
		const { record, version } = await getMaster(masterId);
		await saveMaster({ ...record, note: 'first' }, null, { id: masterId, version });
		await expect(saveMaster({ ...record, note: 'second' }, null, { id: masterId, version })).rejects.toThrow(
			ConflictError
		);
		expect((await getMaster(masterId)).record.note).toBe('first');
	});
	it('settings too', async () => {
		const { version } = await readSettings();
		await saveSettings(settings, version);
		await expect(saveSettings(settings, version)).rejects.toThrow(ConflictError);
	});
	it('twelve moulds planned at once get twelve numbers', async () => {
		const ids = await Promise.all(Array.from({ length: 12 }, () => saveMould(mouldOf())));
		const numbers = await Promise.all(ids.map(async (id) => (await getMould(id)).number));
		expect(new Set(numbers).size).toBe(12);
	});
	it('what is not there is said to be not there', async () => {
		await expect(getMaster('none')).rejects.toThrow(NotFoundError);
		await expect(getMould('none')).rejects.toThrow(NotFoundError);
		await expect(getResin(rubberId)).rejects.toThrow(NotFoundError);
		await expect(
			saveMaterial('resin', (await getResin(resinId)).record, { id: 'none', version: 1 })
		).rejects.toThrow(NotFoundError);
	});
});

describe('moulds', () => {
	it('rubber is poured once, its ready-at follows, and its sizes then stay', async () => {
		const id = await saveMould(mouldOf());
		const at = new Date('2026-11-20T10:00:00.000Z');
		await pourRubber(id, 1, at);
		const mould = await getMould(id);
		expect(mould.readyAt!.getTime() - at.getTime()).toBe(Math.round(mould.plan.readyInS * 1000));
		expect((await runningClocks()).map((c) => c.id)).toContain(`${id}-rubber`);
		await expect(pourRubber(id, mould.version, at)).rejects.toThrow(RefusedError);
		await expect(saveMould(mouldOf({ clearanceMm: 20 }), { id, version: mould.version })).rejects.toThrow(
			/poured already/
		);
		await saveMould(mouldOf({ place: 'drawer' }), { id, version: mould.version });
		expect((await getMould(id)).place).toBe('drawer');
	});
	it('goes through its life and no other way', async () => {
		const id = await activeMould();
		await expect(setMouldState(id, 2, 'new')).rejects.toThrow(/does not become new/);
		await setMouldState(id, 2, 'retired');
		await setMouldState(id, 3, 'active');
		expect((await getMould(id)).state).toBe('active');
	});
});

describe('shots', () => {
	it('are worked out from the records, and refused for a mould that is not ready or not of the piece', async () => {
		const fresh = await saveMould(mouldOf());
		await expect(saveShot(shotOf([fresh]), settings)).rejects.toThrow(/is new: only an active mould/);
		const other = (await listMasters()).find((m) => m.record.name === 'Ammonite paperweight')!;
		const id = await activeMould();
		await expect(saveShot({ ...shotOf([id]), masterId: other.id }, settings)).rejects.toThrow(
			/mould of another master/
		);
		const shot = await getShot(await saveShot(shotOf([id]), settings));
		const [batch] = shot.planned.shot.batches;
		const master = await getMaster(masterId);
		expect(batch!.pouredMl).toBeCloseTo(master.volumeMl! + 2, 6);
	});
});

describe('pours and the ledger', () => {
	it('one batch begun on two devices is one pour, and its mould is in no second one', async () => {
		const id = await activeMould();
		const shotId = await saveShot(shotOf([id], { copies: 2 }), settings);
		const [a, b] = await Promise.all([beginToday(shotId, 0, settings), beginToday(shotId, 0, settings)]);
		expect(a).toBe(b);
		await expect(beginToday(shotId, 1, settings)).rejects.toThrow(/still in another open pour/);
		await expect(beginToday(shotId, 9, settings)).rejects.toThrow(/no batch 10/);
	});

	it('two shots that want one mould at the same moment do not both get it', async () => {
		for (let round = 0; round < 4; round++) {
			const id = await activeMould();
			const shots = await Promise.all([1, 2, 3].map(() => saveShot(shotOf([id]), settings)));
			const begun = await Promise.allSettled(shots.map((shotId) => beginToday(shotId, 0, settings)));
			expect(begun.map((b) => b.status).sort()).toEqual(['fulfilled', 'rejected', 'rejected']);
			for (const b of begun)
				if (b.status === 'rejected') expect(String(b.reason)).toMatch(/still in another open pour/);
		}
	});

	it('a finished pour is a pull; taken back it is none; given up after combining it is scrap', async () => {
		const id = await activeMould();
		const shotId = await saveShot(shotOf([id], { copies: 2 }), settings);
		const pourId = await beginToday(shotId, 0, settings);
		const { plan } = await getPour(pourId);
		const finished = event({ kind: 'finished' });
		const steps = benchSteps(plan).map((s) => done(s.id));
		const graded = event({
			kind: 'graded',
			mouldId: id,
			grade: 'needs-work',
			faults: ['flash'],
			note: 'rim'
		});
		finished.atMs = clockMs += 1000;
		await addEvents(pourId, [...steps, graded, finished]);
		const { pulls } = await listPulls({ mouldId: id }, { offset: 0, limit: 10 });
		expect(pulls).toHaveLength(1);
		expect(pulls[0]).toMatchObject({
			grade: 'needs-work',
			pullNumber: 1,
			body: { faults: ['flash'], note: 'rim', conditionsRead: false }
		});
		expect((await getPull(pulls[0]!.id)).masterName).toBe(name);
		expect((await getMould(id)).pulls).toBe(1);
		await addEvents(pourId, [event({ kind: 'undone', eventId: finished.id })]);
		expect((await getMould(id)).pulls).toBe(0);
		await addEvents(pourId, [event({ kind: 'abandoned', reason: 'kicked' })]);
		const again = await listPulls({ mouldId: id }, { offset: 0, limit: 10 });
		expect(again.pulls[0]!.body.abandonedBecause).toBe('kicked');
		expect((await readEvents(pourId)).events).toHaveLength(steps.length + 4);
	});

	it('finds by text as typed, also with signs that a database reads otherwise', async () => {
		const find = async (text: string) => (await listPulls({ text }, { offset: 0, limit: 5 })).total;
		expect(await find(name)).toBeGreaterThan(0);
		expect(await find(`${name}%`)).toBe(0);
		expect(await find('_')).toBe(0);
		expect(await find("'; DROP TABLE pulls; --")).toBe(0);
		const all = await listPulls({}, { offset: 0, limit: 3 });
		expect(all.pulls).toHaveLength(3);
		expect(all.total).toBeGreaterThan(100);
	});
});

describe('tins', () => {
	it('hold their last weighing less what pours took since; weighing again starts anew', async () => {
		const record = (await getResin(resinId)).record;
		const own = await saveMaterial('resin', { ...record, name: `${name} resin` });
		const tin = (part: 'A' | 'B', weighedG: number) =>
			saveContainer(
				containerRecord.parse({ materialId: own, part, sizeG: 2000, weighedG, openings: 3 }),
				new Date(clockMs - 1000)
			);
		const [a, b] = [await tin('A', 1000), await tin('B', 900)];
		await setRateFactor(a, 1.5);
		const id = await activeMould();
		const shot = await getShot(await saveShot({ ...shotOf([id]), resinId: own }, settings));
		const slower = await getShot(await saveShot(shotOf([id]), settings));
		expect(shot.planned.shot.batches[0]!.potLifeS).toBeLessThan(
			slower.planned.shot.batches[0]!.potLifeS * 0.75
		);

		const pourId = await beginToday(shot.id, 0, settings);
		const { plan } = await getPour(pourId);
		expect(plan.containers).toEqual({ a, b });
		const combine = done('combine');
		await addEvents(pourId, [combine]);
		await addEvents(pourId, [combine]);
		expect((await getContainer(a)).remainingG).toBeCloseTo(1000 - plan.a.massG, 6);
		expect((await getContainer(b)).remainingG).toBeCloseTo(900 - plan.b.massG, 6);
		expect((await getContainer(a)).openings).toBe(4);
		// what is said of an earlier pull counts what had happened by then
		const then = new Date(combine.atMs);
		expect(await openingsBy(await getContainer(a), then)).toBe(4);
		expect(await openingsBy(await getContainer(a), new Date(combine.atMs - 1))).toBe(3);

		const before = await getContainer(a);
		// its page stood open while the pour booked out: saving a lot there is no weighing, and forgets no opening
		await changeContainer({ ...before.record, weighedG: undefined, lot: 'L7', openings: 3 }, new Date(), {
			id: a,
			version: before.version,
			openings: 3
		});
		expect((await getContainer(a)).remainingG).toBeCloseTo(1000 - plan.a.massG, 6);
		expect((await getContainer(a)).openings).toBe(4);
		expect((await getContainer(a)).record.lot).toBe('L7');
		await changeContainer({ ...before.record, weighedG: 800 }, new Date(clockMs + 60_000), {
			id: a,
			version: before.version + 1
		});
		const after = await getContainer(a);
		expect(after.remainingG).toBe(800);
		expect(after.openings).toBe(4);

		await addEvents(pourId, [event({ kind: 'undone', eventId: combine.id })]);
		expect((await getContainer(b)).remainingG).toBe(900);
		await setEmptied(b, (await getContainer(b)).version, true);
		expect((await inUse(own)).b).toBeUndefined();
		await addEvents(pourId, [event({ kind: 'abandoned', reason: 'test' })]);
	});
});

describe('photos', () => {
	const png = Buffer.from('89504e470d0a1a0a0000000d49484452', 'hex');
	it('are kept once by their content and read off their first bytes', async () => {
		const [first, second] = [await savePhoto(png), await savePhoto(png)];
		expect(first).toBe(second);
		expect(await readPhoto(first)).toMatchObject({ mime: 'image/png' });
		expect(await readPhoto('none')).toBeUndefined();
	});
	it.each([Buffer.from('<svg onload="alert(1)">'), Buffer.alloc(0), Buffer.alloc(9 * 1024 * 1024, 0xff)])(
		'others are refused',
		async (bytes) => {
			await expect(savePhoto(bytes)).rejects.toThrow(RefusedError);
		}
	);
});
