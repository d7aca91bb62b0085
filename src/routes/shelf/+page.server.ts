import { chemistryOf, containerHealth, LOW_SHARE, ratiosOf } from '$lib/core/shelf';
import { listContainers } from '$lib/server/repositories/containers';
import { listFillers, listMaterials, listResins, listRubbers } from '$lib/server/repositories/materials';
import { newestPictures } from '$lib/server/repositories/pictures';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	const [resins, rubbers, fillers, containers, colours, recipes, releases, thermoplastics, cups, castables] =
		await Promise.all([
			listResins(),
			listRubbers(),
			listFillers(),
			listContainers(),
			listMaterials('colour'),
			listMaterials('recipe'),
			listMaterials('release'),
			listMaterials('thermoplastic'),
			listMaterials('cup'),
			listMaterials('castable')
		]);
	const looks = await newestPictures('container');
	const today = new Date().toISOString().slice(0, 10);
	return {
		rubbers,
		fillers,
		colours,
		recipes,
		releases,
		thermoplastics,
		cups,
		castables,
		resins: resins.map((resin) => ({ ...resin, ratios: ratiosOf(resin.record) })),
		tins: containers.map((c) => {
			const resin = resins.find((r) => r.id === c.record.materialId);
			const chemistry = resin ? chemistryOf(resin.record.family) : ('silicone' as const);
			return {
				...c,
				photoId: looks[c.id] ?? null,
				low: !c.emptied && c.remainingG < LOW_SHARE * c.record.sizeG,
				health: containerHealth(c.record, chemistry, today, locals.settings)
			};
		})
	};
};
