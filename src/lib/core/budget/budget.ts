import { z } from 'zod';
import { digits, formatTime } from '../units';
import type { WorkingLine } from '../working';

/** Kept back from the pot life for slips, % (common practice, no source). */
export const DEFAULT_MARGIN_PERCENT = 15;

export const stepInput = z.strictObject({
	name: z.string().min(1, 'Give the step a name.').max(100),
	durationS: z
		.number({ error: 'Type how long the step takes, such as 0:45.' })
		.min(0, 'A step cannot take less than no time.')
		.max(86_400, 'A step over a day does not belong in a pot life.')
});

/** Steps between combining the parts and the last thing that needs liquid resin. */
export const budgetInput = z.strictObject({
	steps: z.array(stepInput).min(1, 'Give at least one step.').max(50),
	potLifeS: z
		.number({ error: 'Type the pot life.' })
		.positive('The pot life must be more than nothing.')
		.max(1e6),
	marginPercent: z.number().min(0).max(90, 'Keep at most 90 % back.').default(DEFAULT_MARGIN_PERCENT),
	/** One pot life in ten is under this, s; nothing where no band is known. */
	potLifeLowS: z.number().positive('The pot life must be more than nothing.').max(1e6).optional()
});
export type BudgetInput = z.input<typeof budgetInput>;

export interface Deadline {
	name: string;
	/** When the step must be done, seconds after combining. */
	atS: number;
}

export interface BudgetResult {
	/** Seconds left before the margin begins; negative when the steps do not fit. */
	slackS: number;
	fits: boolean;
	/** Pot life less the margin, or the low end of its band where that is earlier, seconds. */
	usableS: number;
	deadlines: Deadline[];
	working: WorkingLine[];
}

/**
 * Steps against pot life: slack = the earlier of pot life·(1 − margin) and the band’s low end, never both taken off,
 * less the end of the last step.
 * Deadlines are when each step ends if every one takes the time planned.
 * @throws ZodError when the input is outside its schema.
 * @example
 * budget({ steps: [{ name: 'mix', durationS: 45 }], potLifeS: 150 }).slackS; // 82.5
 */
export function budget(raw: BudgetInput): BudgetResult {
	const input = budgetInput.parse(raw);
	let atS = 0;
	const deadlines = input.steps.map((step) => ({ name: step.name, atS: (atS += step.durationS) }));
	const lessMarginS = input.potLifeS * (1 - input.marginPercent / 100);
	const lowS = input.potLifeLowS ?? Infinity;
	const usableS = Math.min(lessMarginS, lowS);
	const slackS = usableS - atS;
	return {
		slackS,
		fits: slackS >= 0,
		usableS,
		deadlines,
		working: [
			{
				what: 'Time that may be used',
				sum:
					lowS < lessMarginS
						? `${formatTime(input.potLifeS)}, one in ten is shorter than ${formatTime(lowS)}`
						: `${formatTime(input.potLifeS)} less ${digits(input.marginPercent)} %`,
				result: formatTime(usableS),
				source: lowS < lessMarginS ? 'low end of the band' : 'margin: common practice, no source'
			},
			{
				what: 'Slack',
				sum: differenceInWords(usableS, atS),
				result: formatTime(slackS)
			}
		]
	};
}

/** Rounded to seconds each, three numbers need not add up: then the two that are subtracted are said to a tenth. */
function differenceInWords(usableS: number, takenS: number): string {
	const agree = Math.round(usableS) - Math.round(takenS) === Math.round(usableS - takenS);
	const words = (timeS: number) => (agree ? formatTime(timeS) : `${timeS.toFixed(1)} s`);
	return `${words(usableS)} − ${words(takenS)}`;
}
