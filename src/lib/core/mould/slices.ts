import type { MasterRecord } from '../master/master';
import type { Cavity } from './block';
import type { Slice } from './boxing';

/**
 * Widths of the master by height, foot first, from its 3D file; none without one.
 * @example
 * slicesOf(cube); // []
 */
export function slicesOf(master: MasterRecord): Slice[] {
	const profile = master.shape?.findings.profile ?? [];
	const sizes = master.shape?.findings.sizesMm;
	// only while the file still describes the piece as it is planned
	if (!sizes || Math.abs(sizes[2] - master.heightMm) > 0.02 * master.heightMm) return [];
	const stepMm = master.heightMm / Math.max(1, profile.length);
	return profile.map((reachMm, i) => ({ fromMm: i * stepMm, toMm: (i + 1) * stepMm, reachMm }));
}

/** The box round the widest course. */
function widest(courses: readonly { lengthMm: number; widthMm: number }[], heightMm: number) {
	return {
		shape: 'box' as const,
		lengthMm: Math.max(...courses.map((c) => c.lengthMm)),
		widthMm: Math.max(...courses.map((c) => c.widthMm)),
		heightMm
	};
}

/**
 * Inside of the block for a drawing of its outline, whatever it is boxed in.
 * @example
 * outlineOf({ shape: 'tube', diameterMm: 60, heightMm: 50 }); // { lengthMm: 60, widthMm: 60, round: true }
 */
export function outlineOf(cavity: Cavity): { lengthMm: number; widthMm: number; round: boolean } {
	if (cavity.shape === 'tube')
		return { lengthMm: cavity.diameterMm, widthMm: cavity.diameterMm, round: true };
	const box = cavity.shape === 'courses' ? widest(cavity.courses, cavity.heightMm) : cavity;
	return { lengthMm: box.lengthMm, widthMm: box.widthMm, round: false };
}
