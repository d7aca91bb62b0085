import { calculation } from '../calculation';
import { dewPointC } from './dewPoint';
import { dewPointInput } from './dewPointInput';

/** `dew-point` of the open interface. */
export const dewPointCalculation = calculation(
	'dew-point',
	'Dew point by Magnus.',
	dewPointInput,
	{ tempC: 25, relativeHumidity: 60 },
	(input) => ({ dewPointC: dewPointC(input) })
);
