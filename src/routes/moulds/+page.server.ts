import { listMoulds } from '$lib/server/repositories/moulds';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async () => ({ moulds: await listMoulds() });
