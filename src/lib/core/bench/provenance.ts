import type { PourEvent } from './events';

/**
 * How something at the bench came to be known: typed by the maker, read by an instrument, made up by a simulator
 * (practice, and what an earlier version noted), or worked out.
 */
export const SOURCES = ['typed', 'device', 'simulated', 'derived'] as const;
export type Source = (typeof SOURCES)[number];

/** What people read of a source; nothing is said of what was typed. */
export const SOURCE_WORDS: Readonly<Record<Source | 'not kept', string>> = {
	typed: '',
	device: 'read by an instrument',
	simulated: 'simulated',
	derived: 'worked out',
	'not kept': 'source not kept'
};

/** Events that say how much of something there was. */
const READINGS: readonly PourEvent['kind'][] = ['air-read', 'temp-read', 'weighed', 'pressure-read'];
export const isReading = (event: Pick<PourEvent, 'kind'>): boolean => READINGS.includes(event.kind);

/**
 * Where a reading comes from. The version before this one had simulated devices only, and noted theirs with
 * `by: 'device'`; what it noted without says nothing of its source.
 */
export function sourceOf(event: Pick<PourEvent, 'by' | 'source'>): Source | 'not kept' {
	if (event.by === 'device') return 'simulated';
	return event.source ?? 'not kept';
}

/** Whether a reading may count: nothing simulated is booked, learnt or logged for a vessel. */
export const counts = (event: Pick<PourEvent, 'kind' | 'by' | 'source'>): boolean =>
	!isReading(event) || sourceOf(event) !== 'simulated';
