import { QueryTypes } from 'sequelize';
import { reducePour, stepsOf, type PourEvent, type PourState } from '$lib/core/bench';
import type { BenchStep, PourPlan } from '$lib/core/plan';
import { db } from '../db/connection';
import { uuidOf } from '../uuidOf';
import type { Sender } from './benchEvents';
import { addEvents, getPour, readEvents } from './pours';

/** A pour that stands in the same pot. */
export interface PotMate {
	id: string;
	masterName: string;
	moulds: string[];
	/** Title of the step at hand. */
	wants: string;
}

/** Open pours of the same closing but this one, in the order in which they are poured. */
async function openMates(pourId: string, plan: PourPlan): Promise<{ id: string; plan: PourPlan }[]> {
	if (!plan.potLoad) return [];
	const rows = await db().query<{ id: string; plan: PourPlan | string }>(
		`SELECT id, plan FROM pours WHERE status = 'open' AND id <> :pourId AND JSON_VALUE(plan, '$.potLoad.id') = :load
		ORDER BY JSON_VALUE(plan, '$.potLoad.place') + 0`,
		{ type: QueryTypes.SELECT, replacements: { pourId, load: plan.potLoad.id } }
	);
	return rows.map((r) => ({
		id: r.id,
		plan: typeof r.plan === 'string' ? (JSON.parse(r.plan) as PourPlan) : r.plan
	}));
}

/** What else goes into the pot with a pour, and what each of them wants. */
export async function potMates(pourId: string, plan: PourPlan): Promise<PotMate[]> {
	const mates = await openMates(pourId, plan);
	return Promise.all(
		mates.map(async ({ id, plan: { masterName, moulds, ...rest } }) => {
			const steps = stepsOf({ masterName, moulds, ...rest });
			const { events } = await readEvents(id);
			const { current } = reducePour(steps, events);
			return {
				id,
				masterName,
				moulds: moulds.map((m) => `M${m.number}`),
				wants: steps[current]?.title ?? ''
			};
		})
	);
}

/** A step at the pot, which all of a closing have; the last before it; or none of the others' business. */
function atPot(
	steps: readonly BenchStep[],
	stepId: string
): 'load' | 'pump' | 'release' | 'poured' | undefined {
	const at = steps.findIndex((s) => s.id === stepId);
	const step = steps[at];
	if (step?.role === 'load' || step?.role === 'pump') return step.role;
	if (step?.kind === 'hold') return 'release';
	return steps[at + 1]?.role === 'load' ? 'poured' : undefined;
}

/** What an event of one pour says of another in the same pot; nothing where it says nothing, or that is done already. */
function toldOf(
	event: PourEvent,
	own: { steps: readonly BenchStep[]; isLast: boolean },
	mate: { id: string; steps: readonly BenchStep[]; events: readonly PourEvent[] }
): PourEvent | undefined {
	const id = uuidOf(`${event.id}/${mate.id}`);
	if (event.kind === 'undone') {
		const eventId = uuidOf(`${event.eventId}/${mate.id}`);
		return mate.events.some((e) => e.id === eventId) ? { ...event, id, eventId } : undefined;
	}
	if (event.kind !== 'step-done' && event.kind !== 'pressure-read') return undefined;
	const what = atPot(own.steps, event.stepId);
	if (!what || (what === 'poured' && (!own.isLast || event.kind !== 'step-done'))) return undefined;
	const { current } = reducePour(mate.steps, mate.events);
	const step = mate.steps[current];
	const isAt =
		what === 'release' ? step?.kind === 'hold' : step?.role === (what === 'poured' ? 'others' : what);
	return step && isAt ? { ...event, id, stepId: step.id } : undefined;
}

/**
 * Adds events of a pour, and what they say of the others in its pot: it is closed, pumped and opened once, and pressed at
 * one bench. Each mate gets it where it stands at that step; where it does not, it is pressed there.
 */
export async function addEventsOfLoad(
	pourId: string,
	events: readonly PourEvent[],
	from: Sender = {}
): Promise<PourState> {
	const state = await addEvents(pourId, events, from);
	const { plan } = await getPour(pourId);
	const mates = await openMates(pourId, plan);
	if (mates.length === 0) return state;
	const own = {
		steps: stepsOf(plan),
		isLast: mates.every((m) => m.plan.potLoad!.place < plan.potLoad!.place)
	};
	for (const mate of mates) {
		const steps = stepsOf(mate.plan);
		const known = [...(await readEvents(mate.id)).events];
		const told: PourEvent[] = [];
		for (const event of events) {
			const said = toldOf(event, own, { id: mate.id, steps, events: known });
			if (!said || known.some((e) => e.id === said.id)) continue;
			told.push(said);
			known.push(said);
		}
		if (told.length > 0) await addEvents(mate.id, told, from);
	}
	return state;
}
