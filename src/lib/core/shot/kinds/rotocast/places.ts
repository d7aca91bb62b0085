/** Where a layer is steered to, and how much of the skin that is (a default of ours: halves, a third, a tenth). */
export const PLACES = {
	everywhere: 1,
	left: 0.5,
	right: 0.5,
	middle: 1 / 3,
	rim: 0.1
} as const;
/** How a step says where a layer goes. */
export const PLACE_WORDS = {
	everywhere: 'everywhere',
	left: 'let round, then all of it steered to the left side',
	right: 'let round, then all of it steered to the right side',
	middle: 'steered to the middle',
	rim: 'let over the rim to build it'
} as const satisfies Record<keyof typeof PLACES, string>;
export const EVERYWHERE = 'everywhere';
export const PLACE_KEYS = Object.keys(PLACES) as (keyof typeof PLACES)[];

/**
 * Part of the skin that a place is; all of it where only the maker knows the place.
 * @example
 * coverOf('left'); // 0.5
 */
export const coverOf = (place: string): number =>
	Object.hasOwn(PLACES, place) ? PLACES[place as keyof typeof PLACES] : 1;

/** Schools of laying a wall, each as the places of its layers (common practice, no source). */
export const LAYER_SCHOOLS = {
	alike: { words: 'Alike, all over', places: ['everywhere', 'everywhere', 'everywhere', 'everywhere'] },
	'by place': {
		words: 'All over and to one side, the other side, the middle, all over',
		places: ['everywhere', 'left', 'right', 'middle', 'everywhere']
	},
	two: { words: 'Two, for a small piece', places: ['everywhere', 'everywhere'] },
	'rim last': {
		words: 'Three all over, the last let over the rim',
		places: ['everywhere', 'everywhere', 'everywhere', 'rim']
	}
} as const satisfies Record<string, { words: string; places: readonly (keyof typeof PLACES)[] }>;
