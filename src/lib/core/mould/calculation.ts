import { calculation } from '../calculation';
import { mixesInput, splitMixes } from './mixes';

/** `mould-mixes` of the open interface. */
export const mixesCalculation = calculation(
	'mould-mixes',
	'A pour of rubber split into mixes that scale, cup and degassing vessel take.',
	mixesInput,
	{ massG: 1800, densityGPerMl: 1.11, cupMl: 1000, workingTimeS: 2400 },
	(_input, raw) => splitMixes(raw)
);
