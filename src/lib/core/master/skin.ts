import { skinOfSizesMm2 } from '../mould/jacket';
import type { MasterRecord } from './master';

/** Skin of a copy without its openings, and what turns and drains when it is rolled. */
export function skinOf(master: MasterRecord): {
	skinAreaMm2: number;
	/** From its 3D file, or only from its outer sizes. */
	skinFromFile: boolean;
	radiusMm: number;
	heightMm: number;
} {
	const area = master.shape?.findings.skinAreaMm2;
	const widthMm = master.footprint === 'round' ? master.lengthMm : Math.max(master.lengthMm, master.widthMm);
	return {
		skinAreaMm2: area ?? skinOfSizesMm2(master),
		skinFromFile: area !== undefined,
		radiusMm: widthMm / 2,
		heightMm: master.heightMm
	};
}
