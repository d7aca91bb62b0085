import { CLEAR_FIELDS } from '../fields';
import { USUAL_WORDS, type CastModule } from '../module';
import { planClear } from './plan';

/** Clear resin in layers round what lies in it. */
export const clear: CastModule = {
	words: {
		...USUAL_WORDS,
		name: 'Clear, with things in it',
		fields: 'Depth and what lies in it',
		filler: '',
		share: ''
	},
	fields: CLEAR_FIELDS,
	takesEmbeds: true,
	layered: true,
	plan: planClear
};
