import {
	colourLoad,
	colourSide,
	COLOUR_DROPS_PER_ML,
	isPowder,
	type ColourRecord,
	type RecipeRecord
} from '../shelf/colour';
import { scaleRecipe } from '../shelf/colour';
import type { ResinRecord } from '../shelf/resin';
import type { ShotFiller, ShotRecipe } from './planned';
import type { FillerRecord } from '../shelf/filler';

interface Kept<T> {
	id: string;
	record: T;
}

/**
 * A colour recipe as shares of the mixed resin, each colour with the side that it goes into in this resin.
 * @example
 * shotRecipe({ id: '1', record: reddish }, [{ id: 'red', record: red }], urethane).colours[0]?.part; // 'B'
 */
export function shotRecipe(
	recipe: Kept<RecipeRecord>,
	colours: readonly Kept<ColourRecord>[],
	resin: Pick<ResinRecord, 'family' | 'colourSide' | 'micaSide'>
): ShotRecipe {
	const doses = scaleRecipe(recipe.record, 100).flatMap(({ colourId, percent }) => {
		const record = colours.find((c) => c.id === colourId)?.record;
		// a colour that was thrown away leaves its share out, which the recipe's own page says
		return record ? [{ record, percent }] : [];
	});
	return {
		id: recipe.id,
		name: recipe.record.name,
		lengtheningPercent: colourLoad(doses).lengtheningPercent,
		colours: doses.map(({ record: colour, percent }) => ({
			name: colour.name,
			part: colourSide(colour, resin),
			percent,
			...(isPowder(colour.kind)
				? { powder: true }
				: { dropsPerG: (colour.dropsPerMl ?? COLOUR_DROPS_PER_ML) / colour.densityGPerMl })
		}))
	};
}

/**
 * What a shot wants to know of a filler.
 * @example
 * shotFiller(spheres).densityGPerMl; // 0.2
 */
export function shotFiller(record: FillerRecord): ShotFiller {
	const {
		name,
		family,
		densityGPerMl,
		bulkDensityGPerMl,
		grainMm,
		creamyScoopsPerB,
		pasteScoopsPerB,
		yieldPa
	} = record;
	return {
		name,
		family,
		densityGPerMl,
		bulkDensityGPerMl,
		grainMm,
		creamyScoopsPerB,
		pasteScoopsPerB,
		yieldPa
	};
}
