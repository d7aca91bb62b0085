/** Somebody else changed the same thing in the meantime. */
export class ConflictError extends Error {
	constructor(what: string) {
		super(
			`This ${what} was changed on another device in the meantime. Copy what you typed, reload, and enter it again.`
		);
		this.name = 'ConflictError';
	}
}

/** A thing that is asked for and is not there. */
export class NotFoundError extends Error {
	constructor(what: string) {
		super(`There is no such ${what}.`);
		this.name = 'NotFoundError';
	}
}

/** Something that the records do not allow, said in one sentence. */
export class RefusedError extends Error {
	constructor(
		message: string,
		readonly field?: string
	) {
		super(message);
		this.name = 'RefusedError';
	}
}
