import { z } from 'zod';
import { name, note, typical, usual, viscosity } from './fields';

/** A mould rubber as its sheet describes it. */
export const rubberRecord = z.object({
	name: name('rubber'),
	cureKind: z.enum(['addition', 'condensation'], { error: 'Choose how it cures.' }),
	/** What it is made for. */
	use: z.enum(['pour', 'brush-on', 'high-heat']).default('pour'),
	densityGPerMl: z
		.number({ error: 'Type the density of the rubber, such as 1.10 g/ml or 25 in3/lb.' })
		.min(0.5, 'Under 0.5 g/ml: check the unit.')
		.max(3, 'Over 3 g/ml: check the unit.'),
	ratioBy: z.enum(['weight', 'volume']).default('weight'),
	ratioA: z
		.number({ error: 'Type the parts of A, such as 100.' })
		.positive('The parts of A must be more than nothing.')
		.max(10_000, 'Over ten thousand parts: check the ratio.'),
	ratioB: z
		.number({ error: 'Type the parts of B, such as 10.' })
		.positive('The parts of B must be more than nothing.')
		.max(10_000, 'Over ten thousand parts: check the ratio.'),
	workingTimeS: z
		.number({ error: 'Type the working time, such as 40 min.' })
		.min(60, 'A working time under a minute: check the unit.')
		.max(200_000, 'The working time is over two days: check the unit.'),
	cureTimeS: z
		.number({ error: 'Type the demould time, such as 4 h.' })
		.min(300, 'A cure under five minutes: check the unit.')
		.max(2_000_000, 'The cure is over three weeks: check the unit.'),
	refTempC: z
		.number({ error: 'Type the temperature of the sheet, usually 23 C.' })
		.min(5, 'Under 5 °C: check the unit.')
		.max(60, 'Over 60 °C: check the unit.')
		.default(23),
	viscosityMpaS: viscosity,
	/** Brush-on: when the next coat may follow, s. */
	recoatS: z
		.number({ error: 'Type when the next coat may follow, such as 40 min, or leave it empty.' })
		.min(60, 'Under a minute: check the unit.')
		.max(200_000, 'Over two days: check the unit.')
		.optional(),
	/** What the cured rubber stands, °C; from its sheet. */
	mostTempC: z
		.number({ error: 'Type what it stands, such as 200 C, or leave it empty.' })
		.min(30, 'Under 30 °C: check the unit.')
		.max(500, 'Over 500 °C: check the unit.')
		.optional(),
	shoreA: z
		.number({ error: 'Type the hardness, such as 25.' })
		.min(0, 'Shore A is 0–100.')
		.max(100, 'Shore A is 0–100.')
		.optional(),
	/** Price of a kilogram, in the workshop's currency; empty: not known. */
	pricePerKg: z
		.number({ error: 'Type the price of a kilogram, such as 24, or leave it empty.' })
		.min(0, 'A price is not below nothing.')
		.max(100_000, 'Over 100 000 a kilogram: check it.')
		.optional(),
	note,
	typical,
	usual
});
export type RubberRecord = z.output<typeof rubberRecord>;

/**
 * The part of the record that the mould sums need.
 * @example
 * rubberForBlock(blue).ratio; // { by: 'weight', a: 1, b: 1 }
 */
export function rubberForBlock(record: RubberRecord) {
	return {
		densityGPerMl: record.densityGPerMl,
		ratio: { by: record.ratioBy, a: record.ratioA, b: record.ratioB },
		workingTimeS: record.workingTimeS,
		cureTimeS: record.cureTimeS,
		refTempC: record.refTempC,
		cureKind: record.cureKind
	};
}
