import { z } from 'zod';

/** Pulls that a mould of a family gives when nothing else is known (common practice, no source: 30–150). */
export const FAMILY_PULLS = {
	platinum: 70,
	tin: 60,
	'high-heat tin': 80,
	thermoplastic: 15,
	rigid: 90,
	/** Powder and water: one cast or two. */
	wet: 2
} as const;
export type WearFamily = keyof typeof FAMILY_PULLS;
export const WEAR_FAMILIES = Object.keys(FAMILY_PULLS) as [WearFamily, ...WearFamily[]];

/** What a release habit does to it (common practice, no source). */
const RELEASE_LIFE = { none: 1, talc: 1.15, wax: 1.2, spray: 1.25, barrier: 1.4 } as const;
export const RELEASE_HABITS = Object.keys(RELEASE_LIFE) as [
	keyof typeof RELEASE_LIFE,
	...(keyof typeof RELEASE_LIFE)[]
];

/** Every so many degrees over the usual a face ages twice as fast (common practice, no source), °C. */
const HALVING_C = 25;
/** The peak at the face that a family's figure means, °C (a default of ours). */
export const USUAL_FACE_C = 55;
const LEAST_PULLS = 5;
const MOST_PULLS = 250;

export const wearPrior = z.strictObject({
	family: z.enum(WEAR_FAMILIES, { error: 'Choose the family of the mould.' }),
	/** What is cast in it. */
	chemistry: z.enum(['urethane', 'polyester', 'epoxy']).default('urethane'),
	/** Usual peak at the mould's face, °C. */
	peakFaceC: z.number().min(-20).max(300).optional(),
	release: z.enum(RELEASE_HABITS).default('none'),
	/** Share of the face that is undercut, 0…1. */
	undercutShare: z.number().min(0).max(1).default(0),
	/** Median life of retired moulds of this family, pulls, where there are enough of them. */
	familyMedianPulls: z.number().positive().max(10_000).optional()
});
export type WearPrior = z.input<typeof wearPrior>;

/**
 * How much a pull at this peak ages a face against the usual.
 * @example
 * heatWeight(80); // 2
 */
export function heatWeight(peakFaceC: number | undefined): number {
	if (peakFaceC === undefined) return 1;
	return Math.min(4, Math.max(0.5, 2 ** ((peakFaceC - USUAL_FACE_C) / HALVING_C)));
}

/**
 * Median pulls by the prior alone. Heat is not in it: every pull brings its own.
 * @throws ZodError when the input is outside its schema.
 * @example
 * priorPulls({ family: 'platinum', release: 'talc' }); // 80.5
 */
export function priorPulls(raw: WearPrior): number {
	const p = wearPrior.parse(raw);
	const base = p.familyMedianPulls ?? FAMILY_PULLS[p.family];
	// a family's own moulds have their resin and release in their lives already
	const habits =
		p.familyMedianPulls === undefined
			? (p.chemistry === 'polyester' ? 0.5 : 1) * RELEASE_LIFE[p.release] * (1 - 0.5 * p.undercutShare)
			: 1;
	return Math.min(MOST_PULLS, Math.max(Math.min(LEAST_PULLS, base), base * habits));
}
