import {
	releaseThing,
	resinThing,
	rubberThing,
	thermoplasticThing,
	type Thing
} from '$lib/core/compatibility';
import { listMaterials, listResins, listRubbers } from './repositories/materials';

/** Everything on the shelf that touches something else, for the questions of what may touch what. */
export async function thingsOnShelf(): Promise<Thing[]> {
	const [rubbers, resins, releases, thermoplastics] = await Promise.all([
		listRubbers(),
		listResins(),
		listMaterials('release'),
		listMaterials('thermoplastic')
	]);
	return [
		...rubbers.map((r) => rubberThing(r.id, r.record)),
		...resins.map((r) => resinThing(r.id, r.record)),
		...releases.map((r) => releaseThing(r.id, r.record)),
		...thermoplastics.map((t) => thermoplasticThing(t.id, t.record.name))
	];
}
