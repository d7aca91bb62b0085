import { z } from 'zod';
import { digits } from '../units';
import type { WorkingLine } from '../working';

const money = (what: string) =>
	z
		.number({ error: `Type ${what}.` })
		.min(0, 'Money is not below nothing.')
		.max(1e7, 'Over ten million: check it.');

/** Laying out, demoulding and trimming of a batch, s (common practice, no source). */
const ROUND_IT_S = 600;

/**
 * Hands on for one copy of a shot, s: its timed steps, once for each layer, and what stands round them.
 * @example
 * handsPerCopyS({ copies: 2, steps: [{ durationS: 40 }, { durationS: 20 }] }); // 330
 */
export function handsPerCopyS(batch: {
	copies: number;
	steps: readonly { durationS: number }[];
	layers?: readonly unknown[] | undefined;
}): number {
	const cupS = batch.steps.reduce((sum, step) => sum + step.durationS, 0);
	return (cupS * (batch.layers?.length ?? 1) + ROUND_IT_S) / batch.copies;
}

/** What one good copy costs. */
export const costInput = z.strictObject({
	resinG: z.number().min(0).max(1e7),
	/** A price that is left out is not known; what costs nothing costs 0. */
	resinPerKg: money('the price of the resin').optional(),
	fillerG: z.number().min(0).max(1e7).default(0),
	fillerPerKg: money('the price of the filler').optional(),
	/** Cost of the mould, and the pulls that it is expected to give. */
	mouldCost: money('what the mould cost').optional(),
	mouldPulls: z
		.number({ error: 'Type how many pulls a mould gives, such as 30.' })
		.min(1, 'A mould gives at least one pull.')
		.max(100_000, 'Over a hundred thousand pulls: check it.')
		.default(30),
	copiesPerPull: z.number().min(1).max(1000).default(1),
	/** Hands on, for one copy. */
	handsS: z.number().min(0).max(1e6).default(0),
	hourly: money('what an hour costs').default(0),
	/** Copies that are thrown away, percent. */
	scrapPercent: z
		.number({ error: 'Type the scrap in percent, such as 10 %.' })
		.min(0, 'Scrap is not below nothing.')
		.max(95, 'At most 95 %: else nothing good comes of it.')
		.default(0)
});
export type CostInput = z.input<typeof costInput>;

export interface CopyCost {
	resin: number;
	filler: number;
	mould: number;
	labour: number;
	/** Of one copy as it is pulled. */
	pulled: number;
	/** Of one good copy: the scrapped ones are paid by it. */
	good: number;
	/** What is in none of it, since its price is not known. */
	unpriced: readonly ('resin' | 'filler' | 'mould')[];
	working: WorkingLine[];
}

const NOT_KNOWN = 'price not known';

/**
 * Resin, filler, the mould's share by its expected life, labour; divided by what comes out good. What has no price is left
 * out and named.
 * @throws ZodError when the input is outside its schema.
 * @example
 * copyCost({ resinG: 190, resinPerKg: 20, mouldCost: 60, mouldPulls: 30, handsS: 600, hourly: 18 }).pulled; // 8.8
 */
export function copyCost(raw: CostInput): CopyCost {
	const i = costInput.parse(raw);
	const resin = (i.resinG * (i.resinPerKg ?? 0)) / 1000;
	const filler = (i.fillerG * (i.fillerPerKg ?? 0)) / 1000;
	const mould = (i.mouldCost ?? 0) / (i.mouldPulls * i.copiesPerPull);
	const weighed = (what: string, massG: number, perKg: number | undefined, paid: number): WorkingLine => ({
		what,
		sum: perKg === undefined ? `${digits(massG)} g` : `${digits(massG)} g × ${digits(perKg, 2)} a kg`,
		result: perKg === undefined ? NOT_KNOWN : digits(paid, 2)
	});
	const labour = (i.handsS / 3600) * i.hourly;
	const pulled = resin + filler + mould + labour;
	const good = pulled / (1 - i.scrapPercent / 100);
	return {
		resin,
		filler,
		mould,
		labour,
		pulled,
		good,
		unpriced: [
			...(i.resinPerKg === undefined && i.resinG > 0 ? (['resin'] as const) : []),
			...(i.fillerPerKg === undefined && i.fillerG > 0 ? (['filler'] as const) : []),
			...(i.mouldCost === undefined ? (['mould'] as const) : [])
		],
		working: [
			weighed('Resin', i.resinG, i.resinPerKg, resin),
			...(i.fillerG > 0 ? [weighed('Filler', i.fillerG, i.fillerPerKg, filler)] : []),
			{
				what: 'Mould',
				sum: `${i.mouldCost === undefined ? 'Its material' : digits(i.mouldCost, 2)} ÷ (${digits(i.mouldPulls, 0)} pulls × ${digits(i.copiesPerPull, 0)})`,
				result: i.mouldCost === undefined ? NOT_KNOWN : digits(mould, 2)
			},
			{
				what: 'Labour',
				sum: `${digits(i.handsS / 60, 0)} min × ${digits(i.hourly, 2)} an hour`,
				result: digits(labour, 2)
			},
			{
				what: 'One good copy',
				sum: `${digits(pulled, 2)} ÷ (1 − ${digits(i.scrapPercent)} %)`,
				result: digits(good, 2)
			}
		]
	};
}
