import { BRUSHED_FIELDS } from '../fields';
import { USUAL_WORDS, type CastModule } from '../module';
import { planBrushed } from './plan';

/** Coats brushed into an open mould. */
export const brushed: CastModule = {
	words: {
		...USUAL_WORDS,
		name: 'Brushed into an open mould',
		fields: 'Coats',
		filler: 'Thickened with',
		share: '',
		layers: 'Coat on coat'
	},
	fields: BRUSHED_FIELDS,
	takesEmbeds: false,
	layered: true,
	plan: planBrushed
};
