import { z } from 'zod';
import { InputError } from './working';

/** A sentence at the field that can mend it. */
export interface FieldError {
	path: string;
	message: string;
}

/** Field errors of anything that the core throws about its input; `undefined` for anything else. */
export function fieldErrors(error: unknown): FieldError[] | undefined {
	if (error instanceof InputError) return [{ path: error.path.join('.'), message: error.message }];
	if (error instanceof z.ZodError)
		return error.issues.map((i) => ({ path: i.path.join('.'), message: i.message }));
	return undefined;
}
