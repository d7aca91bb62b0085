import { GRADES, type Grade } from '$lib/core/bench';
import { FAULTS } from '$lib/core/faults';
import { EARLIER_FAULTS, EARLIER_GRADES, idOf } from '$lib/core/earlierIds';
import { SORTS, type LedgerFilter, type Order, type Sort } from './repositories/ledger';

const DAY = /^\d{4}-\d{2}-\d{2}$/;
type Fault = (typeof FAULTS)[number];

/** A filter out of an address; what is none is left out. */
export function filterOf(query: URLSearchParams): { filter: LedgerFilter; shown: Record<string, string> } {
	const get = (key: string, most = 120) => (query.get(key) ?? '').trim().slice(0, most);
	const shown = {
		text: get('text'),
		mould: get('mould', 40),
		grade: idOf(EARLIER_GRADES, get('grade', 20)),
		fault: idOf(EARLIER_FAULTS, get('fault', 40)),
		resin: get('resin'),
		from: get('from', 10),
		to: get('to', 10)
	};
	const filter: LedgerFilter = {
		...(shown.mould ? { mouldId: shown.mould } : {}),
		...(GRADES.includes(shown.grade as Grade) ? { grade: shown.grade as Grade } : {}),
		...(shown.text ? { text: shown.text } : {}),
		...(FAULTS.includes(shown.fault as Fault) ? { fault: shown.fault as Fault } : {}),
		...(shown.resin ? { resin: shown.resin } : {}),
		...(DAY.test(shown.from) ? { from: shown.from } : {}),
		...(DAY.test(shown.to) ? { to: shown.to } : {})
	};
	return { filter, shown };
}

/** An order out of an address: newest first unless it says otherwise. */
export function orderOf(query: URLSearchParams): Order {
	const by = query.get('sort') ?? '';
	if (!Object.hasOwn(SORTS, by)) return { by: 'when', down: true };
	return { by: by as Sort, down: query.get('way') !== 'up' };
}
