import { calculation } from '../calculation';
import { displacement, displacementInput } from './displacement';

/** `displacement` of the open interface. */
export const displacementCalculation = calculation(
	'displacement',
	'Volume of a part from the water that it spilled.',
	displacementInput,
	{ overflowMassG: 84.8, waterTempC: 20 },
	displacement
);
