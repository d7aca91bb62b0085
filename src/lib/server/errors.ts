import { fieldErrors, type FieldError } from '$lib/core/fieldErrors';

/** Something that whoever asked caused, said in one sentence that they can act on. */
abstract class AnswerableError extends Error {
	abstract readonly status: Answer['status'];
	/** The field that it belongs to; nothing where it belongs to none. */
	abstract readonly field: string | undefined;
}

/** Somebody else changed the same thing in the meantime. */
export class ConflictError extends AnswerableError {
	readonly status = 409;
	readonly field = undefined;
	constructor(what: string) {
		super(
			`This ${what} was changed on another device in the meantime. Copy what you typed, reload, and enter it again.`
		);
		this.name = 'ConflictError';
	}
}

/** A thing that is asked for and is not there. */
export class NotFoundError extends AnswerableError {
	readonly status = 404;
	readonly field = undefined;
	constructor(what: string) {
		super(`There is no such ${what}.`);
		this.name = 'NotFoundError';
	}
}

/** Something that the records do not allow, said in one sentence. */
export class RefusedError extends AnswerableError {
	readonly status: Answer['status'];
	/** @param status 409 where it is the state of the records and not what was typed; 413 where it is too large; 403 where a person may not; 429 where it is too soon */
	constructor(
		message: string,
		readonly field: string | undefined = undefined,
		status: Answer['status'] = 400
	) {
		super(message);
		this.name = 'RefusedError';
		this.status = status;
	}
}

/** Too many wait for the same hands. */
export class BusyError extends AnswerableError {
	readonly status = 503;
	readonly field = undefined;
	/** @param waiting so many wait already */
	constructor(waiting: number) {
		super(
			`Too much is being worked out just now (${waiting} wait). Nothing was lost: try again in a minute.`
		);
		this.name = 'BusyError';
	}
}

/** What a failure says, and the status that goes with it. */
export interface Answer {
	status: 400 | 403 | 404 | 409 | 413 | 422 | 429 | 503;
	errors: readonly FieldError[];
}

/**
 * What is answered for a failure: the only place where an error becomes a status.
 * @returns nothing for one that whoever asked did not cause
 * @example
 * answerFor(new NotFoundError('mould'))?.status // 404
 */
export function answerFor(failure: unknown): Answer | undefined {
	if (failure instanceof AnswerableError)
		return { status: failure.status, errors: [{ path: failure.field ?? '', message: failure.message }] };
	const errors = fieldErrors(failure);
	return errors && { status: 422, errors };
}
