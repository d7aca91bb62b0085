import { CLEAR_FIELDS } from '../fields';
import { USUAL_WORDS, type CastAsked } from '../castAsked';

/** Clear resin in layers round what lies in it. */
export const clearAsked: CastAsked = {
	words: {
		...USUAL_WORDS,
		name: 'Clear, with things in it',
		fields: 'Depth and what lies in it',
		filler: '',
		share: ''
	},
	fields: CLEAR_FIELDS,
	takesRows: false,
	takesEmbeds: true,
	layered: true
};
