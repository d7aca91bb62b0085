import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { GRADES } from '$lib/core/bench';
import { FAULTS } from '$lib/core/faults';
import { filterOf, orderOf } from './ledgerQuery';
import { SORTS } from './repositories/ledger';

const of = (query: string) => filterOf(new URLSearchParams(query));

describe('a view of the ledger out of its address', () => {
	it('every part of it, and what is shown in the fields again', () => {
		const { filter, shown } = of(
			'text=%20rope%20&mould=m-1&grade=scrap&fault=foam&resin=White&from=2026-01-01&to=2026-02-28'
		);
		expect(filter).toEqual({
			text: 'rope',
			mouldId: 'm-1',
			grade: 'scrap',
			fault: 'foam',
			resin: 'White',
			from: '2026-01-01',
			to: '2026-02-28'
		});
		expect(shown).toMatchObject({ text: 'rope', grade: 'scrap', from: '2026-01-01' });
	});

	it('what is none is left out of the question, and stands in its field to be mended', () => {
		const { filter, shown } = of('grade=splendid&fault=gremlins&from=yesterday&to=2026-2-1');
		expect(filter).toEqual({});
		expect(shown).toMatchObject({ grade: 'splendid', fault: 'gremlins', from: 'yesterday' });
	});

	it('whatever an address says, only grades, faults and days that there are reach the books', () => {
		const names = fc.constantFrom('text', 'mould', 'grade', 'fault', 'resin', 'from', 'to', 'sort', 'way');
		fc.assert(
			fc.property(fc.dictionary(names, fc.string({ maxLength: 400 })), (query) => {
				const { filter } = filterOf(new URLSearchParams(query));
				if (filter.grade !== undefined) expect(GRADES).toContain(filter.grade);
				if (filter.fault !== undefined) expect(FAULTS).toContain(filter.fault);
				for (const day of [filter.from, filter.to])
					if (day !== undefined) expect(day).toMatch(/^\d{4}-\d\d-\d\d$/);
				for (const text of [filter.text, filter.resin, filter.mouldId])
					if (text !== undefined) expect(text.length).toBeLessThanOrEqual(120);
			})
		);
	});

	it('newest first, unless it says a column that there is', () => {
		expect(orderOf(new URLSearchParams())).toEqual({ by: 'when', down: true });
		for (const by of Object.keys(SORTS)) {
			expect(orderOf(new URLSearchParams({ sort: by }))).toEqual({ by, down: true });
			expect(orderOf(new URLSearchParams({ sort: by, way: 'up' }))).toEqual({ by, down: false });
		}
		// names that every object has are no columns
		for (const sort of ['toString', '__proto__', 'constructor', 'mass; DROP'])
			expect(orderOf(new URLSearchParams({ sort, way: 'up' }))).toEqual({ by: 'when', down: true });
	});
});
