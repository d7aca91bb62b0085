import { dewPointC, FACE_MARGIN_C, isTooDamp } from '$lib/core/humidity';
import { runList } from '$lib/core/orders';
import { allFaces } from '$lib/server/faces';
import { environment } from '$lib/server/environment';
import { readBench } from '$lib/server/repositories/bench';
import { listResins } from '$lib/server/repositories/materials';
import { readSettings } from '$lib/server/repositories/settings';
import { followedPlan } from '$lib/server/repositories/plans';
import { dueNow, pourableToday } from '$lib/server/repositories/benchToday';
import type { PageServerLoad } from './$types';

/** Moulds that the front page shows; the rest stands on their own page. */
const SHOWN = 16;

export const load: PageServerLoad = async ({ locals, cookies }) => {
	const [bench, { due, out }] = await Promise.all([readBench(SHOWN), dueNow(locals.settings, new Date())]);
	const today = await pourableToday(
		bench.free.map((m) => m.id),
		locals.settings
	);
	// before anything is in the books the page asks for one amount instead of showing an empty bench
	const fresh = bench.isFresh
		? { resins: await listResins(), asked: (await readSettings()).version > 0 }
		: null;
	const { roomTempC, relativeHumidity } = locals.settings;
	const dewC = dewPointC({ tempC: roomTempC, relativeHumidity });
	const plan = await followedPlan();
	return {
		/** What hands are wanted for next by the plan of the orders. */
		planned: runList(plan?.plan.activities ?? [], Date.now(), Date.now() + 36 * 3_600_000, [])
			.slice(0, 3)
			.map(({ id, part, then, startMs, pieceName, moulds, number }) => ({
				id,
				part,
				then,
				startMs,
				pieceName,
				moulds,
				number
			})),
		bench,
		air: { dewPointC: dewC, faceAboveC: dewC + FACE_MARGIN_C, tooDamp: isTooDamp(locals.settings) },
		faces: await allFaces(),
		today,
		due,
		out,
		fresh,
		/** The line that greets in the demo, until it was read. */
		greets: environment().ANTHYPOS_DEMO === '1' && cookies.get('demo-line') !== 'read'
	};
};
