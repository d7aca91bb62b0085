import { QueryTypes } from 'sequelize';
import { reducePour, shotMassG, stepsOf, type PourEvent } from '$lib/core/bench';
import type { PourPlan } from '$lib/core/plan';
import { db } from '../db/connection';
import { listPours } from './pours';

/** A pour that stands at the bench, with the step that it waits for. */
export interface OpenPour extends Pick<
	PourPlan,
	'masterName' | 'moulds' | 'resinName' | 'batchIndex' | 'batchCount'
> {
	id: string;
	/** Of all its cups. */
	massG: number;
	/** Title of the step at hand. */
	wants: string;
}

/** The open pours, newest first, with what each of them wants next. */
export async function openPours(): Promise<OpenPour[]> {
	const open = await listPours({ status: 'open' });
	if (open.length === 0) return [];
	const rows = await db().query<{ pourId: string; body: PourEvent | string }>(
		'SELECT pourId, body FROM pour_events WHERE pourId IN (:ids) ORDER BY seq',
		{ type: QueryTypes.SELECT, replacements: { ids: open.map((p) => p.id) } }
	);
	const events = new Map<string, PourEvent[]>();
	for (const { pourId, body } of rows) {
		const own = events.get(pourId) ?? [];
		own.push(typeof body === 'string' ? (JSON.parse(body) as PourEvent) : body);
		events.set(pourId, own);
	}
	return open.map(({ id, plan }) => {
		const steps = stepsOf(plan);
		const { current } = reducePour(steps, events.get(id) ?? []);
		const { masterName, moulds, resinName, batchIndex, batchCount } = plan;
		return {
			id,
			masterName,
			moulds,
			resinName,
			batchIndex,
			batchCount,
			massG: shotMassG(plan),
			wants: steps[current]?.title ?? ''
		};
	});
}
