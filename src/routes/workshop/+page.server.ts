import { listBackups, STALE_MS } from '$lib/server/backups';
import { disk } from '$lib/server/disk';
import { isEmpty } from '$lib/server/repositories/backup';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async () => {
	const [empty, backups, before] = await Promise.all([isEmpty(), listBackups(), listBackups('before')]);
	const last = backups?.[0];
	return {
		empty,
		backups,
		freeBytes: disk()?.freeBytes,
		/** The tables as the version before left them. */
		keptBefore: before?.[0],
		stale: backups !== undefined && !empty && (!last || Date.now() - last.atMs > STALE_MS)
	};
};
