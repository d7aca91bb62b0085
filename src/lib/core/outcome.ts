import type { FieldError } from './fieldErrors';

/** Why there is no value: at least one sentence, each at the field that can mend it (`path` is empty for none). */
export interface Refusal {
	ok: false;
	errors: readonly [FieldError, ...FieldError[]];
}

/** A value, or the reason why there is none. Plain data, so that it can cross to a worker and into JSON. */
export type Outcome<T> = { ok: true; value: T } | Refusal;

/** One sentence as a refusal. */
export const refusal = (message: string, path = ''): Refusal => ({ ok: false, errors: [{ path, message }] });

/** The value, or nothing where it was refused. */
export const valueOf = <T>(outcome: Outcome<T>): T | undefined => (outcome.ok ? outcome.value : undefined);

/** The first sentence of a refusal; nothing of a value. */
export const reasonOf = (outcome: Outcome<unknown>): string | undefined =>
	outcome.ok ? undefined : outcome.errors[0].message;
