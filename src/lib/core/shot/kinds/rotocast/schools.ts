/** Turns that an even layer wants between locking and gel (a default of ours). */
export const TURNS_WANTED = 3;
/** When the next layer is poured (common practice, no source): conversion against gel. */
export const RECOAT_SCHOOLS = {
	kicking: { of: 0.8, words: 'while it is just kicking', risk: 'it may wash thin places bare' },
	gel: { of: 1, words: 'when it has gelled', risk: 'the usual way' },
	hard: { of: 1.3, words: 'when it has turned hard', risk: 'late, it peels off the last layer' }
} as const;
