import { z } from 'zod';
import { momentOf, wallMs } from '../wallClock';
import { orderRecord, type OrderRecord } from './order';

/** An order as it is typed: its day and hour by the workshop's own clock. */
export const orderForm = orderRecord.omit({ dueAtMs: true }).extend({
	dueDay: z.iso.date('Choose the day by which it is wanted.'),
	dueTime: z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/, 'Type the hour, such as 10:00.')
});
export type OrderForm = z.output<typeof orderForm>;

/**
 * An order as it is kept, from what was typed.
 * @param zone that the day and hour are meant in
 * @throws RangeError for a day that no calendar has
 * @example
 * recordTyped({ name: 'Market', state: 'asked', priority: 3, note: '', lines: [], dueDay: '2026-12-05', dueTime: '10:00' }, 'UTC').dueAtMs; // 1796464800000
 */
export function recordTyped({ dueDay, dueTime, ...rest }: OrderForm, zone: string): OrderRecord {
	return { ...rest, dueAtMs: momentOf(Date.parse(`${dueDay}T${dueTime}:00Z`), zone) };
}

/**
 * An order as it is typed, from what was kept.
 * @example
 * orderTyped({ name: 'Market', state: 'asked', priority: 3, note: '', lines: [], dueAtMs: 1796464800000 }, 'UTC').dueDay; // '2026-12-05'
 */
export function orderTyped({ dueAtMs, ...rest }: OrderRecord, zone: string): OrderForm {
	const wall = new Date(wallMs(dueAtMs, zone)).toISOString();
	return { ...rest, dueDay: wall.slice(0, 10), dueTime: wall.slice(11, 16) };
}
