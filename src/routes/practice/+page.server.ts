import { listMasters } from '$lib/server/repositories/masters';
import { listShots } from '$lib/server/repositories/shots';
import type { PageServerLoad } from './$types';

const RECENT = 8;

export const load: PageServerLoad = async () => {
	const [shots, masters] = await Promise.all([listShots(RECENT), listMasters()]);
	return {
		shots: shots.map((s) => ({
			id: s.id,
			number: s.number,
			name: masters.find((m) => m.id === s.masterId)?.record.name ?? '',
			copies: s.inputs.copies,
			pot: s.inputs.usePot
		}))
	};
};
