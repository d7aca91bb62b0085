import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { cureOf, resinRecord } from '../shelf';
import { viscosityOf } from '../shelf/resin';
import { InputError } from '../working';
import { WORKSHOP_DEFAULTS } from '../workshop';
import {
	castAreaMm2,
	clearLayers,
	DUST_G_PER_M2,
	keptLayer,
	layerAmount,
	liftG,
	planShot,
	rotocast,
	shotInputs,
	solidShot,
	standingCoatMm,
	togetherPotLifeS,
	wholeShares,
	type Embed,
	type ShotContext,
	type SolidShotInput
} from '.';

const urethane = resinRecord.parse({
	name: 'Test white',
	family: 'slow urethane',
	densityAGPerMl: 1.1,
	weightA: 100,
	weightB: 90,
	volumeA: 1,
	volumeB: 1,
	potLifeS: 420,
	demouldS: 3600,
	character: 'quick',
	viscosityMpaS: 120,
	note: ''
});
const polyester = resinRecord.parse({
	name: 'Test clear',
	family: 'clear polyester',
	densityAGPerMl: 1.11,
	catalystPercent: 1,
	referencePercent: 1,
	referenceGelS: 1080,
	catalystDensityGPerMl: 1.12,
	demouldS: 50_400,
	character: 'gradual',
	viscosityMpaS: 350,
	note: ''
});
const context: ShotContext = {
	cavityVolumeMl: 96,
	mouldWallMm: 12,
	mouldsVolumeMl: 400,
	skinAreaMm2: 9000,
	radiusMm: 30,
	heightMm: 30,
	resin: urethane,
	recipes: [],
	settings: WORKSHOP_DEFAULTS
};
const inputs = (more: object) =>
	shotInputs.parse({
		masterId: 'a',
		mouldIds: ['m'],
		resinId: 'r',
		copies: 1,
		sprueVolumeMl: 0,
		sectionMm: 6,
		lossPercent: 0,
		startTempC: 21,
		mouldTempC: 21,
		roomTempC: 21,
		relativeHumidity: 45,
		...more
	});
const bronze = { name: 'Bronze', densityGPerMl: 8.7, bulkDensityGPerMl: 3.4, grainMm: 0.04 };
const silica = {
	name: 'Silica',
	densityGPerMl: 2.2,
	bulkDensityGPerMl: 0.05,
	creamyScoopsPerB: 0.8,
	pasteScoopsPerB: 2
};
const fern: Embed = { name: 'fern', massG: 0.4, volumeMl: 1.2, heightMm: 3, atMm: 12 };

describe('layered clear casts', () => {
	it('the layers and what is cast in fill the mould, whatever lies in it', () => {
		fc.assert(
			fc.property(
				fc.double({ min: 20, max: 120, noNaN: true }),
				fc.double({ min: 1000, max: 40_000, noNaN: true }),
				fc.double({ min: 3, max: 60, noNaN: true }),
				fc.array(
					fc.record({
						massG: fc.double({ min: 0, max: 20, noNaN: true }),
						volumeMl: fc.double({ min: 0.05, max: 0.4, noNaN: true }),
						heightMm: fc.double({ min: 1, max: 8, noNaN: true }),
						atMm: fc.double({ min: 2, max: 11, noNaN: true })
					}),
					{ maxLength: 3 }
				),
				(depthMm, areaMm2, mostMm, things) => {
					const embeds = things.map((t, i) => ({ ...t, name: `thing ${i}` }));
					const layers = clearLayers(depthMm, areaMm2, embeds, mostMm, 1.1);
					const resinMl = layers.reduce((sum, l) => sum + l.volumeMl, 0);
					const takenMl = embeds.reduce((sum, e) => sum + e.volumeMl, 0);
					expect(resinMl + takenMl).toBeCloseTo((depthMm * areaMm2) / 1000, 6);
					expect(layers[0]!.fromMm).toBe(0);
					expect(layers.at(-1)!.toMm).toBeCloseTo(depthMm, 9);
					for (const l of layers) expect(l.toMm - l.fromMm).toBeLessThanOrEqual(mostMm + 1e-9);
					// everything lies on a boundary: what is below it has gelled before it is set
					for (const e of embeds) expect(layers.some((l) => l.setsIn.includes(e.name))).toBe(true);
				}
			)
		);
	});
	it('float by Archimedes, by hand: 1.2 ml of 0.4 g in resin of 1.1 pulls up with 0.92 g', () => {
		expect(liftG(fern, 1.1)).toBeCloseTo(1.2 * 1.1 - 0.4, 9);
		expect(liftG({ massG: 20, volumeMl: 4 }, 1.1)).toBeLessThan(0);
	});
	it('a light thing is held by a thin layer first, a heavy one is not', () => {
		const boundaries = (e: Embed) => clearLayers(30, 3200, [e], 30, 1.1).map((l) => l.toMm);
		expect(boundaries(fern)).toEqual([12, 13, 30]);
		expect(boundaries({ ...fern, massG: 9 })).toEqual([12, 30]);
	});
	it('a thing that stands out of the resin is refused, with by how much', () => {
		expect(() => clearLayers(14, 3200, [fern], 30, 1.1)).toThrow(/1 mm out of a cast/);
	});
	it('thick polyester is laid in layers that cool; a thin cast is not', () => {
		const clear = { ...context, resin: polyester };
		const thick = planShot(inputs({ kind: 'clear', depthMm: 30, embeds: [fern] }), clear);
		expect(thick.shot.batches[0]!.layers!.length).toBeGreaterThan(2);
		expect(thick.shot.warnings.map((w) => w.code)).toContain('let-it-cool');
		expect(thick.shot.warnings.map((w) => w.code)).toContain('floats');
		expect(thick.shot.warnings.map((w) => w.code)).not.toContain('may-crack');
		const thin = planShot(inputs({ kind: 'clear', depthMm: 5 }), {
			...clear,
			cavityVolumeMl: 16,
			heightMm: 5
		});
		expect(thin.shot.batches[0]!.layers).toHaveLength(1);
		// a typed thickness that cracks is warned of with its figure, not forbidden
		const block = planShot(inputs({ kind: 'clear', depthMm: 30, mostLayerMm: 30 }), clear);
		expect(block.shot.warnings.find((w) => w.code === 'may-crack')!.message).toMatch(
			/\d+ °C hot, and this resin may crack/
		);
	});
	it.each([
		// 30 mm high and 60 mm wide: 67 mm from corner to corner, by Pythagoras
		[{ depthMm: 400 }, 'depthMm', /67.1 mm from corner to corner/],
		[{ depthMm: 60, mostLayerMm: 2 }, 'mostLayerMm', /30 layers, at most 24/],
		[{ depthMm: 30, crackLimitC: 21 }, 'crackLimitC', /poured into 21 °C/]
	])('%j is refused at its field', (more, field, words) => {
		const clear = { ...context, resin: polyester };
		const refused = (() => {
			try {
				planShot(inputs({ kind: 'clear', ...more }), clear);
			} catch (error) {
				return error as InputError;
			}
			return undefined;
		})();
		expect(refused).toBeInstanceOf(InputError);
		expect(refused!.path).toEqual([field]);
		expect(refused!.message).toMatch(words);
	});
	it('things that lie at ten heights cut ten layers, and no search goes past what is planned', () => {
		const embeds = Array.from({ length: 10 }, (_, i) => ({
			name: `leaf ${i}`,
			massG: 0.1,
			volumeMl: 0.05,
			heightMm: 1,
			atMm: 2.5 + i * 2.5
		}));
		const { shot } = planShot(inputs({ kind: 'clear', depthMm: 30, embeds }), {
			...context,
			resin: polyester
		});
		const layers = shot.batches[0]!.layers!;
		expect(layers.length).toBeLessThanOrEqual(24);
		for (const e of embeds) expect(layers.flatMap((l) => l.setsIn ?? [])).toContain(e.name);
	});
});

describe('metal cold casts', () => {
	const cold = inputs({ kind: 'cold', fillerId: 'f', fillerPercent: 60, faceMm: 1.5 });
	const planned = planShot(cold, { ...context, filler: bronze });
	it('dust by area, face and backing together fill the cavity (by hand)', () => {
		expect(planned.dust!.massG).toBeCloseTo((DUST_G_PER_M2 * 9000) / 1e6, 9);
		const [face, back] = planned.shot.batches[0]!.layers!;
		expect(layerAmount(face!).volumeMl).toBeCloseTo((9000 * 1.5) / 1000, 6);
		const dustMl = planned.dust!.massG / 8.7;
		expect(layerAmount(face!).volumeMl + layerAmount(back!).volumeMl + dustMl).toBeCloseTo(96, 6);
		expect(face!.fillers![0]!.massG / layerAmount(face!).massG).toBeCloseTo(0.6, 9);
		expect(back!.fillers ?? []).toHaveLength(0);
	});
	it('foretells that the powder sinks, and that a pale backing shines through', () => {
		expect(planned.shot.warnings.map((w) => w.code)).toEqual(
			expect.arrayContaining(['settles', 'pale-backing', 'thin-skin'])
		);
	});
	it('wants a metal, and a face that goes in', () => {
		expect(() => planShot(inputs({ kind: 'cold' }), context)).toThrow(/Choose|powder/);
		expect(() =>
			planShot(inputs({ kind: 'cold', fillerId: 'f', fillerPercent: 60, faceMm: 30 }), {
				...context,
				filler: bronze
			})
		).toThrow(/thinner face/);
	});
});

describe('solid casts with filler through and through', () => {
	const planned = (filler: ShotContext['filler'], fillerPercent: number, more: object = {}) =>
		planShot(inputs({ kind: 'solid', fillerId: 'f', fillerPercent, ...more }), { ...context, filler });
	const codes = (p: ReturnType<typeof planned>) => p.shot.warnings.map((w) => w.code);

	it('the film in the cup grows with the root of the thickness (by hand)', () => {
		const film = (fillerPercent: number) =>
			planned(bronze, fillerPercent, { lossBy: 'film' }).shot.batches[0]!.lossMl;
		// 40 % by weight of 8.7 g/ml in what the resin alone weighs
		const alone = planned(bronze, 0, { lossBy: 'film' }).shot.batches[0]!;
		const [w, rho] = [0.4, alone.massG / alone.volumeMl];
		const share = w / 8.7 / (w / 8.7 + (1 - w) / rho);
		expect(film(40) / film(0)).toBeCloseTo(Math.sqrt((1 - share / 0.63) ** (-2.5 * 0.63)), 6);
	});
	it('Stokes by hand: heavy powder sinks, hollow spheres rise, fine ones stay', () => {
		const p = planned(bronze, 40);
		const said = p.shot.warnings.find((w) => w.code === 'settles')!;
		const b = p.shot.batches[0]!;
		const share = b.fillers[0]!.volumeMl / b.volumeMl;
		const fresh = planned(bronze, 0).shot.batches[0]!;
		const excess = (8.7 - fresh.massG / fresh.volumeMl) * 1000;
		const paS = (viscosityOf(urethane, 21) / 1000) * (1 - share / 0.63) ** (-2.5 * 0.63);
		const mm = ((2 * excess * 9.80665 * 0.00002 ** 2) / (9 * paS)) * (p.shot.holdUntilS / 1.25) * 1000;
		expect(Number(/up to ([\d.]+) mm/.exec(said.message)![1])).toBeCloseTo(mm, 1);
		expect(said.message).toMatch(/sinks/);
		const light = planned({ name: 'Spheres', densityGPerMl: 0.25, grainMm: 0.06 }, 3);
		expect(light.shot.warnings.find((w) => w.code === 'settles')!.message).toMatch(/rises/);
		expect(codes(planned({ ...bronze, grainMm: 0.002 }, 40))).not.toContain('settles');
	});
	it('a mix that no longer runs is said, by its scoops or by its packing', () => {
		expect(codes(planned(silica, 1))).not.toContain('thick-mix');
		expect(codes(planned(silica, 3))).toContain('thick-mix');
		expect(codes(planned({ name: 'Spheres', densityGPerMl: 0.25 }, 40))).toContain('too-much-filler');
	});
});

describe('hollow casts with filler through and through', () => {
	const spheres = { name: 'Spheres', densityGPerMl: 0.25 };
	const rolled = (more: object) =>
		planShot(inputs({ kind: 'rotocast', wallMm: 3, layers: 3, ...more }), { ...context, filler: spheres });
	const loaded = { fillerId: 'f', fillerPercent: 6 };

	it('the wall keeps its volume, gets lighter, and Krieger & Dougherty’s thickness carries it sooner', () => {
		const [plain, filled] = [rolled({}), rolled(loaded)];
		expect(filled.rotocast!.totalVolumeMl).toBeCloseTo(plain.rotocast!.totalVolumeMl, 9);
		expect(filled.rotocast!.totalVolumeMl).toBeCloseTo(9000 * 3e-3, 9);
		// by hand: volumes add, 0.94 g of resin and 0.06 g of spheres
		const resinDensity = plain.rotocast!.totalMassG / plain.rotocast!.totalVolumeMl;
		const density = 1 / (0.94 / resinDensity + 0.06 / 0.25);
		expect(filled.rotocast!.totalMassG).toBeCloseTo(27 * density, 6);
		expect(filled.shot.massG).toBeCloseTo(filled.rotocast!.totalMassG, 6);
		// the carried film goes with √(ν): (1 − φ/0.63)^(−1.575), lighter besides
		const share = (0.06 / 0.25) * density;
		const nu = ((1 - share / 0.63) ** (-2.5 * 0.63) * resinDensity) / density;
		// its grains take up heat besides: the same record carries √(ν) more than it would as thin as the plain resin
		const { turnS, roomTempC, mouldTempC, startTempC, mixS } = inputs({
			kind: 'rotocast',
			wallMm: 3,
			...loaded
		});
		const { filled: grains } = filled.shot.batches[0]!.layers![0]!;
		const asThin = rotocast({
			resin: { ...cureOf(context.resin, context.rateFactor), filled: grains! },
			areaMm2: 9000,
			wallMm: 3,
			densityGPerMl: resinDensity,
			viscosityMpaS: viscosityOf(context.resin, 23),
			...(context.radiusMm ? { radiusMm: context.radiusMm } : {}),
			mouldWallMm: context.mouldWallMm,
			turnS,
			roomTempC,
			mouldTempC,
			startTempC,
			mixS
		});
		expect(filled.rotocast!.thickestMm / asThin.thickestMm).toBeCloseTo(Math.sqrt(nu), 6);
		// of the first layer: the later ones follow later, on one that took longer to gel
		expect(filled.rotocast!.layers[0]!.lockS).toBeLessThan(plain.rotocast!.layers[0]!.lockS);
	});
	it('past the packing limit it is refused at the filler, with its share of the volume', () => {
		expect(() => rolled({ ...loaded, fillerPercent: 30 })).toThrow(
			expect.objectContaining({ path: ['fillerPercent'], message: expect.stringMatching(/no longer runs/) })
		);
	});
});

describe('brushed coats', () => {
	it('what stays up is τy/(ρ·g): 60 Pa at 1.1 g/ml is 5.56 mm (by hand)', () => {
		expect(standingCoatMm(60, 1.1)).toBeCloseTo((60 / (1100 * 9.80665)) * 1000, 9);
		expect(standingCoatMm(60, 1.1)).toBeCloseTo(5.562, 3);
	});
	it('a wall of 4 mm in coats of 1.5 mm is three, stiff for upright faces', () => {
		const planned = planShot(
			inputs({ kind: 'brushed', fillerId: 'f', wallMm: 4, coatMm: 1.5, stands: 'upright' }),
			{ ...context, filler: silica }
		);
		const layers = planned.shot.batches[0]!.layers!;
		expect(layers).toHaveLength(3);
		for (const l of layers) {
			expect(layerAmount(l).volumeMl).toBeCloseTo(12, 6);
			// two scoops to one of B: loose volume twice that of B
			expect(l.fillers![0]!.massG).toBeCloseTo(2 * l.b.volumeMl * 0.05, 6);
			expect(l.recoatFromS).toBeLessThan(l.recoatUntilS);
		}
		for (const [i, l] of layers.slice(1).entries())
			expect(l.pouredS! - layers[i]!.pouredS!).toBeGreaterThanOrEqual(layers[i]!.recoatFromS - 1);
	});
	it('a thickener without its scoops, a coat that sags: said', () => {
		expect(() =>
			planShot(inputs({ kind: 'brushed', fillerId: 'f' }), { ...context, filler: bronze })
		).toThrow(/no record of how many scoops/);
		const sags = planShot(
			inputs({ kind: 'brushed', fillerId: 'f', wallMm: 8, coatMm: 8, stands: 'upright' }),
			{ ...context, filler: silica }
		);
		expect(sags.shot.warnings.map((w) => w.code)).toContain('sags');
	});
});

describe('colours poured together', () => {
	const cups = [
		{ name: 'grey', sharePercent: 70 },
		{ name: 'white', sharePercent: 30, startTempC: 15 }
	];
	it('every cup its share and temperature; the slower one is combined first', () => {
		const planned = planShot(inputs({ cups }), context);
		const batch = planned.shot.batches[0]!;
		expect(batch.cups!.map((c) => c.name)).toEqual(['white', 'grey']);
		const all = batch.cups!.reduce((sum, c) => sum + c.massG, 0);
		expect(all).toBeCloseTo(batch.massG, 6);
		expect(batch.cups![0]!.massG / all).toBeCloseTo(0.3, 9);
		expect(batch.cups![0]!.startTempC).toBe(15);
		expect(batch.potLifeS).toBeCloseTo(togetherPotLifeS(batch.cups!, 45), 9);
	});
	it('the first cup that is too thick ends the pour (by hand)', () => {
		expect(togetherPotLifeS([{ potLifeS: 200 }, { potLifeS: 130 }], 45)).toBe(175);
		expect(togetherPotLifeS([{ potLifeS: 150 }, { potLifeS: 130 }], 45)).toBe(150);
	});
	it('shares stay a whole when a colour comes or goes (by hand)', () => {
		expect(wholeShares([50, 50, 50])).toEqual([33.3, 33.3, 33.3]);
		expect(wholeShares([70, 50])).toEqual([58.3, 41.7]);
		expect(wholeShares([60, 20])).toEqual([75, 25]);
		expect(wholeShares([undefined, NaN])).toEqual([50, 50]);
		expect(wholeShares([undefined, 40, 40])).toEqual([0, 50, 50]);
		fc.assert(
			fc.property(
				fc.array(fc.double({ min: 1, max: 100, noNaN: true }), { minLength: 1, maxLength: 6 }),
				(list) => {
					const sum = wholeShares(list).reduce((a, b) => a + b, 0);
					// a tenth each at most: the planner takes shares that make 100 ± 0.5
					expect(Math.abs(sum - 100)).toBeLessThanOrEqual(0.05 * list.length + 1e-9);
				}
			)
		);
	});
	it('cups that are warmer from the start than they are poured are refused', () => {
		const two = {
			cups: [
				{ name: 'a', sharePercent: 50, startTempC: 28 },
				{ name: 'b', sharePercent: 50 }
			]
		};
		expect(() => planShot(inputs({ ...two, pourTempC: 21 }), context)).toThrow(/The cups start at 21\.0 °C/);
		expect(() => planShot(inputs({ ...two, pourTempC: 30 }), context)).not.toThrow();
	});
	it('shares that make no whole are refused with their sum', () => {
		expect(() => planShot(inputs({ cups: [{ name: 'a', sharePercent: 60 }] }), context)).toThrow(
			/make 60.0 %/
		);
	});
});

describe('area of an earlier cast', () => {
	it('44 g of 1.1 g/ml at 4 mm covered 100 cm² (by hand)', () => {
		expect(castAreaMm2(44, 1.1, 4)).toBeCloseTo(10_000, 9);
		expect(() => castAreaMm2(44, 0, 4)).toThrow(/castAreaMm2/);
	});
});

describe('batches against an exhaustive search', () => {
	const base = (x: { copies: number; moulds: number; potLifeS: number; cupMl: number; scaleG: number }) =>
		({
			cavityVolumeMl: 40,
			loss: { by: 'percent', percent: 10 },
			copies: x.copies,
			cavitiesAtOnce: x.moulds,
			resin: { densityAGPerMl: 1.1, densityBGPerMl: 0.99, ratio: { by: 'weight', a: 100, b: 90 } },
			cure: { potLifeS: x.potLifeS, demouldS: 6 * x.potLifeS, character: 'quick' },
			viscosityMpaS: 120,
			where: { section: { shape: 'slab' as const, thicknessMm: 6 }, mouldWallMm: 12 },
			steps: [
				{ name: 'Mix', durationS: 40 },
				{ name: 'Pour', durationS: 15, per: 'copy' }
			],
			startTempC: 22,
			mouldTempC: 22,
			roomTempC: 22,
			cupMl: x.cupMl,
			scaleCapacityG: x.scaleG
		}) satisfies SolidShotInput;
	it('the fewest cups that hold every limit, for every small case', () => {
		fc.assert(
			fc.property(
				fc.record({
					copies: fc.integer({ min: 1, max: 7 }),
					moulds: fc.integer({ min: 1, max: 5 }),
					potLifeS: fc.integer({ min: 90, max: 300 }),
					cupMl: fc.integer({ min: 60, max: 400 }),
					scaleG: fc.integer({ min: 50, max: 300 })
				}),
				(x) => {
					const shot = solidShot(base(x));
					// every size on its own, without the planner's search
					const may = (n: number) => {
						const one = solidShot({
							...base({ ...x, copies: n, moulds: n }),
							cupMl: undefined,
							scaleCapacityG: undefined,
							potCopies: undefined
						}).batches[0]!;
						if (one.copies !== n || !one.fits) return false;
						return n === 1 || (one.volumeMl <= 0.8 * x.cupMl && one.massG <= x.scaleG);
					};
					let most = 0;
					for (let n = 1; n <= Math.min(x.copies, x.moulds); n++) if (may(n)) most = n;
					expect(shot.largestBatch).toBe(most);
					expect(shot.batches).toHaveLength(Math.ceil(x.copies / Math.max(1, most)));
				}
			),
			{ numRuns: 60 }
		);
	});
});

describe('a colour that lengthens the cure', () => {
	const slow = { id: 'dark', name: 'Dark', lengtheningPercent: 33, colours: [] };
	const at = (recipeId: string, more: object = {}) =>
		planShot(inputs({ kind: 'solid', recipeId, ...more }), { ...context, recipes: [slow] });
	const cupsOf = (ids: string[]) =>
		ids.map((recipeId, i) => ({ name: `c${i}`, recipeId, sharePercent: 100 / ids.length }));

	it('is heeded by the pot life, the gel and the demould of a shot, as where it is mixed', () => {
		const [plain, dark] = [at(''), at('dark')].map((p) => p.shot);
		// every time of the reaction grows by it; a cup of this heat hardly warms meanwhile
		expect(dark!.batches[0]!.potLifeS / plain!.batches[0]!.potLifeS).toBeCloseTo(1.33, 1);
		expect(dark!.batches[0]!.gelTimeS).toBeGreaterThan(plain!.batches[0]!.gelTimeS * 1.2);
		expect(dark!.holdUntilS).toBeGreaterThan(plain!.holdUntilS * 1.15);
	});
	it('of several cups each has its own, and the part waits for the slowest', () => {
		const two = at('', { cups: cupsOf(['', 'dark']) }).shot;
		const [a, b] = two.batches[0]!.cups!.map((c) => c.potLifeS).sort((x, y) => x - y);
		expect(b! / a!).toBeGreaterThan(1.2);
		expect(two.holdUntilS).toBeCloseTo(at('dark').shot.holdUntilS, 6);
	});
	it('in layers only the layer that is coloured is slower in its cup', () => {
		const cold = (recipeId: string) =>
			planShot(inputs({ kind: 'cold', fillerId: 'f', fillerPercent: 60, faceMm: 1.5, recipeId }), {
				...context,
				recipes: [slow],
				filler: { name: 'Bronze', densityGPerMl: 8.7, grainMm: 0.04 }
			}).shot.batches[0]!.layers!.map((l) => l.potLifeS);
		const [plain, dark] = [cold(''), cold('dark')];
		expect(dark[0]).toBeCloseTo(plain[0]!, 6);
		expect(dark[1]! / plain[1]!).toBeGreaterThan(1.2);
	});
});

it('air from which the workshop stops is said at planning, for urethane alone', () => {
	const at = (relativeHumidity: number, stopHumidityPercent: number, resin = urethane) =>
		planShot(inputs({ kind: 'solid', relativeHumidity }), {
			...context,
			resin,
			settings: { ...WORKSHOP_DEFAULTS, stopHumidityPercent }
		}).shot.warnings.map((w) => w.code);
	expect(at(45, 50)).not.toContain('damp-air');
	expect(at(45, 40)).toContain('damp-air');
	expect(at(70, 50)).toContain('damp-air');
	expect(at(70, 50, polyester)).not.toContain('damp-air');
});

describe('the share of catalyst belongs to the shot', () => {
	const clear = { ...context, resin: polyester };
	const of = (catalystPercent?: number) =>
		planShot(inputs({ kind: 'solid', ...(catalystPercent === undefined ? {} : { catalystPercent }) }), clear)
			.shot;
	it('is weighed out by hand, quickens pot life and demould, and the record stands where nothing is typed', () => {
		const [one, two] = [of(1), of(2)];
		const cup = two.batches[0]!;
		expect(cup.catalyst!.massG).toBeCloseTo(0.02 * cup.a.massG, 6);
		expect(two.batches[0]!.potLifeS).toBeLessThan(one.batches[0]!.potLifeS * 0.75);
		expect(two.demouldS).toBeLessThan(one.demouldS);
		expect(of().batches[0]!.potLifeS).toBeCloseTo(one.batches[0]!.potLifeS, 9);
	});
	it('says nothing to a resin of two parts', () => {
		const plain = planShot(inputs({ kind: 'solid' }), context).shot.demouldS;
		expect(planShot(inputs({ kind: 'solid', catalystPercent: 3 }), context).shot.demouldS).toBe(plain);
	});
	it('a thick lump of it is told that it may crack by its thickest place', () => {
		const lump = planShot(inputs({ kind: 'solid', catalystPercent: 1.5, thickestMm: 80 }), clear).shot
			.warnings;
		expect(lump.map((w) => w.code)).toContain('may-crack');
		const flat = planShot(inputs({ kind: 'solid', catalystPercent: 1.5, thickestMm: 12 }), clear).shot
			.warnings;
		expect(flat.map((w) => w.code)).not.toContain('may-crack');
	});
});

it('a layer as the version before kept it, its clocks from the first pour, is read as one of today', () => {
	const { pouredS, ...today } = planShot(inputs({ kind: 'rotocast', wallMm: 3, layers: 3 }), context).shot
		.batches[0]!.layers![2]!;
	expect(pouredS).toBeGreaterThan(today.gelS);
	const kept = { ...today, startS: pouredS! };
	for (const time of ['lockS', 'gelS', 'recoatFromS', 'recoatUntilS'] as const) kept[time] += pouredS!;
	const read = keptLayer(kept);
	expect(read.pouredS).toBe(pouredS);
	expect(read).not.toHaveProperty('startS');
	for (const time of ['lockS', 'gelS', 'recoatFromS', 'recoatUntilS'] as const)
		expect(read[time]).toBeCloseTo(today[time], 9);
	// and one of today stays as it is
	expect(keptLayer({ ...today, pouredS })).toEqual({ ...today, pouredS });
});

it('a cup that is brushed on says what becomes of it where it is left standing', () => {
	const planned = planShot(inputs({ kind: 'brushed', wallMm: 6, coatMm: 3, fillerId: 'f' }), {
		...context,
		filler: silica
	});
	const { standing, potLifeS } = planned.shot.batches[0]!.layers![0]!;
	expect(standing!.peakTimeS).toBeGreaterThan(potLifeS);
	expect(standing!.peakTempC).toBeGreaterThan(40);
});
