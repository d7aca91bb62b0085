import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { sprue, type SprueInput } from '.';

const resin: SprueInput = {
	volumeMl: 100,
	diameterMm: 6,
	lengthMm: 30,
	viscosityMpaS: 1000,
	densityGPerMl: 1.1
};

describe('filling through a sprue', () => {
	it('water at 20 °C (1.002 mPa·s, CRC Handbook) in a capillary of 1 mm, by hand', () => {
		// Δp = 998.2·9.80665·0.1 = 978.9 Pa; 998.2·v² + 8·1.002e-3·0.1/(5e-4)²·v = 978.9: v = 0.2808 m/s, Q = 0.2205 ml/s
		const r = sprue({
			volumeMl: 10,
			diameterMm: 1,
			lengthMm: 100,
			viscosityMpaS: 1.002,
			densityGPerMl: 0.9982
		});
		expect(r.flowMlPerS).toBeCloseTo(0.2205, 3);
		expect(r.fillS).toBeCloseTo(45.35, 1);
		expect(r.reynolds).toBeLessThan(2000);
	});

	it('thin liquid in a wide sprue: all of the head goes into speed; thick in a narrow one: all into friction', () => {
		const r = sprue({ ...resin, viscosityMpaS: 1, diameterMm: 20, headMm: 50 });
		// A·√(gh) = π·1² cm² · √(980.665·5) cm/s, a laminar stream leaving with twice the energy of its mean speed
		expect(r.flowMlPerS / (Math.PI * Math.sqrt(980.665 * 5))).toBeCloseTo(1, 2);
		// Hagen–Poiseuille, Q = π·Δp·r⁴/(8·μ·L)
		const thick = sprue({ ...resin, viscosityMpaS: 50_000 });
		const alone = ((Math.PI * 1100 * 9.80665 * 0.03 * 0.003 ** 4) / (8 * 50 * 0.03)) * 1e6;
		expect(thick.flowMlPerS / alone).toBeCloseTo(1, 4);
		expect(r.warnings.map((w) => w.code)).toEqual(['rushes']);
	});

	it('half the time that is left is enough, more asks for a wider sprue or a syringe', () => {
		const { fillS } = sprue(resin);
		expect(sprue({ ...resin, remainingS: 2.01 * fillS }).warnings).toEqual([]);
		expect(sprue({ ...resin, remainingS: 1.5 * fillS }).warnings.map((w) => w.code)).toEqual([
			'fills-slowly'
		]);
		const late = sprue({ ...resin, remainingS: 0.5 * fillS });
		expect(late.warnings[0]).toMatchObject({ code: 'never-fills', severity: 'harm' });
		expect(late.warnings[0]!.action).toMatch(/syringe/);
		// the wider one does what it promises
		const wider = sprue({ ...resin, diameterMm: 1.0001 * late.neededDiameterMm!, remainingS: 0.5 * fillS });
		expect(wider.fillS / (0.25 * fillS)).toBeCloseTo(1, 2);
		expect(wider.warnings).toEqual([]);
	});
	it('the promised width gives the promised time, thin or thick', () => {
		fc.assert(
			fc.property(
				fc.double({ min: 1, max: 50_000, noNaN: true }),
				fc.double({ min: 1, max: 1000, noNaN: true }),
				(viscosityMpaS, remainingS) => {
					const narrow = sprue({ ...resin, diameterMm: 0.5, viscosityMpaS, remainingS });
					if (narrow.neededDiameterMm === undefined || narrow.neededDiameterMm > 200) return;
					const fed = sprue({ ...resin, diameterMm: narrow.neededDiameterMm, viscosityMpaS });
					expect(fed.fillS / (remainingS / 2)).toBeCloseTo(1, 9);
				}
			)
		);
	});

	it('twice as wide is up to sixteen times as quick, never slower', () => {
		fc.assert(
			fc.property(
				fc.double({ min: 1, max: 40, noNaN: true }),
				fc.double({ min: 1, max: 50_000, noNaN: true }),
				(diameterMm, viscosityMpaS) => {
					const a = sprue({ ...resin, diameterMm, viscosityMpaS }).fillS;
					const b = sprue({ ...resin, diameterMm: 2 * diameterMm, viscosityMpaS }).fillS;
					expect(a / b).toBeGreaterThanOrEqual(4 - 1e-9);
					expect(a / b).toBeLessThanOrEqual(16 + 1e-9);
				}
			)
		);
	});

	it.each([
		[{ volumeMl: 0 }, 'volumeMl'],
		[{ diameterMm: 0 }, 'diameterMm'],
		[{ lengthMm: NaN }, 'lengthMm'],
		[{ viscosityMpaS: -1 }, 'viscosityMpaS'],
		[{ remainingS: 0 }, 'remainingS']
	])('%j is refused at its field', (over, field) => {
		expect(() => sprue({ ...resin, ...over })).toThrow(
			expect.objectContaining({ issues: [expect.objectContaining({ path: [field] })] })
		);
	});
});
