import { listPours } from '$lib/server/repositories/pours';
import { listShots } from '$lib/server/repositories/shots';
import { listMasters } from '$lib/server/repositories/masters';
import type { PageServerLoad } from './$types';

const RECENT = 6;

export const load: PageServerLoad = async () => {
	const [open, shots, masters] = await Promise.all([
		listPours({ status: 'open' }),
		listShots(RECENT),
		listMasters()
	]);
	return {
		open: open.map(({ id, plan, createdAt }) => ({
			id,
			createdAt,
			masterName: plan.masterName,
			moulds: plan.moulds,
			massG: plan.massG,
			batch: `${plan.batchIndex + 1} of ${plan.batchCount}`
		})),
		shots: shots.map((s) => ({
			id: s.id,
			number: s.number,
			masterName: masters.find((m) => m.id === s.masterId)?.record.name ?? '',
			copies: s.inputs.copies
		}))
	};
};
