/** Fields that the records of the shelf are made of, each with its ranges and its sentences. */
import { z } from 'zod';

/**
 * Name of a record, with a sentence when it is missing.
 * @example
 * name('the resin').safeParse('').success; // false
 */
export const name = (of: string) =>
	z
		.string()
		.trim()
		.min(1, `Give the ${of} a name.`)
		.max(120, `Keep the name of the ${of} under 120 characters.`);
export const note = z.string().max(4000, 'Keep the note under 4000 characters.').default('');

/** Not from its own sheet: figures that are typical of its kind, until somebody replaces them. */
export const typical = z.boolean().default(false);
/** Fields whose figure is usual for the kind because the sheet does not say. */
export const usual = z.array(z.string().max(40)).max(20).default([]);

export const density = (of: string) =>
	z
		.number({ error: `Type the density of ${of}, such as 1.05 g/ml or 25 in3/lb.` })
		.min(0.2, `The density of ${of} is under 0.2 g/ml: check the unit.`)
		.max(10, `The density of ${of} is over 10 g/ml: check the unit.`);

export const parts = (of: string) =>
	z
		.number({ error: `Type the parts of ${of}, such as 100.` })
		.positive(`The parts of ${of} must be more than nothing.`)
		.max(10_000, `Over ten thousand parts of ${of}: check the ratio.`)
		.optional();

export const timeS = (what: string, most: number) =>
	z
		.number({ error: `Type the ${what}, such as 2:30 or 15 min.` })
		.min(5, `A ${what} under 5 s: check the unit.`)
		.max(most, `The ${what} is too long: check the unit.`);

export const viscosity = z
	.number({ error: 'Type the viscosity, such as 150 mPas or 150 cps.' })
	.min(0.5, 'Thinner than water by half: check the unit.')
	.max(1e7, 'Over ten thousand Pa·s: check the unit.');

export const share = (of: string) =>
	z
		.number({ error: `Type the share of ${of}, such as 1 %.` })
		.min(0.05, `The share of ${of} is under 0.05 %: check it.`)
		.max(10, `The share of ${of} is over 10 %: check the sheet.`)
		.optional();

export const constant = (lo: number, hi: number, unit: string) =>
	z
		.number({ error: 'Type a number, or leave it empty for the default.' })
		.min(lo, `It lies between ${lo} and ${hi} ${unit}.`)
		.max(hi, `It lies between ${lo} and ${hi} ${unit}.`)
		.optional();
