import { faceOf } from '$lib/server/faces';
import { listMasters } from '$lib/server/repositories/masters';
import { listResins } from '$lib/server/repositories/materials';
import { listShots } from '$lib/server/repositories/shots';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async () => {
	const [shots, masters, resins] = await Promise.all([listShots(), listMasters(), listResins()]);
	const nameOf = (list: { id: string; record: { name: string } }[], id: string) =>
		list.find((x) => x.id === id)?.record.name ?? '';
	return {
		faces: Object.fromEntries(masters.map((m) => [m.id, faceOf(m)])),
		shots: shots.map((shot) => {
			const first = shot.planned.shot.batches[0]!;
			return {
				id: shot.id,
				number: shot.number,
				createdAt: shot.createdAt,
				copies: shot.inputs.copies,
				batches: shot.planned.shot.batches.length,
				cup: { massG: first.massG, a: first.a, b: first.b, fillers: first.fillers },
				slackS: first.slackS,
				masterId: shot.masterId,
				masterName: nameOf(masters, shot.masterId),
				resinName: nameOf(resins, shot.resinId)
			};
		})
	};
};
