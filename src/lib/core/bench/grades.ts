/** How a cast came out, best first. */
export const GRADES = ['good', 'needs-work', 'scrap'] as const;
export type Grade = (typeof GRADES)[number];
export const GRADE_WORDS: Readonly<Record<Grade, string>> = {
	good: 'good',
	'needs-work': 'needs work',
	scrap: 'scrap'
};
