import { z } from 'zod';
import type { Warning, WorkingLine } from '../working';
import { part, type PartResult } from './part';
import type { CureRecord } from './record';
import { WALL_KINDS } from './wall';

const SECTION_SHAPES = ['slab', 'cylinder', 'sphere'] as const;

/** Where a solid cast sets last and where it gets hottest, and the mould round it. */
export const sectionsInput = z.object({
	/** The thinnest place that must be firm, a plate of so many mm. */
	section: z.object({ shape: z.enum(SECTION_SHAPES), thicknessMm: z.number().min(0.2).max(1000) }),
	/** The thickest, and what it is like: a plate, a limb or a lump; the thinnest, where nothing else is known. */
	thickest: z
		.object({ shape: z.enum(SECTION_SHAPES), thicknessMm: z.number().min(0.2).max(1000) })
		.optional(),
	mouldWallMm: z.number().min(0.5).max(500),
	wall: z.enum(WALL_KINDS).optional(),
	/** Poured into an open face: a plate has one side to the air. */
	open: z.boolean().optional()
});
export type Sections = z.output<typeof sectionsInput>;

interface SectionsResult {
	/** When the first and the last place of all have gelled, s. */
	gelFirstS: number;
	gelLastS: number;
	flexibleS: number;
	maturedS: number;
	demouldS: number;
	peakTempC: number;
	peakMouldFaceC: number;
	working: WorkingLine[];
	warnings: Warning[];
}

/**
 * A solid cast by its two places that matter: the thinnest, which cures last, and the thickest, which gets
 * hottest and
 * cools last. It is ready when both are.
 * @throws as `part` does.
 * @example
 * sections(
 *   whiteInMould.resin,
 *   { section: { shape: 'slab', thicknessMm: 6 }, mouldWallMm: 12 },
 *   { startTempC: 23, mouldTempC: 23, roomTempC: 23 }
 * ).demouldS; // 924.73
 */
export function sections(
	resin: CureRecord,
	where: Sections,
	{ startTempC, mouldTempC, roomTempC }: { startTempC: number; mouldTempC: number; roomTempC: number }
): SectionsResult {
	const { mouldWallMm, wall, open } = where;
	const at = (section: Sections['section'], notBefore?: { maturedS: number; demouldS: number }): PartResult =>
		part({
			resin,
			section,
			mouldWallMm,
			...(notBefore ? { notBefore } : {}),
			...(wall ? { wall } : {}),
			...(open && section.shape === 'slab' ? { open } : {}),
			startTempC,
			mouldTempC,
			roomTempC
		});
	const thin = at(where.section);
	const thickest = where.thickest;
	// the heat of the thick place is judged when the whole of it is ready
	const { maturedS, demouldS } = thin;
	const thick =
		thickest && thickest.thicknessMm > where.section.thicknessMm
			? at(thickest, { maturedS, demouldS })
			: thin;
	const later = (of: (p: PartResult) => number) => Math.max(of(thin), of(thick));
	return {
		gelFirstS: Math.min(thin.gelCoreS, thick.gelCoreS),
		gelLastS: later((p) => Math.max(p.gelCoreS, p.gelWallS)),
		flexibleS: later((p) => p.flexibleS),
		maturedS: later((p) => p.maturedS),
		demouldS: later((p) => p.demouldS),
		peakTempC: later((p) => p.peakTempC),
		peakMouldFaceC: later((p) => p.peakMouldFaceC),
		working: [
			...thin.working,
			...(thick === thin ? [] : thick.working.map((w) => ({ ...w, what: `${w.what}, thickest place` })))
		],
		warnings: thick.warnings
	};
}
