import { ROLLED_FIELDS } from '../fields';
import { USUAL_WORDS, type CastAsked } from '../castAsked';

/** A shell of rolled layers, left hollow. */
export const rotocastAsked: CastAsked = {
	words: { ...USUAL_WORDS, name: 'Hollow, in rolled layers', fields: 'Wall and layers' },
	fields: ROLLED_FIELDS,
	takesRows: true,
	takesEmbeds: false,
	layered: true
};
