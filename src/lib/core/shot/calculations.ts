import { calculation } from '../calculation';
import { shotAnswer, shotQuery } from './open';
import { rotocast, rotocastInput } from './kinds/rotocast/rotocast';

/** `rotocast` of the open interface. */
export const rotocastCalculation = calculation(
	'rotocast',
	'A hollow cast in rolled layers: mass, rolling time and recoat window of each.',
	rotocastInput,
	{
		resin: { potLifeS: 150, demouldS: 900, character: 'gradual' },
		areaMm2: 42_000,
		wallMm: 4,
		densityGPerMl: 1.05,
		viscosityMpaS: 150,
		roomTempC: 23,
		mouldTempC: 23,
		mouldWallMm: 12
	},
	(_input, raw) => rotocast(raw)
);

/** `shot` of the open interface. */
export const shotCalculation = calculation(
	'shot',
	'A shot of any kind: amounts, cups against their pot life, demould.',
	shotQuery,
	{
		kind: 'solid',
		cavityVolumeMl: 120,
		sprueVolumeMl: 6,
		copies: 2,
		resin: { densityAGPerMl: 1.08, densityBGPerMl: 0.97, ratio: { by: 'weight', a: 100, b: 90 } },
		cure: { potLifeS: 150, demouldS: 900, character: 'quick' },
		steps: [
			{ name: 'mix', durationS: 40 },
			{ name: 'pour', durationS: 15, per: 'copy' }
		],
		startTempC: 21,
		roomTempC: 21
	},
	(_input, raw) => shotAnswer(raw)
);
