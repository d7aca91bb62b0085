import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { benchSteps, type PourEvent } from '$lib/core/bench';
import { pullLine } from '$lib/core/ledger';
import { masterRecord } from '$lib/core/master';
import { mouldInputs } from '$lib/core/mould';
import { orderRecord, pullRecipe, type OrderRecord } from '$lib/core/orders';
import { resinRecord } from '$lib/core/shelf';
import { shotInputs, type ShotInputs } from '$lib/core/shot';
import { closeDb } from '$lib/server/db/connection';
import { InputError } from '$lib/core/working';
import { listPulls } from '$lib/server/repositories/ledger';
import { saveMaster } from '$lib/server/repositories/masters';
import { listMaterials, listRubbers, saveMaterial } from '$lib/server/repositories/materials';
import { saveMould, setMouldState } from '$lib/server/repositories/moulds';
import { partsOfLines } from '$lib/server/repositories/orderParts';
import { countLines, saveOrder } from '$lib/server/repositories/orders';
import { beginPour, beginToday } from '$lib/server/repositories/beginPour';
import { addEvents, getPour, runningClocks } from '$lib/server/repositories/pours';
import { readSettings } from '$lib/server/repositories/settings';
import { savePhoto } from '$lib/server/repositories/photos';
import { listPictures } from '$lib/server/repositories/pictures';
import { batchPlans, getShot, saveShot } from '$lib/server/repositories/shots';
import { base, get, post } from './http';

/** The smallest picture: one dot. */
const PNG = Buffer.from(
	'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
	'base64'
);
// against the database of the running test application
const name = `Test cowrie ${randomUUID().slice(0, 8)}`;
let masterId = '';
let resinId = '';
let mouldId = '';
let fourId = '';
let fillerId = '';
let rubberId = '';
let pricedId = '';
let settings: Awaited<ReturnType<typeof readSettings>>['settings'];

const shotOf = (over: Partial<ShotInputs> = {}): ShotInputs =>
	shotInputs.parse({
		masterId,
		mouldIds: [mouldId],
		resinId,
		copies: 1,
		sprueVolumeMl: 2,
		sectionMm: 6,
		startTempC: 21,
		mouldTempC: 21,
		roomTempC: 21,
		relativeHumidity: 40,
		...over
	});

const typedMaster = {
	name,
	material: 'metal',
	footprint: 'round',
	lengthMm: 60,
	widthMm: 60,
	heightMm: 80,
	readings: [{ method: 'typed', volumeMl: 150 }]
};
const typedResin = {
	name,
	family: 'fast urethane',
	densityAGPerMl: 1.08,
	densityBGPerMl: 1,
	weightA: 100,
	weightB: 90,
	potLifeS: 180,
	demouldS: 900,
	character: 'gradual',
	viscosityMpaS: 150
};

/** A mould that may be poured, of the cowrie unless said. */
const mould = async (cavities: number, of = masterId) => {
	const id = await saveMould(
		mouldInputs.parse({
			label: name,
			masterId: of,
			rubberId,
			cavities,
			clearanceMm: 12,
			coverMm: 12,
			lossPercent: 4,
			roomTempC: 21
		})
	);
	await setMouldState(id, 1, 'active');
	return id;
};

beforeAll(async () => {
	settings = (await readSettings()).settings;
	masterId = await saveMaster(masterRecord.parse(typedMaster), null);
	resinId = await saveMaterial('resin', resinRecord.parse(typedResin));
	pricedId = await saveMaterial(
		'resin',
		resinRecord.parse({ ...typedResin, name: `${name} priced`, pricePerKg: 20 })
	);
	rubberId = (await listRubbers()).find((r) => r.record.use === 'pour')!.id;
	fillerId = (await listMaterials('filler'))[0]!.id;
	mouldId = await mould(1);
	fourId = await mould(4);
});
afterAll(() => closeDb());

describe('shots of every kind', () => {
	it('a hollow one is kept with its layers and frozen for the bench, clocks from each layer’s own pour', async () => {
		const id = await saveShot(shotOf({ kind: 'rotocast', wallMm: 3 }), settings);
		const shot = await getShot(id);
		const layers = shot.planned.shot.batches[0]!.layers!;
		expect(layers).toHaveLength(3);
		const plan = (await batchPlans(id, 0, settings)).now;
		expect(plan.layers).toHaveLength(3);
		expect(plan.a.massG).toBeCloseTo(
			layers.reduce((s, l) => s + l.a.massG, 0),
			6
		);
		// the plan of the pour has the layers of the shot, as they are
		expect(plan.layers).toEqual(layers);
		expect(plan.demouldS).toBeCloseTo(shot.planned.shot.demouldS - layers[2]!.pouredS!, 6);
	});

	it('a wall that does not go in is refused at its field, with nothing kept', async () => {
		await expect(saveShot(shotOf({ kind: 'rotocast', wallMm: 25 }), settings)).rejects.toThrow(InputError);
	});

	it('four cavities are filled from one cup, and the bench is told how many each mould gets', async () => {
		const id = await saveShot(
			shotOf({ mouldIds: [mouldId, fourId], copies: 5, pourS: 2, mixS: 20 }),
			settings
		);
		const plan = (await batchPlans(id, 0, settings)).now;
		expect(plan.moulds.map((m) => m.copies)).toEqual([1, 4]);
		expect((await getShot(id)).planned.shot.batches).toHaveLength(1);
	});

	it('filler and what is set in reach the bench as steps of their own', async () => {
		const id = await saveShot(
			shotOf({ fillerId, fillerPercent: 20, inserts: [{ name: 'wire', massG: 5, volumeMl: 1 }] }),
			settings
		);
		const plan = (await batchPlans(id, 0, settings)).now;
		const steps = benchSteps(plan).map((s) => s.id);
		expect(steps).toEqual(expect.arrayContaining(['inserts', 'measure-filler-0']));
		expect(plan.fillers![0]!.massG / plan.massG).toBeCloseTo(0.2, 6);
	});

	it('a resin without a price is named in the price of an order, and not free', async () => {
		const shotId = await saveShot(shotOf(), settings);
		const lines = [{ id: 'l', shotId, copies: 1 }] as OrderRecord['lines'];
		const { l: parts } = await partsOfLines({ lines } as OrderRecord, settings);
		expect(parts).toMatchObject({ material: 0, unpriced: [name] });
		expect(parts!.mould).toBeGreaterThan(0);
	});

	it('the price of a hollow one counts the resin of every layer', async () => {
		const shotId = await saveShot(shotOf({ resinId: pricedId, kind: 'rotocast', wallMm: 3 }), settings);
		const layers = (await getShot(shotId)).planned.shot.batches[0]!.layers!;
		const lines = [{ id: 'l', shotId, copies: 1 }] as OrderRecord['lines'];
		const { l: parts } = await partsOfLines({ lines } as OrderRecord, settings);
		expect(layers.length).toBeGreaterThan(2);
		const massG = layers.reduce((sum, l) => sum + l.a.massG + l.b.massG, 0);
		expect(parts!.material).toBeCloseTo((20 * massG) / 1000, 6);
	});

	it('a whole pour in layers: clocks run, and it is one pull of its mould', async () => {
		const id = await saveShot(shotOf({ kind: 'filled', wallMm: 2 }), settings);
		const pourId = await beginToday(id, 0, settings);
		const { plan } = await getPour(pourId);
		const steps = benchSteps(plan);
		let atMs = Date.now() - 3_000_000;
		const done = (stepId: string): PourEvent => ({
			id: randomUUID(),
			atMs: (atMs += 30_000),
			kind: 'step-done',
			stepId
		});
		const until = steps.findIndex((s) => s.id === 'roll-0');
		await addEvents(
			pourId,
			steps.slice(0, until).map((s) => done(s.id))
		);
		expect((await runningClocks()).find((c) => c.href.includes(pourId))!.then).toBe('it no longer runs');
		const state = await addEvents(pourId, [
			...steps.slice(until).map((s) => done(s.id)),
			{
				...{
					id: randomUUID(),
					atMs: (atMs += 1),
					kind: 'graded',
					mouldId,
					grade: 'good',
					faults: [],
					note: ''
				},
				// one of them is in no store: the grade is kept all the same
				pictures: [{ photoId: await savePhoto(PNG) }, { photoId: randomUUID() }]
			} as PourEvent,
			{ id: randomUUID(), atMs: (atMs += 1), kind: 'finished' }
		]);
		expect(state.status).toBe('finished');
		const { pulls } = await listPulls({ mouldId }, { offset: 0, limit: 10 });
		const good = pulls.filter((p) => p.grade === 'good');
		expect(good).toHaveLength(1);
		// each layer has a pot life of its own: that the last came long after the first cup is not late
		const { planned, real } = good[0]!.body;
		expect(real.pouredByS!).toBeGreaterThan(planned.potLifeS);
		expect(real.pouredByS! - real.lastCupFromS!).toBeLessThan(planned.lastCupPotLifeS!);
		expect(pullLine(good[0]!).late).toBe(false);
		const pictures = () => listPictures('pull', good[0]!.id);
		expect(await pictures()).toMatchObject([{ photoId: await savePhoto(PNG), caption: '' }]);
		// whatever arrives later, the picture stands there once
		await addEvents(pourId, [
			{ id: randomUUID(), atMs: (atMs += 1), kind: 'remark', text: 'late' } as PourEvent
		]);
		expect(await pictures()).toHaveLength(1);
	});

	it('of a cup that fills a mould of another piece too an order counts its own', async () => {
		const buttonId = await saveMaster(masterRecord.parse({ ...typedMaster, name: `${name} button` }), null);
		const button = await mould(1, buttonId);
		const shotId = await saveShot(
			shotOf({ resinId: pricedId, also: [{ mouldId: button, copies: 1 }] }),
			settings
		);
		const line = { id: randomUUID(), shotId, copies: 2, finishMinutes: 0, hardenHours: 24 };
		const order = { name, state: 'called-off', dueAtMs: Date.now() + 1e9, lines: [line] };
		const orderId = await saveOrder(randomUUID(), orderRecord.parse(order));
		const begun = await beginPour(shotId, 0, settings, {
			order: { id: orderId, lineId: line.id, number: 1 }
		});
		const pourId = (begun as { id: string }).id;
		const counts = async () => (await countLines([line.id])).get(line.id);
		expect(await counts()).toMatchObject({ casting: 1, good: 0 });
		const { plan } = await getPour(pourId);
		expect(plan.moulds).toHaveLength(2);
		expect(pullRecipe(plan, 0, null)).toMatchObject({ copies: 1, mouldIds: [mouldId, button] });
		const at = (kind: object) => ({ id: randomUUID(), atMs: Date.now() - 1000, ...kind }) as PourEvent;
		await addEvents(pourId, [
			...benchSteps(plan).map((s) => at({ kind: 'step-done', stepId: s.id })),
			...plan.moulds.map((m) => at({ kind: 'graded', mouldId: m.id, grade: 'good', faults: [], note: '' })),
			at({ kind: 'finished' })
		]);
		expect(await counts()).toEqual({ casting: 0, good: 1, scrap: 0, pours: 1 });
		// half of the cup is the other piece’s
		const { [line.id]: parts } = await partsOfLines(orderRecord.parse(order), settings);
		const ownShare = parts!.material / ((20 * (plan.a.massG + plan.b.massG)) / 1000);
		expect(ownShare).toBeGreaterThan(0.45);
		expect(ownShare).toBeLessThan(0.55);
	});
});

describe('papers and the open interface', () => {
	it('the pour card is a PDF; of a shot whose mould is retired it says why there is none', async () => {
		const id = await saveShot(shotOf({ kind: 'rotocast', wallMm: 3 }), settings);
		const card = await fetch(`${base}/shots/${id}/card.pdf`);
		expect(card.headers.get('content-type')).toBe('application/pdf');
		expect(
			Buffer.from(await card.arrayBuffer())
				.subarray(0, 5)
				.toString()
		).toBe('%PDF-');
		await setMouldState(fourId, 2, 'retired');
		const gone = await saveShot(shotOf(), settings);
		expect((await fetch(`${base}/shots/${gone}/card.pdf`)).status).toBe(200);
		expect((await fetch(`${base}/shots/${randomUUID()}/card.pdf`)).status).toBe(404);
	});
	it.each([
		'rotocast',
		'shot',
		'mould-jacket',
		'mould-press',
		'mould-rigid',
		'mould-open-face',
		'mould-mixes',
		'vacuum'
	])('%s answers its own example, and refuses nonsense at its field', async (calculation) => {
		const list = (await get('/api/calc')).json as { calculations?: { name: string; example: unknown }[] };
		const all = (list.calculations ?? list) as { name: string; example: unknown }[];
		const { example } = all.find((c) => c.name === calculation)!;
		const good = await post(`/api/calc/${calculation}`, example);
		expect(good.status).toBe(200);
		const bad = await post(`/api/calc/${calculation}`, { ...(example as object), nonsense: 1 });
		expect(bad.status).toBe(422);
		expect(bad.json.errors[0].message.length).toBeGreaterThan(5);
	});
});
