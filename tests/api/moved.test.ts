import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { masterRecord } from '$lib/core/master';
import { mouldInputs } from '$lib/core/mould';
import { containerRecord, fillerRecord, releaseRecord, resinRecord } from '$lib/core/shelf';
import { shotInputs, type ShotInputs } from '$lib/core/shot';
import { closeDb } from '$lib/server/db/connection';
import { saveContainer, setRateFactor } from '$lib/server/repositories/containers';
import { getMaster, saveMaster } from '$lib/server/repositories/masters';
import { getMaterial, listRubbers, saveMaterial } from '$lib/server/repositories/materials';
import { emptyMoulds, getMould, saveMould, setMouldState } from '$lib/server/repositories/moulds';
import { beginPour } from '$lib/server/repositories/beginPour';
import { addEvents, getPour } from '$lib/server/repositories/pours';
import { readSettings } from '$lib/server/repositories/settings';
import { batchPlans, getShot, saveShot } from '$lib/server/repositories/shots';
import { sendForm } from './http';

// against the database of the running test application: a record of each sort is changed between keeping and pouring
const name = `Test murex ${randomUUID().slice(0, 8)}`;
let settings: Awaited<ReturnType<typeof readSettings>>['settings'];
let [masterId, mouldId, resinId, fillerId, releaseId, rubberId, tinId] = ['', '', '', '', '', '', ''];
const resin = resinRecord.parse({
	name,
	family: 'fast urethane',
	densityAGPerMl: 1.1,
	weightA: 100,
	weightB: 90,
	volumeA: 1,
	volumeB: 1,
	potLifeS: 150,
	demouldS: 900,
	character: 'quick',
	viscosityMpaS: 120,
	note: ''
});
const shotOf = (over: Partial<ShotInputs> = {}): ShotInputs =>
	shotInputs.parse({
		masterId,
		mouldIds: [mouldId],
		resinId,
		fillerId,
		fillerPercent: 20,
		releaseId,
		copies: 1,
		sprueVolumeMl: 2,
		sectionMm: 6,
		startTempC: 21,
		mouldTempC: 21,
		roomTempC: 21,
		relativeHumidity: 40,
		...over
	});
const kept = () => saveShot(shotOf(), settings);
const movedNow = async (id: string) => (await batchPlans(id, 0, settings)).moved;
const mouldOf = (over: object = {}) =>
	mouldInputs.parse({
		label: name,
		masterId,
		rubberId,
		clearanceMm: 12,
		coverMm: 14,
		lossPercent: 4,
		roomTempC: 21,
		...over
	});

beforeAll(async () => {
	({ settings } = await readSettings());
	rubberId = (await listRubbers())[0]!.id;
	masterId = await saveMaster(
		masterRecord.parse({
			name,
			material: 'metal',
			footprint: 'round',
			lengthMm: 50,
			widthMm: 50,
			heightMm: 60,
			readings: [{ method: 'typed', volumeMl: 60 }]
		}),
		null
	);
	mouldId = await saveMould(mouldOf());
	await setMouldState(mouldId, 1, 'active');
	resinId = await saveMaterial('resin', resin);
	fillerId = await saveMaterial(
		'filler',
		fillerRecord.parse({
			name,
			family: 'mineral powder',
			densityGPerMl: 2.7,
			bulkDensityGPerMl: 1.1,
			note: ''
		})
	);
	releaseId = await saveMaterial('release', releaseRecord.parse({ name, kind: 'wax', note: '' }));
	tinId = await saveContainer(
		containerRecord.parse({ materialId: resinId, part: 'A', sizeG: 5000, weighedG: 4000 }),
		new Date(Date.now() - 1e6)
	);
});
afterAll(closeDb);

describe('a shot that was kept, and records that moved since', () => {
	it('nothing moved: it is poured as it was kept, and nobody is asked', async () => {
		const id = await kept();
		expect(await movedNow(id)).toBeUndefined();
		const begun = await beginPour(id, 0, settings);
		expect(begun).toHaveProperty('id');
		const { plan } = await getPour((begun as { id: string }).id);
		expect(plan.version).toBe(2);
		expect(plan.stamps!.map((s) => s.kind).sort()).toEqual([
			'filler',
			'master',
			'mould',
			'release',
			'resin',
			'tin',
			'workshop'
		]);
		// its mould is full: it takes no left-over of another
		expect((await emptyMoulds()).some((m) => m.id === mouldId)).toBe(false);
		await addEvents((begun as { id: string }).id, [
			{ id: randomUUID(), atMs: Date.now(), kind: 'abandoned', reason: 'test' }
		]);
		expect((await emptyMoulds()).some((m) => m.id === mouldId)).toBe(true);
	});
	it('the resin’s ratio: both are said, nothing is begun, and the maker’s choice is poured', async () => {
		const [one, two] = [await kept(), await kept()];
		const { version } = await getMaterial('resin', resinId);
		await saveMaterial(
			'resin',
			{ ...resin, weightB: 50, volumeB: undefined, volumeA: undefined, densityBGPerMl: 1 } as never,
			{
				id: resinId,
				version
			}
		);
		const moved = (await movedNow(one))!;
		expect(moved.records).toEqual([`sheet of ${name}`]);
		expect(moved.differences.map((d) => d.what)).toEqual(expect.arrayContaining(['A', 'B']));
		const asked = await beginPour(one, 0, settings);
		expect(asked).toHaveProperty('moved');
		const was = (await getShot(one)).planned.shot.batches[0]!.b.massG;
		const end = async (begun: Awaited<ReturnType<typeof beginPour>>) => {
			const { id } = begun as { id: string };
			const { plan } = await getPour(id);
			await addEvents(id, [{ id: randomUUID(), atMs: Date.now(), kind: 'abandoned', reason: 'test' }]);
			return plan;
		};
		const asKept = await end(await beginPour(one, 0, settings, { choice: 'kept' }));
		expect(asKept.b.massG).toBeCloseTo(was, 9);
		const today = await end(await beginPour(two, 0, settings, { choice: 'today' }));
		expect(today.b.massG / today.a.massG).toBeCloseTo(0.5, 6);
		// its page and its card agree with what was poured
		expect((await getShot(two)).planned.shot.batches[0]!.b.massG).toBeCloseTo(today.b.massG, 6);
		expect(await movedNow(two)).toBeUndefined();
		const back = await getMaterial('resin', resinId);
		await saveMaterial('resin', resin, { id: resinId, version: back.version });
	});
	it('pot life on the sheet, the speed of the tin, the volume of the piece, the filler', async () => {
		const change = async (what: string, by: () => Promise<unknown>, says: string) => {
			const id = await kept();
			await by();
			const moved = await movedNow(id);
			expect(
				moved?.differences.map((d) => d.what),
				what
			).toContain(says);
			expect(moved!.records.length, what).toBeGreaterThan(0);
		};
		const version = async () => (await getMaterial('resin', resinId)).version;
		await change(
			'sheet',
			async () =>
				saveMaterial('resin', { ...resin, potLifeS: 60 }, { id: resinId, version: await version() }),
			'pot life'
		);
		await change('tin', () => setRateFactor(tinId, 0.6), 'pot life');
		await change(
			'piece',
			async () => {
				const { record, version: v } = await getMaster(masterId);
				await saveMaster(
					masterRecord.parse({ ...record, readings: [{ method: 'typed', volumeMl: 90 }] }),
					null,
					{ id: masterId, version: v }
				);
			},
			'A'
		);
		await change(
			'filler',
			async () => {
				const { record, version: v } = await getMaterial('filler', fillerId);
				await saveMaterial(
					'filler',
					{ ...record, densityGPerMl: 1.2, bulkDensityGPerMl: 0.5 },
					{ id: fillerId, version: v }
				);
			},
			'A'
		);
	});
	it('what changes without moving a figure asks nobody', async () => {
		const id = await kept();
		const { record, version } = await getMaterial('release', releaseId);
		await saveMaterial('release', { ...record, note: 'new tin' }, { id: releaseId, version });
		const mould = await getMould(mouldId);
		await saveMould(mouldOf({ place: 'shelf 3' }), { id: mouldId, version: mould.version });
		expect(await movedNow(id)).toBeUndefined();
	});
	it('the page asks, with both figures; a cup that is none is refused', async () => {
		const id = await kept();
		await setRateFactor(tinId, 1.6);
		const { text } = await sendForm(`/shots/${id}?/pour`, [['batch', '0']]);
		expect(text).toContain('"status":409');
		expect(text).toMatch(/pot life/);
		expect(
			(
				await sendForm(`/shots/${id}?/pour`, [
					['batch', '77'],
					['plan', 'today']
				])
			).text
		).toMatch(/no batch 78/);
		expect(
			(
				await sendForm(`/shots/${id}?/pour`, [
					['batch', '0'],
					['plan', 'nonsense']
				])
			).text
		).toContain('409');
	});
});

describe('presses at demould', () => {
	/** One pour, out after so many seconds, with what was pressed then. */
	async function pulled(what: 'demould-soft' | 'demould-right' | 'demould-locked', outS: number) {
		const { id } = (await beginPour(await kept(), 0, settings)) as { id: string };
		const { plan } = await getPour(id);
		const from = Date.now() - 9e6;
		const done = (stepId: string, atMs: number) => ({
			id: randomUUID(),
			atMs,
			kind: 'step-done' as const,
			stepId
		});
		const steps = plan.bench!.filter((s) => s.kind !== 'inspect').map((s) => s.id);
		const pour = steps.findIndex((s) => s === 'combine');
		const state = await addEvents(id, [
			...steps.slice(0, pour + 1).map((s) => done(s, from)),
			...steps.slice(pour + 1, -1).map((s, i) => done(s, from + 10_000 * (i + 1)))
		]);
		const outMs = state.pouredAtMs! + outS * 1000;
		await addEvents(id, [
			done(steps.at(-1)!, outMs),
			{ id: randomUUID(), atMs: outMs + 20_000, kind: 'seen', what, source: 'typed' },
			{
				id: randomUUID(),
				atMs: outMs + 60_000,
				kind: 'graded',
				mouldId,
				grade: 'good',
				faults: [],
				note: ''
			},
			done('inspect', outMs + 60_001),
			{ id: randomUUID(), atMs: outMs + 60_002, kind: 'finished' }
		]);
		return plan;
	}
	const taught = async () => (await getShot(await kept())).planned.taught;

	it('teach the resin in its mould, move the plan with its reason, and are forgotten when asked', async () => {
		const before = await kept();
		const { demouldS } = (await getShot(before)).planned.shot;
		expect(await taught()).toBeUndefined();
		await pulled('demould-soft', Math.round(demouldS * 1.3));
		const longer = (await getShot(await kept())).planned;
		expect(longer.taught!.maturityFactor).toBeGreaterThan(1.1);
		expect(longer.shot.demouldS).toBeGreaterThan(demouldS * 1.05);
		// a shot that was kept before says what has moved
		const moved = (await movedNow(before))!;
		expect(moved.records).toEqual([`what was pressed at demould of ${name}`]);
		expect(moved.differences.map((d) => d.what)).toContain('demould');
		for (const outS of [1500, 1620, 1560]) await pulled('demould-right', outS);
		const own = (await taught())!.own!;
		expect([own.lowS, own.highS, own.pulls]).toEqual([1500, 1620, 3]);
		// the plan of a pour carries it to the bench and the card
		const plan = await pulled('demould-right', 1600);
		expect(plan.ownDemould).toEqual(own);
		expect(plan.cure!.maturityFactor).toBeGreaterThan(1);
		const page = await fetch(`${process.env.ANTHYPOS_URL}/shelf/resins/${resinId}`);
		expect(await page.text()).toContain('Learnt at demould');
		const forget = (id: string) =>
			fetch(`${process.env.ANTHYPOS_URL}/shelf/resins/${id}/forget`, {
				method: 'POST',
				headers: { origin: process.env.ANTHYPOS_URL! }
			});
		expect((await forget('nobody')).status).toBe(404);
		expect((await forget(resinId)).url).toMatch(new RegExp(`${resinId}$`));
		expect(await taught()).toBeUndefined();
	});
});
