import { calculation } from '../calculation';
import { pot, potInput } from './pressurePot';
import { vacuum, vacuumInput } from './vacuum';

/** `pot` of the open interface. */
export const potCalculation = calculation(
	'pot',
	'Bubbles under pressure, pump-up time and stored energy.',
	potInput,
	{
		gaugeKpa: 275.79,
		altitudeM: 0,
		potVolumeL: 9.5,
		contentsL: 2,
		freeAirLPerMin: 100,
		ratedGaugeKpa: 400
	},
	pot
);

/** `vacuum` of the open interface. */
export const vacuumCalculation = calculation(
	'vacuum',
	'How far a mix rises under vacuum, whether its vessel holds it, and what time it takes.',
	vacuumInput,
	{ mixVolumeMl: 300, vesselMl: 2000, chamberL: 12, pumpLPerMin: 70, targetKpa: 3 },
	(_input, raw) => vacuum(raw)
);
