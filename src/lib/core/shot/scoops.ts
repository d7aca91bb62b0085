import type { Filler } from '../mix/mix';
import type { ResinRecord } from '../shelf/resin';
import type { ShotFiller } from './planned';

/**
 * A filler as it is scooped: loose scoops to one of B by volume; to a resin without B, to one of the resin.
 * @throws RangeError when its loose density is not known
 * @example
 * scooped({ name: 'Silica', densityGPerMl: 2.2, bulkDensityGPerMl: 0.05 }, 2, urethane).per; // 'b-volume-share'
 */
export function scooped(
	{
		name,
		densityGPerMl,
		bulkDensityGPerMl
	}: Pick<ShotFiller, 'name' | 'densityGPerMl' | 'bulkDensityGPerMl'>,
	scoops: number,
	resin: Pick<ResinRecord, 'densityAGPerMl' | 'densityBGPerMl' | 'weightB' | 'volumeB'>
): Filler {
	if (bulkDensityGPerMl === undefined) throw new RangeError(`scooped: ${name} has no loose density.`);
	if (resin.densityBGPerMl !== undefined || resin.weightB !== undefined || resin.volumeB !== undefined)
		return { name, densityGPerMl, bulkDensityGPerMl, amount: scoops, per: 'b-volume-share' };
	return {
		name,
		densityGPerMl,
		bulkDensityGPerMl,
		amount: (100 * scoops * bulkDensityGPerMl) / resin.densityAGPerMl,
		per: 'phr'
	};
}
