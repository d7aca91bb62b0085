import { pourMeetings, resinThing, type Experience } from '$lib/core/compatibility';
import { MOULD_MODULES } from '$lib/core/mould';
import type { Kept } from './repositories/materials';
import { pullsByResin } from './repositories/ledger';
import type { Mould } from './repositories/moulds';

/** A resin of the shelf before a mould: how often it was poured into it, and what speaks against it, bare. */
interface Pourable {
	id: string;
	name: string;
	poured: number;
	harm: string;
}

/** What a mould may be poured with: what it took most often first, what harms it last. */
export async function pourableInto(
	mould: Mould,
	shelf: {
		resins: readonly Kept<'resin'>[];
		rubbers: readonly Kept<'rubber'>[];
		thermoplastics: readonly Kept<'thermoplastic'>[];
		experiences: readonly Experience[];
	}
): Promise<Pourable[]> {
	const face = MOULD_MODULES[mould.inputs.kind].thing(mould.inputs, {
		rubber: shelf.rubbers.find((r) => r.id === mould.rubberId)?.record,
		thermoplastic: shelf.thermoplastics.find((t) => t.id === mould.inputs.thermoplasticId)?.record
	});
	const taken = await pullsByResin(mould.id);
	return shelf.resins
		.map(({ id, record }) => ({
			id,
			name: record.name,
			poured: taken.get(record.name) ?? 0,
			harm: face
				? (pourMeetings({ resin: resinThing(id, record), moulds: [face] }, shelf.experiences).find(
						(w) => w.severity === 'harm'
					)?.message ?? '')
				: ''
		}))
		.sort((a, b) => Number(a.harm !== '') - Number(b.harm !== '') || b.poured - a.poured);
}
