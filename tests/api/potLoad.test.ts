import { randomUUID } from 'node:crypto';
import { QueryTypes } from 'sequelize';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { reducePour, stepsOf, type PourEvent } from '$lib/core/bench';
import { masterRecord } from '$lib/core/master';
import { mouldInputs } from '$lib/core/mould';
import { resinRecord } from '$lib/core/shelf';
import { shotInputs } from '$lib/core/shot';
import { closeDb, db } from '$lib/server/db/connection';
import { tables } from '$lib/server/db/models';
import { beginPlanned } from '$lib/server/repositories/beginPlanned';
import { saveMaster } from '$lib/server/repositories/masters';
import { listRubbers, saveMaterial } from '$lib/server/repositories/materials';
import { getMould, saveMould, setMouldState } from '$lib/server/repositories/moulds';
import { getOrder, saveOrder } from '$lib/server/repositories/orders';
import { planFollowed } from '$lib/server/repositories/plans';
import { addEvents, getPour, readEvents } from '$lib/server/repositories/pours';
import { addEventsOfLoad, potMates } from '$lib/server/repositories/sameLoad';
import { readSettings } from '$lib/server/repositories/settings';
import { saveShot } from '$lib/server/repositories/shots';
import { listCycles, listVessels, saveVessel } from '$lib/server/repositories/vessels';
import { readHours, saveHours } from '$lib/server/repositories/workHours';
import { get } from './http';

// two shots of an order that go into a pot with one closing: planned, begun, poured, pumped and opened
const name = `Test buoy ${randomUUID().slice(0, 8)}`;
const orderId = randomUUID();
const lines: { id: string; shotId: string }[] = [];
const mouldIds: string[] = [];
const open: string[] = [];
let potId = '';
let settings: Awaited<ReturnType<typeof readSettings>>['settings'];

beforeAll(async () => {
	({ settings } = await readSettings());
	// a pot of its own: no other order's pulls stand in it
	const { record } = (await listVessels()).find((v) => v.record.kind === 'pot')!;
	potId = await saveVessel({ ...record, name: `Pot of ${name}` });
	const rubberId = (await listRubbers())[0]!.id;
	// liquid for a quarter of an hour: two cups are poured in that
	const resinId = await saveMaterial(
		'resin',
		resinRecord.parse({
			name,
			family: 'fast urethane',
			densityAGPerMl: 1.1,
			weightA: 100,
			weightB: 90,
			volumeA: 1,
			volumeB: 1,
			potLifeS: 900,
			demouldS: 3600,
			character: 'quick',
			viscosityMpaS: 120,
			note: ''
		})
	);
	for (const label of ['first', 'second']) {
		const masterId = await saveMaster(
			masterRecord.parse({
				name: `${name}, ${label}`,
				material: 'metal',
				footprint: 'round',
				lengthMm: 30,
				widthMm: 30,
				heightMm: 40,
				readings: [{ method: 'typed', volumeMl: 20 }]
			}),
			null
		);
		const mouldId = await saveMould(
			mouldInputs.parse({
				label: name,
				masterId,
				rubberId,
				clearanceMm: 8,
				coverMm: 8,
				lossPercent: 4,
				roomTempC: 21
			})
		);
		await setMouldState(mouldId, 1, 'active');
		mouldIds.push(mouldId);
		const shotId = await saveShot(
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
				usePot: true,
				potId
			}),
			settings
		);
		lines.push({ id: randomUUID(), shotId });
	}
	await saveOrder(orderId, {
		name,
		state: 'promised',
		priority: 5,
		note: '',
		// it is due before all others: its pulls are given to the pot first
		dueAtMs: Date.now() - 40 * 86_400_000,
		lines: lines.map((l) => ({ ...l, copies: 1, finishMinutes: 0, hardenHours: 0 }))
	});
});
afterAll(async () => {
	for (const id of open)
		await addEvents(id, [
			{ id: randomUUID(), atMs: Date.now(), kind: 'abandoned', reason: 'end of the check' }
		]);
	const { record, version } = await getOrder(orderId);
	await saveOrder(orderId, { ...record, state: 'called-off' }, { version });
	for (const id of mouldIds) await setMouldState(id, (await getMould(id)).version, 'retired');
	await tables.cycles().destroy({ where: { vesselId: potId } });
	await tables.vessels().destroy({ where: { id: potId } });
	await closeDb();
});

/** The plan of this moment, followed. */
async function planned() {
	const { hours, version } = await readHours();
	await saveHours({ ...hours, acceptsItself: true }, version);
	await get('/orders/plan.json');
	await saveHours(hours, (await readHours()).version);
	return (await planFollowed())!.plan;
}
const stateOf = async (id: string) => {
	const { plan } = await getPour(id);
	const { events } = await readEvents(id);
	return { steps: stepsOf(plan), state: reducePour(stepsOf(plan), events) };
};
const at = async (id: string) => {
	const { steps, state } = await stateOf(id);
	return steps[state.current];
};
let clockMs = Date.now() - 30 * 60_000;
const press = async (id: string, more: object = {}): Promise<PourEvent[]> => {
	const step = (await at(id))!;
	clockMs += 10_000;
	const events: PourEvent[] = [{ id: randomUUID(), atMs: clockMs, kind: 'step-done', stepId: step.id }];
	if (step.kind === 'pump' || step.kind === 'hold')
		events.unshift({
			id: randomUUID(),
			atMs: clockMs,
			kind: 'pressure-read',
			stepId: step.kind === 'hold' ? 'release' : step.id,
			gaugeKpa: 240,
			...more
		});
	await addEventsOfLoad(id, events);
	return events;
};
const pressUntil = async (id: string, role: string) => {
	for (let n = 0; n < 40 && (await at(id))?.role !== role; n++) await press(id);
	expect((await at(id))?.role).toBe(role);
};

describe('two shots in one closing of the pot', () => {
	let [first, second] = ['', ''];
	it('stand so in the plan, and both are begun by one press', async () => {
		const plan = await planned();
		const casts = plan.activities.filter((a) => a.part === 'cast' && a.orderId === orderId);
		expect(casts).toHaveLength(2);
		const [load] = casts.map((c) => c.load);
		expect(load!.toSorted()).toEqual(lines.map((l) => `${l.id}/1`).sort());
		expect(plan.activities.filter((a) => a.part === 'hold' && a.orderId === orderId)).toHaveLength(1);
		// whoever reads the plan elsewhere reads of it, too
		const csv = (await get('/orders/plan.csv')).text.split('\r\n').filter((l) => l.includes(name));
		expect(csv.filter((l) => l.includes(',cast,')).map((l) => /, (first|second) in M\d+/.test(l))).toEqual([
			true,
			true
		]);
		const calendar = (await get('/orders/plan.ics')).text.replaceAll(/\r\n[\t ]/g, '');
		expect(calendar.match(new RegExp(`goes into the pot with .*${name}`, 'g'))).toHaveLength(2);
		const today = (await get('/orders/today')).text;
		expect(today).toMatch(new RegExp(`, then (.*, then )?${name}, (first|second) in M\\d+`));
		expect(today).toContain('one closing of the pot');
		// whichever of them is pressed, and pressed twice
		const prep = `${load![1]}/prep`;
		const { pourId } = await beginPlanned(prep, settings);
		expect((await beginPlanned(prep, settings)).pourId).toBe(pourId);
		const { plan: own } = await getPour(pourId);
		const mates = await potMates(pourId, own);
		open.push(pourId, ...mates.map((m) => m.id));
		expect(own.potLoad!.place).toBe(1);
		expect(mates).toHaveLength(1);
		[first, second] = [mates[0]!.id, pourId];
		expect(mates[0]).toMatchObject({
			masterName: expect.stringContaining(name) as string,
			wants: expect.any(String) as string
		});
		const page = await get(`/pour/${first}`);
		expect(page.text).toContain('goes into the same pot');
	});

	it('the first waits until the second is poured, which is pressed at its own bench', async () => {
		await pressUntil(first, 'others');
		expect((await at(first))!.title).toMatch(/^Pour M\d+.* too$/);
		await pressUntil(second, 'load');
		expect((await at(first))!.role).toBe('load');
	});

	it('it is closed, pumped and opened once, at one bench: the other is told, and its pot log has one cycle', async () => {
		await press(second);
		expect((await at(first))!.role).toBe('pump');
		const pumped = await press(second);
		expect([(await at(first))!.kind, (await at(second))!.kind]).toEqual(['hold', 'hold']);
		const { state } = await stateOf(first);
		expect(state.reached).toMatchObject({ gaugeKpa: 240 });
		// sent again, as by a device that was not answered
		await addEventsOfLoad(second, pumped);
		expect((await readEvents(first)).events.filter((e) => e.kind === 'pressure-read')).toHaveLength(1);
		const cycles = await listCycles(potId);
		expect(cycles).toHaveLength(1);
		for (const id of open)
			for (const m of (await getPour(id)).plan.moulds) expect(cycles[0]!.body.load).toContain(`M${m.number}`);
		await press(first, { who: 'Jo' });
		expect((await at(second))!.kind).not.toBe('hold');
		expect(await listCycles(potId)).toHaveLength(1);
	});

	it('what was pressed by mistake is taken back at both', async () => {
		const { state } = await stateOf(first);
		const undo: PourEvent = {
			id: randomUUID(),
			atMs: (clockMs += 1000),
			kind: 'undone',
			eventId: state.lastUndoable!
		};
		await addEventsOfLoad(first, [undo]);
		expect([(await at(first))!.kind, (await at(second))!.kind]).toEqual(['hold', 'hold']);
		await press(first);
		expect((await at(second))!.kind).not.toBe('hold');
	});

	it('a pour of no load tells nobody', async () => {
		const others = await db().query<{ id: string; n: number }>(
			'SELECT pourId AS id, COUNT(*) AS n FROM pour_events WHERE pourId NOT IN (:open) GROUP BY pourId',
			{ type: QueryTypes.SELECT, replacements: { open } }
		);
		await addEventsOfLoad(first, [{ id: randomUUID(), atMs: clockMs, kind: 'remark', text: 'of a check' }]);
		const after = await db().query<{ id: string; n: number }>(
			'SELECT pourId AS id, COUNT(*) AS n FROM pour_events WHERE pourId NOT IN (:open) GROUP BY pourId',
			{ type: QueryTypes.SELECT, replacements: { open } }
		);
		expect(after).toEqual(others);
	});
});
