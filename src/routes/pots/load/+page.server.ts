import { outsideMl, standingOf } from '$lib/core/mould';
import { listMasters } from '$lib/server/repositories/masters';
import { listMoulds, takesResin } from '$lib/server/repositories/moulds';
import { listShots } from '$lib/server/repositories/shots';
import { listVessels } from '$lib/server/repositories/vessels';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ url, locals }) => {
	const [vessels, moulds, masters, shots] = await Promise.all([
		listVessels(),
		listMoulds(),
		listMasters(),
		listShots(60)
	]);
	return {
		altitudeM: locals.settings.altitudeM,
		pots: vessels
			.filter((v) => v.record.kind === 'pot')
			.map(({ id, record, refused }) => ({ id, record, refused })),
		pot: url.searchParams.get('pot') ?? '',
		moulds: moulds.filter(takesResin).flatMap((m) => {
			const master = masters.find((a) => a.id === m.masterId);
			if (!master) return [];
			// what is left of its newest shot's pot life when pouring ends is what the pump may take
			const shot = shots.find((s) => s.inputs.mouldIds.includes(m.id));
			const batch = shot?.planned.shot.batches[0];
			const before = batch?.steps
				.filter((s) => s.name !== 'Pump up')
				.reduce((sum, s) => sum + s.durationS, 0);
			return [
				{
					id: m.id,
					name: `M${m.number} ${m.label}`,
					...standingOf(m, master.record),
					outsideMl: outsideMl(m, master.volumeMl ?? 0),
					...(batch && before !== undefined ? { gelS: Math.max(0, batch.potLifeS - before) } : {})
				}
			];
		})
	};
};
