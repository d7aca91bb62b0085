import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { RELEASE_KINDS, resinRecord } from '../shelf';
import {
	experiencesWith,
	MASTER_THINGS,
	releaseThing,
	resinThing,
	rubberThing,
	rulesFor,
	thermoplasticThing,
	VERDICTS,
	whatMeets,
	type Experience,
	type Thing
} from '.';

const ALL: Thing[] = [
	...MASTER_THINGS,
	...(['addition', 'condensation'] as const).map((cureKind) =>
		rubberThing(cureKind, { name: cureKind, cureKind, use: 'pour' })
	),
	...resinRecord.shape.family.options.map((family) => resinThing(family, { name: family, family })),
	...RELEASE_KINDS.map((kind) => releaseThing(kind, { name: kind, kind, paintable: 'as its kind' })),
	thermoplasticThing('k', 'Kettle')
];
const thing = fc.constantFrom(...ALL);
const verdict = fc.constantFrom(...VERDICTS);

describe('whatever meets whatever', () => {
	it('the answer does not depend on which is named first', () => {
		for (const a of ALL)
			for (const b of ALL)
				expect(
					rulesFor(a, b)
						.map((w) => w.code)
						.sort(),
					`${a.name} and ${b.name}`
				).toEqual(
					rulesFor(b, a)
						.map((w) => w.code)
						.sort()
				);
	});

	it('every caution is a sentence with something to do, and no code comes twice', () => {
		for (const a of ALL)
			for (const b of ALL) {
				const said = rulesFor(a, b);
				expect(new Set(said.map((w) => w.code)).size).toBe(said.length);
				for (const w of said) {
					expect(w.message).toMatch(/^[A-Z].*\.$/);
					expect(w.action).toMatch(/^[A-Z].*\.$/);
				}
			}
	});

	it('own experience is found in either order and only for its pair', () => {
		fc.assert(
			fc.property(thing, thing, thing, verdict, (a, b, c, v) => {
				fc.pre(a.key !== b.key && c.key !== b.key && c.key !== a.key);
				const e: Experience = { first: a.key, second: b.key, verdict: v, note: '' };
				expect(experiencesWith(a, b, [e])).toEqual([e]);
				expect(experiencesWith(b, a, [e])).toEqual([e]);
				expect(experiencesWith(a, c, [e])).toEqual([]);
			})
		);
	});

	it('a harm of the rules is never hidden, whatever was found before', () => {
		fc.assert(
			fc.property(thing, thing, fc.array(verdict, { maxLength: 5 }), (a, b, verdicts) => {
				const own = verdicts.map((v): Experience => ({ first: b.key, second: a.key, verdict: v, note: 'x' }));
				const said = whatMeets(a, b, own).map((w) => w.code);
				for (const w of rulesFor(a, b).filter((r) => r.severity === 'harm')) expect(said).toContain(w.code);
				if (own.length > 0) expect(said[0]).toMatch(/^own-/);
			})
		);
	});
});
