/** How the two parts are measured: schools of the trade, each with its own risk. */
export const MEASURING = {
	'two-cups': { words: 'a cup for each', risk: 'what stays in the first cup is lost to the ratio' },
	'one-cup': { words: 'both into one cup', risk: 'the clock starts with the first drop of A' },
	marks: { words: 'marks on two cups', risk: 'a mark is only as good as the eye that reads it' }
} as const;
export type Measuring = keyof typeof MEASURING;
export const MEASURING_SCHOOLS = Object.keys(MEASURING) as [Measuring, ...Measuring[]];
