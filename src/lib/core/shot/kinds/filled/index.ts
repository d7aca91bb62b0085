import { FILL_FIELDS, ROLLED_FIELDS } from '../fields';
import { USUAL_WORDS, type CastModule } from '../module';
import { planRolled } from '../rotocast/plan';
import { FILLS } from './filled';

/** A shell of rolled layers, and what fills it. */
export const filled: CastModule = {
	words: { ...USUAL_WORDS, name: 'A shell, then filled', fields: 'Wall, layers and fill' },
	fields: [...ROLLED_FIELDS, ...FILL_FIELDS],
	takesEmbeds: false,
	layered: true,
	plan: (inputs, context) =>
		planRolled(inputs, context, {
			kind: inputs.fillKind,
			densityGPerMl: inputs.fillDensityGPerMl ?? FILLS[inputs.fillKind].densityGPerMl,
			lossPercent: inputs.lossPercent
		})
};
