/** What is done at a time of the schedule. */
export const PARTS = [
	'prep',
	'dry',
	'cast',
	'layer',
	'hold',
	'cure',
	'demould',
	'finish',
	'ready',
	'make',
	'set'
] as const;
export type Part = (typeof PARTS)[number];
