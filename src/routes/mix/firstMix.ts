import {
	coloursOf,
	mixSheet,
	type ColourRecord,
	type MixSheet,
	type RecipeRecord,
	type ResinRecord
} from '$lib/core/shelf';
import type { WorkshopSettings } from '$lib/core/workshop';

type Kept<R> = { id: string; record: R };
/** What stands in the fields before anybody typed. */
export interface FirstMix {
	resinId: string;
	recipeId: string;
	volumeMl: number;
	tempC: number;
	/** What it comes to: how it cures is long to work out, and is not worked out again where it is shown. */
	sheet: MixSheet | undefined;
}

/** The everyday resin of a shelf, 120 ml of it. */
export function firstMix(
	shelf: {
		resins: readonly Kept<ResinRecord>[];
		recipes: readonly Kept<RecipeRecord>[];
		colours: readonly Kept<ColourRecord>[];
	},
	chosenRecipe: string,
	{ roomTempC, scaleResolutionG }: WorkshopSettings
): FirstMix {
	const resin = shelf.resins.find((r) => !r.record.family.endsWith('polyester')) ?? shelf.resins[0];
	const recipe = shelf.recipes.find((r) => r.id === chosenRecipe);
	const volumeMl = 120;
	return {
		resinId: resin?.id ?? '',
		recipeId: recipe?.id ?? '',
		volumeMl,
		tempC: roomTempC,
		sheet:
			resin &&
			mixSheet({
				resin: resin.record,
				target: { volumeMl },
				fillers: [],
				colours: coloursOf(recipe?.record, shelf.colours),
				addLoss: false,
				tempC: roomTempC,
				scaleResolutionG
			})
	};
}
