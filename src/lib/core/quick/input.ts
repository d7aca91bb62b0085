import { z } from 'zod';
import { tempC } from '../cure';
import { TYPICAL_RESIN_NAMES, typicalResin, type ResinRecord } from '../shelf';

/** The ways in which people know how much they want. */
export const AMOUNT_WAYS = ['volume', 'water', 'cast', 'box', 'tube', 'skin'] as const;
export type AmountWay = (typeof AMOUNT_WAYS)[number];
export const AMOUNT_WORDS: Readonly<Record<AmountWay, string>> = {
	volume: 'A volume',
	water: 'Water it spilled',
	cast: 'An earlier cast',
	box: 'A box to fill',
	tube: 'A tube to fill',
	skin: 'Skin and wall, hollow'
};
/** Where the figures of the resin come from. */
export const RESIN_WAYS = ['typical', 'shelf', 'label'] as const;

const sizeMm = (what: string) =>
	z
		.number({ error: `Type the ${what}, such as 60 mm or 2 3/8 in.` })
		.min(1, `The ${what} is under 1 mm: check the unit.`)
		.max(3000, `The ${what} is over 3 m: check the unit.`);
const parts = (of: string) =>
	z
		.number({ error: `Type the parts of ${of}, such as 1 or 100.` })
		.positive(`The parts of ${of} must be more than nothing.`)
		.max(10_000, `Over ten thousand parts of ${of}: check the ratio.`);

const AMOUNTS = {
	volumeMl: z
		.number({ error: 'Type how much you want, such as 85 ml or 3 oz.' })
		.min(0.5, 'Under half a millilitre: check the unit.')
		.max(100_000, 'Over 100 l: check the unit.'),
	waterMassG: z
		.number({ error: 'Weigh the spilled water and type its grams, such as 85 g.' })
		.min(0.5, 'Under half a gram: check the unit.')
		.max(100_000, 'Over 100 kg of water: check the unit.'),
	castMassG: z
		.number({ error: 'Weigh the earlier cast and type it, such as 90 g or 3 oz.' })
		.min(0.5, 'Under half a gram: check the unit.')
		.max(100_000, 'Over 100 kg: check the unit.'),
	lengthMm: sizeMm('length inside'),
	widthMm: sizeMm('width inside'),
	diameterMm: sizeMm('diameter inside'),
	heightMm: sizeMm('height that is filled'),
	areaMm2: z
		.number({ error: 'Type the skin, such as 420 cm2 or 65 in2.' })
		.min(100, 'Under 1 cm²: check the unit.')
		.max(2e7, 'Over 20 m²: check the unit.'),
	wallMm: z
		.number({ error: 'Type the wall, such as 4 mm.' })
		.min(0.5, 'Under half a millimetre: check the unit.')
		.max(60, 'Over 60 mm that is no wall: check the unit.')
};
type AmountField = keyof typeof AMOUNTS;
/** What each way asks for. */
export const AMOUNT_FIELDS: Readonly<Record<AmountWay, readonly AmountField[]>> = {
	volume: ['volumeMl'],
	water: ['waterMassG'],
	cast: ['castMassG'],
	box: ['lengthMm', 'widthMm', 'heightMm'],
	tube: ['diameterMm', 'heightMm'],
	skin: ['areaMm2', 'wallMm']
};
const LABEL = {
	ratioA: parts('A'),
	ratioB: parts('B'),
	potLifeS: z
		.number({ error: 'Type the pot life of the label, such as 2:30 or 15 min.' })
		.min(15, 'A pot life under 15 s: check the unit.')
		.max(200_000, 'A pot life over two days: check the unit.')
};
const maybe = <T extends z.ZodRawShape>(shape: T) => z.object(shape).partial().shape;

/** What is asked before any record exists. A field that its way does not ask for may stay empty. */
export const quickInput = z
	.object({
		by: z.enum(AMOUNT_WAYS).default('volume'),
		...maybe(AMOUNTS),
		resinBy: z.enum(RESIN_WAYS).default('typical'),
		typical: z.enum(TYPICAL_RESIN_NAMES).default('fast'),
		resinId: z.string().max(40).default(''),
		ratioBy: z.enum(['volume', 'weight']).default('volume'),
		...maybe(LABEL),
		roomTempC: tempC('the temperature of the room'),
		/** What it is for: it heads the bench and the books. */
		name: z.string().trim().max(120, 'Keep the name under 120 characters.').default('')
	})
	.superRefine((q, ctx) => {
		const asked: Record<string, z.ZodType> = Object.fromEntries([
			...AMOUNT_FIELDS[q.by].map((f) => [f, AMOUNTS[f]]),
			...(q.resinBy === 'label' ? Object.entries(LABEL) : [])
		]);
		for (const [field, rule] of Object.entries(asked))
			if (q[field as keyof typeof q] === undefined)
				ctx.addIssue({
					code: 'custom',
					path: [field],
					message: rule.safeParse(undefined).error!.issues[0]!.message
				});
		if (q.resinBy === 'shelf' && !q.resinId)
			ctx.addIssue({ code: 'custom', path: ['resinId'], message: 'Choose a resin from the shelf.' });
	});
export type QuickInput = z.output<typeof quickInput>;

/** A fast cup is out of the mould after so many pot lives, a slow one after fewer (common practice, no source). */
const DEMOULD_POT_LIVES = 6;
/** From this pot life on a label is taken for that of a slow urethane, s (a default of ours). */
const SLOW_FROM_S = 300;

/**
 * The resin that a question means: from the shelf, typical of its kind, or as its label says with the rest as usual.
 * @param shelf the chosen resin of the shelf, where that is the way
 * @throws ZodError when the label makes no resin, as with a ratio that no two densities give
 * @example
 * quickResin(quickInput.parse({ volumeMl: 85, roomTempC: 21 }), undefined).family; // 'fast urethane'
 */
export function quickResin(q: QuickInput, shelf: ResinRecord | undefined): ResinRecord {
	if (q.resinBy === 'shelf' && shelf) return shelf;
	if (q.resinBy !== 'label') return typicalResin(q.typical);
	const potLifeS = q.potLifeS!;
	const usual = typicalResin(potLifeS < SLOW_FROM_S ? 'fast' : 'slow');
	const said =
		q.ratioBy === 'weight'
			? { weightA: q.ratioA, weightB: q.ratioB, volumeA: undefined, volumeB: undefined }
			: { volumeA: q.ratioA, volumeB: q.ratioB, weightA: undefined, weightB: undefined };
	return {
		...usual,
		...said,
		name: 'As the tin’s label says',
		potLifeS,
		potLifeLowS: undefined,
		potLifeHighS: undefined,
		demouldS: Math.max(60, DEMOULD_POT_LIVES * potLifeS),
		demouldLowS: undefined,
		demouldHighS: undefined,
		note: 'Ratio and pot life from the label; everything else is usual for its kind: replace it by your sheet.'
	};
}
