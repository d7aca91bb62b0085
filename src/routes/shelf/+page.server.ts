import { ratiosOf } from '$lib/core/shelf';
import { listResins, listRubbers } from '$lib/server/repositories/materials';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async () => {
	const [resins, rubbers] = await Promise.all([listResins(), listRubbers()]);
	return { rubbers, resins: resins.map((resin) => ({ ...resin, ratios: ratiosOf(resin.record) })) };
};
