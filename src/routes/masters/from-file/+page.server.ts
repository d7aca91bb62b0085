import { redirect } from '@sveltejs/kit';
import { masterRecord } from '$lib/core/master';
import { madeId, orFail } from '$lib/server/forms';
import { asker } from '$lib/server/heavy/asker';
import { saveMaster } from '$lib/server/repositories/masters';
import { savePhoto } from '$lib/server/repositories/photos';
import { choiceFrom, sizesFrom, studied } from '$lib/server/shapeAction';
import type { Actions } from './$types';

export const actions: Actions = {
	keep: async (event) => {
		const { request } = event;
		const data = await request.formData();
		const work = async () => {
			const found = await studied(choiceFrom(data), asker(event, data));
			const record = masterRecord.parse({
				name: String(data.get('name') ?? ''),
				material: String(data.get('material') ?? ''),
				...sizesFrom(found),
				readings: [found.reading],
				used: 0,
				shape: found.shape,
				traps: found.traps
			});
			const card = data.get('card');
			const photoId =
				card instanceof File && card.size > 0 ? await savePhoto(Buffer.from(await card.arrayBuffer())) : null;
			return { id: await saveMaster(record, photoId, undefined, undefined, madeId(data)) };
		};
		const kept = await orFail(work, (problem) => ({ problem }));
		if ('id' in kept) redirect(303, `/masters/${kept.id}`);
		return kept;
	}
};
