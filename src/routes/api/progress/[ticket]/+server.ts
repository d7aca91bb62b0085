import { json, type RequestHandler } from '@sveltejs/kit';
import { howFar } from '$lib/server/heavy/pool';

/**
 * How far a page's heavy work is: its place in the queue, or the share that is done. Nothing is said of work that is
 * done, or that another process does.
 */
export const GET: RequestHandler<{ ticket: string }> = ({ params }) =>
	json(howFar(params.ticket) ?? { state: 'unknown' });
