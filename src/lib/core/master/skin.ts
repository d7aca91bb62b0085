import { skinOfSizesMm2 } from './sizes';
import { solidSkinMm2 } from '../volume/solids';
import type { MasterRecord } from './master';

export interface Skin {
	skinAreaMm2: number;
	/** What it rests on: the 3D file, the plain solids that it was measured by, or only its outer sizes. */
	skinFrom: 'file' | 'solids' | 'sizes';
	radiusMm: number;
	heightMm: number;
}

/** Skin of a copy without its openings, and what turns and drains when it is rolled. */
export function skinOf(master: MasterRecord): Skin {
	const widthMm = master.footprint === 'round' ? master.lengthMm : Math.max(master.lengthMm, master.widthMm);
	const common = { radiusMm: widthMm / 2, heightMm: master.heightMm };
	const file = master.shape?.findings.skinAreaMm2;
	if (file !== undefined) return { skinAreaMm2: file, skinFrom: 'file', ...common };
	const solids = master.readings.flatMap((r) => (r.method === 'solids' ? [r.pieces] : []))[0];
	if (solids) {
		// a hollow that is taken off has a skin as well; where two solids touch it is counted twice
		const skinAreaMm2 = solids.reduce((sum, p) => sum + solidSkinMm2(p.solid), 0);
		return { skinAreaMm2, skinFrom: 'solids', ...common };
	}
	return { skinAreaMm2: skinOfSizesMm2(master), skinFrom: 'sizes', ...common };
}
