/** The families that casting resins come in. */
export const RESIN_FAMILIES = [
	'fast urethane',
	'slow urethane',
	'gradual urethane',
	'water-clear urethane',
	'flexible urethane',
	'epoxy',
	'general-purpose polyester',
	'clear polyester',
	'water-extended polyester'
] as const;
export type ResinFamily = (typeof RESIN_FAMILIES)[number];

/**
 * Whether a family is cured by a share of catalyst instead of a B.
 * @example
 * isCatalysed('clear polyester'); // true
 */
export function isCatalysed(family: ResinFamily): boolean {
	return family.endsWith('polyester');
}

/**
 * What a family is to the cure engine and to the cautions.
 * @example
 * chemistryOf('clear polyester'); // 'polyester'
 */
export function chemistryOf(family: ResinFamily): 'urethane' | 'polyester' | 'epoxy' {
	if (isCatalysed(family)) return 'polyester';
	return family === 'epoxy' ? 'epoxy' : 'urethane';
}
