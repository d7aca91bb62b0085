import type { RequestEvent } from '@sveltejs/kit';
import type { Asker } from './pool';

/**
 * Who asks with a request: each person has a share of the turns, whatever devices they use, and each address
 * where nobody signs in. Its work ends with it.
 * @param form of a page that asks meanwhile how far its work is: its `ticket`
 */
export function asker(
	{ request, locals, getClientAddress }: Pick<RequestEvent, 'request' | 'locals' | 'getClientAddress'>,
	form?: FormData
): Asker {
	const ticket = form?.get('ticket');
	return {
		client: locals.person?.id || getClientAddress(),
		signal: request.signal,
		...(typeof ticket === 'string' && /^[\da-f-]{36}$/.test(ticket) ? { ticket } : {})
	};
}
