import { calculation } from '../calculation';
import { cupAnswer, partAnswer, partQuery } from './cureAnswers';
import { catalystPlan, catalystPlanInput, cupFit, cupFitInput, cupInput } from '../cure';

/** A fast white urethane, as sheets give it. */
const FAST_WHITE = { potLifeS: 150, demouldS: 900, character: 'quick' as const };

/** `cup` of the open interface. */
export const cupCalculation = calculation(
	'cup',
	'Pot life, gel, temperature and peak of resin in its cup.',
	cupInput,
	{ resin: FAST_WHITE, massG: 100, startTempC: 23, roomTempC: 23 },
	(_input, raw) => cupAnswer(raw)
);

/** `cup-fit` of the open interface. */
export const cupFitCalculation = calculation(
	'cup-fit',
	'The cup corrected by temperatures that were read, with a band.',
	cupFitInput,
	{
		resin: FAST_WHITE,
		massG: 200,
		startTempC: 24,
		roomTempC: 22,
		readings: [
			{ timeS: 40, tempC: 27 },
			{ timeS: 80, tempC: 34 }
		]
	},
	(_input, raw) => cupFit(raw)
);

/** `catalyst-plan` of the open interface. */
export const catalystPlanCalculation = calculation(
	'catalyst-plan',
	'The usual catalyst share for a mass, a section and a room, and the highest that neither cracks nor runs out of time.',
	catalystPlanInput,
	{
		resin: {
			chemistry: 'polyester',
			demouldS: 14_400,
			character: 'gradual',
			catalyst: { percent: 1, referencePercent: 1, referenceGelS: 1200 }
		},
		massG: 300,
		thicknessMm: 25,
		startTempC: 20,
		roomTempC: 20,
		crackLimitC: 110,
		neededS: 300
	},
	(_input, raw) => catalystPlan(raw)
);

/** `part` of the open interface. */
export const partCalculation = calculation(
	'part',
	'Gel at core and wall, when a section may be flexed out and demoulded, its heat, and how sure that is.',
	partQuery,
	{
		resin: FAST_WHITE,
		section: { shape: 'slab', thicknessMm: 6 },
		mouldWallMm: 12,
		startTempC: 23,
		mouldTempC: 23,
		roomTempC: 23
	},
	(_input, raw) => partAnswer(raw)
);
