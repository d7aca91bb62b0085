import { calculation } from '../calculation';
import { budget, budgetInput } from './budget';

/** `budget` of the open interface. */
export const budgetCalculation = calculation(
	'budget',
	'Steps against a pot life.',
	budgetInput,
	{
		steps: [
			{ name: 'mix', durationS: 45 },
			{ name: 'pour', durationS: 30 }
		],
		potLifeS: 150
	},
	(_input, raw) => budget(raw)
);
