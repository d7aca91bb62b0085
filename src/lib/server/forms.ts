import { randomUUID } from 'node:crypto';
import { error, isActionFailure, isHttpError, isRedirect } from '@sveltejs/kit';
import { BaseError } from 'sequelize';
import { setError, type SuperValidated } from 'sveltekit-superforms';
import { fieldErrors } from '$lib/core/fieldErrors';
import { ConflictError, NotFoundError, RefusedError } from './errors';
import { log } from './log';

/* eslint-disable @typescript-eslint/no-explicit-any -- superforms types its paths by the form's own shape */

/** Puts a sentence at a field of the form, or over the form when it has no such field. */
function sayAt(form: SuperValidated<any>, path: string, message: string, status: 400 | 409 | 503 = 400) {
	const field = path.split('.')[0]!;
	const place = field !== '' && field in form.data ? field : '';
	return setError(form, place as any, message, { status });
}

/**
 * Does the work of a form action. Whatever its input causes comes back as a sentence at its field, with
 * everything that was typed; a database that does not answer says that nothing was saved.
 */
export async function attempt<T>(form: SuperValidated<any>, work: () => Promise<T>) {
	try {
		return await work();
	} catch (failure) {
		if (isRedirect(failure) || isHttpError(failure) || isActionFailure(failure)) throw failure;
		if (failure instanceof RefusedError) return sayAt(form, failure.field ?? '', failure.message);
		if (failure instanceof ConflictError) return sayAt(form, '', failure.message, 409);
		if (failure instanceof NotFoundError) return sayAt(form, '', failure.message);
		const errors = fieldErrors(failure);
		if (errors) {
			const last = errors.map((e) => sayAt(form, e.path, e.message)).pop();
			return last!;
		}
		if (failure instanceof BaseError) {
			const reference = randomUUID().slice(0, 8);
			log.error({ reference, err: failure }, 'a form could not be saved');
			return sayAt(
				form,
				'',
				`The database did not answer, so nothing was saved. What you typed is still here: try again. (${reference})`,
				503
			);
		}
		throw failure;
	}
}

/** Turns "there is no such thing" into a 404 page. */
export async function orNotFound<T>(work: Promise<T>): Promise<T> {
	try {
		return await work;
	} catch (failure) {
		if (failure instanceof NotFoundError) error(404, failure.message);
		throw failure;
	}
}

/** An empty form shows empty fields, not noughts: superforms fills numbers with 0. */
export function blank<F extends SuperValidated<any>>(form: F, ...fields: (keyof F['data'])[]): F {
	for (const field of fields) form.data[field] = undefined;
	return form;
}
