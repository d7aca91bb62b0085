import { describe, expect, it } from 'vitest';
import { shotAnswer, type ShotQuery } from '.';

const query = (over: Partial<ShotQuery> = {}): ShotQuery => ({
	kind: 'solid',
	cavityVolumeMl: 120,
	copies: 2,
	resin: { densityAGPerMl: 1.08, densityBGPerMl: 0.97, ratio: { by: 'weight', a: 100, b: 90 } },
	cure: { potLifeS: 150, demouldS: 900, character: 'gradual' },
	loss: { by: 'percent', percent: 10 },
	steps: [{ name: 'mix', durationS: 40 }],
	startTempC: 23,
	roomTempC: 23,
	...over
});

describe('a shot for scripts', () => {
	it('solid by hand: 2 × 120 ml and a tenth more, 100 : 90 by weight', () => {
		const s = shotAnswer(query());
		expect(s.volumeMl).toBeCloseTo(264, 6);
		expect(s.a.massG / s.b.massG).toBeCloseTo(100 / 90, 9);
		expect(s.a.massG + s.b.massG).toBeCloseTo(s.massG, 6);
		expect(s.a.volumeMl + s.b.volumeMl).toBeCloseTo(264, 6);
		expect(s.batches.reduce((n, b) => n + b.copies, 0)).toBe(2);
	});
	it('extended keeps the volume and takes a filler', () => {
		const s = shotAnswer(
			query({
				kind: 'extended',
				fillers: [{ name: 'chalk', densityGPerMl: 2.7, amount: 30, per: 'total-mass-percent' }]
			})
		);
		expect(s.volumeMl).toBeCloseTo(264, 6);
		expect(s.fillers[0]!.massG / s.massG).toBeCloseTo(0.3, 9);
		for (const kind of ['extended', 'filled'] as const)
			expect(() => shotAnswer(query({ kind }))).toThrow(/has a filler/);
	});
	it('rotocast: a cup for each layer of each copy, area × wall in all', () => {
		const s = shotAnswer(query({ kind: 'rotocast', areaMm2: 42_000, wallMm: 4, cavityVolumeMl: undefined }));
		expect(s.volumeMl).toBeCloseTo(2 * 168 * 1.1, 6);
		expect(s.batches).toHaveLength(2 * 4);
		expect(s.batches.reduce((m, b) => m + b.massG, 0)).toBeCloseTo(s.massG, 6);
	});
	it.each([
		[{ cavityVolumeMl: undefined }, 'cavityVolumeMl'],
		[{ kind: 'rotocast' as const }, 'areaMm2'],
		[{ kind: 'rotocast' as const, areaMm2: 1000 }, 'wallMm']
	])('%j is refused at its field', (over, field) => {
		expect(() => shotAnswer(query(over))).toThrow(expect.objectContaining({ path: [field] }));
	});
});
