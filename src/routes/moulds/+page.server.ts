import { allFaces } from '$lib/server/faces';
import { listMoulds } from '$lib/server/repositories/moulds';
import type { PageServerLoad } from './$types';

/** What the list shows: the plans themselves would be a megabyte for three hundred moulds. */
export const load: PageServerLoad = async () => {
	const [moulds, faces] = await Promise.all([listMoulds(), allFaces()]);
	return {
		faces,
		moulds: moulds.map((m) => ({
			id: m.id,
			number: m.number,
			label: m.label,
			masterId: m.masterId,
			masterName: m.masterName,
			state: m.state,
			place: m.place,
			pulls: m.pulls,
			readyAtMs: m.readyAt?.getTime() ?? null,
			rubberName: m.rubberName,
			rubberMassG: m.plan.rubber.massG,
			kind: m.inputs.kind
		}))
	};
};
