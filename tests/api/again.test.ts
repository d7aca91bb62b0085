import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { reducePour, stepsOf, type PourEvent } from '$lib/core/bench';
import { releaseRecord } from '$lib/core/shelf';
import { closeDb } from '$lib/server/db/connection';
import { emptyMoulds } from '$lib/server/repositories/moulds';
import { beginToday } from '$lib/server/repositories/beginPour';
import { addEvents, getPour, listPours, readEvents } from '$lib/server/repositories/pours';
import { readSettings } from '$lib/server/repositories/settings';
import { saveMaterial } from '$lib/server/repositories/materials';
import { getShot, listShots, saveShot } from '$lib/server/repositories/shots';
import { sendForm } from './http';

// pull after pull of the same cast, as the press at the end of a pour begins it
let settings: Awaited<ReturnType<typeof readSettings>>['settings'];
let first = '';
beforeAll(async () => {
	// those that the page reads: another height above the sea would be another plan for a pot
	({ settings } = await readSettings());
	const free = new Set((await emptyMoulds()).map((m) => m.id));
	// one cup into moulds that are free: nothing is begun that would hold a mould afterwards
	for (const { id, inputs, planned } of await listShots(60)) {
		if (planned.shot.batches.length > 1 || planned.also?.length) continue;
		if (inputs.mouldIds.length === 0 || !inputs.mouldIds.every((m) => free.has(m))) continue;
		const begun = await beginToday(id, 0, settings).catch(() => undefined);
		if (!begun) continue;
		first = begun;
		break;
	}
});
afterAll(closeDb);

/** Every step done, from so many minutes ago on, each mould graded, and finished. */
async function pourWhole(id: string, before: readonly PourEvent[] = [], minutesAgo = 15): Promise<void> {
	const { plan } = await getPour(id);
	const steps = stepsOf(plan);
	const { current } = reducePour(steps, before);
	const from = Date.now() - minutesAgo * 60_000;
	const rest = steps.slice(current);
	const events: PourEvent[] = rest.flatMap((step, i): PourEvent[] => {
		const at = { id: randomUUID(), atMs: from + i * 20_000 };
		return step.id === 'air'
			? [
					{ ...at, kind: 'air-read', roomTempC: 22, relativeHumidity: 40, mouldTempC: 22, source: 'typed' },
					{ ...at, id: randomUUID(), kind: 'step-done', stepId: 'air' }
				]
			: [{ ...at, kind: 'step-done', stepId: step.id }];
	});
	for (const mould of plan.moulds)
		events.push({
			id: randomUUID(),
			atMs: Date.now() - 1000,
			kind: 'graded',
			mouldId: mould.id,
			grade: 'good',
			faults: [],
			note: ''
		});
	events.push({ id: randomUUID(), atMs: Date.now(), kind: 'finished' });
	await addEvents(id, events);
}
const press = async (id: string, wanted = '') => {
	const { status, text } = await sendForm(`/pour/${id}?/again`, [['wanted', wanted]]);
	return { status, text, next: /\/pour\/([\da-f-]{36})/.exec(text)?.[1] ?? '' };
};

describe('the next pull of the same cast', () => {
	it('is not begun while this one is open, and a number that is none is said at its field', async () => {
		expect(first).not.toBe('');
		expect((await press(first)).text).toMatch(/not over yet/);
		await pourWhole(first);
		for (const wanted of ['many', '-3', '4.5', '99999'])
			expect((await press(first, wanted)).text).toMatch(/whole number/);
		const { plan } = await getPour(first);
		const open = await listPours({ status: 'open', shotId: plan.shotId });
		expect(open).toEqual([]);
	});

	it('begins with one press at what is done for every pull, is counted, and is one when pressed twice', async () => {
		const [one, two] = await Promise.all([press(first, '40'), press(first, '40')]);
		expect(one.next).not.toBe('');
		expect(two.next).toBe(one.next);
		const { plan } = await getPour(one.next);
		expect(plan.series).toEqual({ first, number: 2, wanted: 40 });
		const { events } = await readEvents(one.next);
		const state = reducePour(stepsOf(plan), events);
		for (const step of ['look', 'air', 'shake']) expect(state.doneAtMs[step], step).toBeDefined();
		expect(state.air).toMatchObject({ roomTempC: 22, relativeHumidity: 40 });
		expect(new Set(events.map((e) => e.id)).size).toBe(events.length);
		expect(state.combinedAtMs).toBeUndefined();

		// pulls of a run are pulls in the ledger like any other
		await pourWhole(one.next, events);
		const third = await press(one.next);
		expect((await getPour(third.next)).plan.series).toEqual({ first, number: 3, wanted: 40 });
		await addEvents(third.next, [
			{ id: randomUUID(), atMs: Date.now(), kind: 'abandoned', reason: 'enough for this check' }
		]);
	});

	it('opens with what the last pull left: lighter by it, nobody being asked, and the pull says so', async () => {
		const { plan: before } = await getPour(first);
		const begun = await beginToday(before.shotId, 0, settings);
		await pourWhole(begun);
		const { plan } = await getPour(begun);
		const leftG = Math.round(plan.massG * 0.3);
		await addEvents(begun, [
			{ id: randomUUID(), atMs: Date.now(), kind: 'left', massG: leftG, source: 'typed' }
		]);
		const [one, two] = await Promise.all([press(begun), press(begun)]);
		expect(one.next).not.toBe('');
		expect(two.next).toBe(one.next);
		const next = (await getPour(one.next)).plan;
		expect(next.massG).toBeCloseTo(plan.massG - leftG, 0);
		expect(next.taken).toMatchObject({ pours: 1, lastLeftG: leftG });
		expect(stepsOf(next).find((s) => s.kind === 'measure')!.detail).toMatch(/left last time/);
		await addEvents(one.next, [
			{ id: randomUUID(), atMs: Date.now(), kind: 'abandoned', reason: 'enough for this check' }
		]);
		const tally = await fetch(`${process.env['ANTHYPOS_URL']}/pour/${begun}/tally.pdf`);
		expect([tally.status, (await tally.text()).slice(0, 5)]).toEqual([200, '%PDF-']);
		const page = await (
			await fetch(`${process.env['ANTHYPOS_URL']}/shots/new?mould=${plan.moulds[0]!.id}`)
		).text();
		expect(page).toMatch(/Mix what the last pour took/);
	});

	it('a coat that bears three pulls is put on for every third', async () => {
		const { inputs } = await getShot((await getPour(first)).plan.shotId);
		const wax = { name: `Wax ${randomUUID().slice(0, 8)}`, kind: 'wax', everyPulls: 3 };
		const releaseId = await saveMaterial('release', releaseRecord.parse(wax));
		const shotId = await saveShot({ ...inputs, releaseId }, settings);
		const asked: boolean[] = [];
		// after those of the checks before this one
		for (const minutesAgo of [11, 9.5, 8, 6.5]) {
			const begun = await beginToday(shotId, 0, settings);
			const ids = stepsOf((await getPour(begun)).plan).map((s) => s.id);
			expect(ids.includes('flash-off')).toBe(ids.includes('coat'));
			asked.push(ids.includes('coat'));
			await pourWhole(begun, [], minutesAgo);
		}
		expect(asked).toEqual([true, false, false, true]);
	});

	it('of what is not there is not found', async () => {
		expect((await press(randomUUID())).text).toMatch(/no such pour/i);
	});
});
