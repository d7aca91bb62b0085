import { USUAL_WORDS, type CastModule } from '../module';
import { planSolid } from './plan';

/** Filled to the top in one pour. */
export const solid: CastModule = {
	words: { ...USUAL_WORDS, name: 'Solid', fields: '' },
	fields: [],
	takesEmbeds: false,
	layered: false,
	plan: planSolid
};
