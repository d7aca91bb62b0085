import { calculation } from '../calculation';
import { sprue, sprueInput } from './sprue';

/** `sprue` of the open interface. */
export const sprueCalculation = calculation(
	'sprue',
	'Time to fill a cavity through a sprue by gravity, and the sprue that would do.',
	sprueInput,
	{ volumeMl: 120, diameterMm: 8, lengthMm: 25, viscosityMpaS: 150, densityGPerMl: 1.06, remainingS: 90 },
	(_input, raw) => sprue(raw)
);
