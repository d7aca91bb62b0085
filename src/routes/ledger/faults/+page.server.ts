import { FAULTS } from '$lib/core/bench';
import { faultsByCause, whatChanges } from '$lib/server/repositories/yields';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ url }) => {
	const asked = url.searchParams.get('fault') ?? '';
	const fault = (FAULTS as readonly string[]).includes(asked) ? asked : '';
	const [rows, causes] = await Promise.all([whatChanges(fault), faultsByCause()]);
	return { fault, rows, causes };
};
