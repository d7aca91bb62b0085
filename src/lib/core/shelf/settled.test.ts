import { describe, expect, it } from 'vitest';
import { DEMO_RESINS, DEMO_RUBBERS } from '../../server/seed/materials';
import { calibrate, cup } from '../cure';
import { mouldBlock } from '../mould';
import { WORKSHOP_DEFAULTS, workshopSettings } from '../workshop';
import {
	chemistryOf,
	cureOf,
	isCatalysed,
	mixable,
	mixedDensityGPerMl,
	ratiosOf,
	resinRecord,
	rubberForBlock,
	rubberRecord
} from '.';

const resin = (name: string) => resinRecord.parse(DEMO_RESINS.find((r) => r.name === name));

describe('what a record hands on', () => {
	it('density of the mix, by hand: two halves by volume of 1.10 and 0.99', () => {
		expect(mixedDensityGPerMl(resin('Lantern white'))).toBeCloseTo(1.045, 3);
		expect(mixedDensityGPerMl(resin('Amber clear'))).toBe(1.11);
	});

	it('both ratios from the one that the sheet gave: 115:100 by weight with 1.15 and 1.00 is one to one', () => {
		expect(ratiosOf(resin('Glasswater clear'))!.volumeB).toBeCloseTo(100, 6);
		expect(ratiosOf(resin('Marlin slow'))!.weightB).toBeCloseTo(50 / 1.14, 6);
		expect(ratiosOf(resin('Amber clear'))).toBeUndefined();
	});

	it.each(DEMO_RESINS.map((r) => r.name))('%s comes out of the cure engine with its sheet', (name) => {
		const record = resin(name);
		const cure = cureOf(record);
		expect(calibrate(cure).defaulted).not.toContain('densityGPerMl');
		if (!isCatalysed(record.family)) {
			const life = cup({ resin: cure, massG: 100, startTempC: 23, roomTempC: 23 }).potLifeS;
			expect(life / record.potLifeS!).toBeCloseTo(1, 4);
		} else {
			const film = cup({ resin: cure, massG: 3, startTempC: 25, roomTempC: 25, cupDiameterMm: 250 });
			expect(film.gelTimeS / record.referenceGelS!).toBeCloseTo(1, 1);
		}
	});

	it('the container’s own speed and additives reach the engine', () => {
		const at = { massG: 100, startTempC: 23, roomTempC: 23 };
		const record = resin('Lantern white');
		const plain = cup({ resin: cureOf(record), ...at }).potLifeS;
		expect(cup({ resin: cureOf(record, 2), ...at }).potLifeS).toBeLessThan(plain * 0.6);
		expect(cup({ resin: cureOf({ ...record, lengtheningPercent: 50 }), ...at }).potLifeS).toBeGreaterThan(
			plain * 1.3
		);
		expect(cup({ resin: cureOf({ ...record, heatOfCureJPerG: 300 }), ...at }).peakTempC).toBeGreaterThan(150);
	});

	it('chemistry follows the family', () => {
		expect(chemistryOf('clear polyester')).toBe('polyester');
		expect(chemistryOf('epoxy')).toBe('epoxy');
		expect(chemistryOf('flexible urethane')).toBe('urethane');
		expect(mixable(resin('Quarry general')).catalyst).toMatchObject({ percent: 2, dropsPerMl: 22 });
	});

	it.each(DEMO_RUBBERS.map((r) => [r.name, rubberRecord.parse(r)] as const))(
		'%s fills a block',
		(_name, rubber) => {
			const block = mouldBlock({
				cavity: { shape: 'box', lengthMm: 80, widthMm: 60, heightMm: 50 },
				masterVolumeMl: 40,
				rubber: rubberForBlock(rubber),
				roomTempC: rubber.refTempC
			});
			expect(block.rubber.massG).toBeCloseTo(200 * rubber.densityGPerMl, 6);
			expect(block.readyInS).toBeCloseTo(rubber.cureTimeS, 6);
		}
	);
});

describe('a catalysed record', () => {
	const amber = DEMO_RESINS.find((r) => r.name === 'Amber clear')!;
	it.each([
		[{ catalystPercent: undefined }, 'catalystPercent'],
		[{ referencePercent: undefined }, 'referencePercent'],
		[{ referenceGelS: undefined }, 'referenceGelS'],
		[{ catalystPercent: 40 }, 'catalystPercent'],
		[{ dropsPerMl: 0 }, 'dropsPerMl']
	])('%j is refused at its field', (over, field) => {
		const result = resinRecord.safeParse({ ...amber, ...over });
		expect(result.error!.issues.map((i) => i.path[0])).toContain(field);
	});
	it('needs neither pot life nor a B, which another resin does', () => {
		expect(resinRecord.safeParse(amber).success).toBe(true);
		const result = resinRecord.safeParse({ ...DEMO_RESINS[0]!, potLifeS: undefined });
		expect(result.error!.issues[0]!.path).toEqual(['potLifeS']);
	});
	it('gel before the end of pot life is refused for every family', () => {
		for (const record of [amber, DEMO_RESINS[0]!]) {
			const result = resinRecord.safeParse({ ...record, potLifeConversion: 0.5, gelConversion: 0.3 });
			expect(result.error!.issues[0]!.path).toEqual(['gelConversion']);
		}
	});
});

describe('the workshop', () => {
	it('begins with defaults that are in range', () => {
		expect(workshopSettings.safeParse(WORKSHOP_DEFAULTS).success).toBe(true);
	});
	it.each([
		[{ roomTempC: 300 }, 'roomTempC'],
		[{ relativeHumidity: 0 }, 'relativeHumidity'],
		[{ scaleResolutionG: 0 }, 'scaleResolutionG'],
		[{ potVolumeL: NaN }, 'potVolumeL'],
		[{ freeAirLPerMin: -1 }, 'freeAirLPerMin'],
		[{ potName: '   ' }, 'potName'],
		[{ marginPercent: 95 }, 'marginPercent'],
		[{ units: 'cubits' }, 'units']
	])('%j is refused at its field, never put right in silence', (over, field) => {
		const result = workshopSettings.safeParse({ ...WORKSHOP_DEFAULTS, ...over });
		expect(result.error!.issues[0]!.path).toEqual([field]);
	});
	it('nothing at all is not a workshop', () => {
		expect(workshopSettings.safeParse({}).success).toBe(false);
	});
});
