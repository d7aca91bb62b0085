/** How colours that are poured together are combined (common practice, no source). */
export const COLOUR_SCHOOLS = {
	'in-turn': {
		words: 'one cup after another',
		risk: 'the first cup ages while the last is stirred'
	},
	'all-at-once': {
		words: 'B into all, then stirred',
		risk: 'all clocks run from the start; what waits unstirred sets in streaks'
	}
} as const;
export type ColourSchool = keyof typeof COLOUR_SCHOOLS;
export const COLOUR_SCHOOL_KEYS = Object.keys(COLOUR_SCHOOLS) as [ColourSchool, ...ColourSchool[]];

/** B from one cup to the next where it goes into all of them first, s (a default of ours). */
export const B_IN_S = 8;

/**
 * From one cup's combining to that of the next, s.
 * @example
 * cupEveryS('in-turn', 40); // 40
 */
export const cupEveryS = (school: ColourSchool | undefined, mixS: number): number =>
	school === 'all-at-once' ? B_IN_S : mixS;
