import { fail } from '@sveltejs/kit';
import { z } from 'zod';
import { cupFit, cupFitInput, UNSETTLED } from '$lib/core/cure';
import { containerSpeed, cureOf, isCatalysed } from '$lib/core/shelf';
import { RefusedError } from '$lib/server/errors';
import { orFail, orPage } from '$lib/server/forms';
import {
	getContainer,
	listContainers,
	inUse,
	setRateFactor,
	SPEED
} from '$lib/server/repositories/containers';
import { getMaterial, listResins } from '$lib/server/repositories/materials';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ url }) => ({
	resins: await listResins(),
	tins: (await listContainers()).map(({ id, record, rateFactor, emptied, remainingG }) => ({
		emptied,
		remainingG,
		id,
		materialId: record.materialId,
		part: record.part,
		lot: record.lot,
		rateFactor,
		speed: containerSpeed(record.slowerPercent, rateFactor)
	})),
	chosen: url.searchParams.get('resin') ?? ''
});

const { massG, startTempC, roomTempC, readings } = cupFitInput.shape;
const askedOf = z.object({ massG, startTempC, roomTempC, readings, catalystPercent: z.number().optional() });
const TOO_FAR = 'These readings are too far from the sheet to be kept: check them.';

/** The tin's speed by the readings of a cup, worked out here: a number that a browser sends is not believed. */
async function speedBy(containerId: string, raw: unknown): Promise<number> {
	const asked = askedOf.parse(raw);
	const { record } = await orPage(getContainer(containerId));
	const { record: resin } = await getMaterial('resin', record.materialId);
	const { a: used } = await inUse(record.materialId);
	const { catalystPercent, ...cup } = asked;
	const cure = cureOf(
		isCatalysed(resin.family) && catalystPercent !== undefined ? { ...resin, catalystPercent } : resin,
		used && containerSpeed(used.record.slowerPercent, used.rateFactor)
	);
	const fit = cupFit({ resin: cure, ...cup });
	if (!fit.converged) throw new RefusedError(UNSETTLED.message);
	return fit.rateFactor * (used?.rateFactor ?? 1);
}

/** What a page sent as JSON; nothing where it is none. */
function parseJson(text: string): unknown {
	try {
		return JSON.parse(text);
	} catch {
		return undefined;
	}
}

export const actions: Actions = {
	keep: async ({ request, locals }) => {
		const data = await request.formData();
		const containerId = String(data.get('containerId'));
		const asked = parseJson(String(data.get('asked')));
		if (asked === undefined) return fail(400, { refused: TOO_FAR });
		return orFail(
			async () => {
				const rateFactor = await speedBy(containerId, asked);
				if (!(rateFactor >= SPEED.least && rateFactor <= SPEED.most)) throw new RefusedError(TOO_FAR);
				await setRateFactor(containerId, rateFactor, locals.person);
				return { kept: true };
			},
			(refused) => ({ refused })
		);
	}
};
