import { z } from 'zod';
import { momentOf, wallMs } from '../wallClock';
import { workshopHours, type WorkshopHours } from './hours';

const local = z.string().regex(/^20\d\d-\d\d-\d\dT\d\d:\d\d$/, 'Choose a day and time.');

/** Hours as they are typed: exceptions by the workshop's own clock. */
export const hoursForm = workshopHours.omit({ exceptions: true }).extend({
	exceptions: z
		.array(
			z
				.object({
					from: local,
					until: local,
					hands: z
						.number({ error: 'Type how many pairs of hands, 0 for nobody.' })
						.int('Pairs of hands are whole.')
						.min(0, 'Not less than none.')
						.max(20, 'At most 20.'),
					note: z.string().trim().max(120, 'Keep it under 120 characters.').default('')
				})
				.refine((e) => e.until > e.from, { path: ['until'], message: 'It must end after it begins.' })
		)
		.max(200)
});
export type HoursForm = z.output<typeof hoursForm>;

/**
 * Hours as they are kept, from what was typed.
 * @throws RangeError for a day that no calendar has
 * @example
 * hoursTyped({ ...USUAL_HOURS, exceptions: [] }).zone; // 'UTC'
 */
export function hoursTyped({ exceptions, ...rest }: HoursForm): WorkshopHours {
	const at = (text: string) => momentOf(Date.parse(`${text}:00Z`), rest.zone);
	return {
		...rest,
		exceptions: exceptions.map(({ from, until, ...e }) => ({ ...e, fromMs: at(from), untilMs: at(until) }))
	};
}

/**
 * Hours as they are typed, from what was kept.
 * @example
 * hoursShown(USUAL_HOURS).exceptions; // []
 */
export function hoursShown({ exceptions, ...rest }: WorkshopHours): HoursForm {
	const at = (ms: number) => new Date(wallMs(ms, rest.zone)).toISOString().slice(0, 16);
	return {
		...rest,
		exceptions: exceptions.map(({ fromMs, untilMs, ...e }) => ({
			...e,
			from: at(fromMs),
			until: at(untilMs)
		}))
	};
}
