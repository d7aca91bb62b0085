type Fields = Record<string, unknown>;

const same = (a: unknown, b: unknown) => JSON.stringify(a ?? null) === JSON.stringify(b ?? null);
/** What can be kept of a form: files stay where they are. */
export const plainFields = (data: Fields): Fields =>
	JSON.parse(
		JSON.stringify(data, (_, value: unknown) => (value instanceof Blob ? undefined : value))
	) as Fields;

/** Whether anything was typed. */
export const differs = (a: Fields, b: Fields): boolean => !same(plainFields(a), plainFields(b));

/**
 * The form with what was typed put back. Fields that the form no longer has are left out, and those that it has got since
 * stay as they are: a draft of an older version is gone on with as far as it goes.
 */
export const withDraft = (now: Fields, draft: Fields): Fields => ({
	...now,
	...Object.fromEntries(
		Object.entries(draft).filter(
			([field, value]) => field in now && (Array.isArray(now[field]) ? Array.isArray(value) : true)
		)
	)
});

/** A field in which the saved record and the draft are at odds. */
export interface Conflict {
	field: string;
	saved: unknown;
	typed: unknown;
}

/** Fields that were typed here and saved otherwise by somebody else since. */
export const conflictsOf = (base: Fields, typed: Fields, now: Fields): Conflict[] =>
	Object.keys(typed)
		.filter((f) => f in now && !same(base[f], typed[f]) && !same(base[f], now[f]) && !same(typed[f], now[f]))
		.map((field) => ({ field, saved: now[field], typed: typed[field] }));
