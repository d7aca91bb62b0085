import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { mix } from '../mix';
import { mixedDensityGPerMl, mixable } from '../shelf';
import { planShot } from '../shot';
import { WORKSHOP_DEFAULTS } from '../workshop';
import { AMOUNT_FIELDS, AMOUNT_WAYS, quickInput, quickResin, quickShot, quickVolume } from '.';

const asked = (over: object) => quickInput.parse({ roomTempC: 23, ...over });
const planned = (over: object) => {
	const q = asked(over);
	const resin = quickResin(q, undefined);
	const { inputs, context } = quickShot(q, resin, { ...WORKSHOP_DEFAULTS, scaleResolutionG: 0.1 });
	return { q, resin, shot: planShot(inputs, context, false).shot };
};

describe('how much', () => {
	it('spilled grams of water are millilitres by the density of water, not grams of resin (Kell 1975: 0.9982 at 20 °C)', () => {
		const { volumeMl } = quickVolume(asked({ by: 'water', waterMassG: 99.82 }), 1.05);
		expect(volumeMl).toBeCloseTo(100, 2);
	});
	it('an earlier cast is divided by the density of the resin', () => {
		expect(quickVolume(asked({ by: 'cast', castMassG: 210 }), 1.05).volumeMl).toBeCloseTo(200, 9);
	});
	it('a 3 in tube filled to 3½ in holds 24.74 in³ (common practice, no source)', () => {
		const { volumeMl } = quickVolume(asked({ by: 'tube', diameterMm: 76.2, heightMm: 88.9 }), 1.05);
		expect(volumeMl / 16.387064).toBeCloseTo(24.74, 2);
	});
	it('0.40 m² of 4.4 mm is 1.76 l, near 60 US fluid ounces (common practice, no source)', () => {
		const { volumeMl } = quickVolume(asked({ by: 'skin', areaMm2: 400_000, wallMm: 4.4 }), 1.05);
		expect(volumeMl / 29.5735).toBeCloseTo(59.5, 1);
	});
	it('each way asks for its own fields, each with a sentence of its own', () => {
		for (const by of AMOUNT_WAYS) {
			const issues = quickInput.safeParse({ by, roomTempC: 21 }).error!.issues;
			expect(issues.map((i) => i.path[0])).toEqual([...AMOUNT_FIELDS[by]]);
			for (const i of issues) expect(i.message).toMatch(/^(Type|Weigh)/);
		}
	});
});

describe('of what', () => {
	it('the label of a tin gives ratio and pot life; a short one is taken for fast, a long one for slow', () => {
		const label = { volumeMl: 100, resinBy: 'label', ratioA: 1, ratioB: 1 };
		expect(planned({ ...label, potLifeS: 180 }).resin).toMatchObject({
			family: 'fast urethane',
			potLifeS: 180
		});
		expect(planned({ ...label, potLifeS: 600 }).resin).toMatchObject({
			family: 'slow urethane',
			potLifeS: 600
		});
		const missing = quickInput.safeParse({ volumeMl: 100, resinBy: 'label', roomTempC: 21 }).error!.issues;
		expect(missing.map((i) => i.path[0])).toEqual(['ratioA', 'ratioB', 'potLifeS']);
	});
	it('a ratio by weight is kept on the scale to the letter', () => {
		const { shot } = planned({
			volumeMl: 300,
			resinBy: 'label',
			ratioBy: 'weight',
			ratioA: 100,
			ratioB: 88,
			potLifeS: 150
		});
		const { a, b } = shot.batches[0]!;
		expect(b.massG / a.massG).toBeCloseTo(0.88, 9);
	});
	it('polyester has no B: 2 % of catalyst by weight', () => {
		const { massG, catalyst } = planned({ volumeMl: 100, typical: 'polyester' }).shot.batches[0]!;
		expect(catalyst!.massG / (massG - catalyst!.massG)).toBeCloseTo(0.02, 6);
	});
});

it('a solid is the mix of its volume and what stays in the cup, and never less', () => {
	fc.assert(
		fc.property(
			fc.double({ min: 5, max: 2000, noNaN: true }),
			fc.constantFrom('fast', 'slow', 'flexible'),
			(volumeMl, typical) => {
				const { shot, resin } = planned({ volumeMl, typical });
				const bare = mix({
					resin: {
						...mixable(resin),
						densityBGPerMl: mixable(resin).densityBGPerMl!,
						ratio: mixable(resin).ratio!
					},
					target: { volumeMl }
				});
				const total = shot.batches.reduce((sum, b) => sum + b.massG, 0);
				expect(total).toBeGreaterThan(bare.a.massG + bare.b.massG);
				expect(total).toBeLessThan(1.5 * (volumeMl + 10) * mixedDensityGPerMl(resin));
			}
		),
		{ numRuns: 60 }
	);
});
