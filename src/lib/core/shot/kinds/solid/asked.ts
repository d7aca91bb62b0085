import { USUAL_WORDS, type CastAsked } from '../castAsked';

/** Filled to the top in one pour. */
export const solidAsked: CastAsked = {
	words: { ...USUAL_WORDS, name: 'Solid', fields: '' },
	fields: [],
	takesRows: false,
	takesEmbeds: false,
	layered: false
};
