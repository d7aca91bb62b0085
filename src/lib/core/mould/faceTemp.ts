import { part } from '../cure';
import type { ResinRecord } from '../shelf/resin';
import { cureOf } from '../shelf/resinSums';

/**
 * Hottest that a resin makes the face of a mould, °C: by the part model in a slab of this section between
 * walls of 12 mm, everything at the room's temperature at the start.
 * @param thicknessMm thickest section, mm; 12 unless known
 * @example
 * faceTempC(urethane, 21); // 71.217
 */
export function faceTempC(resin: ResinRecord, roomTempC: number, thicknessMm = 12): number {
	return part({
		resin: cureOf(resin),
		section: { shape: 'slab', thicknessMm: Math.min(200, Math.max(1, thicknessMm)) },
		mouldWallMm: 12,
		startTempC: roomTempC,
		mouldTempC: roomTempC,
		roomTempC
	}).peakMouldFaceC;
}
