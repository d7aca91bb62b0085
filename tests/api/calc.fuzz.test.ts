import fc from 'fast-check';
import { beforeAll, describe, expect, it } from 'vitest';
import { get, post } from './http';

interface Described {
	name: string;
	example: Record<string, unknown>;
	body?: string;
}
let known: Described[] = [];
beforeAll(async () => {
	// a 3D file is no JSON: it has tests of its own
	known = (await get('/api/calc')).json.calculations.filter((c: Described) => c.body === undefined);
});

/** Every place inside a JSON value, as a path. */
function paths(value: unknown, at: (string | number)[] = []): (string | number)[][] {
	if (value === null || typeof value !== 'object') return [at];
	return [
		at,
		...Object.entries(value).flatMap(([k, v]) => paths(v, [...at, Array.isArray(value) ? Number(k) : k]))
	];
}

function replaced(value: unknown, path: readonly (string | number)[], by: unknown): unknown {
	if (path.length === 0) return by;
	const [head, ...rest] = path;
	const copy = (Array.isArray(value) ? [...value] : { ...(value as object) }) as Record<
		string | number,
		unknown
	>;
	copy[head!] = replaced(copy[head!], rest, by);
	return copy;
}

describe('whatever stands where a number should', () => {
	it.each([null, 'text', '', '🦀', [], {}, true, -1, 0, 1e308, -1e308])(
		'%j anywhere is answered with a result or a sentence',
		async (junk) => {
			expect(known.length).toBeGreaterThan(8);
			for (const { name, example } of known) {
				for (const path of paths(example)) {
					const { status, text, json } = await post(`/api/calc/${name}`, replaced(example, path, junk));
					expect([200, 422], `${name} ${path.join('.')}`).toContain(status);
					expect(text).not.toMatch(/NaN|Infinity|node_modules|\.js:\d/);
					if (status === 422) for (const e of json.errors) expect(e.message.length).toBeGreaterThan(3);
				}
			}
		}
	);

	it('random JSON never brings the server down', async () => {
		await fc.assert(
			fc.asyncProperty(fc.constantFrom(...known.map((k) => k.name)), fc.jsonValue(), async (name, value) => {
				const { status } = await post(`/api/calc/${name}`, value);
				expect([200, 422]).toContain(status);
			}),
			{ numRuns: 80 }
		);
	});
});

describe('cup-fit and catalyst-plan', () => {
	it('readings that run ahead shorten the pot life and narrow to a band', async () => {
		const fit = known.find((k) => k.name === 'cup-fit')!.example;
		const cup = { ...fit };
		delete cup.readings;
		const sheet = (await post('/api/calc/cup', cup)).json;
		const readings = [
			{ timeS: 40, tempC: 32 },
			{ timeS: 60, tempC: 41 },
			{ timeS: 70, tempC: 48 }
		];
		const { json } = await post('/api/calc/cup-fit', { ...fit, readings });
		expect(json.potLifeS).toBeLessThan(sheet.potLifeS);
		expect(json).toMatchObject({ converged: true, rmsC: expect.any(Number), rateFactor: expect.any(Number) });
		expect(json.potLifeLowS).toBeLessThan(json.potLifeS);
		expect(json.potLifeHighS).toBeGreaterThan(json.potLifeS);
	});
	it('the share for a thin film is higher than for a block', async () => {
		const { example } = known.find((k) => k.name === 'catalyst-plan')!;
		const at = async (thicknessMm: number) =>
			(await post('/api/calc/catalyst-plan', { ...example, thicknessMm })).json.percent ?? 0;
		expect(await at(3)).toBeGreaterThan(await at(30));
	});
});
