import { mixedDensityGPerMl } from '$lib/core/shelf';
import { listExperiences } from './repositories/experiences';
import { listMaterials, listResins, listRubbers } from './repositories/materials';

/** What the shelf says to a master's form: densities to weigh casts by, and what may touch it. */
export async function masterFormContext() {
	const [resins, rubbers, releases, experiences] = await Promise.all([
		listResins(),
		listRubbers(),
		listMaterials('release'),
		listExperiences()
	]);
	const densities = resins.map(({ record }) => ({
		name: record.name,
		densityGPerMl: Math.round(mixedDensityGPerMl(record) * 1000) / 1000
	}));
	return { densities, rubbers, releases, experiences };
}
