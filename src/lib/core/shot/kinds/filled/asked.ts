import { FILL_FIELDS, ROLLED_FIELDS } from '../fields';
import { USUAL_WORDS, type CastAsked } from '../castAsked';

/** A shell of rolled layers, and what fills it. */
export const filledAsked: CastAsked = {
	words: { ...USUAL_WORDS, name: 'A shell, then filled', fields: 'Wall, layers and fill' },
	fields: [...ROLLED_FIELDS, ...FILL_FIELDS],
	takesRows: true,
	takesEmbeds: false,
	layered: true
};
