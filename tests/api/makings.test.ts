import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { makingSteps, type MakingEvent } from '$lib/core/making';
import { masterRecord } from '$lib/core/master';
import { MADE_OF, MOULD_KINDS, mouldInputs, type MadeOf, type MouldInputs } from '$lib/core/mould';
import { shotInputs } from '$lib/core/shot';
import { closeDb, db } from '$lib/server/db/connection';
import { NotFoundError, RefusedError } from '$lib/server/errors';
import { addMakingEvents, beginMaking, getMaking, readMakingEvents } from '$lib/server/repositories/makings';
import { getMaster, saveMaster } from '$lib/server/repositories/masters';
import { listMaterials, listResins, listRubbers, saveMaterial } from '$lib/server/repositories/materials';
import { emptyMoulds, getMould, saveMould, setMouldState } from '$lib/server/repositories/moulds';
import { addPicture, listPictures, removePicture } from '$lib/server/repositories/pictures';
import { runningClocks } from '$lib/server/repositories/pours';
import { saveShot } from '$lib/server/repositories/shots';
import { readSettings } from '$lib/server/repositories/settings';
import { base as url } from './http';

// against the database of the running test application
const name = `Test limpet ${randomUUID().slice(0, 8)}`;
let masterId = '';
let otherMasterId = '';
let rubberId = '';
let thermoplasticId = '';
let settings: Awaited<ReturnType<typeof readSettings>>['settings'];
const inputsOf = (over: Partial<MouldInputs> = {}) =>
	mouldInputs.parse({
		label: name,
		masterId,
		rubberId,
		thermoplasticId,
		clearanceMm: 12,
		coverMm: 12,
		lossPercent: 4,
		roomTempC: 21,
		...over
	});
let clockMs = Date.now() - 7_200_000;
const done = (stepId: string): MakingEvent => ({
	id: randomUUID(),
	atMs: (clockMs += 60_000),
	kind: 'step-done',
	stepId
});
const begun = async (over: Partial<MouldInputs> = {}) => {
	const id = await saveMould(inputsOf(over));
	await beginMaking(id, settings);
	return { id, steps: makingSteps(await getMaking(id)) };
};

beforeAll(async () => {
	const master = masterRecord.parse({
		name,
		material: 'metal',
		footprint: 'rectangular',
		lengthMm: 60,
		widthMm: 40,
		heightMm: 50,
		readings: [{ method: 'typed', volumeMl: 80 }]
	});
	masterId = await saveMaster(master, null);
	otherMasterId = await saveMaster({ ...master, name: `${name} two` }, null);
	rubberId = (await listRubbers()).find((r) => r.record.use === 'pour')!.id;
	thermoplasticId = (await listMaterials('thermoplastic'))[0]!.id;
	settings = (await readSettings()).settings;
});
afterAll(() => closeDb());

describe('moulds of every kind', () => {
	it.each(MOULD_KINDS)('a %s is kept with its plan', async (kind) => {
		const mould = await getMould(await saveMould(inputsOf({ kind })));
		const ids: Record<MadeOf, string | null> = {
			rubber: rubberId,
			thermoplastic: thermoplasticId,
			powder: null,
			nothing: null
		};
		expect(mould.plan.kind).toBe(kind);
		expect(mould.rubberId).toBe(ids[MADE_OF[kind]]);
		expect(mould.rubberName === '').toBe(ids[MADE_OF[kind]] === null);
	});

	it('a wet one is made of powder and water in minutes, and no resin is planned into it', async () => {
		const { id, steps } = await begun({ kind: 'wet', waterTempC: 15 });
		const { amounts } = steps.find((s) => s.kind === 'measure')!;
		expect(amounts!.map((a) => a.label)).toEqual(['powder', 'water']);
		expect(amounts![1]!.massG / amounts![0]!.massG).toBeCloseTo(2, 6);
		await addMakingEvents(id, [
			...steps.slice(0, -1).map((s) => done(s.id)),
			{ id: randomUUID(), atMs: (clockMs += 1), kind: 'finished' }
		]);
		const { version, state } = await getMould(id);
		expect(state).toBe('new');
		await setMouldState(id, version, 'active');
		expect((await emptyMoulds()).map((m) => m.id)).not.toContain(id);
		const resinId = (await listResins())[0]!.id;
		const shot = shotInputs.parse({
			kind: 'solid',
			masterId,
			mouldIds: [id],
			resinId,
			copies: 1,
			sprueVolumeMl: 0,
			sectionMm: 6,
			startTempC: 21,
			mouldTempC: 21,
			roomTempC: 21,
			relativeHumidity: 40
		});
		await expect(saveShot(shot, settings)).rejects.toThrow(/holds water: urethane foams/);
	});

	it('follows a mould of the same master only', async () => {
		const first = await saveMould(inputsOf());
		const second = await getMould(await saveMould(inputsOf({ predecessorId: first })));
		expect(second.predecessorId).toBe(first);
		await expect(saveMould(inputsOf({ masterId: otherMasterId, predecessorId: first }))).rejects.toThrow(
			/another master/
		);
		await expect(saveMould(inputsOf({ predecessorId: randomUUID() }))).rejects.toThrow(NotFoundError);
	});

	it('inputs that were kept before there were other kinds get what is new', async () => {
		const id = await saveMould(inputsOf());
		await db().query(
			"UPDATE moulds SET inputs = JSON_REMOVE(inputs, '$.cavities', '$.degas', '$.kind') WHERE id = ?",
			{
				replacements: [id]
			}
		);
		await db().query(
			"UPDATE moulds SET plan = JSON_REMOVE(plan, '$.kind', '$.pours', '$.cutList') WHERE id = ?",
			{
				replacements: [id]
			}
		);
		const old = await getMould(id);
		expect(old.inputs).toMatchObject({ cavities: 1, degas: 'none', kind: 'one-piece' });
		expect(old.plan.kind).toBe('one-piece');
		await expect(beginMaking(id, settings)).rejects.toThrow(/save it once more/);
		for (const paper of ['board.pdf', 'drawing.svg'])
			expect((await fetch(`${url}/moulds/${id}/${paper}`)).status).toBe(200);
	});
});

describe('making one', () => {
	it('is begun once, changes the state, keeps its plan', async () => {
		const { id } = await begun({ kind: 'two-part', degas: 'vacuum' });
		const plan = await getMaking(id);
		await beginMaking(id, { ...settings, vacuumVesselMl: 99 });
		expect(await getMaking(id)).toEqual(plan);
		expect((await getMould(id)).state).toBe('being-made');
		await expect(getMaking(randomUUID())).rejects.toThrow(NotFoundError);
	});

	it('events sent twice count once; pouring dates the mould; clocks run; the end keeps the first look', async () => {
		const { id, steps } = await begun();
		const place = steps.findIndex((s) => s.id === 'place-0');
		const events = steps.slice(0, place).map((s) => done(s.id));
		await addMakingEvents(id, events);
		expect((await getMould(id)).pouredAt).toBeNull();
		expect((await runningClocks()).filter((c) => c.href.includes(id)).map((c) => c.kind)).toEqual([
			'pot-life'
		]);
		const poured = done('place-0');
		await Promise.all([addMakingEvents(id, [...events, poured]), addMakingEvents(id, [poured])]);
		const mould = await getMould(id);
		expect(mould.pouredAt!.getTime()).toBe(poured.atMs);
		expect(Math.abs(mould.readyAt!.getTime() - (poured.atMs + mould.plan.readyInS * 1000))).toBeLessThan(
			1000
		);
		expect((await readMakingEvents(id)).events).toHaveLength(place + 1);
		const rest = steps.slice(place + 1).map((s) => done(s.id));
		await addMakingEvents(id, [
			...rest,
			{
				id: randomUUID(),
				atMs: (clockMs += 1),
				kind: 'inspected',
				waterMl: 79,
				faults: ['torn'],
				note: 'at the rim'
			},
			{ id: randomUUID(), atMs: (clockMs += 1), kind: 'finished' }
		]);
		const made = await getMould(id);
		expect(made.state).toBe('new');
		expect(made.inspection).toMatchObject({ waterMl: 79, faults: ['torn'] });
		expect((await runningClocks()).some((c) => c.href.includes(id))).toBe(false);
	});

	it('given up, it is retired; a step taken back takes its date back', async () => {
		const { id, steps } = await begun();
		const place = steps.findIndex((s) => s.id === 'place-0');
		const events = steps.slice(0, place + 1).map((s) => done(s.id));
		await addMakingEvents(id, events);
		await addMakingEvents(id, [
			{ id: randomUUID(), atMs: (clockMs += 1), kind: 'undone', eventId: events[place]!.id }
		]);
		expect((await getMould(id)).pouredAt).toBeNull();
		await addMakingEvents(id, [
			{ id: randomUUID(), atMs: (clockMs += 1), kind: 'abandoned', reason: 'leaked' }
		]);
		expect((await getMould(id)).state).toBe('retired');
	});

	it('a rubber that sets before it is mixed is refused with what would do', async () => {
		const quick = {
			...(await listRubbers()).find((r) => r.id === rubberId)!.record,
			name: `${name} quick`,
			workingTimeS: 120
		};
		const id = await saveMould(inputsOf({ rubberId: await saveMaterial('rubber', quick) }));
		await expect(beginMaking(id, settings)).rejects.toThrow(RefusedError);
		await expect(beginMaking(id, settings)).rejects.toThrow(/take a rubber that is workable for/);
	});

	it('the bench’s interface: events in, events out, nonsense refused', async () => {
		const { id, steps } = await begun();
		const at = `${url}/api/makings/${id}/events`;
		const send = (events: unknown) =>
			fetch(at, {
				method: 'POST',
				headers: { 'content-type': 'application/json' },
				body: JSON.stringify({ events })
			});
		expect((await send([done(steps[0]!.id)])).status).toBe(200);
		expect((await send([{ id: 'x', kind: 'made-up' }])).status).toBe(422);
		expect((await fetch(`${url}/api/makings/${randomUUID()}/events`)).status).toBe(404);
		const { events, lastSeq } = (await (await fetch(`${at}?after=0`)).json()) as {
			events: unknown[];
			lastSeq: number;
		};
		expect(events).toHaveLength(1);
		expect(
			((await (await fetch(`${at}?after=${lastSeq}`)).json()) as { events: unknown[] }).events
		).toHaveLength(0);
	});
});

describe('pictures', () => {
	const png = Buffer.from(
		'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
		'base64'
	);
	it('are kept with their words, the same one twice shares its bytes, and come off', async () => {
		const id = await saveMould(inputsOf());
		await addPicture('mould', id, png, '  the seam ');
		await addPicture('mould', id, png, 'again');
		const photos = await listPictures('mould', id);
		expect(photos.map((p) => p.caption)).toEqual(['the seam', 'again']);
		expect(photos[0]!.photoId).toBe(photos[1]!.photoId);
		await removePicture('mould', randomUUID(), photos[0]!.id);
		expect(await listPictures('mould', id)).toHaveLength(2);
		await removePicture('mould', id, photos[0]!.id);
		expect(await listPictures('mould', id)).toHaveLength(1);
		await expect(addPicture('mould', id, Buffer.from('text'), '')).rejects.toThrow(RefusedError);
		await expect(addPicture('mould', randomUUID(), png, '')).rejects.toThrow(NotFoundError);
	});
});

describe('a master that nobody measured', () => {
	it('has the most rubber planned for it, and the water of the first look is its volume', async () => {
		const { record } = await getMaster(masterId);
		const unknown = await saveMaster({ ...record, name: `${name} unknown`, readings: [] }, null);
		const { id, steps } = await begun({ masterId: unknown });
		const [mould, known] = [await getMould(id), await getMould(await saveMould(inputsOf()))];
		expect(mould.plan.rubber.volumeMl - known.plan.rubber.volumeMl).toBeCloseTo(80 * 1.04, 6);
		expect(mould.plan.warnings.map((w) => w.code)).toContain('upper-bound');
		const shot = shotInputs.parse({
			masterId: unknown,
			mouldIds: [id],
			resinId: (await listResins())[0]!.id,
			copies: 1,
			sprueVolumeMl: 0,
			sectionMm: 6,
			startTempC: 21,
			mouldTempC: 21,
			roomTempC: 21,
			relativeHumidity: 45
		});
		await expect(saveShot(shot, settings)).rejects.toThrow(/volume is not known/);
		const looked = (waterMl: number): MakingEvent[] => [
			{ id: randomUUID(), atMs: (clockMs += 1), kind: 'inspected', faults: [], note: '', waterMl },
			{ id: randomUUID(), atMs: (clockMs += 1), kind: 'finished' }
		];
		await addMakingEvents(id, [...steps.slice(0, -1).map((s) => done(s.id)), ...looked(77)]);
		const measured = await getMaster(unknown);
		expect(measured.volumeMl).toBe(77);
		expect(measured.record.readings[0]).toMatchObject({ remark: expect.stringMatching(/^water in M\d+/) });
		// what is measured stays: a second mould's water does not take its place
		const second = await begun({ masterId: unknown });
		await addMakingEvents(second.id, [...second.steps.slice(0, -1).map((s) => done(s.id)), ...looked(70)]);
		expect((await getMaster(unknown)).volumeMl).toBe(77);
		await setMouldState(id, (await getMould(id)).version, 'active');
		expect(await saveShot(shot, settings)).toBeTruthy();
	});
	it('more water than its sizes hold measures nothing, and what is cast wet is refused at the master', async () => {
		const { record } = await getMaster(masterId);
		const unknown = await saveMaster({ ...record, name: `${name} unknown two`, readings: [] }, null);
		await expect(saveMould(inputsOf({ masterId: unknown, kind: 'wet' }))).rejects.toThrow(/measure it first/);
		const { id, steps } = await begun({ masterId: unknown });
		await addMakingEvents(id, [
			...steps.slice(0, -1).map((s) => done(s.id)),
			{ id: randomUUID(), atMs: (clockMs += 1), kind: 'inspected', faults: [], note: '', waterMl: 5000 },
			{ id: randomUUID(), atMs: (clockMs += 1), kind: 'finished' }
		]);
		expect((await getMaster(unknown)).volumeMl).toBeNull();
	});
});
