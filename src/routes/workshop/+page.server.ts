import { listBackups, STALE_MS } from '$lib/server/backups';
import { isEmpty } from '$lib/server/repositories/backup';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async () => {
	const [empty, backups] = await Promise.all([isEmpty(), listBackups()]);
	const last = backups?.[0];
	return {
		empty,
		backups,
		stale: backups !== undefined && !empty && (!last || Date.now() - last.atMs > STALE_MS)
	};
};
