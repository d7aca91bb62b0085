import type { Planned } from '$lib/core/orders';
import { inPotLoad, type PourPlan } from '$lib/core/plan';
import type { WorkshopSettings } from '$lib/core/workshop';
import { RefusedError } from '../errors';
import type { Actor } from '../people/audit';
import { beginPour } from './beginPour';
import { addFinished } from './orders';
import { planFollowed } from './plans';
import { listPours } from './pours';
import { batchPlans } from './shots';

/**
 * Begins the pull of the plan that an activity belongs to; pressed twice it is the same pour.
 * @throws RefusedError where it is in the plan no more, or today's records allow no pour
 */
export async function beginPlanned(
	activityId: string,
	settings: WorkshopSettings,
	actor?: Actor
): Promise<{ pourId: string }> {
	const followed = await planFollowed();
	const a = followed?.plan.activities.find((x) => x.id === activityId);
	if (!a?.shotId || a.orderId === undefined || a.lineId === undefined || a.batch === undefined)
		throw new RefusedError('It is not in the plan any more: look at the list as it is now.', undefined, 409);
	const begin = (of: Pull, inLoad: Partial<PourPlan> = {}) => {
		const { potLoad, steps, holdUntilS, demouldS } = inLoad;
		return beginPour(of.shotId, of.batch, settings, {
			choice: 'today',
			actor,
			order: { id: of.orderId, lineId: of.lineId, number: of.number ?? 1 },
			...(potLoad && steps && holdUntilS !== undefined && demouldS !== undefined
				? { potLoad, steps, holdUntilS, demouldS }
				: {})
		});
	};
	const pull = { ...a, shotId: a.shotId, orderId: a.orderId, lineId: a.lineId, batch: a.batch };
	const own = await beginMates(pull, followed!.plan.activities, settings, begin);
	const begun = await begin(pull, own);
	if ('id' in begun) return { pourId: begun.id };
	throw new RefusedError(
		begun.moved.refused ?? 'It cannot be planned by today’s records: size its shot anew.'
	);
}

/** A pull of the plan that can be begun. */
type Pull = Planned & { shotId: string; orderId: string; lineId: string; batch: number };

const isPull = (a: Planned | undefined): a is Pull =>
	a?.shotId !== undefined && a.orderId !== undefined && a.lineId !== undefined && a.batch !== undefined;

/**
 * Begins what goes into the pot with a pull, so that all of it stands at the bench before the first cup is combined.
 * What stands in an open pour already goes in without them.
 * @returns how the pull itself is poured with them; nothing where it goes in alone, or one of the others cannot be begun
 */
async function beginMates(
	pull: Pull,
	activities: readonly Planned[],
	settings: WorkshopSettings,
	begin: (of: Pull, inLoad: PourPlan) => ReturnType<typeof beginPour>
): Promise<PourPlan | undefined> {
	const pullId = `${pull.lineId}/${pull.number}`;
	const load = activities.find((a) => a.id === `${pullId}/cast`)?.load ?? [];
	const full = new Set(
		(await listPours({ status: 'open' })).flatMap((p) => p.plan.moulds.map((m) => `M${m.number}`))
	);
	const members = load
		.map((id) => activities.find((a) => a.id === `${id}/cast`))
		.filter(isPull)
		.filter((m) => !m.moulds?.some((name) => full.has(name)));
	const place = members.findIndex((m) => `${m.lineId}/${m.number}` === pullId);
	if (members.length < 2 || place < 0) return undefined;
	try {
		const plans = await Promise.all(members.map((m) => batchPlans(m.shotId, m.batch, settings)));
		const inLoad = inPotLoad(
			plans.map((p) => p.now),
			`${load[0]} ${Date.now()}`
		);
		for (const [i, mate] of members.entries()) {
			if (i === place) continue;
			const begun = await begin(mate, inLoad[i]!);
			if (!('id' in begun)) return undefined;
		}
		return inLoad[place];
	} catch (failure) {
		// one of them cannot be poured now: this one is poured alone
		if (failure instanceof RefusedError || failure instanceof RangeError) return undefined;
		throw failure;
	}
}

/** Notes that what is out of its mould was finished, as the plan lists it. @throws RefusedError where it lists it no more */
export async function finishedPlanned(activityId: string, actor?: Actor): Promise<void> {
	const followed = await planFollowed();
	const a = followed?.plan.activities.find((x) => x.id === activityId);
	if (!a?.begun || a.part !== 'finish' || !a.orderId || !a.lineId)
		throw new RefusedError('It is not in the plan any more: look at the list as it is now.', undefined, 409);
	await addFinished(a.orderId, a.lineId, a.copies ?? 1, actor);
}
