import { starterShelf } from '$lib/core/shelf';
import { inTransaction } from '../db/connection';
import type { MaterialKind } from '../db/models';
import type { Actor } from '../people/audit';
import { listMaterials, saveMaterial } from './materials';

/**
 * Puts the starter shelf in; what stands there under the same name stays as it is, so that a second press adds nothing.
 * @returns how many materials came
 */
export async function fillShelf(actor?: Actor): Promise<number> {
	const shelf = starterShelf();
	const kinds = Object.keys(shelf) as (keyof typeof shelf & MaterialKind)[];
	const known = await Promise.all(kinds.map((kind) => listMaterials(kind)));
	return inTransaction(async (transaction) => {
		let came = 0;
		for (const [i, kind] of kinds.entries()) {
			const names = new Set(known[i]!.map((m) => m.record.name));
			for (const record of shelf[kind]) {
				if (names.has(record.name)) continue;
				await saveMaterial(kind, record, { transaction, actor });
				came++;
			}
		}
		return came;
	});
}
