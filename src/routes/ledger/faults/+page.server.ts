import { EARLIER_FAULTS, idOf } from '$lib/core/earlierIds';
import { FAULTS, type Fault } from '$lib/core/faults';
import { faultsByCause, whatChanges } from '$lib/server/repositories/yields';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ url }) => {
	const asked = idOf(EARLIER_FAULTS, url.searchParams.get('fault') ?? '');
	const fault = FAULTS.find((f): f is Fault => f === asked) ?? '';
	const [rows, causes] = await Promise.all([whatChanges(fault), faultsByCause()]);
	return { fault, rows, causes };
};
