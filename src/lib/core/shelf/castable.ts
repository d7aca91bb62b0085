import { z } from 'zod';
import { name, note, timeS } from './fields';

/** What is cast besides resin, each in words. */
export const CASTABLE_SORTS = ['plaster', 'wax', 'soap'] as const;
export type CastableSort = (typeof CASTABLE_SORTS)[number];

/** What stands in a record of each kind until its own figure is typed (from memory; topping up: common practice, no source). */
export const CASTABLE_USUAL = {
	wax: { densityGPerMl: 0.92, topUpPercent: 15 },
	soap: { densityGPerMl: 1.05, topUpPercent: 5 }
} as const;

/**
 * Plaster, wax or soap as its bag says: powder that sets with water, or a block that is melted. Nothing here
 * foretells how it sets: its times are those that are typed, and no more.
 */
export const castableRecord = z
	.object({
		name: name('material'),
		sort: z.enum(CASTABLE_SORTS, { error: 'Choose plaster, wax or soap.' }),
		/** Plaster: water to one of powder, by weight. */
		waterPerPowder: z
			.number({ error: 'Type the water to one of powder by weight, such as 0.6.' })
			.min(0.2, 'Under 0.2 it does not stir: check the ratio.')
			.max(2, 'Over 2 it does not set hard: check the ratio.')
			.optional(),
		/** Wax and soap, set, g/ml; empty: the usual of its kind. */
		densityGPerMl: z
			.number({ error: 'Type its density when it has set, such as 0.92 g/ml, or leave it empty.' })
			.min(0.5, 'Under 0.5 g/ml: check the unit.')
			.max(3, 'Over 3 g/ml: check the unit.')
			.optional(),
		/** Wax and soap: as hot as it is poured, °C. */
		pourTempC: z
			.number({ error: 'Type how hot it is poured, such as 70 C.' })
			.min(30, 'Under 30 °C it does not run: check the unit.')
			.max(150, 'Over 150 °C is no work for a water bath: check the unit.')
			.optional(),
		/** Wax and soap: of the melt, what is kept hot to top up as it sinks, %; empty: the usual of its kind. */
		topUpPercent: z
			.number({ error: 'Type what is kept for topping up, such as 15 %, or leave it empty.' })
			.min(0, 'No less than nothing is kept.')
			.max(50, 'Over half of it: check it.')
			.optional(),
		/** Plaster: from the first powder in water until it no longer pours. Melts: off the heat until they no longer pour. */
		workS: timeS('pouring time', 36_000),
		demouldS: timeS('time in the mould', 2_000_000),
		pricePerKg: z
			.number({ error: 'Type the price of a kilogram, such as 3, or leave it empty.' })
			.min(0, 'A price is not below nothing.')
			.max(100_000, 'Over 100 000 a kilogram: check it.')
			.optional(),
		note
	})
	.superRefine((r, ctx) => {
		const issue = (path: keyof typeof r, message: string) =>
			ctx.addIssue({ code: 'custom', path: [path], message });
		if (r.sort === 'plaster' && r.waterPerPowder === undefined)
			issue(
				'waterPerPowder',
				'Type the water to one of powder by weight, such as 0.6: it stands on the bag.'
			);
		if (r.sort !== 'plaster' && r.pourTempC === undefined)
			issue('pourTempC', 'Type how hot it is poured, such as 70 C.');
		if (r.demouldS < r.workS)
			issue('demouldS', 'It comes out before it has stopped running: check both times.');
	});
export type CastableRecord = z.output<typeof castableRecord>;
