import { expect, it } from 'vitest';
import { cup } from '../cure';
import { bPerAByWeight } from '../mix';
import { cureOf, isCatalysed, mixable, starterShelf, TYPICAL_RESIN_NAMES, typicalResin } from '.';

/** Ranges of the trade, s (common practice, no source). */
const POT_LIFE_S = {
	fast: [120, 180],
	clear: [120, 180],
	gradual: [120, 180],
	slow: [300, 600],
	flexible: [180, 900],
	epoxy: [3600, 5400]
} as const;

it('every typical resin lies inside the ranges of its kind, and its cup gives back its own time', () => {
	for (const [kind, [low, high]] of Object.entries(POT_LIFE_S)) {
		const record = typicalResin(kind as keyof typeof POT_LIFE_S);
		expect(record.potLifeS).toBeGreaterThanOrEqual(low);
		expect(record.potLifeS).toBeLessThanOrEqual(high);
		const { potLifeS } = cup({
			resin: cureOf(record),
			massG: record.potLifeMassG,
			startTempC: record.potLifeTempC,
			roomTempC: record.potLifeTempC
		});
		expect(potLifeS / record.potLifeS!).toBeCloseTo(1, 2);
	}
	for (const kind of TYPICAL_RESIN_NAMES.filter((k) => !(k in POT_LIFE_S))) {
		const record = typicalResin(kind);
		expect(isCatalysed(record.family)).toBe(true);
		expect(record.catalystPercent).toBeGreaterThanOrEqual(1);
		expect(record.catalystPercent).toBeLessThanOrEqual(2);
	}
});

it('equal cups weigh what the sheets of their kind say: 100:88 to 100:90, and 115:100 (common practice, no source)', () => {
	const parts = (kind: 'fast' | 'clear') => {
		const { ratio, densityAGPerMl, densityBGPerMl } = mixable(typicalResin(kind));
		return bPerAByWeight(ratio!, densityAGPerMl, densityBGPerMl!);
	};
	expect(100 * parts('fast')).toBeGreaterThan(87.5);
	expect(100 * parts('fast')).toBeLessThan(90.5);
	expect(115 * parts('clear')).toBeCloseTo(100, 0);
});

it('every material of the starter shelf says that it is typical, under a name of its own', () => {
	const all = Object.values(starterShelf()).flat();
	expect(all.length).toBeGreaterThan(20);
	expect(all.every((m) => m.typical && m.note.includes('replace it by your sheet'))).toBe(true);
	expect(new Set(all.map((m) => m.name)).size).toBe(all.length);
});
