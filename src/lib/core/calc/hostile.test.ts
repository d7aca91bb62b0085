import { describe, expect, it } from 'vitest';
import { CALCULATIONS, describeCalculations, runCalculation } from './registry';

/** Every number of an example, as a path. */
function numbers(value: unknown, at: string[] = []): string[][] {
	if (typeof value === 'number') return [at];
	if (value === null || typeof value !== 'object') return [];
	return Object.entries(value).flatMap(([key, inner]) => numbers(inner, [...at, key]));
}

function replaced(value: unknown, [head, ...rest]: string[], by: number): unknown {
	if (head === undefined) return by;
	const copy = (Array.isArray(value) ? [...value] : { ...(value as object) }) as Record<string, unknown>;
	copy[head] = replaced(copy[head], rest, by);
	return copy;
}

describe('a number at the very edge of what a machine holds', () => {
	const quick = describeCalculations().filter(
		(c) => !('body' in c && c.body) && !CALCULATIONS.find((x) => x.name === c.name)?.long
	);
	it.each(quick.map((c) => [c.name, c.example] as const))(
		'%s answers or refuses it in words',
		(name, example) => {
			for (const path of numbers(example))
				for (const edge of [5e-324, 1e-300, -5e-324, 1e308]) {
					const outcome = runCalculation(name, replaced(example, path, edge))!;
					const where = `${path.join('.')} = ${edge}`;
					if (outcome.ok) expect(JSON.stringify(outcome.value, refusing), where).toBeTypeOf('string');
					else expect(outcome.errors[0].message.length, where).toBeGreaterThan(3);
				}
		}
	);
});

/** JSON turns what is no number into null, silently: here it does not. */
function refusing(key: string, value: unknown) {
	if (typeof value === 'number' && !Number.isFinite(value)) throw new Error(`${key} is ${value}`);
	return value;
}
