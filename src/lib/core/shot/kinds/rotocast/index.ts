import { ROLLED_FIELDS } from '../fields';
import { USUAL_WORDS, type CastModule } from '../module';
import { planRolled } from './plan';

/** A shell of rolled layers, left hollow. */
export const rotocast: CastModule = {
	words: { ...USUAL_WORDS, name: 'Hollow, in rolled layers', fields: 'Wall and layers' },
	fields: ROLLED_FIELDS,
	takesEmbeds: false,
	layered: true,
	plan: planRolled
};
