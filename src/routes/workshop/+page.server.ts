import { isEmpty } from '$lib/server/repositories/book';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async () => ({ empty: await isEmpty() });
