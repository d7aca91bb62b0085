import { BRUSHED_FIELDS } from '../fields';
import { USUAL_WORDS, type CastAsked } from '../castAsked';

/** Coats brushed into an open mould. */
export const brushedAsked: CastAsked = {
	words: {
		...USUAL_WORDS,
		name: 'Brushed into an open mould',
		fields: 'Coats',
		filler: 'Thickened with',
		share: '',
		layers: 'Coat on coat'
	},
	fields: BRUSHED_FIELDS,
	takesRows: false,
	takesEmbeds: false,
	layered: true
};
