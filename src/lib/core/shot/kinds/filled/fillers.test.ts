import { describe, expect, it } from 'vitest';
import { planShot, rotocast, type ShotContext } from '../..';
import { cureOf } from '../../../shelf';
import { viscosityOf } from '../../../shelf/resinSums';
import { bronze, context, inputs, silica, urethane } from '../shots.testing';

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
		const { fillerMix: grains } = filled.shot.batches[0]!.layers![0]!;
		const asThin = rotocast({
			resin: { ...cureOf(context.resin, context.rateFactor), fillerMix: grains! },
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
