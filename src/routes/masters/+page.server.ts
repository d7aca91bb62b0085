import { faceOf } from '$lib/server/faces';
import { listMasters } from '$lib/server/repositories/masters';
import { listMoulds } from '$lib/server/repositories/moulds';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async () => {
	const [masters, moulds] = await Promise.all([listMasters(), listMoulds()]);
	return {
		faces: Object.fromEntries(masters.map((m) => [m.id, faceOf(m)])),
		masters: masters.map((m) => ({
			...m,
			moulds: moulds
				.filter((mould) => mould.masterId === m.id)
				.map(({ id, number, state }) => ({ id, number, state }))
		}))
	};
};
