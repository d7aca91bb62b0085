import { listExperiences } from './repositories/experiences';
import { listMasters } from './repositories/masters';
import { listMaterials, listResins, listRubbers } from './repositories/materials';
import { listMoulds } from './repositories/moulds';

/** Everything that the mould planner chooses from. */
export async function mouldContext() {
	const [masters, rubbers, thermoplastics, releases, experiences, resins, fillers, moulds] =
		await Promise.all([
			listMasters(),
			listRubbers(),
			listMaterials('thermoplastic'),
			listMaterials('release'),
			listExperiences(),
			listResins(),
			listMaterials('filler'),
			listMoulds()
		]);
	return {
		shelf: { masters, rubbers, thermoplastics, releases, experiences, resins, fillers },
		others: moulds.map(({ id, number, label, masterId, state, pouredAt, rubberId, plan }) => ({
			id,
			number,
			label,
			masterId,
			state,
			rubberId,
			massG: plan.rubber.massG,
			poured: pouredAt !== null
		}))
	};
}
