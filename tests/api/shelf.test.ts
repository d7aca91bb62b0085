import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { cup } from '$lib/core/cure';
import { masterThing, rubberThing, whatMeets } from '$lib/core/compatibility';
import { benchSteps, reducePour, type PourEvent } from '$lib/core/bench';
import {
	colourRecord,
	containerSpeed,
	cureOf,
	recipeRecord,
	releaseRecord,
	thermoplasticRecord,
	type ReleaseRecord
} from '$lib/core/shelf';
import { closeDb } from '$lib/server/db/connection';
import { migrate } from '$lib/server/db/migrate';
import { ConflictError, NotFoundError, RefusedError } from '$lib/server/errors';
import { getContainer, inUse, listContainers, setRateFactor } from '$lib/server/repositories/containers';
import { listExperiences, removeExperience, saveExperience } from '$lib/server/repositories/experiences';
import { listMasters } from '$lib/server/repositories/masters';
import { getMaterial, listMaterials, listResins, saveMaterial } from '$lib/server/repositories/materials';
import { listMoulds } from '$lib/server/repositories/moulds';
import { beginToday } from '$lib/server/repositories/beginPour';
import { addEvents, getPour, keepSpeed, readEvents, runningClocks } from '$lib/server/repositories/pours';
import { readSettings } from '$lib/server/repositories/settings';
import { saveShot } from '$lib/server/repositories/shots';
import { shotInputs } from '$lib/core/shot';
import { thingsOnShelf } from '$lib/server/things';
import { get, post, sendForm } from './http';

beforeAll(migrate);
afterAll(closeDb);
const unique = () => `Test ${randomUUID().slice(0, 8)}`;

describe('materials of every kind', () => {
	it('come back as they were kept, under their own kind only', async () => {
		const records = {
			colour: colourRecord.parse({
				name: unique(),
				kind: 'mica',
				densityGPerMl: 2.9,
				bulkDensityGPerMl: 0.3
			}),
			release: releaseRecord.parse({ name: unique(), kind: 'wax' }),
			thermoplastic: thermoplasticRecord.parse({
				name: unique(),
				softenTempC: 90,
				densityGPerMl: 1,
				coolS: 3600
			})
		};
		for (const kind of ['colour', 'release', 'thermoplastic'] as const) {
			const id = await saveMaterial(kind, records[kind] as never);
			expect((await getMaterial(kind, id)).record).toEqual(records[kind]);
			expect((await listMaterials(kind)).map((m) => m.id)).toContain(id);
			await expect(getMaterial('resin', id)).rejects.toThrow(NotFoundError);
		}
	});

	it('a recipe keeps its doses in their order', async () => {
		const [resin] = await listResins();
		const [colour] = await listMaterials('colour');
		const doses = [0.4, 0.1, 0.7].map((massG, i) => ({ colourId: colour!.id, massG, look: `dose ${i}` }));
		const id = await saveMaterial(
			'recipe',
			recipeRecord.parse({ name: unique(), resinId: resin!.id, resinMassG: 80, doses })
		);
		expect((await getMaterial('recipe', id)).record.doses).toEqual(doses);
	});

	it('two people change one release: the second is told', async () => {
		const record: ReleaseRecord = releaseRecord.parse({ name: unique(), kind: 'talc' });
		const id = await saveMaterial('release', record);
		await saveMaterial('release', { ...record, note: 'first' }, { id, version: 1 });
		await expect(saveMaterial('release', { ...record, note: 'second' }, { id, version: 1 })).rejects.toThrow(
			ConflictError
		);
		expect((await getMaterial('release', id)).record.note).toBe('first');
	});

	it('the demo’s shelf holds something of every kind, and each page opens', async () => {
		for (const kind of [
			'resin',
			'rubber',
			'filler',
			'colour',
			'recipe',
			'release',
			'thermoplastic'
		] as const) {
			const [first] = await listMaterials(kind);
			const { status } = await get(`/shelf/${kind}s/${first!.id}`);
			expect(status, kind).toBe(200);
			expect((await get(`/shelf/${kind}s/${randomUUID()}`)).status).toBe(404);
		}
	});
});

describe('own experience', () => {
	it('is kept, said where the two meet, and can be taken back', async () => {
		const things = await thingsOnShelf();
		const rubber = things.find((t) => t.kind === 'rubber' && t.cureKind === 'condensation')!;
		const master = masterThing('metal');
		expect(whatMeets(master, rubber, await listExperiences())).toEqual([]);
		const id = await saveExperience({
			first: rubber.key,
			second: master.key,
			verdict: 'never again',
			note: 'rust'
		});
		const said = whatMeets(master, rubber, await listExperiences());
		expect(said[0]).toMatchObject({ code: 'own-never-again', severity: 'harm' });
		expect(said[0]!.message).toContain('rust');
		await removeExperience(id);
		expect(whatMeets(master, rubber, await listExperiences())).toEqual([]);
	});

	it('keys of the shelf fit the things of the core', async () => {
		for (const thing of await thingsOnShelf())
			expect(thing.key).toMatch(/^(rubber|resin|release|thermoplastic):.+/);
		const key = rubberThing('x', { name: 'X', cureKind: 'addition', use: 'pour' }).key;
		expect(key).toBe('rubber:x');
	});
});

describe('a thermometer at the bench', () => {
	let pourId = '';
	// the tin goes on to other tests, at its sheet's own speed
	afterAll(async () => {
		const { plan } = await getPour(pourId);
		await setRateFactor(plan.containers!.a!, null);
	});
	const event = (over: object) => ({ id: randomUUID(), ...over }) as PourEvent;
	const combinedAtMs = Date.now() - 40_000;

	beforeAll(async () => {
		const { settings } = await readSettings();
		const masters = await listMasters();
		const busy = new Set<string>();
		const resin = (await listResins()).find((r) => r.record.name === 'Lantern white')!;
		for (const master of masters) {
			const mould = (await listMoulds({ masterId: master.id })).find(
				(m) => m.state === 'active' && !busy.has(m.id)
			);
			if (!mould) continue;
			const shotId = await saveShot(
				shotInputs.parse({
					masterId: master.id,
					mouldIds: [mould.id],
					resinId: resin.id,
					copies: 1,
					sprueVolumeMl: 1,
					sectionMm: 6,
					startTempC: 21,
					mouldTempC: 21,
					roomTempC: 21,
					relativeHumidity: 40
				}),
				settings
			);
			try {
				pourId = await beginToday(shotId, 0, settings);
				return;
			} catch (error) {
				if (!(error instanceof RefusedError)) throw error;
			}
		}
	});

	it('sends readings that correct the running clock and are kept in the order of their times', async () => {
		const { plan } = await getPour(pourId);
		expect(plan.cure).toBeDefined();
		const before = combinedAtMs + plan.potLifeS * 1000;
		await addEvents(pourId, [event({ kind: 'step-done', stepId: 'combine', atMs: combinedAtMs })]);
		const { status } = await post(`/api/pours/${pourId}/events`, {
			events: [
				event({ kind: 'temp-read', tempC: 34, atMs: combinedAtMs + 35_000 }),
				event({ kind: 'temp-read', tempC: 27, atMs: combinedAtMs + 20_000 })
			]
		});
		expect(status).toBe(200);
		const { events } = await readEvents(pourId);
		expect(reducePour(benchSteps(plan), events).temps.map((t) => t.timeS)).toEqual([20, 35]);
		// it runs hot, so the clock ends sooner than planned
		const clock = (await runningClocks()).find((c) => c.id === `${pourId}-pot-life`)!;
		expect(clock.endsAtMs).toBeLessThan(before - 5000);
	});

	it('refuses a reading that no thermometer shows', async () => {
		for (const tempC of [900, -300, 'hot', null]) {
			const { status } = await post(`/api/pours/${pourId}/events`, {
				events: [event({ kind: 'temp-read', tempC, atMs: combinedAtMs + 36_000 })]
			});
			expect(status).toBe(422);
		}
	});

	it('what they taught is kept as the tin’s own speed, worked out by the server', async () => {
		const { plan } = await getPour(pourId);
		const speed = await keepSpeed(pourId);
		expect(speed).toBeGreaterThan(1);
		expect((await getContainer(plan.containers!.a!)).rateFactor).toBeCloseTo(speed, 9);
		expect(
			(await inUse((await listResins()).find((r) => r.record.name === 'Lantern white')!.id)).a?.rateFactor
		).toBeCloseTo(speed, 9);
	});

	it('a pour without readings has taught nothing', async () => {
		await addEvents(pourId, [event({ kind: 'abandoned', reason: 'end of the test', atMs: Date.now() })]);
		const { events } = await readEvents(pourId);
		await addEvents(
			pourId,
			events
				.filter((e) => e.kind === 'temp-read')
				.map((e) => event({ kind: 'undone', eventId: e.id, atMs: Date.now() }))
		);
		await expect(keepSpeed(pourId)).rejects.toThrow(/No cup temperature/);
	});
});

describe('a tin’s speed by readings on the cure screen', () => {
	const cupRead = { massG: 150, startTempC: 23, roomTempC: 23 };
	let tin: Awaited<ReturnType<typeof listContainers>>[number];
	let resin: Awaited<ReturnType<typeof listResins>>[number];
	/** A batch that goes a third faster than its sheet. */
	let readings: { timeS: number; tempC: number }[];

	beforeAll(async () => {
		const resins = await listResins();
		const urethane = (id: string) =>
			resins.find((r) => r.id === id && /urethane/.test(r.record.family) && r.record.potLifeS);
		const tins = (await listContainers()).filter((t) => !t.emptied && t.record.part !== 'B');
		tin = tins.find((t) => urethane(t.record.materialId))!;
		resin = urethane(tin.record.materialId)!;
		await setRateFactor(tin.id, 1);
		const faster = cup({ resin: { ...cureOf(resin.record), rateFactor: 1.33 }, ...cupRead });
		readings = faster.series
			.filter((p) => p.timeS > 15 && p.timeS < 0.8 * faster.potLifeS)
			.filter((_, i) => i % 6 === 0)
			.slice(0, 7)
			.map(({ timeS, tempC }) => ({ timeS, tempC }));
	});
	afterAll(async () => setRateFactor(tin.id, tin.rateFactor ?? 1));
	const keep = (asked: unknown, more: [string, string][] = []) =>
		sendForm('/cure?/keep', [
			['containerId', tin.id],
			['asked', typeof asked === 'string' ? asked : JSON.stringify(asked)],
			...more
		]);
	const speed = async () => (await getContainer(tin.id)).rateFactor;

	it('is worked out by the server; what the browser says of it is not believed', async () => {
		expect(readings.length).toBeGreaterThan(3);
		const { text } = await keep({ ...cupRead, readings }, [['rateFactor', '9']]);
		expect(text).toMatch(/"type":"success"/);
		const kept = (await speed())!;
		// as slow as the tin is said to be, its sheet stands for that already
		const slower = containerSpeed(tin.record.slowerPercent, 1) ?? 1;
		expect(kept * slower).toBeGreaterThan(1.2);
		expect(kept * slower).toBeLessThan(1.46);
	});

	it.each([
		['no JSON', '{"massG":'],
		['nothing', '{}'],
		['no readings', JSON.stringify({ ...cupRead, readings: [] })],
		[
			'a cup of less than nothing',
			JSON.stringify({ ...cupRead, massG: -4, readings: [{ timeS: 1, tempC: 20 }] })
		],
		['words', JSON.stringify({ ...cupRead, readings: [{ timeS: 'soon', tempC: 'warm' }] })]
	])('%s: refused with a sentence, and the tin stays as it was', async (_what, asked) => {
		const before = await speed();
		const { status, text } = await keep(asked);
		expect(status).toBe(200);
		expect(text).toMatch(/"type":"failure","status":400/);
		expect(text).toMatch(/refused/);
		expect(await speed()).toBe(before);
	});

	it('a tin that is not there is not found', async () => {
		const { status } = await sendForm('/cure?/keep', [
			['containerId', randomUUID()],
			['asked', JSON.stringify({ ...cupRead, readings })]
		]);
		expect(status).toBe(404);
	});
});
