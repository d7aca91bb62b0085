import { fail } from '@sveltejs/kit';
import { z } from 'zod';
import { cupFit, cupFitInput, UNSETTLED } from '$lib/core/cure';
import { fieldErrors } from '$lib/core/fieldErrors';
import { containerSpeed, cureOf, isCatalysed } from '$lib/core/shelf';
import { RefusedError } from '$lib/server/errors';
import { orNotFound } from '$lib/server/forms';
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
	const { record } = await orNotFound(getContainer(containerId));
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

export const actions: Actions = {
	keep: async ({ request }) => {
		const data = await request.formData();
		const containerId = String(data.get('containerId'));
		try {
			const rateFactor = await speedBy(containerId, JSON.parse(String(data.get('asked'))));
			if (!(rateFactor >= SPEED.least && rateFactor <= SPEED.most)) return fail(400, { refused: TOO_FAR });
			await setRateFactor(containerId, rateFactor);
			return { kept: true };
		} catch (error) {
			if (error instanceof RefusedError) return fail(400, { refused: error.message });
			const problems = error instanceof SyntaxError ? [{ message: TOO_FAR }] : fieldErrors(error);
			if (!problems) throw error;
			return fail(400, { refused: problems[0]?.message ?? TOO_FAR });
		}
	}
};
