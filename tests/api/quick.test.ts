import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { PourEvent } from '$lib/core/bench';
import { quickInput } from '$lib/core/quick';
import { starterShelf } from '$lib/core/shelf';
import { closeDb } from '$lib/server/db/connection';
import { plain, tables } from '$lib/server/db/models';
import { listContainers } from '$lib/server/repositories/containers';
import { getMaster } from '$lib/server/repositories/masters';
import { listResins } from '$lib/server/repositories/materials';
import { getMould } from '$lib/server/repositories/moulds';
import { addEvents, getPour } from '$lib/server/repositories/pours';
import { keepQuick, pourQuick } from '$lib/server/repositories/quick';
import { readSettings } from '$lib/server/repositories/settings';
import { getShot } from '$lib/server/repositories/shots';
import { fillShelf } from '$lib/server/repositories/starter';
import { base } from './http';

let settings: Awaited<ReturnType<typeof readSettings>>['settings'];
beforeAll(async () => {
	settings = (await readSettings()).settings;
});
afterAll(() => closeDb());

const question = (over: object = {}) => quickInput.parse({ volumeMl: 85, roomTempC: 21, ...over });
const send = (fields: Record<string, string>) =>
	fetch(`${base}/quick`, {
		method: 'POST',
		redirect: 'manual',
		headers: { origin: base, accept: 'application/json' },
		body: new URLSearchParams(fields)
	});

describe('poured as it is', () => {
	it('the same press twice is one pour, without shot or mould; no pull comes of it, the tin is booked', async () => {
		const tins = (await listContainers()).filter(
			(c) => c.record.part === 'A' && c.remainingG > 500 && !c.emptied
		);
		const tin = tins[0]!;
		const q = question({ resinBy: 'shelf', resinId: tin.record.materialId });
		const id = randomUUID();
		expect(await Promise.all([pourQuick(id, q, settings), pourQuick(id, q, settings)])).toEqual([id, id]);
		const { plan } = await getPour(id);
		expect([plan.moulds, plan.shotId]).toEqual([[], '']);
		const pulls = await tables.pulls().count();
		const atMs = Date.now();
		const done = (plan.bench ?? []).map((step, i): PourEvent => ({
			id: randomUUID(),
			atMs: atMs + i * 1000,
			kind: 'step-done',
			stepId: step.id
		}));
		const state = await addEvents(id, [...done, { id: randomUUID(), atMs: atMs + 60_000, kind: 'finished' }]);
		expect(state.status).toBe('finished');
		expect(await tables.pulls().count()).toBe(pulls);
		const used = plan.containers?.a;
		const after = (await listContainers()).find((c) => c.id === used)!;
		const before = tins.find((c) => c.id === used)!;
		expect(before.remainingG - after.remainingG).toBeCloseTo(plan.a.massG, 3);
	});
});

describe('kept', () => {
	it('becomes a master, a mould that was not made here and a shot, once', async () => {
		const id = randomUUID();
		const q = question({ by: 'tube', diameterMm: 60, heightMm: 30, name: `Quick ${id.slice(0, 8)}` });
		const shotId = await keepQuick(id, q, settings);
		expect(await keepQuick(id, q, settings)).toBe(shotId);
		const [master, shot] = await Promise.all([getMaster(id), getShot(shotId)]);
		// π/4 · 60² · 30 mm³
		expect(master.volumeMl).toBeCloseTo(84.823, 3);
		expect(master.record.name).toBe(q.name);
		const mould = await getMould(shot.inputs.mouldIds[0]!);
		expect([mould.inputs.kind, mould.inputs.rigidSource, mould.state]).toEqual(['rigid', 'bought', 'active']);
		expect(await tables.moulds().count({ where: { masterId: id } })).toBe(1);
		// what stood on no shelf stands there now, marked
		const resin = plain((await tables.materials().findByPk(shot.resinId))!);
		expect(resin.body).toMatchObject({ typical: true, potLifeS: 150 });
	});
	it('pressed twice at once it is one of each, and both presses hear of the same shot', async () => {
		const id = randomUUID();
		// a resin that stands on no shelf yet
		const potLifeS = 187.25;
		const q = question({ resinBy: 'label', ratioA: 1, ratioB: 1, potLifeS });
		const [one, two] = await Promise.all([keepQuick(id, q, settings), keepQuick(id, q, settings)]);
		expect(one).toBe(two);
		expect(await keepQuick(id, q, settings)).toBe(one);
		const shot = await getShot(one);
		expect((await getMould(shot.inputs.mouldIds[0]!)).state).toBe('active');
		const where = { masterId: id };
		expect([await tables.moulds().count({ where }), await tables.shots().count({ where })]).toEqual([1, 1]);
		expect((await listResins()).filter((r) => r.record.potLifeS === potLifeS)).toHaveLength(1);
	});
});

describe('wrong questions', () => {
	it.each([
		[
			'no amount',
			{ do: 'pour', id: randomUUID(), asked: JSON.stringify({ roomTempC: 21 }) },
			/how much you want/
		],
		['half a question', { do: 'pour', id: randomUUID(), asked: '{"by":' }, /did not arrive whole/],
		[
			'no id',
			{ do: 'pour', id: 'x', asked: JSON.stringify({ volumeMl: 85, roomTempC: 21 }) },
			/load it again/
		],
		['no deed', { do: 'drink', id: randomUUID(), asked: '{}' }, /poured or kept/],
		[
			'a resin that is gone',
			{
				do: 'pour',
				id: randomUUID(),
				asked: JSON.stringify({ volumeMl: 85, roomTempC: 21, resinBy: 'shelf', resinId: randomUUID() })
			},
			/no such|not there|There is no/i
		]
	])('%s is said in a sentence', async (_name, fields, words) => {
		const answer = await send(fields);
		const text = await answer.text();
		expect(text).toMatch(words);
		expect(text).toMatch(/"type":"failure"/);
	});
});

it('the starter shelf comes once, and leaves what stands there', async () => {
	const before = await tables.materials().count();
	const came = await fillShelf();
	expect(came).toBeGreaterThan(15);
	expect(await fillShelf()).toBe(0);
	expect((await tables.materials().count()) - before).toBe(came);
	// what this test put there goes, what another put there stays
	const names = Object.values(starterShelf()).flatMap((list) => list.map((m) => m.name));
	const mine = await tables.materials().findAll({ order: [['createdAt', 'DESC']], limit: came });
	expect(mine.every((row) => names.includes(plain(row).name))).toBe(true);
	await tables.materials().destroy({ where: { id: mine.map((row) => plain(row).id) } });
});
