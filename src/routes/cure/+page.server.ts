import { fail } from '@sveltejs/kit';
import { containerSpeed } from '$lib/core/shelf';
import { listContainers, setRateFactor, SPEED } from '$lib/server/repositories/containers';
import { listResins } from '$lib/server/repositories/materials';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ url }) => ({
	resins: await listResins(),
	tins: (await listContainers())
		.filter((t) => !t.emptied)
		.map(({ id, record, rateFactor }) => ({
			id,
			materialId: record.materialId,
			part: record.part,
			lot: record.lot,
			rateFactor,
			speed: containerSpeed(record.slowerPercent, rateFactor)
		})),
	chosen: url.searchParams.get('resin') ?? ''
});

export const actions: Actions = {
	keep: async ({ request }) => {
		const data = await request.formData();
		const rateFactor = Number(data.get('rateFactor'));
		if (!(rateFactor >= SPEED.least && rateFactor <= SPEED.most)) {
			return fail(400, { refused: 'These readings are too far from the sheet to be kept: check them.' });
		}
		await setRateFactor(String(data.get('containerId')), rateFactor);
		return { kept: true };
	}
};
