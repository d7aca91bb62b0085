import { z } from 'zod';
import type { Opening } from '../schedule';
import { isZone, momentOf, wallMs } from '../wallClock';

const DAY_MS = 86_400_000;
const clock = z
	.string()
	.regex(/^([01]\d|2[0-4]):[0-5]\d$/, 'Type a time of day, such as 9:00.')
	.transform((t) => (t > '24:00' ? '24:00' : t));

/** Hands of one day of the week. */
const dayHours = z
	.object({
		from: clock,
		until: clock,
		/** Pairs of hands; 0: nobody is there. */
		hands: z.number().int('Pairs of hands are whole.').min(0, 'Not less than none.').max(20, 'At most 20.')
	})
	.refine((d) => d.hands === 0 || d.until > d.from, {
		path: ['until'],
		message: 'It must end after it begins.'
	});

/** A time that differs from the week: nobody is there, or more or fewer hands. */
const exception = z
	.object({
		fromMs: z.number().int(),
		untilMs: z.number().int(),
		hands: z.number().int().min(0).max(20),
		note: z.string().trim().max(120).default('')
	})
	.refine((e) => e.untilMs > e.fromMs, { path: ['untilMs'], message: 'It must end after it begins.' });

/** When there are hands, and how cold it gets when there are none. */
export const workshopHours = z.object({
	/** The zone that times of day are meant in. */
	zone: z.string().refine(isZone, 'This time zone is not known.'),
	/** From Monday on. */
	week: z.array(dayHours).length(7),
	exceptions: z.array(exception).max(200),
	/** The room at night, °C; nothing: as by day. */
	nightTempC: z
		.number()
		.min(-10, 'It lies between −10 and 40 °C.')
		.max(40, 'It lies between −10 and 40 °C.')
		.nullable(),
	/** A mould is let alone between two pulls, minutes. */
	restMinutes: z
		.number()
		.min(0)
		.max(24 * 60),
	/** A successor is made when the chance that the old one does not last is over this, %. */
	successorPercent: z.number().min(1).max(99),
	/** A new plan is taken without asking. */
	acceptsItself: z.boolean(),
	/** Moulds, by their id, that the plan goes without. */
	keptOut: z.array(z.string().max(40)).max(500).default([])
});
export type WorkshopHours = z.output<typeof workshopHours>;

/** What holds until somebody says otherwise: one pair of hands, nine to five from Monday to Saturday (common practice, no source). */
export const USUAL_HOURS: WorkshopHours = {
	zone: 'UTC',
	week: Array.from({ length: 7 }, (_, d) => ({ from: '09:00', until: '17:00', hands: d < 6 ? 1 : 0 })),
	exceptions: [],
	nightTempC: null,
	restMinutes: 0,
	successorPercent: 20,
	acceptsItself: false,
	keptOut: []
};

/** A time with so many hands. */
export interface HandsTime extends Opening {
	hands: number;
}

const timeOf = (text: string) => {
	const [h, m] = text.split(':').map(Number);
	return (h! * 60 + m!) * 60_000;
};

/**
 * When there are how many hands, in seconds from a moment on.
 * @param days so many days are looked ahead
 * @example
 * handsTimes(USUAL_HOURS, Date.UTC(2026, 10, 30), 0)[0]; // { fromS: 32400, untilS: 61200, hands: 1 }
 */
export function handsTimes(hours: WorkshopHours, nowMs: number, days: number): HandsTime[] {
	const spans: { fromMs: number; untilMs: number; hands: number }[] = [];
	const today = Math.floor(wallMs(nowMs, hours.zone) / DAY_MS) * DAY_MS;
	for (let d = 0; d <= days; d++) {
		const day = today + d * DAY_MS;
		const { from, until, hands } = hours.week[(new Date(day).getUTCDay() + 6) % 7]!;
		if (hands > 0)
			spans.push({
				fromMs: momentOf(day + timeOf(from), hours.zone),
				untilMs: momentOf(day + timeOf(until), hours.zone),
				hands
			});
	}
	const cuts = [...new Set([nowMs, ...[...spans, ...hours.exceptions].flatMap((s) => [s.fromMs, s.untilMs])])]
		.filter((t) => t >= nowMs)
		.sort((a, b) => a - b);
	const out: HandsTime[] = [];
	for (const [k, fromMs] of cuts.entries()) {
		const untilMs = cuts[k + 1];
		if (untilMs === undefined) break;
		const inside = (s: { fromMs: number; untilMs: number }) => s.fromMs <= fromMs && s.untilMs >= untilMs;
		// what was said last of a time holds
		const hands = hours.exceptions.findLast(inside)?.hands ?? spans.find(inside)?.hands ?? 0;
		if (hands === 0) continue;
		const at = {
			fromS: Math.ceil((fromMs - nowMs) / 1000),
			untilS: Math.floor((untilMs - nowMs) / 1000),
			hands
		};
		const last = out[out.length - 1];
		if (last && last.untilS === at.fromS && last.hands === hands) last.untilS = at.untilS;
		else if (at.untilS > at.fromS) out.push(at);
	}
	return out;
}
