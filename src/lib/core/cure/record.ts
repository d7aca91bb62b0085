import { z } from 'zod';

/** Glass transition and maturing of every chemistry unless the record says otherwise (modelling choices). */
export const GLASS_DEFAULTS = {
	glassFreshC: -50,
	deflectionTempC: 85,
	glassRatio: 0.5,
	maturityKjPerMol: 30,
	flexibleShare: 0.35
} as const;

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
		potLifeConversion: 0.35,
		gelConversion: 0.5,
		conductivityWPerMK: 0.2,
		...GLASS_DEFAULTS
	},
	polyester: {
		densityGPerMl: 1.12,
		heatOfCureJPerG: 350,
		activationKjPerMol: 55,
		specificHeatJPerGK: 1.9,
		potLifeConversion: 0.04,
		gelConversion: 0.06,
		conductivityWPerMK: 0.17,
		...GLASS_DEFAULTS
	},
	epoxy: {
		densityGPerMl: 1.12,
		heatOfCureJPerG: 400,
		activationKjPerMol: 55,
		specificHeatJPerGK: 1.9,
		potLifeConversion: 0.35,
		gelConversion: 0.5,
		conductivityWPerMK: 0.2,
		...GLASS_DEFAULTS
	}
} as const;

/** Peak exotherm of a polyester's cup at the sheet's own catalyst share, unless the sheet says (from memory). */
export const POLYESTER_PEAK = { massG: 100, tempC: 25, peakTempC: 120 } as const;

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

/** Fillers as heat sees them, each by its share of the mass, and how much thicker they make the fresh mix, ≥ 1. */
export const fillerMixInput = z.strictObject({
	fillers: z
		.array(
			z.strictObject({
				massShare: z
					.number({ error: 'Type the filler’s share of the mass, 0 to 0.95.' })
					.min(0, 'A share of the mass is 0 to 0.95.')
					.max(0.95, 'A share of the mass is 0 to 0.95.'),
				densityGPerMl: z
					.number()
					.min(0.02, 'A density is 0.02–20 g/ml.')
					.max(20, 'A density is 0.02–20 g/ml.'),
				conductivityWPerMK: z
					.number()
					.min(0.01, 'A conductivity is 0.01–500 W/m·K.')
					.max(500, 'A conductivity is 0.01–500 W/m·K.'),
				specificHeatJPerGK: z
					.number()
					.min(0.1, 'A specific heat is 0.1–6 J/g·K.')
					.max(6, 'A specific heat is 0.1–6 J/g·K.')
			})
		)
		.max(10, 'At most ten fillers.')
		.refine((all) => all.reduce((sum, f) => sum + f.massShare, 0) <= 0.95, {
			message: 'Over 95 % filler leaves no resin to speak of.'
		}),
	viscosityFactor: z.number().min(1, 'A filler does not thin a mix.').max(1e6).default(1)
});

export type FillerMix = z.output<typeof fillerMixInput>;

const cureCatalystInput = z.strictObject({
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
		potLifeConversion: optional(0.01, 0.95, 'A conversion at the end of pot life is 0.01–0.95.'),
		gelConversion: optional(0.01, 0.97, 'A conversion at gel is 0.01–0.97.'),
		/** Past this a new layer may peel off; 0.80 unless said (common practice, no source). */
		recoatConversion: optional(0.05, 0.99, 'A recoat conversion is 0.05–0.99.'),
		conductivityWPerMK: optional(0.02, 5, 'A conductivity is 0.02–5 W/m·K.'),
		/** Glass transition of the fresh mix, and cured: its heat deflection temperature, where the sheet gives one. */
		glassFreshC: optional(-150, 60, 'A fresh mix turns to glass at −150 to 60 °C.'),
		deflectionTempC: optional(-60, 250, 'A cured resin softens at −60 to 250 °C.'),
		glassRatio: optional(0.1, 1, 'DiBenedetto’s ratio is 0.1–1.'),
		/** Pace of maturing after gel, and from which share of it a part may be bent out. */
		maturityKjPerMol: optional(0, 120, 'An activation energy of maturing is 0–120 kJ/mol.'),
		flexibleShare: optional(0.02, 1, 'A flexible share is 0.02–1.'),
		/** What presses at demould taught: the count after gel against the sheet's, and how sure that is. */
		maturityFactor: optional(0.1, 10, 'A count of maturing is 0.1–10 times the sheet’s.'),
		maturitySd: optional(0.01, 1, 'How sure the count is: 0.01–1.'),
		/** The wall of the mould in which the sheet's demould time holds, mm. */
		sheetWallMm: optional(0.5, 300, 'A mould wall is 0.5–300 mm.'),
		/** How hot a cup of the sheet gets: the heat of cure is solved from it. */
		peakExotherm: z
			.strictObject({
				massG: z.number().min(1, 'A peak exotherm belongs to a cup of 1 g to 100 kg.').max(1e5).default(100),
				tempC: z.number().min(0).max(60).default(25),
				peakTempC: z
					.number({ error: 'Type the peak exotherm, such as 140 C.' })
					.min(30, 'A peak exotherm is 30–300 °C.')
					.max(300, 'A peak exotherm is 30–300 °C.')
			})
			.optional(),
		/** Whether the sheet's time is the end of working or the gel. */
		statedAs: z.enum(['working', 'gel']).default('working'),
		/** A range that the sheet prints for it, s: it tells how sure the time is. */
		potLifeLowS: optional(1, 1e6, 'A pot life is 1 s to eleven days.'),
		potLifeHighS: optional(1, 1e6, 'A pot life is 1 s to eleven days.'),
		demouldLowS: optional(1, 2e6, 'A demould time is 1 s to three weeks.'),
		demouldHighS: optional(1, 2e6, 'A demould time is 1 s to three weeks.'),
		/** The hottest that the middle gets before it cracks; of a resin that gives way there is none. */
		crackLimitC: optional(20, 300, 'A crack limit is 20–300 °C.'),
		/** How much longer additives (colour, filler, retarder) make the cure, %. */
		lengtheningPercent: optional(-50, 400, 'A lengthening is −50 to 400 %.'),
		/** This container's own speed against its sheet, learned from readings; 1 is the sheet. */
		rateFactor: optional(0.1, 10, 'A rate factor is 0.1–10.'),
		inductionShare: optional(0, 0.95, 'The induction share is 0–0.95.'),
		/** What is stirred into the resin of this mix. */
		fillerMix: fillerMixInput.optional()
	})
	.superRefine((record, ctx) => {
		if (record.potLifeS === undefined && record.catalyst === undefined) {
			ctx.addIssue({
				code: 'custom',
				path: ['potLifeS'],
				message: 'Type the pot life of the sheet, or the catalyst share and gel time.'
			});
		}
		if ((record.potLifeLowS ?? 0) > (record.potLifeHighS ?? Infinity)) {
			ctx.addIssue({
				code: 'custom',
				path: ['potLifeHighS'],
				message: 'The range of the sheet ends before it begins: swap its ends.'
			});
		}
		const defaults = CURE_DEFAULTS[record.chemistry];
		const pot = record.potLifeConversion ?? defaults.potLifeConversion;
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
