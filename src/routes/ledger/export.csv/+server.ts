import Papa from 'papaparse';
import type { RequestHandler } from '@sveltejs/kit';
import { GRADE_WORDS } from '$lib/core/bench';
import { FAULT_WORDS } from '$lib/core/faults';
import { safeCell } from '$lib/core/ledger';
import { filterOf } from '$lib/server/ledgerQuery';
import type { Pull } from '$lib/core/ledger';
import { everyPull } from '$lib/server/repositories/ledger';

const COLUMNS: readonly { head: string; of: (p: Pull) => string | number | null | undefined }[] = [
	{ head: 'when', of: (p) => p.combinedAt.toISOString() },
	{ head: 'mould', of: (p) => `M${p.mouldNumber}` },
	{ head: 'mould label', of: (p) => p.mouldLabel },
	{ head: 'pull of its mould', of: (p) => p.pullNumber },
	{ head: 'piece', of: (p) => p.masterName },
	{ head: 'resin', of: (p) => p.resinName },
	{ head: 'lots', of: (p) => (p.body.lots ?? []).join(' ') },
	{ head: 'copies', of: (p) => p.copies },
	{ head: 'grade', of: (p) => GRADE_WORDS[p.grade] },
	{ head: 'faults', of: (p) => p.body.faults.map((f) => FAULT_WORDS[f]).join('; ') },
	{ head: 'mass g', of: (p) => p.body.massG },
	{ head: 'room C', of: (p) => p.body.roomTempC },
	{ head: 'humidity %', of: (p) => p.body.relativeHumidity },
	{ head: 'mould C', of: (p) => p.body.mouldTempC },
	{ head: 'poured by s', of: (p) => p.body.real.pouredByS },
	{ head: 'pot life s', of: (p) => p.body.planned.potLifeS || null },
	{ head: 'pot kPa', of: (p) => p.body.pot?.reachedGaugeKpa },
	{ head: 'demoulded s', of: (p) => p.body.real.demouldS },
	{ head: 'cast g', of: (p) => p.body.inspected?.castMassG },
	{ head: 'mending s', of: (p) => p.body.inspected?.reworkS },
	{ head: 'note', of: (p) => p.body.note }
];

/** The view as CSV, all of its rows, written while it is read. */
export const GET: RequestHandler = ({ url }) => {
	const { filter } = filterOf(url.searchParams);
	const bites = everyPull(filter);
	const text = new TextEncoder();
	const line = (cells: (string | number)[][]) =>
		text.encode(`${Papa.unparse(cells, { newline: '\r\n' })}\r\n`);
	return new Response(
		new ReadableStream({
			start: (c) => c.enqueue(line([COLUMNS.map((x) => x.head)])),
			async pull(c) {
				const { value, done } = await bites.next();
				if (done) c.close();
				else c.enqueue(line(value.map((p) => COLUMNS.map((x) => safeCell(x.of(p))))));
			},
			cancel: () => void bites.return(undefined)
		}),
		{
			headers: {
				'content-type': 'text/csv; charset=utf-8',
				'content-disposition': 'attachment; filename="ledger.csv"',
				'cache-control': 'no-store'
			}
		}
	);
};
