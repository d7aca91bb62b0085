import { describe, expect, it } from 'vitest';
import type { CureRecord } from './record';
import { sections } from './sections';

const room = { startTempC: 21, mouldTempC: 21, roomTempC: 21 };
const slab = (thicknessMm: number) => ({ shape: 'slab' as const, thicknessMm });
const limb = (thicknessMm: number) => ({ shape: 'cylinder' as const, thicknessMm });
const fast: CureRecord = { potLifeS: 150, demouldS: 900, character: 'quick' };
const slow: CureRecord = { potLifeS: 360, demouldS: 5400, character: 'gradual' };

describe('a solid cast by its thinnest and its thickest place', () => {
	it('is ready when both are, and gels from the first to the last of them', () => {
		const thin = sections(fast, { section: slab(4), mouldWallMm: 12 }, room);
		const thick = sections(fast, { section: slab(50), mouldWallMm: 12 }, room);
		const both = sections(fast, { section: slab(4), thickest: slab(50), mouldWallMm: 12 }, room);
		expect(both.demouldS).toBeGreaterThanOrEqual(Math.max(thin.demouldS, thick.demouldS) - 1e-6);
		expect(both.maturedS).toBeGreaterThanOrEqual(thin.maturedS - 1e-6);
		expect(both.gelLastS).toBe(Math.max(thin.gelLastS, thick.gelLastS));
		expect(both.gelFirstS).toBe(Math.min(thin.gelFirstS, thick.gelFirstS));
		expect(both.peakTempC).toBe(thick.peakTempC);
	});
	it('its heat is judged when the whole is ready: a lump that has cooled by then is not called hot', () => {
		const alone = sections(slow, { section: limb(60), mouldWallMm: 12 }, room);
		const waits = sections(slow, { section: slab(3), thickest: limb(60), mouldWallMm: 12 }, room);
		expect(alone.warnings.map((w) => w.code)).toContain('hot-core');
		expect(waits.demouldS).toBeGreaterThan(alone.demouldS * 1.5);
		expect(waits.warnings.map((w) => w.code)).not.toContain('hot-core');
	});
	it('a thickest place that is no thicker changes nothing', () => {
		const one = sections(fast, { section: slab(8), mouldWallMm: 12 }, room);
		expect(sections(fast, { section: slab(8), thickest: slab(8), mouldWallMm: 12 }, room)).toEqual(one);
	});
});
