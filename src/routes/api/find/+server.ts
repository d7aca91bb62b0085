import { json } from '@sveltejs/kit';
import { find } from '$lib/server/repositories/find';
import type { RequestHandler } from './$types';

/** What fits the words of `q`: records of every kind, and the newest pulls. */
export const GET: RequestHandler = async ({ url }) =>
	json({ found: await find(url.searchParams.get('q') ?? '') });
