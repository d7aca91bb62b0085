import { fail, redirect } from '@sveltejs/kit';
import { fieldErrors } from '$lib/core/fieldErrors';
import { masterRecord } from '$lib/core/master';
import { NotFoundError, RefusedError } from '$lib/server/errors';
import { saveMaster } from '$lib/server/repositories/masters';
import { savePhoto } from '$lib/server/repositories/photos';
import { choiceFrom, sizesFrom, studied } from '$lib/server/shapeAction';
import type { Actions } from './$types';

export const actions: Actions = {
	keep: async ({ request }) => {
		const data = await request.formData();
		let id: string;
		try {
			const found = await studied(choiceFrom(data));
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
			id = await saveMaster(record, photoId);
		} catch (error) {
			const problem =
				error instanceof RefusedError || error instanceof NotFoundError
					? error.message
					: fieldErrors(error)?.[0]?.message;
			if (problem === undefined) throw error;
			return fail(400, { problem });
		}
		redirect(303, `/masters/${id}`);
	}
};
