import { masterRecord } from '$lib/core/master';
import { orFail, orPage } from '$lib/server/forms';
import { asker } from '$lib/server/heavy/asker';
import { getMaster, saveMaster } from '$lib/server/repositories/masters';
import { savePhoto } from '$lib/server/repositories/photos';
import { choiceFrom, studied, withShape } from '$lib/server/shapeAction';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params }) => ({
	master: await orPage(getMaster(params.id))
});

export const actions: Actions = {
	/** Keeps file, position and openings; figures are worked out again from the stored file. */
	keep: async (event) => {
		const { params, request } = event;
		const data = await request.formData();
		const work = async () => {
			const master = await getMaster(params.id);
			const found = await studied(choiceFrom(data), asker(event, data));
			const record = masterRecord.parse(
				withShape(master.record, found, {
					useVolume: data.get('useVolume') === 'on',
					useSizes: data.get('useSizes') === 'on'
				})
			);
			const card = data.get('card');
			const photoId =
				card instanceof File && card.size > 0
					? await savePhoto(Buffer.from(await card.arrayBuffer()))
					: master.photoId;
			const version = Number(data.get('version'));
			await saveMaster(record, photoId, { id: master.id, version, actor: event.locals.person });
			return { kept: true };
		};
		return orFail(work, (problem) => ({ problem }));
	}
};
