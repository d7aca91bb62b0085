import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { conflictsOf, differs, plainFields, withDraft } from './merge';

describe('a draft put back', () => {
	it('keeps every field that was typed, and no field that the form does not have', () => {
		const now = { name: 'Cube', sizeMm: 40, tags: [], added: 'new in this version' };
		const old = { name: 'Cubes', sizeMm: undefined, gone: 'of an older version', tags: ['a'] };
		expect(withDraft(now, plainFields(old))).toEqual({
			name: 'Cubes',
			sizeMm: 40,
			tags: ['a'],
			added: 'new in this version'
		});
	});
	it('a list stays a list, whatever an older version kept in its place', () => {
		expect(withDraft({ tags: ['x'] }, { tags: 'a, b' })).toEqual({ tags: ['x'] });
	});
	it('files are not kept, and do not count as typed', () => {
		expect(plainFields({ photo: new Blob(['x']), name: 'a' })).toEqual({ name: 'a' });
		expect(differs({ photo: new Blob(['x']) }, {})).toBe(false);
	});
	it('what was put back is what was typed, for any form', () => {
		fc.assert(
			fc.property(fc.dictionary(fc.string(), fc.jsonValue()), (typed) => {
				const put = withDraft(typed, plainFields(typed));
				expect(differs(put, typed)).toBe(false);
			})
		);
	});
});

describe('a record that was saved otherwise since', () => {
	const base = { name: 'Cube', sizeMm: 40, note: '' };
	it('is at odds only where both changed, and differently', () => {
		const typed = { name: 'Cubes', sizeMm: 50, note: 'mine' };
		const now = { name: 'Cubes', sizeMm: 60, note: '' };
		expect(conflictsOf(base, typed, now)).toEqual([{ field: 'sizeMm', saved: 60, typed: 50 }]);
	});
	it('nothing is at odds with itself', () => {
		expect(conflictsOf(base, base, { ...base, sizeMm: 60 })).toEqual([]);
	});
});
