import { z } from 'zod';
import { isTooDamp } from '../humidity';
import { digits } from '../units';
import { TIN_PARTS, type ContainerHealth } from './inUse';

const DAY_MS = 86_400_000;
const day = (what: string) =>
	z.string().regex(/^\d{4}-\d{2}-\d{2}$/, `Type the day of ${what} as year-month-day, or leave it empty.`);

const containerFields = z.object({
	materialId: z.string().min(1, 'Choose what is in it.'),
	part: z.enum(TIN_PARTS, { error: 'Say whether it is A, B or the whole.' }),
	lot: z.string().trim().max(60, 'Keep the lot under 60 characters.').default(''),
	sizeG: z
		.number({ error: 'Type what it held when full, such as 5 kg.' })
		.positive('It held something when full.')
		.max(1e6, 'Over a tonne: check the unit.'),
	/** Weighed content, and when; everything that pours took since is booked against it. */
	weighedG: z
		.number({ error: 'Type what is in it now, such as 3.2 kg.' })
		.min(0, 'It cannot hold less than nothing.')
		.max(1e6, 'Over a tonne: check the unit.'),
	openedOn: day('opening').or(z.literal('')).default(''),
	useBy: day('the use-by date').or(z.literal('')).default(''),
	openings: z
		.number({ error: 'Count how often it was opened, or type 0.' })
		.int('Openings are whole.')
		.min(0, 'Openings are counted from 0.')
		.max(10_000, 'Over ten thousand openings: check it.')
		.default(0),
	/** How much slower old stock sets than its sheet, seen in a trial cup, %. */
	slowerPercent: z
		.number({ error: 'Type by how much it sets slower, such as 20 %, or 0.' })
		.min(-50, 'It lies between −50 and 400 %.')
		.max(400, 'It lies between −50 and 400 %.')
		.default(0),
	/** Flushed with dry gas before it was closed again. */
	flushed: z.boolean().default(false)
});

/** More in it than it holds when full: the empty tin was weighed with it. */
function withinSize(c: { weighedG?: number | undefined; sizeG: number }, ctx: z.RefinementCtx): void {
	if ((c.weighedG ?? 0) > c.sizeG * 1.1) {
		ctx.addIssue({
			code: 'custom',
			path: ['weighedG'],
			message: `It holds ${digits(c.sizeG)} g when full: take the empty tin off the weight.`
		});
	}
}

/** One tin, bottle or drum on the shelf. */
export const containerRecord = containerFields.superRefine(withinSize);
/** What is changed of one that stands there: only a weight that was typed is a weighing. */
export const containerChange = containerFields
	.extend({ weighedG: containerFields.shape.weighedG.optional() })
	.superRefine(withinSize);
export type ContainerChange = z.output<typeof containerChange>;
export type ContainerRecord = z.output<typeof containerRecord>;

/** Below this share of its size a container is running out (common practice, no source). */
export const LOW_SHARE = 0.15;

/** Days open and openings after which stock is watched or doubted (common practice, no source). */
const LIMITS = {
	isocyanate: { watchDays: 60, doubtDays: 180, watchOpenings: 12, doubtOpenings: 30 },
	polyol: { watchDays: 300, doubtDays: 540, watchOpenings: 60, doubtOpenings: 200 },
	other: { watchDays: 365, doubtDays: 730, watchOpenings: 200, doubtOpenings: 1000 }
} as const;

/**
 * Age and moisture of a container. Isocyanate (urethane A) takes up water at each opening, the more in
 * damp air; dry gas halves that. The days and counts are common practice, no source; the sheet's use-by
 * date comes before them.
 * @param today `YYYY-MM-DD`
 * @throws ZodError when the input is outside its schema.
 * @example
 * containerHealth(tin, 'urethane', '2026-02-10', { relativeHumidity: 40, stopHumidityPercent: 50 }).level; // 'fine'
 */
export function containerHealth(
	c: ContainerRecord,
	chemistry: 'urethane' | 'polyester' | 'epoxy' | 'silicone',
	today: string,
	air: { relativeHumidity: number; stopHumidityPercent: number }
): ContainerHealth {
	const limits = chemistry !== 'urethane' ? LIMITS.other : c.part === 'A' ? LIMITS.isocyanate : LIMITS.polyol;
	const reasons: string[] = [];
	let level: ContainerHealth['level'] = 'fine';
	const raise = (to: 'watch' | 'doubtful', reason: string) => {
		if (level !== 'doubtful') level = to;
		reasons.push(reason);
	};
	if (c.useBy && c.useBy < today) raise('doubtful', `past its use-by date (${c.useBy})`);
	const openDays = c.openedOn
		? Math.max(0, (Date.parse(today) - Date.parse(c.openedOn)) / DAY_MS)
		: undefined;
	if (openDays !== undefined) {
		if (openDays > limits.doubtDays) raise('doubtful', `open for ${Math.round(openDays)} days`);
		else if (openDays > limits.watchDays) raise('watch', `open for ${Math.round(openDays)} days`);
	}
	const damp = limits === LIMITS.isocyanate && isTooDamp(air) ? 1.5 : 1;
	const counted = c.openings * damp * (c.flushed ? 0.5 : 1);
	if (counted > limits.doubtOpenings) raise('doubtful', `opened ${c.openings} times`);
	else if (counted > limits.watchOpenings) raise('watch', `opened ${c.openings} times`);
	if (reasons.length > 0 && limits === LIMITS.isocyanate && !c.flushed)
		reasons.push('never flushed with dry gas');
	return { level, reasons, ...(openDays === undefined ? {} : { openDays }) };
}

/**
 * What is left: the last weighing less everything booked since, g.
 * @example
 * remainingG(800, 114); // 686
 */
export function remainingG(weighedG: number, movedSinceG: number): number {
	return Math.max(0, weighedG - movedSinceG);
}

/**
 * Speed of a container against its sheet: what readings taught, else what a trial cup of old stock showed.
 * @example
 * containerSpeed(25, undefined); // 0.8
 */
export function containerSpeed(
	slowerPercent: number,
	rateFactor: number | null | undefined
): number | undefined {
	if (rateFactor !== null && rateFactor !== undefined) return rateFactor;
	return slowerPercent === 0 ? undefined : 1 / (1 + slowerPercent / 100);
}
