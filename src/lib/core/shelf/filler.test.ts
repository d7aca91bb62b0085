import { describe, expect, it } from 'vitest';
import { DEMO_FILLERS } from '../../server/seed/materials';
import { consistency, fillerRecord, settlingMm } from './filler';

const spheres = fillerRecord.parse(DEMO_FILLERS[0]);

describe('fillers', () => {
	it('those of the demo are in range; loose is never denser than solid', () => {
		for (const filler of DEMO_FILLERS) expect(fillerRecord.safeParse(filler).success).toBe(true);
		const result = fillerRecord.safeParse({ ...spheres, bulkDensityGPerMl: spheres.densityGPerMl * 2 });
		expect(result.error!.issues[0]!.path).toEqual(['bulkDensityGPerMl']);
	});

	it('Stokes: a 0.1 mm bronze grain in 100 mPa·s sinks by hand', () => {
		const bronze = { ...spheres, densityGPerMl: 8.7, bulkDensityGPerMl: 3, grainMm: 0.1 };
		// 2/9 · 7600 kg/m³ · 9.80665 · (5e-5 m)² / 0.1 Pa·s = 0.414 mm/s
		expect(settlingMm(bronze, 1.1, 100, 1)).toBeCloseTo(0.414, 3);
		expect(settlingMm(spheres, 1.1, 100, 60)!).toBeLessThan(0);
		expect(settlingMm({ ...spheres, grainMm: undefined }, 1.1, 100, 60)).toBeUndefined();
	});

	it('round grains go by viscosity, fibres by scoops, the worse counts', () => {
		const silica = { ...spheres, creamyScoopsPerB: 1, pasteScoopsPerB: 2 };
		expect(consistency(100, 3, []).consistency).toBe('pours');
		expect(consistency(100, 200, []).consistency).toBe('creamy');
		expect(consistency(100, null, [])).toEqual({ consistency: 'paste', viscosityMpaS: null });
		expect(consistency(100, 1.2, [{ record: silica, scoopsPerB: 1.4 }]).consistency).toBe('creamy');
		expect(consistency(100, 1.2, [{ record: silica, scoopsPerB: 2 }]).consistency).toBe('paste');
	});
});
