import { GROUPINGS, yieldByMonth, yieldsBy, type Grouping } from '$lib/server/repositories/yields';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ url }) => {
	const asked = url.searchParams.get('by') ?? '';
	const by = (Object.hasOwn(GROUPINGS, asked) ? asked : 'mould') as Grouping;
	const [months, rows] = await Promise.all([yieldByMonth(), yieldsBy(by)]);
	return {
		by,
		months,
		rows,
		groupings: Object.entries(GROUPINGS).map(([value, g]) => ({ value, label: g.words }))
	};
};
