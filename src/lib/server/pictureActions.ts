import { fail, type RequestEvent } from '@sveltejs/kit';
import { orFail } from './forms';
import { addPicture, removePicture, type Pictured } from './repositories/pictures';

/** Form actions of a page that keeps pictures of a thing: one is added, one is taken off. */
export const pictureActions = (of: Pictured) => ({
	photo: async ({ params, request, locals }: RequestEvent<{ id: string }>) => {
		const data = await request.formData();
		const photo = data.get('photo');
		if (!(photo instanceof File) || photo.size === 0)
			return fail(400, { photoProblem: 'Choose a picture first: JPEG, PNG or WebP.' });
		const bytes = Buffer.from(await photo.arrayBuffer());
		return orFail(
			() => addPicture(of, params.id, bytes, String(data.get('caption') ?? ''), locals.person),
			(photoProblem) => ({ photoProblem })
		);
	},
	unphoto: async ({ params, request, locals }: RequestEvent<{ id: string }>) => {
		await removePicture(of, params.id, String((await request.formData()).get('id')), locals.person);
	}
});
