/** What may be wrong with a new mould. */
export const MOULD_FAULTS = [
	'inhibited',
	'face-bubbles',
	'inner-bubbles',
	'torn',
	'joint-step',
	'leaked',
	'detail-missing'
] as const;
type MouldFault = (typeof MOULD_FAULTS)[number];
export const MOULD_FAULT_WORDS: Readonly<Record<MouldFault, string>> = {
	inhibited: 'inhibited, tacky',
	'face-bubbles': 'bubbles on the face',
	'inner-bubbles': 'bubbles inside',
	torn: 'torn',
	'joint-step': 'step at the joint',
	leaked: 'leaked',
	'detail-missing': 'detail missing'
};

/**
 * How much more water a cavity takes than its master displaces, percent; less than nothing: it takes less.
 * @throws RangeError when a number is outside its range.
 * @example
 * waterOffPercent(66, 64); // 3.125
 */
export function waterOffPercent(waterMl: number, masterVolumeMl: number): number {
	if (!(waterMl > 0 && masterVolumeMl > 0))
		throw new RangeError(`waterOffPercent: both over 0, got ${waterMl} ml, ${masterVolumeMl} ml`);
	return (100 * (waterMl - masterVolumeMl)) / masterVolumeMl;
}
