import fc from 'fast-check';
import jStat from 'jstat';
import { describe, expect, it } from 'vitest';
import { FAULTS } from '.';
import { associate, CAUSES, fisher, rankCauses, type Evidence } from '.';

const good: Evidence = {
	chemistry: 'urethane',
	relativeHumidity: 38,
	dewMarginC: 11,
	tinDays: 20,
	tinOpenings: 3,
	ratioErrorPercent: 0.2,
	mixS: 45,
	mixPlannedS: 42,
	stirred: true,
	pouredS: 70,
	potLifeS: 150,
	pot: true,
	reachedS: 100,
	lowestShare: 0.99,
	releasedEarlyS: -90,
	demouldEarlyShare: -0.2,
	looked: true,
	closed: true,
	mouldPulls: 6,
	mouldWear: 0,
	traps: 0
};
const first = (fault: (typeof FAULTS)[number], e: Partial<Evidence>, confirmed = {}) =>
	rankCauses(fault, { ...good, ...e }, confirmed)[0]!;

describe('causes of a fault', () => {
	it('every fault has causes, every cause a remedy, and the shares make a whole', () => {
		for (const fault of FAULTS) {
			const ranked = rankCauses(fault, good);
			expect(ranked.length, fault).toBeGreaterThan(0);
			expect(ranked.reduce((sum, c) => sum + c.likelihood, 0)).toBeCloseTo(1, 9);
		}
		for (const c of CAUSES) expect(c.remedy.length).toBeGreaterThan(10);
		expect(new Set(CAUSES.map((c) => c.id)).size).toBe(CAUSES.length);
	});
	it.each([
		['foam', { relativeHumidity: 66 }, 'damp-air'],
		['foam', { dewMarginC: 1 }, 'damp-face'],
		['foam', { tinDays: 320, tinOpenings: 22 }, 'old-stock'],
		['soft', { ratioErrorPercent: 5 }, 'ratio-off'],
		['soft', { mixS: 20 }, 'undermixed'],
		['short-shot', { pouredS: 158 }, 'poured-late'],
		['inner-bubbles', { reachedS: 165 }, 'pressure-late'],
		['inner-bubbles', { lowestShare: 0.7 }, 'pressure-lost'],
		['inner-bubbles', { releasedEarlyS: 80 }, 'pressure-lost'],
		['warp', { demouldEarlyShare: 0.35 }, 'early-demould'],
		['dull-detail', { mouldWear: 4 }, 'worn-mould'],
		['delaminated', { layerLateS: 200, layers: 3 }, 'late-layer'],
		['crack', { peakC: 150 }, 'overheated']
	] as const)('%s with %j: %s', (fault, evidence, cause) => {
		expect(first(fault, evidence).id).toBe(cause);
	});
	it('each comes with the pull’s own figures', () => {
		expect(first('foam', { relativeHumidity: 66 }).clues[0]!.words).toBe('66 % humidity');
		expect(first('soft', { ratioErrorPercent: -5 }).clues[0]!.words).toMatch(/off by 5\.0 %, 2\.0 %/);
	});
	it('what was not recorded speaks neither way', () => {
		const bare = rankCauses('soft', { chemistry: 'urethane' });
		expect(bare.find((c) => c.id === 'ratio-off')!.unknown).toBe(true);
		expect(bare[0]!.likelihood).toBeLessThan(0.5);
	});
	it('what was confirmed here is likelier the next time', () => {
		const share = (confirmed: object) =>
			rankCauses('soft', good, confirmed as Record<string, number>).find((c) => c.id === 'cups-swapped')!
				.likelihood;
		expect(share({ 'cups-swapped': 4 })).toBeGreaterThan(2 * share({}));
	});
	it('polyester does not foam with water', () => {
		const damp = { relativeHumidity: 70 } as const;
		const share = (chemistry: 'urethane' | 'polyester') =>
			rankCauses('foam', { ...good, ...damp, chemistry }).find((c) => c.id === 'damp-air')!.likelihood;
		expect(share('polyester')).toBeLessThan(share('urethane') / 3);
	});
});

describe('what changes with what', () => {
	it('Fisher’s tea: 3 of 4 right by chance has p = 0.486 (Fisher, The Design of Experiments, 1935)', () => {
		expect(fisher({ withHits: 3, withAll: 4, withoutHits: 1, withoutAll: 4 })).toBeCloseTo(34 / 70, 9);
		expect(fisher({ withHits: 4, withAll: 4, withoutHits: 0, withoutAll: 4 })).toBeCloseTo(2 / 70, 9);
	});
	it('against tables summed with jstat’s hypergeometric distribution', () => {
		fc.assert(
			fc.property(
				fc.integer({ min: 1, max: 25 }),
				fc.integer({ min: 1, max: 25 }),
				fc.double({ min: 0, max: 1, noNaN: true }),
				fc.double({ min: 0, max: 1, noNaN: true }),
				(withAll, withoutAll, s1, s2) => {
					const counts = {
						withAll,
						withoutAll,
						withHits: Math.round(s1 * withAll),
						withoutHits: Math.round(s2 * withoutAll)
					};
					const hits = counts.withHits + counts.withoutHits;
					if (hits === 0 || hits === withAll + withoutAll) return;
					const pdf = (k: number) => jStat.hypgeom.pdf(k, withAll + withoutAll, withAll, hits);
					const here = pdf(counts.withHits);
					let p = 0;
					for (let k = Math.max(0, hits - withoutAll); k <= Math.min(hits, withAll); k++)
						if (pdf(k) <= here * (1 + 1e-7)) p += pdf(k);
					expect(fisher(counts)).toBeCloseTo(Math.min(1, p), 6);
				}
			)
		);
	});
	it('between what is sure and nothing to be seen stands a hint', () => {
		// p of the three by fisher(), which is held against jstat above: 0.013, 0.029, 0.57
		expect(associate({ withHits: 16, withAll: 102, withoutHits: 1, withoutAll: 47 }).sureness).toBe('hint');
		expect(associate({ withHits: 8, withAll: 33, withoutHits: 10, withoutAll: 117 }).sureness).toBe('hint');
		expect(associate({ withHits: 6, withAll: 39, withoutHits: 12, withoutAll: 111 }).sureness).toBe(
			'nothing'
		);
	});
	it('small numbers are said to be small, and nothing divides by nothing', () => {
		expect(associate({ withHits: 3, withAll: 6, withoutHits: 1, withoutAll: 40 }).sureness).toBe('few');
		expect(associate({ withHits: 9, withAll: 40, withoutHits: 2, withoutAll: 60 }).sureness).toBe('sure');
		const empty = associate({ withHits: 0, withAll: 0, withoutHits: 0, withoutAll: 0 });
		expect(Object.values(empty).every((v) => typeof v === 'string' || Number.isFinite(v))).toBe(true);
	});
});
