import { fieldErrors } from './fieldErrors';
import type { Outcome } from './outcome';

/**
 * Does work whose input may be wrong: what the core throws about its input is an answer, anything else is thrown on.
 * @example
 * outcomeOf(() => budget({ steps: [], potLifeS: 150 })).ok; // false
 */
export function outcomeOf<T>(work: () => T): Outcome<T> {
	try {
		return { ok: true, value: work() };
	} catch (error) {
		const [first, ...rest] = fieldErrors(error) ?? [];
		if (!first) throw error;
		return { ok: false, errors: [first, ...rest] };
	}
}
