import { COLD_FIELDS } from '../fields';
import { USUAL_WORDS, type CastAsked } from '../castAsked';

/** A face of metal powder, backed. */
export const coldAsked: CastAsked = {
	words: {
		...USUAL_WORDS,
		name: 'Cold cast with metal',
		fields: 'Metal face and backing',
		filler: 'Metal powder',
		share: 'Of the face, by weight',
		colour: 'Backing is tinted with'
	},
	fields: COLD_FIELDS,
	takesRows: false,
	takesEmbeds: false,
	layered: true
};
