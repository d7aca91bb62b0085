import { describe, expect, it } from 'vitest';
import { castAnswer } from '../../calc/castCalculation';
import { polyester } from '../../shot/kinds/shots.testing';
import { reducePour } from '..';

const asked = {
	piece: { name: 'Dish', cavityVolumeMl: 90 },
	resin: polyester,
	catalystPercent: 1.5,
	copies: 1,
	sprueVolumeMl: 0,
	sectionMm: 12,
	lossPercent: 0,
	startTempC: 21,
	mouldTempC: 21,
	roomTempC: 21,
	relativeHumidity: 45
};
const step = (answer: ReturnType<typeof castAnswer>, id: string) => answer.steps.find((s) => s.id === id)!;

describe('polyester at the bench', () => {
	it('has no A and no B, and its catalyst is left alone', () => {
		const answer = castAnswer(asked);
		const measured = answer.steps.filter((s) => s.kind === 'measure');
		expect(measured.map((s) => s.title)).toEqual([
			'Measure the resin',
			expect.stringMatching(/^Measure the catalyst/)
		]);
		expect(measured.every((s) => s.part === undefined)).toBe(true);
		expect(step(answer, 'shake').detail).toMatch(/never shaken or stirred/);
	});
	// 1 ml to 50 g is called 2 % (common practice, no source: handbook, section 4)
	it('50 g and 1 ml: two parts of a hundred by ml per gram', () => {
		const { plans } = castAnswer({
			...asked,
			piece: { cavityVolumeMl: 50 / 1.11 },
			catalystPercent: 2.24,
			resin: { ...polyester, catalystDensityGPerMl: 1.12 }
		});
		expect(plans[0]!.a.massG).toBeGreaterThan(48);
		expect(plans[0]!.catalyst!.volumeMl / plans[0]!.a.massG).toBeCloseTo(1 / 50, 4);
	});
	it('says each stage with its time at the cure', () => {
		const answer = castAnswer(asked);
		const { stages } = answer.plans[0]!;
		expect(stages!.gelS).toBeLessThan(stages!.hardS);
		expect(step(answer, 'demould').detail).toMatch(
			/Wobbling gel after about .* Firm at .* only hard comes out/
		);
	});
	it('colour goes in by threes of drops, each counted once', () => {
		const answer = castAnswer({
			...asked,
			recipeId: 'r',
			recipes: [
				{ id: 'r', name: 'Amber', colours: [{ name: 'Amber', part: 'A', percent: 0.3, dropsPerG: 30 }] }
			]
		});
		const colour = answer.steps.find((s) => s.id.startsWith('colour'))!;
		const { drops } = answer.plans[0]!.colours![0]!;
		expect(drops).toBe(9);
		expect(colour.doses).toBe(3);
		expect(colour.detail).toMatch(/in 3 doses of 3 drops/);
		const thirteen = castAnswer({
			...asked,
			recipeId: 'r',
			recipes: [
				{ id: 'r', name: 'Amber', colours: [{ name: 'Amber', part: 'A', percent: 0.43, dropsPerG: 30 }] }
			]
		});
		expect(thirteen.steps.find((s) => s.id.startsWith('colour'))!.detail).toMatch(
			/in 3 doses, 5, 4 and 4 drops/
		);
		const dose = (n: number) => ({
			kind: 'dosed' as const,
			id: `00000000-0000-4000-8000-00000000020${n}`,
			atMs: 1.8e12 + n,
			stepId: colour.id
		});
		expect(reducePour(answer.steps, [dose(1), dose(2), dose(2)]).doses).toEqual({ [colour.id]: 2 });
	});
	it('water that it is extended with is stirred in as water, not as a powder', () => {
		const answer = castAnswer({
			...asked,
			resin: { ...polyester, family: 'water-extended polyester' },
			fillerId: 'w',
			fillerPercent: 32,
			fillers: [{ id: 'w', name: 'Water', family: 'water', densityGPerMl: 1, bulkDensityGPerMl: 1, note: '' }]
		});
		const water = answer.steps.find((s) => s.id.startsWith('measure-filler'))!;
		expect(water.title).toBe('Stir the water in');
		expect(water.cautions).not.toContain('powder');
		// 32 g of water in 100 g of the whole (common practice, no source)
		expect(answer.plans[0]!.fillers![0]!.massG / answer.massG).toBeCloseTo(0.32, 2);
	});
});
