import { mixable } from '$lib/core/shelf';
import { bPerAByVolume, bPerAByWeight } from '$lib/core/mix';
import { listResins, listRubbers } from '$lib/server/repositories/materials';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async () => {
	const [resins, rubbers] = await Promise.all([listResins(), listRubbers()]);
	return {
		rubbers,
		resins: resins.map((resin) => {
			const { ratio, densityAGPerMl, densityBGPerMl } = mixable(resin.record);
			return {
				...resin,
				weightBPer100: 100 * bPerAByWeight(ratio, densityAGPerMl, densityBGPerMl),
				volumeBPer100: 100 * bPerAByVolume(ratio, densityAGPerMl, densityBGPerMl)
			};
		})
	};
};
