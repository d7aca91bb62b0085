import type { MasterRecord } from '../master/master';
import { chemistryOf, type ResinRecord } from '../shelf/resin';
import type { RubberRecord } from '../shelf/rubber';
import type { Warning } from '../working';

/** Faces that take up rubber unless they are sealed (common practice, no source). */
const POROUS: readonly MasterRecord['material'][] = ['wood', 'plaster', 'stone', 'filament print'];
/** What stops an addition cure at the face (common practice, no source). */
const INHIBITING: Readonly<Partial<Record<MasterRecord['material'], string>>> = {
	'sulphur clay': 'Sulphur in the clay',
	'resin print': 'What is left uncured in a fresh resin print'
};

/** What may go wrong between a master and a rubber, and what is done about it. */
export function masterAndRubber(
	material: MasterRecord['material'],
	cureKind: RubberRecord['cureKind']
): Warning[] {
	const out: Warning[] = [];
	const inhibitor = INHIBITING[material];
	if (cureKind === 'addition' && inhibitor) {
		out.push({
			code: 'inhibition',
			level: 'harm',
			message: `${inhibitor} stops a platinum rubber from curing: it stays tacky at the face.`,
			action:
				'Post-cure and wash a print, put a barrier coat on, or take a tin rubber. Always try a small patch first.'
		});
	} else if (cureKind === 'addition' && material === 'other') {
		out.push({
			code: 'trial-patch',
			message:
				'Sulphur, latex, tin-cured rubber, amine-cured epoxy and some lacquers stop a platinum rubber.',
			action: 'Try a small patch first.'
		});
	}
	if (POROUS.includes(material)) {
		out.push({
			code: 'porous',
			message: `Rubber copies the grain of ${material} and locks into its pores.`,
			action: 'Seal it, then a thin coat of release, buffed.'
		});
	}
	return out;
}

/** What a resin does to a silicone mould over its pulls. */
export function resinAndMould(family: ResinRecord['family']): Warning[] {
	switch (chemistryOf(family)) {
		case 'polyester':
			return [
				{
					code: 'styrene-swells',
					message: 'Styrene swells the rubber, and the cure is hot: such a mould gives few pulls.',
					action: 'Use a release and let the mould rest between pulls.'
				}
			];
		case 'urethane':
			return [
				{
					code: 'urethane-soaks',
					message:
						'Urethane frees itself from silicone but slowly soaks in and discolours it; damp makes it foam.',
					action: 'Dry, warm mould. A release lengthens its life; a silicone release ruins paint.'
				}
			];
		case 'epoxy':
			return [];
	}
}
