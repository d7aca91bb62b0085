import { listFillers, listMaterials, listResins } from '$lib/server/repositories/materials';
import type { PageServerLoad } from './$types';
import { firstMix } from './firstMix';

export const load: PageServerLoad = async ({ url, locals }) => {
	const [resins, fillers, colours, recipes] = await Promise.all([
		listResins(),
		listFillers(),
		listMaterials('colour'),
		listMaterials('recipe')
	]);
	const first = firstMix({ resins, recipes, colours }, url.searchParams.get('recipe') ?? '', locals.settings);
	return { resins, fillers, colours, recipes, first };
};
