import { fail, redirect } from '@sveltejs/kit';
import { withSteps } from '$lib/core/bench';
import { hasInstruments } from '$lib/server/devices/driver';
import { outlineOfShot } from '$lib/server/faces';
import { orFail, orNothing, orPage } from '$lib/server/forms';
import { beginAgain } from '$lib/server/repositories/again';
import { getPour, keepSpeed, readEvents } from '$lib/server/repositories/pours';
import { potMates } from '$lib/server/repositories/sameLoad';
import { followedPlan } from '$lib/server/repositories/plans';
import type { Actions, PageServerLoad } from './$types';

/** What lies further ahead is no matter of this wait, ms. */
const AHEAD_MS = 3 * 3_600_000;

/** The next pull of the plan that is in other moulds than these. */
async function nextPulled(busy: readonly string[]) {
	const plan = await followedPlan();
	const next = plan?.plan.activities.find(
		(a) => a.part === 'prep' && a.startMs < Date.now() + AHEAD_MS && !a.moulds?.some((m) => busy.includes(m))
	);
	if (!next) return null;
	const { id, startMs, pieceName = '', moulds = [] } = next;
	return { id, startMs, pieceName, moulds: moulds.join(', ') };
}

export const load: PageServerLoad = async ({ params, locals }) => {
	const { plan, ...rest } = await orPage(getPour(params.id));
	// a pour of an earlier version has no steps with it: the page works none out
	const pour = { ...rest, plan: withSteps(plan, locals.settings.units) };
	const [known, instruments, outline, mates] = await Promise.all([
		readEvents(params.id),
		hasInstruments(),
		pour.plan.shotId ? orNothing(outlineOfShot(pour.plan.shotId)) : undefined,
		potMates(pour.id, pour.plan)
	]);
	return {
		pour,
		known,
		instruments,
		outline,
		mates,
		meanwhile: await nextPulled(pour.plan.moulds.map((m) => `M${m.number}`))
	};
};

export const actions: Actions = {
	/** The next pull of the same cast, by one press. */
	again: async ({ params, request, locals }) => {
		const typed = String((await request.formData()).get('wanted') ?? '').trim();
		if (typed !== '' && !/^[1-9]\d{0,3}$/.test(typed))
			return fail(400, { refused: 'Say how many in all as a whole number, such as 40, or leave it empty.' });
		const begun = await orFail(
			() => beginAgain(params.id, locals.settings, typed === '' ? undefined : Number(typed), locals.person),
			(refused) => ({ refused })
		);
		if ('id' in begun) redirect(303, `/pour/${begun.id}`);
		// today's records make another plan of it: the shot's page shows in what, and asks
		if ('moved' in begun) redirect(303, `/shots/${begun.shotId}`);
		return begun;
	},
	/** Keeps the speed that the cup's readings taught for the tin it came from. */
	keep: ({ params, locals }) =>
		orFail(
			async () => ({ speed: await keepSpeed(params.id, locals.person) }),
			(refused) => ({ refused })
		)
};
