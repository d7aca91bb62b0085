import type { PourEvent } from './events';
import type { Source } from './source';

/** Events that say how much of something there was. */
const READINGS = ['air-read', 'temp-read', 'weighed', 'left', 'pressure-read'] as const;
type ReadingKind = (typeof READINGS)[number];
/**
 * Whether an event is a reading of an instrument or of a person.
 * @example
 * isReading({ kind: 'weighed' }); // true
 */
export const isReading = (event: Pick<PourEvent, 'kind'>): boolean =>
	(READINGS as readonly PourEvent['kind'][]).includes(event.kind);

type Sourced<E> = E extends { kind: ReadingKind } ? E & { source: Source } : E;
type Unread = Extract<PourEvent, { kind: 'pressure-read' }> & { gaugeKpa?: undefined };
/** An event as it is noted from now on: a reading names its source; a gauge that nobody read has none. */
export type NewPourEvent = Sourced<PourEvent> | Unread;

/**
 * Where a reading comes from. The version before this one had simulated devices only, and noted theirs with
 * `by: 'device'`; what it noted without says nothing of its source.
 * @example
 * sourceOf({ source: 'typed' }); // 'typed'
 */
export function sourceOf(event: Pick<PourEvent, 'by' | 'source'>): Source | 'not kept' {
	if (event.by === 'device') return 'simulated';
	return event.source ?? 'not kept';
}

/**
 * Whether a reading may count: nothing simulated is booked, learnt or logged for a vessel.
 * @example
 * counts({ kind: 'weighed', by: 'device' }); // false
 */
export const counts = (event: Pick<PourEvent, 'kind' | 'by' | 'source'>): boolean =>
	!isReading(event) || sourceOf(event) !== 'simulated';
