type Row = Record<string, unknown>;

/** An id that follows from two others, so that a book that is read twice says the same; a UUID of version 8 (RFC 9562). */
function idFrom(first: string, second: string): string {
	const digits = (s: string) => s.replaceAll('-', '').padEnd(32, '0').slice(0, 32);
	const [a, b] = [digits(first), digits(second)];
	const hex = Array.from({ length: 32 }, (_, i) =>
		((parseInt(a[i]!, 16) || 0) ^ (parseInt(b[31 - i]!, 16) || 0)).toString(16)
	);
	hex[12] = '8';
	hex[16] = '8';
	const s = hex.join('');
	return `${s.slice(0, 8)}-${s.slice(8, 12)}-${s.slice(12, 16)}-${s.slice(16, 20)}-${s.slice(20)}`;
}
const WEIGHED = '00000000-0000-0000-0000-000000000001';
const OPENED = '00000000-0000-0000-0000-000000000002';

const isRow = (value: unknown): value is Row =>
	value !== null && typeof value === 'object' && !Array.isArray(value);

/**
 * Stock of a book of before version 5, one weight on each tin and what pours took, as lines in the order in which they
 * counted: by their time, a weighing before what was taken at the same moment.
 * @example
 * withStockLines({ containers: [], stock_movements: [] }); // { containers: [  ], stock_movements: [  ] }
 */
export function withStockLines(tables: Record<string, unknown>): Record<string, unknown> {
	const { containers, stock_movements: moved } = tables;
	if (!Array.isArray(containers) || !Array.isArray(moved) || ![...containers, ...moved].every(isRow))
		return tables;
	const lines = [
		...containers.flatMap((c: Row) => {
			const body = isRow(c['body']) ? c['body'] : {};
			const line = { containerId: c['id'], pourId: null, place: 1 };
			const openings = Number(body['openings'] ?? 0);
			return [
				...(openings > 0
					? [
							{
								...line,
								id: idFrom(String(c['id']), OPENED),
								kind: 'opened',
								massG: null,
								openings,
								at: c['createdAt'],
								place: 0
							}
						]
					: []),
				{
					...line,
					id: idFrom(String(c['id']), WEIGHED),
					kind: 'weighed',
					massG: body['weighedG'] ?? 0,
					openings: 0,
					at: c['weighedAt'] ?? c['createdAt']
				}
			];
		}),
		...moved.map((m: Row) => ({
			containerId: m['containerId'],
			pourId: m['pourId'],
			id: idFrom(String(m['pourId']), String(m['containerId'])),
			kind: 'used',
			massG: m['massG'],
			openings: 1,
			at: m['at'],
			place: 2
		}))
	].sort((a, b) => String(a.at).localeCompare(String(b.at)) || a.place - b.place);
	return {
		...tables,
		containers: containers.map(({ weighedAt: _at, ...c }: Row) => c),
		stock_movements: lines.map(({ place: _place, ...line }, i) => ({
			...line,
			seq: i + 1,
			placeSeq: null,
			receivedAt: line.at,
			note: ''
		}))
	};
}
