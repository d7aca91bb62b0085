import fc from 'fast-check';
import { beforeAll, describe, expect, it } from 'vitest';
import { calibrate } from '../../../cure/calibrate';
import { fillerMixModel } from '../../../cure/fillerMixModel';
import { solveLayered } from '../../../cure/layered';
import { solvePart } from '../../../cure/partModel';
import { carriedFilmMm, CARRIED, curingViscosity, keptFilmMm, lockingViscosityMpaS } from '../../../flow';
import { copyBalance } from '../filled/filled';
import { FILLS } from '../filled/fills';
import { TURNS_WANTED } from './schools';
import { rotocast, type Rotocast, type RotocastInput } from './rotocast';

const resin = (character: 'snap' | 'quick' | 'gradual') => ({ potLifeS: 150, demouldS: 900, character });
const input = (over: Partial<RotocastInput> = {}): RotocastInput => ({
	resin: resin('gradual'),
	areaMm2: 42_000,
	wallMm: 4,
	densityGPerMl: 1.05,
	viscosityMpaS: 150,
	roomTempC: 23,
	mouldTempC: 23,
	mouldWallMm: 12,
	...over
});

describe('films', () => {
	it('Moffatt’s largest load: the flux q = η − η³/3 is largest at η = 1, and 0.7071 is 4.4427 ÷ 2π', () => {
		// mean of the film over the turn at the largest flux, by Simpson over q(θ) = η − η³/3·cos θ = 2/3
		const eta = (cos: number) => {
			let x = 2 / 3;
			for (let i = 0; i < 200; i++)
				x -= (x - (cos * x ** 3) / 3 - 2 / 3) / Math.max(1e-9, 1 - cos * x * x) / (cos > 0.999 ? 2 : 1);
			return x;
		};
		const n = 4000;
		let mean = 0;
		for (let i = 0; i < n; i++) mean += eta(Math.cos(((i + 0.5) * 2 * Math.PI) / n)) / n;
		// h = η·√(νωR/g): the load 2πR·mean is 4.4427·R
		expect(2 * Math.PI * mean).toBeCloseTo(4.4427, 2);
		expect(CARRIED).toBeCloseTo(4.4427 / (2 * Math.PI), 4);
	});
	it('what is carried at a viscosity locks at that viscosity', () => {
		fc.assert(
			fc.property(
				fc.double({ min: 1, max: 1e5, noNaN: true }),
				fc.double({ min: 2, max: 60, noNaN: true }),
				(mu, turnS) => {
					const h = carriedFilmMm(mu, 1.05, turnS, 40);
					expect(lockingViscosityMpaS(h, 1.05, turnS, 40) / mu).toBeCloseTo(1, 9);
				}
			)
		);
	});
	it('Jeffreys by hand: water for 10 s at 10 mm keeps √(μz/ρgt) = 0.0101 mm', () => {
		expect(keptFilmMm(10, 1, 10 / 1.002)).toBeCloseTo(
			1000 * Math.sqrt((1.002e-3 * 0.01) / (1000 * 9.80665 * 10)),
			6
		);
	});
	it('viscosity begins as it is fresh, rises without end towards gel', () => {
		expect(curingViscosity(150, 0, 0.5)).toBe(150);
		expect(curingViscosity(150, 0.25, 0.5)).toBeCloseTo(150 * 2 ** 1.75, 9);
		expect(curingViscosity(150, 0.5, 0.5)).toBe(Infinity);
	});
});

describe('layers in the mould', () => {
	const model = calibrate(resin('gradual'));
	const setup = {
		mouldWallMm: 12,
		startTempC: 23,
		mouldTempC: 23,
		roomTempC: 23,
		mixS: 0,
		nextAt: 0.5,
		recoatUntil: 0.8
	};
	it('one layer is the open slab of the part model', () => {
		const one = solveLayered(model, { ...setup, layersMm: [4] });
		const part = solvePart(model, {
			section: { shape: 'slab', thicknessMm: 4 },
			mouldWallMm: 12,
			startTempC: 23,
			mouldTempC: 23,
			roomTempC: 23,
			open: true
		});
		expect(one.layers[0]!.gelLastS / Math.max(part.gelCoreS, part.gelWallS)).toBeCloseTo(1, 1);
		expect(one.demouldS / part.demouldS).toBeCloseTo(1, 1);
	});
	it('heat is neither lost nor made: released, brought, stored and given off balance', () => {
		const { energy } = solveLayered(model, { ...setup, layersMm: [1, 1, 1], mixS: 45 }, 0.005);
		const { releasedJ, broughtJ, storedJ, lostJ } = energy;
		expect(Math.abs(releasedJ + broughtJ - storedJ - lostJ) / releasedJ).toBeLessThan(2e-3);
	});
	it('half the step changes the gel by under 0.5 %', () => {
		const at = (step: number) =>
			solveLayered(model, { ...setup, layersMm: [1, 1, 1] }, step).layers[2]!.gelLastS;
		expect(Math.abs(at(0.0025) / at(0.005) - 1)).toBeLessThan(0.005);
	});
	it('every layer sets sooner than the one before, in every character (common practice, no source)', () => {
		for (const character of ['gradual', 'quick', 'snap'] as const) {
			const { layers } = rotocast(input({ resin: resin(character) }));
			const times = layers.map((l) => l.gelS - l.startS);
			for (let i = 1; i < times.length; i++) expect(times[i]!).toBeLessThan(times[i - 1]!);
		}
	});
});

describe('a rotocast', () => {
	let cast: Rotocast;
	beforeAll(() => void (cast = rotocast(input({ rimLengthMm: 200 }))));
	it('mass is conserved: area × wall and the rim, by hand', () => {
		expect(cast.rimVolumeMl).toBeCloseTo((200 * 6 * 2) / 1000, 9);
		expect(cast.totalVolumeMl).toBeCloseTo(42 * 4 + 2.4, 9);
		expect(cast.totalMassG).toBeCloseTo(1.05 * (168 + 2.4), 9);
		expect(cast.layers.reduce((s, l) => s + l.thicknessMm, 0)).toBeCloseTo(4, 9);
	});
	it('clocks come in their order, and each layer begins inside the window of the one before', () => {
		cast.layers.forEach((l, i) => {
			expect(l.startS).toBeLessThanOrEqual(l.lockS);
			expect(l.lockS).toBeLessThanOrEqual(l.gelS);
			expect(l.gelS).toBeLessThanOrEqual(l.recoatFromS);
			expect(l.recoatFromS).toBeLessThan(l.recoatUntilS);
			const next = cast.layers[i + 1];
			if (next) {
				expect(next.startS).toBeGreaterThanOrEqual(l.recoatFromS - 1e-9);
				expect(next.startS).toBeLessThanOrEqual(l.recoatUntilS);
			}
		});
		expect(cast.demouldS).toBeGreaterThan(cast.layers.at(-1)!.gelS);
	});
	it('1 mm of a gradual 2.5 min resin is firm for the next in 5 to 11 min (common practice, no source)', () => {
		expect(cast.layers[0]!.recoatFromS).toBeGreaterThan(300);
		expect(cast.layers[0]!.recoatFromS).toBeLessThan(660);
	});
	it('the first carries the detail, the last is drained and says that it sags as its film does', () => {
		expect(cast.layers[0]!.serves).toMatch(/detail/);
		const last = cast.layers.at(-1)!;
		expect(last.serves).toMatch(/upside down/);
		expect(last.sags).toBe(last.thicken > 1);
		// a wall that must drain ten times as high keeps a film √10 thicker at the same age (Jeffreys 1930)
		const low = rotocast(input({ drainMm: 1 })).layers.at(-1)!;
		expect(low.thicken).toBeGreaterThan(last.thicken);
		expect(low.sags).toBe(true);
		expect(cast.layers[0]!.thicken).toBe(1);
	});
	it('a snap-cure is warned of with its turns; a gradual one is not', () => {
		const snap = rotocast(input({ resin: resin('snap') }));
		expect(snap.warnings.map((w) => w.code)).toContain('puddle');
		expect(Math.min(...snap.layers.map((l) => l.turns))).toBeLessThan(TURNS_WANTED);
		expect(cast.warnings.map((w) => w.code)).not.toContain('puddle');
		expect(snap.thickestMm).toBeLessThan(cast.thickestMm);
	});
	it('schools: kicking begins earlier than gel, hard later', () => {
		const second = (school: 'kicking' | 'gel' | 'hard') => rotocast(input({ school })).layers[1]!.startS;
		expect(second('kicking')).toBeLessThan(second('gel'));
		expect(second('gel')).toBeLessThan(second('hard'));
	});
	it('a warm mould is quicker; more layers are thinner and lock later', () => {
		expect(rotocast(input({ mouldTempC: 35 })).layers[0]!.gelS).toBeLessThan(cast.layers[0]!.gelS);
		const [two, eight] = [2, 8].map((layers) => rotocast(input({ layers })).layers[0]!);
		expect(eight!.lockS).toBeLessThan(two!.lockS);
	});
	it.each([
		[{ areaMm2: 0 }],
		[{ wallMm: 0 }],
		[{ layers: 0 }],
		[{ layers: 2.5 }],
		[{ turnS: 0 }],
		[{ viscosityMpaS: -1 }],
		[{ mouldTempC: NaN }]
	])('%j is refused', (over) => {
		expect(() => rotocast(input(over))).toThrow();
	});
});

describe('a fillerMix copy', () => {
	const shell = { cavityMl: 300, castMl: 100, castG: 105 };
	it('by hand: 200 ml of plaster at 1.7 in a shell of 105 g', () => {
		const b = copyBalance({
			...shell,
			fill: { kind: 'plaster', densityGPerMl: FILLS.plaster.densityGPerMl, lossPercent: 10 }
		});
		expect(b.fillMl).toBeCloseTo(200, 9);
		expect(b.massG).toBeCloseTo(105 + 340, 9);
		expect(b.mixG).toBeCloseTo(374, 9);
		expect(b.floats).toBe(false);
	});
	it('hollow it floats with 35 % under water; 195 g just sink it', () => {
		const b = copyBalance(shell);
		expect(b.underWater).toBeCloseTo(0.35, 9);
		expect(b.toNeutralG).toBeCloseTo(195, 9);
		const weighted = copyBalance({
			...shell,
			inserts: [{ name: 'lead', massG: b.toNeutralG, volumeMl: 17 }]
		});
		expect(weighted.densityGPerMl).toBeCloseTo(1, 9);
	});
	it('volume is conserved, whatever is set in', () => {
		fc.assert(
			fc.property(fc.double({ min: 0, max: 190, noNaN: true }), (volumeMl) => {
				const b = copyBalance({
					...shell,
					fill: { kind: 'foam', densityGPerMl: 0.1 },
					inserts: [{ name: 'wire', massG: 20, volumeMl }]
				});
				expect(b.fillMl + b.insertsMl + 100).toBeCloseTo(300, 6);
			})
		);
	});
	it('what does not go in is refused with both volumes', () => {
		expect(() => copyBalance({ ...shell, inserts: [{ name: 'brick', massG: 500, volumeMl: 250 }] })).toThrow(
			/takes 350 ml and the cavity holds 300 ml/
		);
	});
});

describe('layers with grains in them', () => {
	const model = calibrate(resin('quick'));
	const aluminium = {
		fillers: [{ massShare: 0.6, densityGPerMl: 2.7, conductivityWPerMK: 200, specificHeatJPerGK: 0.9 }],
		viscosityFactor: 4
	};
	const setup = {
		layersMm: [4, 4, 4],
		mouldWallMm: 12,
		startTempC: 23,
		mouldTempC: 23,
		roomTempC: 23,
		mixS: 45,
		nextAt: 0.5,
		recoatUntil: 0.8
	};
	const run = (fillerMix: readonly (typeof aluminium | undefined)[]) =>
		solveLayered(model, { ...setup, fillerMix });

	it('all of one mix are the model of that mix', () => {
		const each = run([aluminium, aluminium, aluminium]);
		const whole = solveLayered(fillerMixModel(model, aluminium), setup);
		expect(each.peakTempC).toBeCloseTo(whole.peakTempC, 9);
		expect(each.demouldS).toBeCloseTo(whole.demouldS, 6);
	});
	it('a loaded face is cooler and later, and the heat of all still adds up', () => {
		const [plain, face] = [run([]), run([aluminium])];
		expect(face.layers[0]!.gelLastS).toBeGreaterThan(plain.layers[0]!.gelLastS);
		expect(face.peakTempC).toBeLessThanOrEqual(plain.peakTempC);
		const { releasedJ, broughtJ, storedJ, lostJ } = face.energy;
		expect(Math.abs(releasedJ + broughtJ - storedJ - lostJ) / releasedJ).toBeLessThan(1e-3);
	});
	it('a film is carried by the root of its viscosity (Moffatt), its cure left as it is', () => {
		const thin = rotocast(input({ wallMm: 1 }));
		const thick = rotocast(input({ wallMm: 1, viscosityMpaS: 300 }));
		expect(thick.thickestMm / thin.thickestMm).toBeCloseTo(Math.SQRT2, 6);
	});
});
