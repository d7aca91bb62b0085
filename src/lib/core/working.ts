/** One line of arithmetic behind an answer, as shown on the screen and by the API. */
export interface WorkingLine {
	/** What is worked out, in the trade's words. */
	readonly what: string;
	/** The sum with its values and units filled in. */
	readonly sum: string;
	/** The result with its unit. */
	readonly result: string;
	/** Where the formula or the default comes from. */
	readonly source?: string;
}

/** Something that needs doing before the maker goes on. */
export interface Warning {
	readonly code: string;
	/** What is wrong and by how much. */
	readonly message: string;
	/** What to do about it. */
	readonly action: string;
	/** `harm` is kept for what hurts people or loses the shot. */
	readonly severity?: 'harm' | 'care' | undefined;
}

/** An input that no sum can be made from: the sentence belongs at the field named by the path. */
export class InputError extends Error {
	readonly path: readonly (string | number)[];
	constructor(path: readonly (string | number)[], message: string) {
		super(message);
		this.name = 'InputError';
		this.path = path;
	}
}
