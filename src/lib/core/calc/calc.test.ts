import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { CALCULATIONS, describeCalculations, runCalculation } from '.';

describe('every calculation', () => {
	it('is there under the name that scripts use', () => {
		const names = CALCULATIONS.map((c) => c.name);
		for (const name of [
			'displacement',
			'mix',
			'correct-pour',
			'mould-block',
			'cup',
			'part',
			'budget',
			'pot',
			'dew-point',
			'chooser',
			'cost',
			'load-plan',
			'compatibility',
			'causes'
		])
			expect(names).toContain(name);
	});

	it.each(CALCULATIONS.map((c) => [c.name, c] as const))('%s works out its own example', (name, calc) => {
		const outcome = runCalculation(name, calc.example);
		expect(outcome?.ok).toBe(true);
	});

	it('describes itself with a JSON Schema and an example', () => {
		for (const d of describeCalculations()) {
			expect(d.schema).toMatchObject({ $schema: expect.any(String) });
			expect(JSON.stringify(d.example)).toBeTruthy();
		}
	});

	it.each(CALCULATIONS.map((c) => [c.name, c] as const))(
		'%s answers anything at all with numbers or sentences',
		(name, calc) => {
			const strange = fc.oneof(
				fc.constantFrom<unknown>(
					null,
					'',
					'abc',
					'🦀',
					-1,
					0,
					1e308,
					-1e308,
					5e-324,
					true,
					[],
					{},
					'9'.repeat(1000)
				),
				fc.double(),
				fc.jsonValue()
			);
			const keys = Object.keys(calc.example as object);
			fc.assert(
				fc.property(fc.constantFrom(...keys), strange, fc.jsonValue(), (key, value, whole) => {
					for (const input of [{ ...(calc.example as object), [key]: value }, whole]) {
						const outcome = runCalculation(name, input);
						if (outcome?.ok) expect(JSON.stringify(outcome.value)).not.toMatch(/NaN|Infinity/);
						else if (outcome) {
							expect(outcome.errors.length).toBeGreaterThan(0);
							for (const e of outcome.errors) expect(e.message.length).toBeGreaterThan(3);
						}
					}
				}),
				{ numRuns: 60 }
			);
		}
	);

	it('an unknown name is said to be unknown', () => {
		expect(runCalculation('alchemy', {})).toBeUndefined();
		expect(runCalculation('__proto__', {})).toBeUndefined();
	});

	it('errors name the field by its path', () => {
		const outcome = runCalculation('cup', {
			resin: { potLifeS: 'x', demouldS: 900, character: 'quick' },
			massG: -1,
			startTempC: 23,
			roomTempC: 23
		});
		expect(outcome).toMatchObject({ ok: false });
		const paths = outcome && !outcome.ok ? outcome.errors.map((e) => e.path) : [];
		expect(paths).toContain('resin.potLifeS');
		expect(paths).toContain('massG');
	});
});
