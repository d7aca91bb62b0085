import { calculation } from '../calculation';
import { correctPour } from './correctPour';
import { correctPourInput } from './correctPourInput';
import { mix, mixInput } from './mix';

/** `mix` of the open interface. */
export const mixCalculation = calculation(
	'mix',
	'Amounts of A, B, fillers and catalyst for a volume or a mass.',
	mixInput,
	{
		resin: { densityAGPerMl: 1.08, densityBGPerMl: 0.97, ratio: { by: 'weight', a: 100, b: 90 } },
		target: { volumeMl: 100 }
	},
	(_input, raw) => mix(raw)
);

/** `correct-pour` of the open interface. */
export const correctPourCalculation = calculation(
	'correct-pour',
	'What to add after too much of one part was poured.',
	correctPourInput,
	{ ratio: { by: 'weight', a: 100, b: 90 }, pouredAG: 110, pouredBG: 90 },
	(input) => {
		const c = correctPour(input);
		const suffix = c.unit === 'g' ? 'G' : 'Ml';
		return {
			[`addA${suffix}`]: c.addA,
			[`addB${suffix}`]: c.addB,
			[`total${suffix}`]: c.total,
			[`discard${suffix}`]: c.discard,
			[`takeOutA${suffix}`]: c.takeOutA,
			[`takeOutB${suffix}`]: c.takeOutB,
			working: c.working
		};
	}
);
