import { createHash } from 'node:crypto';
import type { Transaction } from 'sequelize';
import {
	planDifferences,
	type Help,
	type KeptOrdersPlan,
	type OrdersPlan,
	type PlanDifferences,
	type Workshop
} from '$lib/core/orders';
import { wallMs } from '$lib/core/wallClock';
import type { WorkshopSettings } from '$lib/core/workshop';
import { plain, tables } from '../db/models';
import { RefusedError } from '../errors';
import { heavy, type Asker } from '../heavy/pool';
import type { Actor } from '../people/audit';
import { noted } from './keeping';
import { countLines, listOrders } from './orders';
import { workshopToPlan } from './toPlan';
import { readHours } from './workHours';

/** The plan that is followed, and the one that is proposed. */
const FOLLOWED = 1;
const PROPOSED = 2;
/** So long a plan is looked for before it is shown, ms; runs of chance besides. */
const BUDGET_MS = 700;
const RUNS = 200;
/** And each of the plans in which something is otherwise, ms. */
const HELP_MS = 400;
/** What should have begun so long ago makes a plan stale, ms. */
const OVERDUE_MS = 15 * 60_000;
/** When a mould or pot is free again is a forecast: a plan heeds it in steps of so much, ms. */
const FREE_STEP_MS = 15 * 60_000;

/** What is followed, what is proposed in its place, and what that would change. */
export interface PlanNow {
	workshop: Workshop;
	followed: KeptOrdersPlan | null;
	proposed: { kept: KeptOrdersPlan; differences: PlanDifferences } | null;
	restsOn: string;
}

/** The plan that is followed, with what of it was begun meanwhile. */
export const planFollowed = (): Promise<KeptOrdersPlan | null> => readPlan(FOLLOWED);

async function readPlan(id: number): Promise<KeptOrdersPlan | null> {
	const row = await tables.plans().findByPk(id);
	return row && plain(row).body;
}

/** What a plan still holds: pulls that were begun, and orders that are open no more, are out of it. */
function stillPlanned(
	kept: KeptOrdersPlan | null,
	begunOf: ReadonlyMap<string, number>
): KeptOrdersPlan | null {
	if (!kept) return null;
	const activities = kept.plan.activities.filter(
		(a) => a.lineId === undefined || a.begun || (a.number ?? 0) > (begunOf.get(a.lineId) ?? Infinity)
	);
	return { ...kept, plan: { ...kept.plan, activities } };
}

/** The plan that is followed, as far as it still stands; nothing is made anew. */
export async function followedPlan(): Promise<KeptOrdersPlan | null> {
	const [followed, orders] = await Promise.all([readPlan(FOLLOWED), listOrders(true)]);
	if (!followed) return null;
	const counts = await countLines(orders.flatMap((o) => o.record.lines.map((l) => l.id)));
	return stillPlanned(followed, new Map([...counts].map(([id, c]) => [id, c.pours])));
}

/** The last word holds: a plan is made anew whenever it is asked for. */
async function keepPlan(id: number, body: KeptOrdersPlan, transaction?: Transaction): Promise<void> {
	await tables.plans().upsert({ id, body, version: 1 }, transaction ? { transaction } : {});
}

/** Somebody lets the workshop go by a plan. */
const follow = (kept: KeptOrdersPlan, actor: Actor | undefined, how: string): Promise<void> =>
	noted({ actor }, ['plan-followed', how], (transaction) => keepPlan(FOLLOWED, kept, transaction));

/** What a plan rests on: everything but the moment itself. */
function digest(workshop: Workshop, followed: KeptOrdersPlan | null): string {
	const { nowMs, ...rest } = workshop;
	const step = (ms: number) => (ms <= nowMs + FREE_STEP_MS ? 0 : Math.round(ms / FREE_STEP_MS));
	const overdue = (followed?.plan.activities ?? [])
		.filter((a) => a.hands > 0 && a.startMs < nowMs - OVERDUE_MS)
		.map((a) => a.id);
	const told = {
		...rest,
		orders: rest.orders.map((o) => ({
			...o,
			lines: o.lines.map((l) => ({
				...l,
				begun: l.begun?.map((b) => ({ ...b, castAtMs: step(b.castAtMs), outAtMs: step(b.outAtMs) }))
			}))
		})),
		moulds: rest.moulds.map((m) => ({ ...m, freeAtMs: step(m.freeAtMs) })),
		pots: rest.pots.map((p) => ({ ...p, freeAtMs: step(p.freeAtMs) })),
		stock: rest.stock.map((s) => ({ ...s, leftG: Math.round(s.leftG) })),
		overdue
	};
	return createHash('sha256').update(JSON.stringify(told)).digest('hex');
}

const startsOf = (kept: KeptOrdersPlan | null) =>
	Object.fromEntries((kept?.plan.activities ?? []).map((a) => [a.id, a.startMs]));

/** Makes the plan of a workshop in a thread. */
const made = async (workshop: Workshop, followed: KeptOrdersPlan | null, restsOn: string, asker: Asker) => {
	const outcome = await heavy(
		'orders',
		{ workshop, before: startsOf(followed), budgetMs: BUDGET_MS, runs: RUNS },
		asker
	);
	if (!outcome.ok) throw new RefusedError(outcome.errors[0].message);
	return { restsOn, pins: { ...workshop.pins }, ...outcome.value };
};

/** What one plan does otherwise than another, in words of this workshop. */
export function differencesOf(
	workshop: Workshop,
	before: Pick<OrdersPlan, 'activities' | 'orders'>,
	after: OrdersPlan
): PlanDifferences {
	const names = new Map(workshop.orders.map((o) => [o.id, o.name]));
	return planDifferences(before, after, (id) => names.get(id) ?? 'An order', dayIn(workshop.hours.zone));
}

const DAY = new Intl.DateTimeFormat('en-GB', {
	timeZone: 'UTC',
	weekday: 'short',
	day: 'numeric',
	month: 'short'
});
const TIME = new Intl.DateTimeFormat('en-GB', { timeZone: 'UTC', hour: '2-digit', minute: '2-digit' });

/** A moment as people of a zone say it. */
export const dayIn = (zone: string) => (ms: number) => {
	const wall = wallMs(ms, zone);
	return `${DAY.format(wall).replace(',', '')}, ${TIME.format(wall)}`;
};

/**
 * The plan as it stands: where what it rests on has moved, a new one is made. One that moves nothing of weight is followed
 * at once, as is one where nothing was left to do before, and every one where the workshop wants that; another waits until
 * somebody takes it.
 */
export async function planNow(settings: WorkshopSettings, asker: Asker, now = new Date()): Promise<PlanNow> {
	const [{ hours }, last] = await Promise.all([readHours(), readPlan(FOLLOWED)]);
	const workshop = await workshopToPlan(settings, hours, last?.pins ?? {}, now);
	const followed = stillPlanned(
		last,
		new Map(workshop.orders.flatMap((o) => o.lines.map((l) => [l.id, l.pulls] as const)))
	);
	const restsOn = digest(workshop, followed);
	if (followed?.restsOn === restsOn) return { workshop, followed, proposed: null, restsOn };
	const waiting = await readPlan(PROPOSED);
	const kept = waiting?.restsOn === restsOn ? waiting : await made(workshop, followed, restsOn, asker);
	const isLeft = followed && followed.plan.activities.length > 0;
	if (!isLeft || hours.acceptsItself || !isWeighty(workshop, followed, kept)) {
		// what was overdue by the plan before is so no more
		const taken = { ...kept, restsOn: digest(workshop, kept) };
		await keepPlan(FOLLOWED, taken);
		return { workshop, followed: taken, proposed: null, restsOn: taken.restsOn };
	}
	if (kept !== waiting) await keepPlan(PROPOSED, kept);
	return {
		workshop,
		followed,
		proposed: { kept, differences: differencesOf(workshop, followed.plan, kept.plan) },
		restsOn
	};
}

/** What a plan says of one order; of one that is new, the plan that is proposed. */
export function outlookOf(id: string, followed: KeptOrdersPlan | null, proposed: KeptOrdersPlan | null) {
	const isIn = (kept: KeptOrdersPlan | null) => kept?.plan.orders.some((o) => o.id === id) === true;
	const isProposed = !isIn(followed) && isIn(proposed);
	const kept = isProposed ? proposed : followed;
	return {
		outlook: kept?.plan.orders.find((o) => o.id === id) ?? null,
		sure: kept?.outlooks.find((o) => o.id === id) ?? null,
		hindrances: (kept?.plan.hindrances ?? []).filter((h) => h.orderId === id),
		isProposed
	};
}

/** Something begins elsewhere, an order's day moves, or something can be planned no more. */
function isWeighty(workshop: Workshop, before: KeptOrdersPlan, after: KeptOrdersPlan): boolean {
	const { moved, words } = differencesOf(workshop, before.plan, after.plan);
	return (
		moved.length > 0 || words.length > 0 || before.plan.hindrances.length !== after.plan.hindrances.length
	);
}

/** Follows the plan that was proposed. @throws RefusedError when it is another one by now */
export async function acceptPlan(restsOn: string, actor?: Actor): Promise<void> {
	const kept = await readPlan(PROPOSED);
	if (kept?.restsOn !== restsOn)
		throw new RefusedError(
			'Things have moved again meanwhile: look at the plan as it is now.',
			undefined,
			409
		);
	await follow(kept, actor, 'as proposed');
}

/**
 * Puts an activity to a time, or lets it go again; the rest goes round it.
 * @throws RefusedError with what stands in its way; then nothing has changed
 */
export async function pinActivity(
	id: string,
	startMs: number | null,
	settings: WorkshopSettings,
	asker: Asker,
	actor?: Actor,
	now = new Date()
): Promise<PlanDifferences> {
	const [{ hours }, followed] = await Promise.all([readHours(), followedPlan()]);
	if (!followed) throw new RefusedError('There is no plan yet.');
	if (startMs !== null && startMs < now.getTime()) throw new RefusedError('That has gone by already.');
	const pins = { ...followed.pins };
	if (startMs === null) delete pins[id];
	else pins[id] = startMs;
	const workshop = await workshopToPlan(settings, hours, pins, now);
	const kept = await made(workshop, followed, '', asker);
	if (kept.plan.status !== 'feasible')
		throw new RefusedError(
			kept.plan.conflict.length > 0
				? `It cannot go there: ${kept.plan.conflict.join('; ')}.`
				: 'No plan was found with it there: try another time.'
		);
	const why = startMs === null ? 'let go' : 'put to a time';
	await follow({ ...kept, restsOn: digest(workshop, kept) }, actor, `${why}, ${id}`);
	return differencesOf(workshop, followed.plan, kept.plan);
}

/**
 * Follows a plan that a page worked out, checked here against the workshop as it stands: at the moment from which the page
 * counted, since what begins at once has begun to be due meanwhile.
 * @param asOfMs that moment, ms since 1970
 * @throws RefusedError where it does not hold, or is no better than the one that is followed
 */
export async function followImproved(
	given: Readonly<Record<string, number>>,
	asOfMs: number,
	settings: WorkshopSettings,
	asker: Asker,
	actor?: Actor,
	now = new Date()
): Promise<PlanDifferences> {
	const [{ hours }, followed] = await Promise.all([readHours(), followedPlan()]);
	if (!followed) throw new RefusedError('There is no plan yet.');
	if (!(asOfMs <= now.getTime() && asOfMs > now.getTime() - OVERDUE_MS))
		throw new RefusedError('It was worked out too long ago: look for it again.', undefined, 409);
	const workshop = await workshopToPlan(settings, hours, followed.pins, new Date(asOfMs));
	const task = { workshop, before: startsOf(followed), budgetMs: BUDGET_MS, runs: RUNS, given };
	const outcome = await heavy('orders', task, asker);
	if (!outcome.ok) throw new RefusedError(outcome.errors[0].message, undefined, 409);
	const { plan } = outcome.value;
	const { lateWeightedS, finishMs } = followed.plan;
	const isBetter =
		plan.lateWeightedS < lateWeightedS || (plan.lateWeightedS === lateWeightedS && plan.finishMs < finishMs);
	if (!isBetter) throw new RefusedError('It is no better than the plan that is followed.', undefined, 409);
	const kept = { pins: followed.pins, ...outcome.value };
	await follow({ ...kept, restsOn: digest(workshop, { ...kept, restsOn: '' }) }, actor, 'found by search');
	return differencesOf(workshop, followed.plan, plan);
}

/** What would bring an order forward most, each planned anew. @throws RefusedError for one that is not planned whole */
export async function helpsFor(orderId: string, settings: WorkshopSettings, asker: Asker): Promise<Help[]> {
	const { workshop, followed, proposed } = await planNow(settings, asker);
	const kept = [followed, proposed?.kept].find((k) =>
		k?.plan.orders.some((o) => o.id === orderId && o.readyAtMs)
	);
	if (!kept) throw new RefusedError('It is not planned whole: see first what it waits for.');
	const outcome = await heavy('helps', { workshop, plan: kept.plan, orderId, budgetMs: HELP_MS }, asker);
	if (!outcome.ok) throw new RefusedError(outcome.errors[0].message);
	return outcome.value;
}
