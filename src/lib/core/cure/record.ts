import { z } from 'zod';

/**
 * Defaults of the cure model by chemistry. Heats, activation energies and conversions are field values
 * (from memory); each is a field of the record, and the screens say which ones are still defaults.
 */
export const CURE_DEFAULTS = {
	urethane: {
		densityGPerMl: 1.05,
		heatOfCureJPerG: 200,
		activationKjPerMol: 55,
		specificHeatJPerGK: 1.9,
		potConversion: 0.35,
		gelConversion: 0.5,
		conductivityWPerMK: 0.2
	},
	polyester: {
		densityGPerMl: 1.12,
		heatOfCureJPerG: 350,
		activationKjPerMol: 55,
		specificHeatJPerGK: 1.9,
		potConversion: 0.04,
		gelConversion: 0.06,
		conductivityWPerMK: 0.17
	},
	epoxy: {
		densityGPerMl: 1.12,
		heatOfCureJPerG: 400,
		activationKjPerMol: 55,
		specificHeatJPerGK: 1.9,
		potConversion: 0.35,
		gelConversion: 0.5,
		conductivityWPerMK: 0.2
	}
} as const;

/** Reaction order and autocatalysis of the three characters: dα/dt = k·(1 + m·α)·(1 − α)ⁿ. */
export const CHARACTERS = {
	snap: { m: 10, n: 1.2 },
	quick: { m: 5, n: 1.5 },
	gradual: { m: 0, n: 2 }
} as const;
export type Character = keyof typeof CHARACTERS;

/** Share of a polyester's gel time that goes into using up its inhibitor (from memory). */
export const INDUCTION_SHARE = 0.6;

const optional = (lo: number, hi: number, message: string) =>
	z.number().min(lo, message).max(hi, message).optional();

export const cureCatalystInput = z.strictObject({
	percent: z
		.number({ error: 'Type the catalyst in per cent of the resin by weight.' })
		.positive('The catalyst must be more than nothing.')
		.max(10, 'Over 10 % catalyst: check the sheet.'),
	referencePercent: z.number().positive('The sheet’s catalyst share must be more than nothing.').max(10),
	referenceGelS: z
		.number({ error: 'Type the gel time of the sheet.' })
		.positive('The gel time must be more than nothing.')
		.max(1e6),
	referenceTempC: z.number().min(-10).max(100).default(25)
});

/** What a data sheet says of the cure, and every constant that the model adds to it. */
export const cureRecord = z
	.strictObject({
		chemistry: z.enum(['urethane', 'polyester', 'epoxy']).default('urethane'),
		potLifeS: z
			.number({ error: 'Type the pot life of the sheet, such as 2:30.' })
			.min(5, 'A pot life under 5 s cannot be poured: check the unit.')
			.max(2e5, 'A pot life over two days: check the unit.')
			.optional(),
		potLifeMassG: z.number().positive().max(1e5).default(100),
		potLifeTempC: z.number().min(0).max(60).default(23),
		demouldS: z
			.number({ error: 'Type the demould time of the sheet, such as 15 min.' })
			.positive('The demould time must be more than nothing.')
			.max(2e6, 'A demould time over three weeks: check the unit.'),
		demouldSectionMm: z.number().positive().max(500).default(6),
		character: z.enum(['snap', 'quick', 'gradual'], {
			error: 'Say how the resin sets: snap, quick or gradual.'
		}),
		catalyst: cureCatalystInput.optional(),
		densityGPerMl: optional(0.1, 10, 'A density is 0.1–10 g/ml.'),
		heatOfCureJPerG: optional(1, 2000, 'A heat of cure is 1–2000 J/g.'),
		activationKjPerMol: optional(5, 200, 'An activation energy is 5–200 kJ/mol.'),
		specificHeatJPerGK: optional(0.3, 6, 'A specific heat is 0.3–6 J/g·K.'),
		potConversion: optional(0.01, 0.95, 'A conversion at the end of pot life is 0.01–0.95.'),
		gelConversion: optional(0.01, 0.97, 'A conversion at gel is 0.01–0.97.'),
		/** Past this a new layer may peel off; 0.80 unless said (common practice, no source). */
		recoatConversion: optional(0.05, 0.99, 'A recoat conversion is 0.05–0.99.'),
		conductivityWPerMK: optional(0.02, 5, 'A conductivity is 0.02–5 W/m·K.'),
		/** The hottest that the middle gets before it cracks; of a resin that gives way there is none. */
		crackLimitC: optional(20, 300, 'A crack limit is 20–300 °C.'),
		/** How much longer additives (colour, filler, retarder) make the cure, %. */
		lengtheningPercent: optional(-50, 400, 'A lengthening is −50 to 400 %.'),
		/** This container's own speed against its sheet, learned from readings; 1 is the sheet. */
		rateFactor: optional(0.1, 10, 'A rate factor is 0.1–10.'),
		inductionShare: optional(0, 0.95, 'The induction share is 0–0.95.')
	})
	.superRefine((record, ctx) => {
		if (record.potLifeS === undefined && record.catalyst === undefined) {
			ctx.addIssue({
				code: 'custom',
				path: ['potLifeS'],
				message: 'Type the pot life of the sheet, or the catalyst share and gel time.'
			});
		}
		const defaults = CURE_DEFAULTS[record.chemistry];
		const pot = record.potConversion ?? defaults.potConversion;
		const gel = record.gelConversion ?? defaults.gelConversion;
		if (pot > gel) {
			ctx.addIssue({
				code: 'custom',
				path: ['gelConversion'],
				message: `Gel (${gel}) comes after the end of pot life (${pot}): raise it.`
			});
		}
	});
export type CureRecord = z.input<typeof cureRecord>;
export type ParsedCureRecord = z.output<typeof cureRecord>;
