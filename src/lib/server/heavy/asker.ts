import type { RequestEvent } from '@sveltejs/kit';
import type { Asker } from './pool';

/**
 * Who asks with a request: its turn is counted by where it comes from, and its work ends with it.
 * @param form of a page that asks meanwhile how far its work is: its `ticket`
 */
export function asker(
	{ request, getClientAddress }: Pick<RequestEvent, 'request' | 'getClientAddress'>,
	form?: FormData
): Asker {
	const ticket = form?.get('ticket');
	return {
		client: getClientAddress(),
		signal: request.signal,
		...(typeof ticket === 'string' && /^[\da-f-]{36}$/.test(ticket) ? { ticket } : {})
	};
}
