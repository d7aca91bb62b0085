import { describe, expect, it } from 'vitest';
import { stagesOf, type CureRecord } from '.';

const clear: CureRecord = {
	chemistry: 'polyester',
	demouldS: 14_400,
	character: 'gradual',
	catalyst: { percent: 1, referencePercent: 1, referenceGelS: 1200 }
};
const at = (more: object = {}, resin = clear) =>
	stagesOf(resin, {
		section: { shape: 'slab', thicknessMm: 12 },
		mouldWallMm: 12,
		startTempC: 20,
		mouldTempC: 20,
		roomTempC: 20,
		...more
	});

// liquid, wobbling gel, soft and crumbly, firm, hard: the order of the trade (common practice, no source)
describe('the stages of a polyester', () => {
	it('come in their order, sooner in a warm room, sooner with more catalyst', () => {
		const { gelS, softS, firmS, hardS } = at();
		expect([gelS, softS, firmS, hardS]).toEqual([gelS, softS, firmS, hardS].sort((a, b) => a - b));
		expect(at({ startTempC: 26, mouldTempC: 26, roomTempC: 26 }).hardS).toBeLessThan(hardS);
		expect(at({}, { ...clear, catalyst: { ...clear.catalyst!, percent: 2 } }).firmS).toBeLessThan(firmS);
	});
	it('a thin place is later than a thick one, which warms itself', () => {
		expect(at({ section: { shape: 'slab', thicknessMm: 3 } }).hardS).toBeGreaterThan(
			at({ section: { shape: 'slab', thicknessMm: 30 } }).hardS
		);
	});
});
