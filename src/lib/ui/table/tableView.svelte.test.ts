import { describe, expect, it } from 'vitest';
import { TableView, type Column } from './tableView.svelte';

interface Row {
	no: number;
	piece: string;
	pulls: number | null;
}
const COLUMNS: readonly Column<Row>[] = [
	{ key: 'no', label: 'Mould', value: (r) => `M${r.no}`, always: true },
	{ key: 'piece', label: 'Piece', value: (r) => r.piece },
	{ key: 'pulls', label: 'Pulls', value: (r) => r.pulls, num: true }
];
const ROWS: readonly Row[] = [
	{ no: 2, piece: 'Bollard', pulls: null },
	{ no: 10, piece: 'Anvil', pulls: 3 },
	{ no: 1, piece: 'Anvil', pulls: 12 }
];
const view = (group = '') => new TableView<Row>('test', COLUMNS, group);
const numbers = (v: TableView<Row>) => v.rows(ROWS).map((r) => r.no);
const store = () => {
	const held = new Map<string, string>();
	return {
		held,
		getItem: (k: string) => held.get(k) ?? null,
		setItem: (k: string, text: string) => void held.set(k, text)
	};
};

describe('a list', () => {
	it('is sorted one way, the other way, and as it came; numbers in names count as numbers', () => {
		const v = view();
		v.sortBy('no');
		expect(numbers(v)).toEqual([1, 2, 10]);
		v.sortBy('no');
		expect(numbers(v)).toEqual([10, 2, 1]);
		v.sortBy('no');
		expect(numbers(v)).toEqual([2, 10, 1]);
		expect(v.sort).toBeNull();
	});
	it('what is not known stands last both ways', () => {
		const v = view();
		v.sortBy('pulls');
		expect(numbers(v)).toEqual([10, 1, 2]);
		v.sortBy('pulls');
		expect(numbers(v)).toEqual([1, 10, 2]);
	});
	it('is found by every word that is typed, in whichever column', () => {
		const v = view();
		v.text = ' anv  m1';
		expect(numbers(v)).toEqual([10, 1]);
		v.text = 'nothing of that';
		expect(numbers(v)).toEqual([]);
	});
	it('stands under heads', () => {
		expect(
			view('piece')
				.groups(ROWS)
				.map((g) => [g.head, g.rows.length])
		).toEqual([
			['Bollard', 1],
			['Anvil', 2]
		]);
		expect(view().groups(ROWS)).toEqual([{ head: '', rows: [...ROWS] }]);
	});
	it('is kept on the device; a column that names the row stays, nonsense is passed over', () => {
		const s = store();
		const v = view();
		v.sortBy('pulls');
		v.toggle('piece');
		v.group = 'piece';
		v.save(s);
		const again = view();
		again.load(s);
		expect([again.sort, again.group, again.shown.map((c) => c.key)]).toEqual([
			{ by: 'pulls', down: false },
			'piece',
			['no', 'pulls']
		]);
		for (const text of ['{', '7', '{"sort":{"by":"gone","down":true},"hidden":["no","x"],"group":"gone"}']) {
			s.held.set('table:test', text);
			const fresh = view('pulls');
			fresh.load(s);
			expect([fresh.sort, fresh.hidden, fresh.group]).toEqual([null, [], 'pulls']);
		}
		expect(() =>
			view().save({
				setItem: () => {
					throw new Error('full');
				}
			})
		).not.toThrow();
	});
});
