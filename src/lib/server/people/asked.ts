import { fail, type RequestEvent } from '@sveltejs/kit';
import type { z } from 'zod';
import { orFail } from '../forms';
import { deviceWords } from './sessions';

/** Where a request comes from, as a session remembers it. */
export const from = ({ request, getClientAddress }: Pick<RequestEvent, 'request' | 'getClientAddress'>) => ({
	device: deviceWords(request.headers.get('user-agent') ?? ''),
	address: getClientAddress()
});

/** Sentences by their fields; what belongs to none stands under ''. */
export type Problems = Record<string, string>;

/**
 * Reads a form with a secret in it and does the work. What was typed and is no secret comes back; secrets never do.
 * @param secrets names of fields that do not come back
 */
export async function asked<S extends z.ZodType, T extends object>(
	event: Pick<RequestEvent, 'request'>,
	schema: S,
	secrets: readonly string[],
	work: (typed: z.output<S>) => Promise<T>
) {
	const data = Object.fromEntries(
		[...(await event.request.formData())].filter((e): e is [string, string] => typeof e[1] === 'string')
	);
	const typed = Object.fromEntries(Object.entries(data).filter(([k]) => !secrets.includes(k)));
	const read = schema.safeParse(data);
	if (!read.success) {
		const problems: Problems = {};
		for (const issue of read.error.issues) problems[issue.path.map(String).join('.')] ??= issue.message;
		return fail(400, { problems, typed });
	}
	return orFail(
		() => work(read.data),
		(message, field) => ({ problems: { [field]: message } as Problems, typed })
	);
}
