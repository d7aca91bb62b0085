import { openPours } from '$lib/server/repositories/openPours';
import { listShots } from '$lib/server/repositories/shots';
import { listMasters } from '$lib/server/repositories/masters';
import type { PageServerLoad } from './$types';

const RECENT = 6;

export const load: PageServerLoad = async () => {
	const [open, shots, masters] = await Promise.all([openPours(), listShots(RECENT), listMasters()]);
	return {
		open,
		shots: shots.map((s) => ({
			id: s.id,
			number: s.number,
			masterName: masters.find((m) => m.id === s.masterId)?.record.name ?? '',
			copies: s.inputs.copies
		}))
	};
};
