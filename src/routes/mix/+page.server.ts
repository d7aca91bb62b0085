import { listFillers, listResins } from '$lib/server/repositories/materials';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async () => {
	const [resins, fillers] = await Promise.all([listResins(), listFillers()]);
	return { resins, fillers };
};
