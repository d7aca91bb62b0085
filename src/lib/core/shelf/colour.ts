import { z } from 'zod';
import { digits } from '../units';
import type { Warning } from '../working';
import { name, note, typical, usual } from './fields';
import { isCatalysed } from './chemistry';
import type { ResinRecord } from './resin';

/** What a colour may be. */
export const COLOUR_KINDS = ['dye', 'pigment paste', 'mica', 'glow powder', 'pearl powder'] as const;
type ColourKind = (typeof COLOUR_KINDS)[number];

/**
 * Powders are weighed or scooped; dyes and pastes are counted in drops too.
 * @example
 * isPowder('mica'); // true
 */
export function isPowder(kind: ColourKind): boolean {
	return kind === 'mica' || kind.endsWith('powder');
}

/** A colour as it stands on the shelf. */
export const colourFields = z.object({
	name: name('colour'),
	kind: z.enum(COLOUR_KINDS, { error: 'Choose what kind of colour it is.' }),
	/** Where it goes; a resin may say otherwise for its own system. */
	side: z.enum(['as the resin says', 'A', 'B']).default('as the resin says'),
	/** Density of the dye or paste, or of the grains of a powder, g/ml. */
	densityGPerMl: z
		.number({ error: 'Type the density, such as 1.1 g/ml.' })
		.min(0.3, 'Under 0.3 g/ml: check the unit.')
		.max(20, 'Over 20 g/ml: check the unit.'),
	/** Loose density of a powder, as it is scooped, g/ml. */
	bulkDensityGPerMl: z
		.number({ error: 'Type the loose density, or leave it empty.' })
		.min(0.02, 'Under 0.02 g/ml: check the unit.')
		.max(20, 'Over 20 g/ml: check the unit.')
		.optional(),
	/** Counted once with the bottle’s own dropper. */
	dropsPerMl: z
		.number({ error: 'Count the drops in a millilitre, such as 25, or leave it empty.' })
		.min(1, 'At least one drop to a millilitre.')
		.max(200, 'Over 200 drops to a millilitre: count again.')
		.optional(),
	/** The most that the sheet allows, % of the mixed resin. */
	mostPercent: z
		.number({ error: 'Type the most that the sheet allows, such as 3 %, or leave it empty.' })
		.positive('The most must be more than nothing.')
		.max(60, 'Over 60 % of the mix: check the sheet.')
		.optional(),
	/** How much longer a full load makes the cure, %. */
	lengtheningPercent: z
		.number({ error: 'Type by how much it lengthens the cure, or leave it empty.' })
		.min(0, 'A lengthening is 0–400 %.')
		.max(400, 'A lengthening is 0–400 %.')
		.optional(),
	note,
	typical,
	usual
});

/** The same, its densities checked against each other. */
export const colourRecord = colourFields.superRefine((c, ctx) => {
	if ((c.bulkDensityGPerMl ?? 0) > c.densityGPerMl * 1.001) {
		ctx.addIssue({
			code: 'custom',
			path: ['bulkDensityGPerMl'],
			message: 'Loose powder holds air: its density cannot be above the solid one.'
		});
	}
});
export type ColourRecord = z.output<typeof colourRecord>;

/** Drops of a dropper that nobody counted yet (common practice, no source). */
export const COLOUR_DROPS_PER_ML = 20;

/** One dose of a recipe, as it went in. */
const dose = z.object({
	colourId: z.string().min(1, 'Choose a colour.'),
	massG: z
		.number({ error: 'Type how much went in, such as 0.4 g.' })
		.positive('A dose is more than nothing.')
		.max(10_000, 'Over 10 kg of colour: check the unit.'),
	/** What the stick showed after it. */
	look: z.string().trim().max(200, 'Keep it under 200 characters.').default('')
});

/** A colour built up in small doses in a known amount of resin, kept to be made again. */
export const recipeRecord = z.object({
	name: name('recipe'),
	resinId: z.string().min(1, 'Choose the resin that it was judged in.'),
	/** Mixed resin, A and B together, that the doses were for, g. */
	resinMassG: z
		.number({ error: 'Type how much mixed resin the doses were for, such as 100 g.' })
		.positive('The resin must be more than nothing.')
		.max(1e6, 'Over a tonne: check the unit.'),
	doses: z.array(dose).min(1, 'Add at least one dose.').max(60, 'At most 60 doses.'),
	note
});
export type RecipeRecord = z.output<typeof recipeRecord>;

export interface ScaledColour {
	colourId: string;
	massG: number;
	/** Share of the mixed resin, %. */
	percent: number;
}

/**
 * The doses of a recipe added up by colour and scaled to a mass of mixed resin.
 * @example
 * scaleRecipe(reddish, 190); // [{ colourId: 'red', massG: 0.95, percent: 0.5 }]
 */
export function scaleRecipe(
	recipe: { doses: readonly { colourId: string; massG: number }[]; resinMassG: number },
	massG: number
): ScaledColour[] {
	const sums = new Map<string, number>();
	for (const d of recipe.doses) sums.set(d.colourId, (sums.get(d.colourId) ?? 0) + d.massG);
	return [...sums].map(([colourId, sumG]) => ({
		colourId,
		massG: (sumG / recipe.resinMassG) * massG,
		percent: (100 * sumG) / recipe.resinMassG
	}));
}

/**
 * Into which cup a colour goes in this resin. Mica has a side of its own in some systems.
 * @example
 * colourSide(red, urethane); // 'B'
 */
export function colourSide(
	colour: Pick<ColourRecord, 'side' | 'kind'>,
	resin: Pick<ResinRecord, 'family' | 'colourSide' | 'micaSide'>
): 'A' | 'B' {
	if (isCatalysed(resin.family)) return 'A';
	if (colour.side !== 'as the resin says') return colour.side;
	return colour.kind === 'mica' && resin.micaSide !== 'where colour goes' ? resin.micaSide : resin.colourSide;
}

/**
 * Drops of a liquid colour; nothing for a powder.
 * @example
 * dropsOf(red, 0.5); // 13
 */
export function dropsOf(colour: ColourRecord, massG: number): number | undefined {
	if (isPowder(colour.kind)) return undefined;
	return Math.round((massG / colour.densityGPerMl) * (colour.dropsPerMl ?? COLOUR_DROPS_PER_ML));
}

/**
 * What a load of colours does: past the sheet’s most, and how much longer the cure takes, %.
 * @example
 * colourLoad([{ record: red, percent: 5 }]).warnings.length; // 1
 */
export function colourLoad(colours: readonly { record: ColourRecord; percent: number }[]): {
	lengtheningPercent: number;
	warnings: Warning[];
} {
	const warnings: Warning[] = [];
	let lengtheningPercent = 0;
	for (const { record, percent } of colours) {
		const most = record.mostPercent;
		if (record.lengtheningPercent)
			lengtheningPercent += record.lengtheningPercent * (most ? Math.min(1, percent / most) : 1);
		if (most !== undefined && percent > most)
			warnings.push({
				code: `too-much-colour-${record.name}`,
				message: `${record.name} is ${digits(percent, 1)} % of the mix; its sheet allows ${digits(most, 1)} %.`,
				action: 'Past that it may stay soft. Take a stronger colour, not more of this one.'
			});
	}
	return { lengtheningPercent, warnings };
}

/**
 * How the resin’s own cured shade limits a colour (common practice, no source).
 * @example
 * shadeAdvice('white', 'fine').length > 10; // true
 */
export function shadeAdvice(shade: ResinRecord['curedShade'], thinning: number): string {
	const thin =
		thinning > 1.05
			? `The other part thins it ${digits(thinning, 1)} times: judge it stronger than you want. `
			: '';
	switch (shade) {
		case 'white':
			return `${thin}It cures white: everything comes out as a pastel.`;
		case 'off-white':
			return `${thin}It cures off-white: cool colours turn a little warmer.`;
		case 'amber':
			return `${thin}It cures amber: blues go green, whites go cream.`;
		case 'dark':
			return `${thin}It cures dark: only darker colours show.`;
		case 'clear':
			return `${thin}It cures clear: thin places look paler than the cup.`;
		case 'not said':
			return thin.trim();
	}
}

/**
 * Mass of so many drops of a liquid colour, g.
 * @example
 * massOfDropsG(red, 14); // 0.525
 */
export function massOfDropsG(
	colour: Pick<ColourRecord, 'densityGPerMl' | 'dropsPerMl'>,
	drops: number
): number {
	return (drops / (colour.dropsPerMl ?? COLOUR_DROPS_PER_ML)) * colour.densityGPerMl;
}
