import { describe, expect, it } from 'vitest';
import { PRESSURE_KPA } from '../units';
import { atmosphereKpa, pot, potInput } from '.';

describe('air (U.S. Standard Atmosphere 1976, table I)', () => {
	it.each([
		[0, 101.325],
		[500, 95.461],
		[1500, 84.56],
		[3000, 70.121],
		[5000, 54.048]
	])('%d m', (altitudeM, kpa) => {
		expect(atmosphereKpa(altitudeM)).toBeCloseTo(kpa, 1);
	});
	it('outside the troposphere is refused', () => {
		expect(() => atmosphereKpa(12_000)).toThrow(/atmosphereKpa/);
		expect(() => atmosphereKpa(NaN)).toThrow(RangeError);
	});
});

const base = { potVolumeL: 10, contentsL: 2, freeAirLPerMin: 60, ratedGaugeKpa: 400 };
const at = (psi: number) => psi * PRESSURE_KPA.psi;

describe('pot', () => {
	it('40 psi at sea level leaves 0.269 of the volume and 0.645 of the diameter (Boyle, by hand)', () => {
		const r = pot({ ...base, gaugeKpa: at(40) });
		expect(r.bubbleVolumeRatio).toBeCloseTo(101.325 / (101.325 + 275.79), 4);
		expect(r.bubbleVolumeRatio).toBeCloseTo(0.269, 3);
		expect(r.bubbleDiameterRatio).toBeCloseTo(0.645, 3);
	});

	it('pumps 8 l free volume to one atmosphere gauge with 8 l of free air in 8 s', () => {
		const r = pot({ ...base, gaugeKpa: 101.325 });
		expect(r.freeAirL).toBeCloseTo(8, 9);
		expect(r.timeToPressureS).toBeCloseTo(8, 9);
	});

	it('stores Δp·V/(γ − 1): 100 kPa in 8 l is 2 kJ (Brode 1959, by hand)', () => {
		expect(pot({ ...base, gaugeKpa: 100 }).storedEnergyJ).toBeCloseTo(2000, 6);
	});

	it('thin air squeezes harder for the same gauge', () => {
		const low = pot({ ...base, gaugeKpa: 275, altitudeM: 0 });
		const high = pot({ ...base, gaugeKpa: 275, altitudeM: 2000 });
		expect(high.bubbleVolumeRatio).toBeLessThan(low.bubbleVolumeRatio);
	});

	it('is never worked out past the rating', () => {
		expect(() => pot({ ...base, gaugeKpa: 401 })).toThrow(/past the vessel's rating/);
	});

	it('has no room when the contents fill it', () => {
		expect(() => pot({ ...base, gaugeKpa: 100, contentsL: 10 })).toThrow(/take something out/);
	});

	it.each([{ gaugeKpa: -1 }, { gaugeKpa: NaN }, { gaugeKpa: 'forty' }, { gaugeKpa: 100, freeAirLPerMin: 0 }])(
		'%j is refused',
		(part) => {
			expect(potInput.safeParse({ ...base, ...part }).success).toBe(false);
		}
	);
});
