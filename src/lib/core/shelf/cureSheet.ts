import { tryForecast, type CureAnswer, type CureQuestion } from '../cure/tryForecast';
import type { Outcome } from '../outcome';
import type { ResinRecord } from './resin';
import { cureOf } from './resinSums';

type Unresined<T> = Omit<T, 'resin'>;

/** What the cure screen asks of resins of the shelf; the rest as `CureQuestion`. */
export interface ShelfCureQuestion {
	resin: ResinRecord;
	/** Speed of its tin against its sheet. */
	tinSpeed?: number | undefined;
	/** A second one drawn over it. */
	over?: ResinRecord | undefined;
	main: Unresined<CureQuestion['main']>;
	catalyst?: Unresined<NonNullable<CureQuestion['catalyst']>>;
	hasty?: boolean;
}

/**
 * The cure screen's answer for resins of the shelf; bad input is an answer. Plain data, so that it can cross to a worker.
 * @example
 * tryCure({ resin: urethane, main: { massG: 200, thicknessMm: 8, mouldWallMm: 12, startTempC: 23, roomTempC: 23, mouldTempC: 23 } }).ok; // true
 */
export function tryCure(q: ShelfCureQuestion): Outcome<CureAnswer> {
	const resin = cureOf(q.resin, q.tinSpeed);
	const { readings: _readings, pourTempC: _pourTempC, ...common } = q.main;
	return tryForecast({
		main: { ...q.main, resin },
		...(q.over ? { other: { ...common, resin: cureOf(q.over) } } : {}),
		...(q.catalyst ? { catalyst: { ...q.catalyst, resin } } : {}),
		...(q.hasty ? { hasty: true } : {})
	});
}
