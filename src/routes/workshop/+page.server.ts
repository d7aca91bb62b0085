import { isEmpty } from '$lib/server/repositories/backup';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async () => ({ empty: await isEmpty() });
