import { GRADES, type Grade } from '$lib/core/pour';
import { listPulls } from '$lib/server/repositories/ledger';
import { listMoulds } from '$lib/server/repositories/moulds';
import type { PageServerLoad } from './$types';

const PAGE = 40;

export const load: PageServerLoad = async ({ url }) => {
	const page = Math.max(1, Math.min(100_000, Math.trunc(Number(url.searchParams.get('page') ?? 1)) || 1));
	const mouldId = url.searchParams.get('mould') ?? '';
	const grade = url.searchParams.get('grade') ?? '';
	const text = (url.searchParams.get('text') ?? '').slice(0, 120);
	const filter = {
		...(mouldId ? { mouldId } : {}),
		...(GRADES.includes(grade as Grade) ? { grade: grade as Grade } : {}),
		...(text ? { text } : {})
	};
	const [{ pulls, total }, moulds] = await Promise.all([
		listPulls(filter, { offset: (page - 1) * PAGE, limit: PAGE }),
		listMoulds()
	]);
	return {
		pulls,
		total,
		page,
		pages: Math.max(1, Math.ceil(total / PAGE)),
		filter: { mould: mouldId, grade, text },
		moulds: moulds.map(({ id, number, label }) => ({ id, number, label }))
	};
};
