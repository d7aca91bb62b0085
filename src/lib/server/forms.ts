import { randomUUID } from 'node:crypto';
import {
	error,
	fail,
	isActionFailure,
	isHttpError,
	isRedirect,
	json,
	type ActionFailure
} from '@sveltejs/kit';
import { BaseError } from 'sequelize';
import { z } from 'zod';
import { setError, type SuperValidated } from 'sveltekit-superforms';
import { awayWords, isAway, noteAway } from './away';
import { DISK_FULL } from './disk';
import { answerFor, type Answer } from './errors';
import { log } from './log';

/* eslint-disable @typescript-eslint/no-explicit-any -- superforms types its paths by the form's own shape */

/** Puts a sentence at a field of the form, or over the form when it has no such field. */
function sayAt(form: SuperValidated<any>, path: string, message: string, status: Answer['status'] | 503) {
	const field = path.split('.')[0]!;
	const place = field !== '' && field in form.data ? field : '';
	return setError(form, place as any, message, { status });
}

/**
 * Does the work of a form action. Whatever its input causes comes back as a sentence at its field, with
 * everything that was typed; a database that does not answer says that nothing was kept.
 */
export async function attempt<T>(form: SuperValidated<any>, work: () => Promise<T>) {
	try {
		return await work();
	} catch (failure) {
		if (isRedirect(failure) || isHttpError(failure) || isActionFailure(failure)) throw failure;
		const answer = answerFor(failure);
		if (answer) return answer.errors.map((e) => sayAt(form, e.path, e.message, formStatus(answer))).pop()!;
		if (isAway(failure)) {
			noteAway(failure);
			return sayAt(
				form,
				'',
				awayWords(failure) === DISK_FULL
					? 'The disk of the machine that keeps this workshop is full, so nothing was kept. What you typed is still here: free some space there, and try again.'
					: 'The database did not answer, so nothing was kept. What you typed is still here: try again.',
				503
			);
		}
		if (failure instanceof BaseError) {
			const reference = randomUUID().slice(0, 8);
			log.error({ reference, err: failure }, 'a form could not be saved');
			return sayAt(
				form,
				'',
				`The database did not take that, so nothing was kept. What you typed is still here: try again. (${reference})`,
				503
			);
		}
		throw failure;
	}
}

/** A form that is wrong is a bad request, whichever of its rules was broken. */
const formStatus = ({ status }: Answer) => (status === 422 ? 400 : status);

/**
 * Does the work of an action without a form of its own. What its input causes comes back in the page's own shape.
 * @param as the sentence as the page wants it, with the field that it belongs to
 */
export async function orFail<T, F extends Record<string, unknown>>(
	work: () => Promise<T>,
	as: (message: string, field: string) => F
): Promise<T | ActionFailure<F>> {
	try {
		return await work();
	} catch (failure) {
		const answer = answerFor(failure);
		if (!answer) throw failure;
		const { message, path } = answer.errors[0]!;
		return fail(formStatus(answer), as(message, path));
	}
}

/** What is shown is there, or the page says why it is not. */
export async function orPage<T>(work: Promise<T>, before = ''): Promise<T> {
	try {
		return await work;
	} catch (failure) {
		const answer = answerFor(failure);
		if (!answer) throw failure;
		error(answer.status, before + answer.errors[0]!.message);
	}
}

/** What is worth showing where it can be worked out; nothing where the records do not allow it. */
export async function orNothing<T>(work: Promise<T>): Promise<T | undefined> {
	try {
		return await work;
	} catch (failure) {
		if (answerFor(failure)) return undefined;
		throw failure;
	}
}

/** The answer of the open interface: what it found, or sentences with their paths. */
export async function orJson(work: () => Promise<Response>): Promise<Response> {
	try {
		return await work();
	} catch (failure) {
		const answer = answerFor(failure);
		if (!answer) throw failure;
		return json({ errors: answer.errors }, { status: answer.status });
	}
}

/** An empty form shows empty fields, not noughts: superforms fills numbers with 0. */
export function blank<F extends SuperValidated<any>>(form: F, ...fields: (keyof F['data'])[]): F {
	for (const field of fields) form.data[field] = undefined;
	return form;
}

/**
 * The id that a page gave to what its form makes, so that the same form arriving again makes nothing more; a new one where
 * it gave none, as a form does whose page ran no script.
 */
export function madeId(data: FormData): string {
	const given = z.uuid().safeParse(data.get('madeId'));
	return given.success ? given.data : randomUUID();
}
