/** How the resin gets into the mould. */
export const POUR_WAYS = {
	sprue: 'through the sprue',
	'open face': 'into the open face',
	syringe: 'with a syringe',
	halves: 'both halves open, then closed',
	'some-first': 'some first, brushed in, then the rest'
} as const;
export type PourWay = keyof typeof POUR_WAYS;
export const POUR_WAY_KEYS = Object.keys(POUR_WAYS) as [PourWay, ...PourWay[]];
export const POUR_PLACES = {
	lowest: 'a thin stream at the lowest point',
	middle: 'in the middle, and let it spread',
	hidden: 'where a bare spot can be hidden, never down a wall'
} as const;
export type PourPlace = keyof typeof POUR_PLACES;
export const POUR_PLACE_KEYS = Object.keys(POUR_PLACES) as [PourPlace, ...PourPlace[]];

/** What a timed step is: its words and its cautions follow from it. */
export const STEP_ROLES = [
	'mix',
	'vacuum',
	'some',
	'brush',
	'pour',
	'flame',
	'tap',
	'close',
	'others',
	'load',
	'pump'
] as const;
export type StepRole = (typeof STEP_ROLES)[number];
