import { randomUUID } from 'node:crypto';
import { type Grade, type PourEvent, stepsOf } from '$lib/core/bench';
import { FAULTS } from '$lib/core/faults';
import type { PourPlan } from '$lib/core/plan';
import { shotInputs } from '$lib/core/shot';
import { db } from '../db/connection';
import { beginToday } from '../repositories/beginPour';
import { addEvents, getPour } from '../repositories/pours';
import { saveShot } from '../repositories/shots';
import type { DemoPiece } from './pieces';
import { fillerId } from './fillerId';
import { demoMark } from './people';
import { DAY_MS, idFrom, type Story } from './story';

interface Series {
	count: number;
	fromDays: number;
	toDays: number;
	/** From this pull on the mould shows its age. */
	wearFrom: number;
	/** What the last pulls took of what their moulds take by the sums, the newest last; the rest was left. */
	took?: readonly number[];
}

export async function pullSeries(
	story: Story,
	piece: DemoPiece,
	masterId: string,
	mouldIds: string[],
	series: Series
): Promise<void> {
	const { random, nowMs } = story;
	const perShot = 6;
	for (let done = 0; done < series.count; done += perShot) {
		const cups = Math.min(perShot, series.count - done);
		const shotId = await makeShot(story, piece, masterId, mouldIds, cups * mouldIds.length);
		for (let i = 0; i < cups; i++) {
			const k = done + i;
			const share = series.count === 1 ? 0 : k / (series.count - 1);
			const day = series.fromDays + share * (series.toDays - series.fromDays);
			// in working hours, a little later with each cup of the day
			const midnightMs = Math.floor((nowMs - day * DAY_MS) / DAY_MS) * DAY_MS;
			const atMs = midnightMs + (9 + random() * 7) * 3_600_000;
			const pourId = await beginToday(shotId, i, story.settings);
			const { plan } = await getPour(pourId);
			const mark = demoMark(Math.floor(done / perShot));
			const told = pourStory(story, plan, atMs, k >= series.wearFrom);
			await addEvents(
				pourId,
				told.map((e) => ({ ...e, mark }))
			);
			const took = series.took?.at(k - series.count);
			if (took !== undefined && k >= series.count - (series.took?.length ?? 0))
				await addEvents(pourId, [
					{
						id: randomUUID(),
						atMs: Math.round(atMs + 600_000),
						kind: 'left',
						massG: Math.max(0, Math.round(plan.massG - took * (plan.netG ?? plan.massG))),
						source: 'typed'
					}
				]);
			await backdate(pourId, shotId, atMs);
		}
	}
}

/** The first cup of a shot, poured and graded some days ago: one finished cast of its kind. */
export async function pouredBefore(story: Story, shotId: string, daysAgo: number): Promise<void> {
	await finishPour(story, await beginToday(shotId, 0, story.settings), daysAgo, shotId);
}

/** An open pour, told to its end as of some days ago. */
export async function finishPour(story: Story, pourId: string, daysAgo: number, shotId = ''): Promise<void> {
	const { plan } = await getPour(pourId);
	const midnightMs = Math.floor((story.nowMs - daysAgo * DAY_MS) / DAY_MS) * DAY_MS;
	const atMs = midnightMs + 10 * 3_600_000;
	await addEvents(pourId, pourStory(story, plan, atMs, false));
	await backdate(pourId, shotId, atMs);
}

async function backdate(pourId: string, shotId: string, atMs: number): Promise<void> {
	const at = new Date(atMs);
	await db().query('UPDATE pours SET createdAt = ? WHERE id = ?', { replacements: [at, pourId] });
	await db().query('UPDATE shots SET createdAt = LEAST(createdAt, ?) WHERE id = ?', {
		replacements: [at, shotId]
	});
}

async function makeShot(
	story: Story,
	piece: DemoPiece,
	masterId: string,
	mouldIds: string[],
	copies: number
): Promise<string> {
	const resin = piece.resins[Math.floor(story.random() * piece.resins.length)]!;
	const tempC = 19 + Math.round(story.random() * 5);
	const { filler, ...cast } = piece.cast ?? {};
	return saveShot(
		shotInputs.parse({
			masterId,
			mouldIds,
			resinId: story.resinIds.get(resin)!,
			releaseId: '',
			copies,
			sprueVolumeMl: piece.sprueVolumeMl,
			lossBy: 'film',
			lossPercent: 10,
			sectionMm: piece.sectionMm,
			mixS: 40,
			pourS: 18,
			usePot: piece.pot,
			loadS: 20,
			startTempC: tempC,
			mouldTempC: tempC,
			roomTempC: tempC,
			relativeHumidity: 35 + Math.round(story.random() * 18),
			...cast,
			...(filler ? { fillerId: await fillerId(filler) } : {})
		}),
		story.settings
	);
}

/** Everything that happened in one pour, with the small delays and slips of real hands. */
function pourStory(story: Story, plan: PourPlan, combinedAtMs: number, worn: boolean): PourEvent[] {
	const { random } = story;
	const events: PourEvent[] = [];
	const add = (offsetS: number, event: { kind: PourEvent['kind'] } & Record<string, unknown>) =>
		events.push({
			...event,
			id: idFrom(random),
			atMs: Math.round(combinedAtMs + offsetS * 1000)
		} as PourEvent);
	const roomTempC = plan.roomTempC + Math.round(random() * 2 - 1);
	const relativeHumidity = Math.min(70, Math.round(plan.relativeHumidity + random() * 10 - 4));
	let atS = -240;
	/** When the cup at hand was combined: of layers each has a clock of its own. */
	let cupS = 0;
	let slow = 0;
	const doneS = new Map<string, number>();
	for (const step of stepsOf(plan)) {
		if (step.kind === 'combine') {
			atS = doneS.has('combine') ? atS + 4 : 0;
			if (step.cup === undefined) [cupS, slow] = [atS, 0];
		} else if (step.deadlineS !== undefined) {
			slow += (random() - 0.35) * 8;
			atS = Math.max(atS + 3, cupS + step.deadlineS + slow);
		} else if (step.kind === 'hold') atS += plan.holdUntilS * (1.02 + random() * 0.5);
		else if (step.kind === 'cure') atS = Math.max(atS, cupS + plan.demouldS * (0.96 + random() * 0.6) + 90);
		else if (step.waitS !== undefined)
			atS = Math.max(atS, (doneS.get(step.sinceStep ?? '') ?? atS) + step.waitS) + random() * 30;
		else atS += 25 + random() * 20;
		for (let dose = step.doses ?? 0; dose > 0; dose--)
			add(atS - 4 * dose, { kind: 'dosed', stepId: step.id });
		if (step.id === 'cups-read')
			plan.cups?.forEach((cup, i) =>
				add(atS - 6 + i, {
					kind: 'temp-read',
					tempC: Math.round((cup.startTempC + random()) * 10) / 10,
					...(i > 0 ? { cup: i } : {})
				})
			);
		if (step.id === 'brush-1' && plan.layers?.[1]?.fillers?.[0])
			add(atS - 40, { kind: 'added', name: plan.layers[1].fillers[0].name, massG: 0.5, cup: 1 });
		if (step.kind === 'air')
			add(atS - 1, { kind: 'air-read', roomTempC, relativeHumidity, mouldTempC: plan.mouldTempC + 1 });
		if (step.kind === 'pump' && plan.pot)
			add(atS - 0.5, { kind: 'pressure-read', stepId: step.id, gaugeKpa: plan.pot.targetGaugeKpa });
		if (step.kind === 'hold' && plan.pot)
			add(atS - 0.5, {
				kind: 'pressure-read',
				stepId: 'release',
				gaugeKpa: plan.pot.targetGaugeKpa - Math.round(random() * 12)
			});
		if (step.kind === 'inspect') {
			for (const mould of plan.moulds)
				add(atS - 0.4, { kind: 'graded', mouldId: mould.id, ...verdict(random, relativeHumidity, worn) });
		}
		doneS.set(step.id, atS);
		add(atS, { kind: 'step-done', stepId: step.id });
	}
	add(atS + 0.5, { kind: 'finished' });
	return events;
}

function verdict(
	random: () => number,
	relativeHumidity: number,
	worn: boolean
): { grade: Grade; faults: (typeof FAULTS)[number][]; note: string; findings?: { reworkS: number } } {
	const luck = random() - (relativeHumidity > 52 ? 0.2 : 0) - (worn ? 0.3 : 0);
	if (luck > 0.2) return { grade: 'good', faults: [], note: '' };
	// not everybody looks at the clock while mending
	const mended =
		Math.round(luck * 1000) % 3 === 0 ? {} : { findings: { reworkS: 60 * Math.round(7 + 25 * luck) } };
	if (worn)
		return {
			faults: ['dull-detail', 'flash'],
			note: 'Tears at the seam.',
			...(luck > -0.1 ? { grade: 'needs-work', ...mended } : { grade: 'scrap' })
		};
	if (relativeHumidity > 52)
		return { grade: 'scrap', faults: ['foam'], note: 'Damp day, should have waited.' };
	if (luck > 0.07) return { grade: 'needs-work', faults: ['face-bubbles'], note: '', ...mended };
	return { grade: 'scrap', faults: ['soft'], note: 'B not stirred long enough.' };
}

/** One pour stands at the bench as the demo begins: under pressure, curing. */
export async function openPour(
	story: Story,
	piece: DemoPiece,
	masterId: string,
	mouldId: string
): Promise<void> {
	const shotId = await makeShot(story, piece, masterId, [mouldId], 2);
	const pourId = await beginToday(shotId, 0, story.settings);
	const { plan } = await getPour(pourId);
	const combinedAtMs = story.nowMs - 170_000;
	const upTo = story.nowMs - 500;
	const events = pourStory(story, plan, combinedAtMs, false).filter(
		(e) => e.atMs < upTo && e.kind !== 'graded' && e.kind !== 'finished'
	);
	await addEvents(pourId, events);
}
