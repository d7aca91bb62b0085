import { randomUUID } from 'node:crypto';
import { Op, QueryTypes, type Transaction } from 'sequelize';
import { type PourPlan } from '$lib/core/plan';
import {
	benchForecast,
	clocksOf,
	correctedPlan,
	cupClocks,
	demouldTold,
	mostPressingFirst,
	partHeat,
	pourEvent,
	reducePour,
	mixedMassG,
	type Clock,
	type Graded,
	type PourEvent,
	type PourState,
	stepsOf,
	withSteps
} from '$lib/core/bench';
import { db, inTransaction } from '../db/connection';
import { RowCache } from '../db/rowCache';
import { plain, tables, type PourRow, type PullBody } from '../db/models';
import { NotFoundError, RefusedError } from '../errors';
import type { Actor } from '../people/audit';
import { insertEvents, type Sender } from './benchEvents';
import { setRateFactor, SPEED } from './containers';
import { clocksOfMaking } from './makings';
import { recount } from './mouldPulls';
import { keepCastPictures } from './pictures';
import { bookPour } from './stock';
import { projectCycle } from './vessels';

export interface Pour {
	id: string;
	plan: PourPlan;
	status: PourRow['status'];
	createdAt: Date;
	endedAt: Date | null;
}

function toPour({ id, plan, status, createdAt, endedAt }: PourRow): Pour {
	return { id, plan, status, createdAt, endedAt };
}

export async function getPour(id: string): Promise<Pour> {
	const row = await tables.pours().findByPk(id);
	if (!row) throw new NotFoundError('pour');
	return toPour(plain(row));
}

export async function listPours(where: { status?: PourRow['status']; shotId?: string }): Promise<Pour[]> {
	const rows = await tables.pours().findAll({ where, order: [['createdAt', 'DESC']], limit: 100 });
	return rows.map((row) => toPour(plain(row)));
}

/** Events of a pour in the order in which they arrived, from a sequence number on. */
export async function readEvents(
	pourId: string,
	afterSeq = 0,
	transaction?: Transaction
): Promise<{ events: PourEvent[]; lastSeq: number }> {
	const rows = await tables.pourEvents().findAll({
		where: { pourId, seq: { [Op.gt]: afterSeq } },
		order: [['seq', 'ASC']],
		...(transaction ? { transaction } : {})
	});
	const events = rows.map((row) => plain(row).body);
	const last = rows[rows.length - 1];
	return { events, lastSeq: last ? Number(plain(last).seq) : afterSeq };
}

/**
 * Adds events, each once however often it arrives, and brings what follows from them (state of the pour,
 * tins on the shelf, pulls in the ledger) up to date in the same transaction.
 */
export async function addEvents(
	pourId: string,
	events: readonly PourEvent[],
	from: Sender = {}
): Promise<PourState> {
	return inTransaction(async (transaction) => {
		const row = await tables.pours().findByPk(pourId, { transaction, lock: transaction.LOCK.UPDATE });
		if (!row) throw new NotFoundError('pour');
		const pour = plain(row);
		await insertEvents(
			'pour',
			pourId,
			events.map((e) => pourEvent.parse(e)),
			(body) => pourEvent.parse(body),
			transaction,
			from
		);
		const all = await readEvents(pourId, 0, transaction);
		const state = reducePour(stepsOf(pour.plan), all.events);
		await tables.pours().update(
			{
				status: state.status,
				combinedAt: state.combinedAtMs === undefined ? null : new Date(state.combinedAtMs),
				endedAt: state.endedAtMs === undefined ? null : new Date(state.endedAtMs)
			},
			{ where: { id: pourId }, transaction }
		);
		await bookPour(pourId, pour.plan, state, transaction);
		await projectPulls(pour, state, transaction);
		await projectCycle(pourId, pour.plan, state, transaction);
		return state;
	});
}

/** Writes the pulls that a finished pour amounts to; an abandoned one counts once resin was combined. */
async function projectPulls(pour: PourRow, state: PourState, transaction: Transaction): Promise<void> {
	const mouldIds = pour.plan.moulds.map((m) => m.id);
	if (state.status === 'open' || state.combinedAtMs === undefined) {
		await db().query('DELETE f FROM pull_faults f JOIN pulls p ON p.id = f.pullId WHERE p.pourId = ?', {
			replacements: [pour.id],
			transaction
		});
		const gone = await tables.pulls().destroy({ where: { pourId: pour.id }, transaction });
		if (gone > 0) await recount(transaction, mouldIds);
		return;
	}
	for (const mould of pour.plan.moulds) {
		const graded = state.grades[mould.id];
		const existing = await tables
			.pulls()
			.findOne({ where: { pourId: pour.id, mouldId: mould.id }, transaction });
		const values = {
			pourId: pour.id,
			mouldId: mould.id,
			masterName: mould.masterName ?? pour.plan.masterName,
			resinName: pour.plan.resinName,
			copies: mould.copies,
			grade: graded?.grade ?? ('scrap' as const),
			combinedAt: new Date(state.combinedAtMs),
			searchText: searchTextOf(pour.plan, mould, graded?.note ?? ''),
			body: pullBody(pour.plan, state, graded)
		};
		const pullId = existing ? plain(existing).id : randomUUID();
		if (existing) {
			// what was corrected in the ledger stays corrected, and what was added to it stays there
			const later = await tables.corrections().findAll({ where: { pullId }, transaction });
			if (later.some((row) => plain(row).body.field !== 'added')) continue;
			const inspected = { ...values.body.inspected, ...plain(existing).body.inspected };
			const body = later.length > 0 ? { ...values.body, inspected } : values.body;
			await existing.update({ ...values, body }, { transaction });
		} else await tables.pulls().create({ id: pullId, ...values }, { transaction });
		await writeFaults(pullId, values.body.faults, transaction);
		await keepCastPictures(pullId, graded, transaction);
	}
	await recount(transaction, mouldIds);
}

/** Faults of a pull as rows, so that a hundred thousand pulls are found by them. */
export async function writeFaults(
	pullId: string,
	faults: readonly string[],
	transaction: Transaction
): Promise<void> {
	await db().query('DELETE FROM pull_faults WHERE pullId = ?', { replacements: [pullId], transaction });
	for (const fault of new Set(faults))
		await db().query('INSERT INTO pull_faults (pullId, fault) VALUES (?, ?)', {
			replacements: [pullId, fault],
			transaction
		});
}

function searchTextOf(plan: PourPlan, mould: PourPlan['moulds'][number], note: string): string {
	return [
		mould.masterName ?? plan.masterName,
		plan.resinName,
		mould.label,
		`M${mould.number}`,
		...(plan.lots ?? []),
		note
	]
		.join(' ')
		.slice(0, 600);
}

function pullBody(plan: PourPlan, state: PourState, graded: Graded | undefined): PullBody {
	const since = (atMs: number | undefined) =>
		atMs === undefined ? undefined : (atMs - state.combinedAtMs!) / 1000;
	const given = <K extends string>(key: K, value: number | undefined) =>
		(value === undefined ? {} : { [key]: value }) as { [P in K]?: number };
	const sumS = (steps: PourPlan['steps']) => steps.reduce((sum, step) => sum + step.durationS, 0);
	const fillIndex = plan.steps.findIndex((step) => step.role === 'pour');
	const lastLayerS = plan.layers?.at(-1)?.pouredS ?? 0;
	const told = demouldTold(plan, state);
	const lastCup = plan.layers && cupClocks(stepsOf(plan), state.doneAtMs).at(-1);
	return {
		batchIndex: plan.batchIndex,
		batchCount: plan.batchCount,
		massG: mixedMassG(plan, stepsOf(plan), state),
		roomTempC: state.air?.roomTempC ?? plan.roomTempC,
		relativeHumidity: state.air?.relativeHumidity ?? plan.relativeHumidity,
		mouldTempC: state.air?.mouldTempC ?? plan.mouldTempC,
		conditionsRead: state.air !== undefined,
		faults: [...(graded?.faults ?? [])],
		note: graded?.note ?? '',
		...(graded?.findings ? { inspected: graded.findings } : {}),
		...(plan.lots?.length ? { lots: plan.lots } : {}),
		...given('peakFaceC', partHeat(plan)?.faceC),
		...tookOf(plan, state),
		...(state.marks.length ? { by: [...state.marks] } : {}),
		...(told.length ? { demouldSeen: told } : {}),
		...(state.status === 'abandoned' ? { abandonedBecause: state.reason ?? '' } : {}),
		planned: {
			potLifeS: plan.potLifeS,
			usableS: plan.usableS,
			// of a cast in layers the last is what fills it
			pouredByS: lastLayerS + sumS(plan.steps.slice(0, fillIndex + 1)),
			settledByS: lastLayerS + sumS(plan.steps),
			holdUntilS: plan.holdUntilS,
			demouldS: plan.demouldS,
			...given('lastCupPotLifeS', plan.layers?.at(-1)?.potLifeS)
		},
		real: {
			// one that was given up before its last cup has no last cup
			...given('lastCupFromS', since(lastCup ? lastCup.combinedAtMs : state.combinedAtMs)),
			...given('pouredByS', since(state.pouredAtMs)),
			...given('settledByS', since(state.settledAtMs)),
			...given('reachedS', since(state.reached?.atMs)),
			...given('releasedS', since(state.doneAtMs['release'])),
			...given('demouldS', since(state.demouldedAtMs))
		},
		...(plan.pot
			? {
					pot: {
						name: plan.pot.name,
						targetGaugeKpa: plan.pot.targetGaugeKpa,
						...given('reachedGaugeKpa', state.reached?.gaugeKpa),
						...given('releasedGaugeKpa', state.released?.gaugeKpa)
					}
				}
			: {})
	};
}

/** What was left, beside what was mixed: what fills other pieces as well, or was poured in part, teaches nothing. */
function tookOf(plan: PourPlan, state: PourState): Pick<PullBody, 'took'> {
	const { leftG } = state;
	if (leftG === undefined || plan.netG === undefined) return {};
	const mixedG = mixedMassG(plan, stepsOf(plan), state);
	const whole = state.pouredAtMs !== undefined && plan.moulds.every((m) => m.masterName === undefined);
	return whole ? { took: { mixedG, leftG, netG: plan.netG, way: plan.layers ? 'layers' : 'one' } } : {};
}

/**
 * Keeps what the readings of a pour taught as its tin's own speed, worked out here from the events.
 * @throws RefusedError when nothing was read, or the plan knew no tin.
 */
export async function keepSpeed(pourId: string, actor?: Actor): Promise<number> {
	const { plan } = await getPour(pourId);
	const { events } = await readEvents(pourId);
	const forecast = benchForecast(plan, reducePour(stepsOf(plan), events));
	if (forecast?.rateFactor === undefined) throw new RefusedError('No cup temperature was read in this pour.');
	if (!plan.containers?.a) throw new RefusedError('No tin was in use, so there is nothing to keep it for.');
	const speed = Math.min(
		SPEED.most,
		Math.max(SPEED.least, (plan.cure?.rateFactor ?? 1) * forecast.rateFactor)
	);
	await setRateFactor(plan.containers.a, speed, actor);
	return speed;
}

/** Clocks by the last event: the plan of a pour does not change, and events are only added. */
const clocksKept = new RowCache<{ clocks: Clock[] }>(200);

async function clocksOfPour(id: string): Promise<Clock[]> {
	const { plan } = await getPour(id);
	const { events } = await readEvents(id);
	const state = reducePour(stepsOf(plan), events);
	return clocksOf(id, withSteps(correctedPlan(plan, benchForecast(plan, state))), state);
}

interface Running {
	what: 'pour' | 'rubber' | 'making';
	id: string;
	/** Number of its last event. */
	lastSeq: number | string;
	version: number;
	name: string;
	fromAt: Date | null;
	untilAt: Date | null;
}

/** All that may have a clock, in one question: every page asks it. */
const RUNNING = `
	SELECT 'pour' AS what, p.id, COALESCE((SELECT MAX(e.seq) FROM pour_events e WHERE e.pourId = p.id), 0) AS lastSeq,
		0 AS version, '' AS name, NULL AS fromAt, NULL AS untilAt
	FROM pours p WHERE p.status = 'open'
	UNION ALL
	SELECT 'rubber', m.id, 0, m.version, CONCAT('M', m.number, ' ', m.label), m.pouredAt, m.readyAt
	FROM moulds m WHERE m.state = 'new' AND m.making IS NULL AND m.pouredAt IS NOT NULL
	UNION ALL
	SELECT 'making', m.id, COALESCE((SELECT MAX(e.seq) FROM making_events e WHERE e.mouldId = m.id), 0),
		m.version, '', NULL, NULL
	FROM moulds m WHERE m.state = 'being-made' AND m.making IS NOT NULL`;

/** Every clock that is running: open pours, moulds being made, and rubber that is curing; the most pressing first. */
export async function runningClocks(now = new Date()): Promise<Clock[]> {
	const rows = await db().query<Running>(RUNNING, { type: QueryTypes.SELECT });
	const clocks: Clock[] = [];
	for (const { what, id, lastSeq, version, name, fromAt, untilAt } of rows) {
		if (what === 'rubber') {
			clocks.push({
				id: `${id}-rubber`,
				kind: 'rubber',
				label: name,
				startedAtMs: new Date(fromAt!).getTime(),
				endsAtMs: new Date(untilAt!).getTime(),
				then: 'try the witness cup, open the mould',
				href: `/moulds/${id}`
			});
			continue;
		}
		const stamp = `${version}/${lastSeq}`;
		const known =
			clocksKept.peek(id, stamp) ??
			clocksKept.keep(id, stamp, {
				clocks: what === 'pour' ? await clocksOfPour(id) : await clocksOfMaking(id)
			});
		clocks.push(...known.clocks);
	}
	return mostPressingFirst(clocks, now.getTime());
}
