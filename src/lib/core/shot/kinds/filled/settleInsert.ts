import { solidVolumeMl } from '../../../volume/solids';
import type { Insert } from './insert';
import { INSERT_DENSITIES } from './materials';

/**
 * Weight g and volume ml of what is set in, as far as what is typed says: by its weight and material, or by its size
 * and material. What is not known yet is not a number, so that it is asked for and never taken as nothing.
 * @example
 * settleInsert({ name: 'wire', by: 'rod', material: 'steel', diameterMm: 2, lengthMm: 100, massG: 0, volumeMl: 0 }).massG; // 2.466
 */
export function settleInsert(insert: Insert): Insert {
	const { by = 'both', material, massG, diameterMm, lengthMm } = insert;
	if (by === 'both') return insert;
	const densityGPerMl = material === undefined ? NaN : INSERT_DENSITIES[material];
	if (by === 'weight') return { ...insert, volumeMl: massG / densityGPerMl };
	const known = diameterMm! > 0 && (by === 'ball' || lengthMm! > 0);
	const volumeMl = !known
		? NaN
		: by === 'ball'
			? solidVolumeMl({ shape: 'ball', diameterMm: diameterMm! })
			: solidVolumeMl({ shape: 'tube', diameterMm: diameterMm!, heightMm: lengthMm! });
	return { ...insert, volumeMl, massG: volumeMl * densityGPerMl };
}
