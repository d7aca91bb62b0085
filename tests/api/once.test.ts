import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { mouldInputs } from '$lib/core/mould';
import { shotInputs } from '$lib/core/shot';
import { closeDb } from '$lib/server/db/connection';
import { listMasters } from '$lib/server/repositories/masters';
import { listMaterials } from '$lib/server/repositories/materials';
import { listMoulds, saveMould, setMouldState } from '$lib/server/repositories/moulds';
import { listPours } from '$lib/server/repositories/pours';
import { readSettings } from '$lib/server/repositories/settings';
import { listShots, saveShot } from '$lib/server/repositories/shots';
import { get, post, sendForm } from './http';

// a form or an event that is sent again, since its answer was lost on the way, makes nothing more
const MANY = 50;
const label = `Sent again ${randomUUID().slice(0, 8)}`;
afterAll(closeDb);

describe('a form that arrives many times at once', () => {
	it('makes one release of fifty', async () => {
		const made = [
			['name', label],
			['kind', 'wax'],
			['madeId', randomUUID()]
		] as const;
		const answers = await Promise.all(
			Array.from({ length: MANY }, () => sendForm('/shelf/releases/new', made))
		);
		expect(answers.filter((a) => /"type":"redirect"/.test(a.text))).toHaveLength(MANY);
		expect(new Set(answers.map((a) => a.text)).size).toBe(1);
		const kept = (await listMaterials('release')).filter((r) => r.record.name === label);
		expect(kept.map((r) => r.id)).toEqual([made[2][1]]);
	});

	it('without an id of its page, or with one that is none, it is a thing of its own', async () => {
		const send = (madeId?: string) =>
			sendForm('/shelf/releases/new', [
				['name', `${label} plain`],
				['kind', 'wax'],
				...(madeId === undefined ? [] : [['madeId', madeId] as const])
			]);
		for (const id of [undefined, '', "'; DROP TABLE materials; --"])
			expect((await send(id)).text).toMatch(/"type":"redirect"/);
		const kept = (await listMaterials('release')).filter((r) => r.record.name === `${label} plain`);
		expect(kept).toHaveLength(3);
	});

	it('makes one mould and one shot, and no number is lost', async () => {
		const masterId = (await listMasters()).find((m) => m.volumeMl)!.id;
		const rubberId = (await listMaterials('rubber')).find((r) => r.record.use === 'pour')!.id;
		const resinId = (await listMaterials('resin')).find((r) => r.record.family === 'fast urethane')!.id;
		const inputs = mouldInputs.parse({
			label,
			masterId,
			rubberId,
			clearanceMm: 12,
			coverMm: 12,
			lossPercent: 4,
			roomTempC: 21
		});
		const id = randomUUID();
		const ids = await Promise.all(Array.from({ length: 12 }, () => saveMould(inputs, { id: id })));
		expect(new Set(ids)).toEqual(new Set([id]));
		const next = await saveMould(inputs);
		await setMouldState(next, 1, 'active');
		const numbers = (await listMoulds()).filter((m) => m.label === label).map((m) => m.number);
		expect(numbers).toHaveLength(2);
		expect(Math.abs(numbers[0]! - numbers[1]!)).toBe(1);

		const { settings } = await readSettings();
		const shot = shotInputs.parse({
			masterId,
			mouldIds: [next],
			resinId,
			copies: 1,
			sprueVolumeMl: 2,
			sectionMm: 6,
			startTempC: 21,
			mouldTempC: 21,
			roomTempC: 21,
			relativeHumidity: 40
		});
		const shotId = randomUUID();
		await Promise.all(Array.from({ length: 12 }, () => saveShot(shot, settings, { id: shotId })));
		expect((await listShots(500)).filter((s) => s.inputs.mouldIds.includes(next)).map((s) => s.id)).toEqual([
			shotId
		]);
	});
});

describe('an event under an id that is taken', () => {
	let pourId = '';
	beforeAll(async () => {
		pourId = (await listPours({ status: 'open' }))[0]!.id;
	});
	const url = () => `/api/pours/${pourId}/events`;
	const remark = (text: string, over: object = {}) => ({
		id: randomUUID(),
		atMs: Date.now(),
		kind: 'remark',
		text,
		...over
	});

	it('is the same event, or it is refused in words and the first stays', async () => {
		const first = remark('as it was');
		expect((await post(url(), { events: [first] })).status).toBe(200);
		expect((await post(url(), { events: [first, first] })).status).toBe(200);
		const other = await post(url(), { events: [{ ...first, text: 'something else' }] });
		expect(other.status).toBe(422);
		expect(other.json.errors[0].message).toMatch(/under this id already/);
		const { events } = (await get(url())).json;
		expect(events.filter((e: { id: string }) => e.id === first.id)).toEqual([first]);
	});

	it('of another pour is refused: nothing is acknowledged that is kept nowhere', async () => {
		const finished = (await listPours({ status: 'finished' }))[0]!.id;
		const first = remark('of the open one');
		expect((await post(url(), { events: [first] })).status).toBe(200);
		const { status } = await post(`/api/pours/${finished}/events`, { events: [first] });
		expect(status).toBe(422);
	});

	it('and one of a year ahead is refused, one of tomorrow is kept', async () => {
		const day = 86_400_000;
		const far = await post(url(), { events: [remark('far', { atMs: Date.now() + 400 * day })] });
		expect(far.status).toBe(422);
		expect(far.json.errors[0]).toMatchObject({
			path: 'atMs',
			message: expect.stringMatching(/clock of this device/)
		});
		expect((await post(url(), { events: [remark('near', { atMs: Date.now() + day })] })).status).toBe(200);
	});
});
