import { cautionsFor, type CautionTopic } from '../cautions';
import { chemistryOf, type ResinFamily } from '../shelf/chemistry';
import { FILL_CAUTIONS } from './kinds/filled/fills';
import type { ShotInputs } from './inputs';

type Of = Pick<
	ShotInputs,
	'kind' | 'fillKind' | 'fillerId' | 'layerRows' | 'flameS' | 'vacuumS' | 'usePot' | 'out' | 'releaseId'
>;

/**
 * What is to be heeded in a cast as it is planned, each topic once: its chemistry, and what its own way of working adds.
 * @param powders whether a colour of it is a dry powder
 * @example
 * castCautions({ ...inputs({ kind: 'brushed' }), releaseId: '' }, 'slow urethane', false); // ['isocyanate', 'bulk']
 */
export function castCautions(of: Of, family: ResinFamily, powders: boolean): CautionTopic[] {
	const powder =
		powders ||
		of.fillerId !== '' ||
		of.kind === 'cold' ||
		(of.layerRows ?? []).some((r) => r.fillerId !== '');
	const all: CautionTopic[] = [
		...cautionsFor(chemistryOf(family)),
		...(powder ? ['powder' as const] : []),
		...(of.kind === 'brushed' ? ['bulk' as const] : ['heat' as const]),
		...(of.kind === 'filled' ? FILL_CAUTIONS[of.fillKind ?? 'plaster'] : []),
		...(of.releaseId !== '' ? ['solvent' as const] : []),
		...(of.vacuumS > 0 ? ['vacuum' as const] : []),
		...(of.flameS > 0 ? ['flame' as const] : []),
		...(of.usePot ? ['pressure' as const] : []),
		...(of.out === 'flexible' ? ['hot-part' as const, 'uncured' as const] : [])
	];
	return [...new Set(all)];
}
