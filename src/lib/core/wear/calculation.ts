import { calculation } from '../calculation';
import { wearForecast, wearInput } from './forecast';

/** `wear` of the open interface. */
export const wearCalculation = calculation(
	'wear',
	'Pulls left in a mould from its family, the heat of its pulls and what was seen of it.',
	wearInput,
	{
		prior: { family: 'platinum', release: 'none' },
		pulls: [{}, {}, {}, {}, {}, {}, {}, { scores: { detail: 1, tear: 0 } }],
		copiesWanted: 30
	},
	(_input, raw) => wearForecast(raw)
);
