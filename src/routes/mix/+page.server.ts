import { listFillers, listMaterials, listResins } from '$lib/server/repositories/materials';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ url }) => {
	const [resins, fillers, colours, recipes] = await Promise.all([
		listResins(),
		listFillers(),
		listMaterials('colour'),
		listMaterials('recipe')
	]);
	return { resins, fillers, colours, recipes, chosenRecipe: url.searchParams.get('recipe') ?? '' };
};
