import { listResins } from '$lib/server/repositories/materials';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ url }) => ({
	resins: await listResins(),
	chosen: url.searchParams.get('resin') ?? ''
});
