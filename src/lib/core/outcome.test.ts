import { expect, it } from 'vitest';
import { z } from 'zod';
import { reasonOf, refusal, valueOf } from './outcome';
import { outcomeOf } from './outcomeOf';
import { InputError } from './working';

it('a value is a value, also when it is nothing', () => {
	expect(outcomeOf(() => 7)).toEqual({ ok: true, value: 7 });
	expect(outcomeOf(() => undefined)).toEqual({ ok: true, value: undefined });
	expect([valueOf(outcomeOf(() => 7)), reasonOf(outcomeOf(() => 7))]).toEqual([7, undefined]);
});

it('what the core throws about its input is the reason, with its field; it crosses as plain data', () => {
	const refused = outcomeOf(() => {
		throw new InputError(['cups', 1, 'massG'], 'At least a gram.');
	});
	expect(refused).toEqual(refusal('At least a gram.', 'cups.1.massG'));
	expect(structuredClone(refused)).toEqual(refused);
	expect([valueOf(refused), reasonOf(refused)]).toEqual([undefined, 'At least a gram.']);
	const schema = z.object({ a: z.number('A number.'), b: z.number('Another.') });
	const both = outcomeOf(() => schema.parse({}));
	expect(both.ok ? [] : both.errors.map((e) => e.path)).toEqual(['a', 'b']);
});

it('a fault of the program is not taken for one of the input', () => {
	expect(() =>
		outcomeOf(() => {
			throw new RangeError('out of our own range');
		})
	).toThrow(RangeError);
});
