/** The volume of a master as its readings say it; apart from the rules of its record. */
import type { MasterRecord } from './master';
import type { VolumeReading } from './reading';
import { readVolume } from './readVolume';

/**
 * The reading that the shots go by; none while its volume is not known.
 * @example
 * usedReading(cube)?.method; // 'typed'
 */
export function usedReading(record: Pick<MasterRecord, 'readings' | 'used'>): VolumeReading | undefined {
	return record.readings[record.used];
}

/**
 * Volume of one copy, ml, by the reading in use; nothing while it is not known.
 * @example
 * masterVolumeMl(cube); // 64
 */
export function masterVolumeMl(record: Pick<MasterRecord, 'readings' | 'used'>): number | undefined {
	const reading = usedReading(record);
	return reading && readVolume(reading).volumeMl;
}

/**
 * What a master takes up in its rubber at the least, ml: all that is known of it. While nothing is, the rubber that is
 * worked out with it is the most that the mould can take.
 * @example
 * displacedMl({ readings: [], used: 0 }); // 0
 */
export function displacedMl(record: Pick<MasterRecord, 'readings' | 'used'>): number {
	return masterVolumeMl(record) ?? 0;
}
