/** Half-width of a band of four in five, in standard deviations of a normal distribution. */
export const BAND_80 = 1.2816;

/** By how much a thing is usually off: one standard deviation, as a share of it or added to it. */
export interface Spread {
	/** Named to a maker, as in "mostly from …". */
	readonly words: string;
	/** What would make it surer. */
	readonly surer: string;
	/** Of ln(x), or added to x. */
	readonly by: { readonly share: number } | { readonly plus: number };
	readonly source: string;
}

/**
 * Spreads of what a forecast rests on. Four of five fast pot lives of a sheet of 2:30 fall in 117 to 188 s, and four of
 * five demoulds of a 3 mm skin of 15 min in 17 to 80 min: the whole is set so that it gives about that; each by itself
 * is a default of ours.
 */
export const SPREADS = {
	speed: {
		words: 'this batch against its sheet',
		surer: 'Read the temperature of a test cup, or of this cup while it is poured.',
		by: { share: 0.15 },
		source: 'default of ours; with readings kept for the tin 0.06'
	},
	resinTempC: {
		words: 'the temperature of the resin',
		surer: 'Read the resin in its cup before A and B meet.',
		by: { plus: 1.3 },
		source: 'default of ours'
	},
	roomTempC: {
		words: 'the temperature of the room and the mould',
		surer: 'Read the room and the mould’s face.',
		by: { plus: 1.5 },
		source: 'default of ours'
	},
	heatOfCureJPerG: {
		words: 'the heat of its cure',
		surer: 'Type the peak exotherm of the sheet, or read the left-over cup as it gets hottest.',
		by: { share: 0.15 },
		source: 'from memory: field values of one chemistry'
	},
	activationKjPerMol: {
		words: 'how much warmth hurries it',
		surer: 'Read one cup in a warm and one in a cold room.',
		by: { plus: 5 },
		source: 'from memory'
	},
	potLifeConversion: {
		words: 'how thick is too thick',
		surer: 'Press "It strings" when it does.',
		by: { share: 0.1 },
		source: 'default of ours'
	},
	demouldS: {
		words: 'what the sheet means by demould',
		surer: 'Press what you see at demould: after a few pulls your own time stands first.',
		by: { share: 0.35 },
		source: 'default of ours: sheets say neither strength nor mould'
	},
	demouldSectionMm: {
		words: 'the section that the sheet means',
		surer: 'Ask the maker in which thickness the demould time holds.',
		by: { share: 0.35 },
		source: 'default of ours'
	},
	deflectionTempC: {
		words: 'where the cured resin softens',
		surer: 'Type the heat deflection temperature of the sheet.',
		by: { plus: 8 },
		source: 'default of ours'
	},
	thicknessMm: {
		words: 'the thickness of the section',
		surer: 'Measure the section.',
		by: { share: 0.1 },
		source: 'default of ours'
	}
} as const satisfies Record<string, Spread>;
export type SpreadName = keyof typeof SPREADS;

/** The speed of a tin that readings have taught. */
export const TAUGHT_SPEED_SHARE = 0.06;

/** A value moved by so many standard deviations of its spread. */
export function moved(name: SpreadName, value: number, deviations: number, share?: number): number {
	const { by } = SPREADS[name];
	return 'share' in by ? value * Math.exp((share ?? by.share) * deviations) : value + by.plus * deviations;
}
