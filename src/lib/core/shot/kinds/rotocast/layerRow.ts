import { z } from 'zod';
import { EVERYWHERE } from './places';

const optional = (error: string, least: number, low: string, most: number, high: string) =>
	z.number({ error }).min(least, low).max(most, high).optional();

/** One layer as the maker wants it. Of its three amounts the first that is typed counts; without any it shares alike. */
export const layerRow = z.object({
	/** Where it is steered to: a place that is known, or words of the maker's own. */
	place: z
		.string()
		.trim()
		.min(1, 'Say where it goes.')
		.max(40, 'Keep it under 40 characters.')
		.default(EVERYWHERE),
	/** Its cup, g, of resin and filler together, without what stays in the cup. */
	massG: optional(
		'Type what its cup weighs, such as 60 g.',
		0.1,
		'A cup holds something.',
		1e6,
		'Over a tonne: check the unit.'
	),
	/** Where it lies. */
	thicknessMm: optional(
		'Type how thick it lies, such as 1.5 mm.',
		0.1,
		'Under 0.1 mm nothing covers: check the unit.',
		60,
		'Over 60 mm: pour it solid, or check the unit.'
	),
	/** Of all the resin of the wall. */
	sharePercent: optional(
		'Type its share of the wall, such as 25 %.',
		0.5,
		'Under half a percent: leave it out.',
		100,
		'At most all of it.'
	),
	/** Thickened or weighted with; empty: nothing. */
	fillerId: z.string().max(40).default(''),
	/** Loose scoops to one of B, or to one of a resin that has no B. */
	scoops: z
		.number({ error: 'Type how many scoops to one of B, such as 1.' })
		.min(0.01, 'Under a hundredth of a scoop: leave it out.')
		.max(20, 'Over twenty scoops: check it.')
		.default(1),
	/** Its colour; empty: the shot's. */
	recipeId: z.string().max(40).default(''),
	note: z.string().trim().max(120, 'Keep the note under 120 characters.').default('')
});
export type LayerRow = z.output<typeof layerRow>;
