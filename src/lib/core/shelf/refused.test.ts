import { describe, expect, it } from 'vitest';
import type { z } from 'zod';
import {
	DEMO_FILLERS,
	DEMO_RELEASES,
	DEMO_RESINS,
	DEMO_RUBBERS,
	DEMO_THERMOPLASTICS
} from '../../server/seed/materials';
import {
	containerRecord,
	fillerRecord,
	releaseRecord,
	resinRecord,
	rubberRecord,
	thermoplasticRecord
} from '.';

const tin = { materialId: 'x', part: 'A', sizeG: 5000, weighedG: 4000 };
const long = 'x'.repeat(5000);

/** Record, a good one, and what is wrong with it at which field. */
const CASES: [string, z.ZodType, object, [object, string][]][] = [
	[
		'resin',
		resinRecord,
		DEMO_RESINS[0]!,
		[
			[{ name: '' }, 'name'],
			[{ name: long }, 'name'],
			[{ family: 'magic urethane' }, 'family'],
			[{ densityAGPerMl: 0 }, 'densityAGPerMl'],
			[{ densityAGPerMl: NaN }, 'densityAGPerMl'],
			[{ weightB: undefined }, 'weightB'],
			[{ potLifeS: 1 }, 'potLifeS'],
			[{ demouldS: -5 }, 'demouldS'],
			[{ viscosityMpaS: 0 }, 'viscosityMpaS'],
			[{ viscosityTempC: 200 }, 'viscosityTempC'],
			[{ curedShade: 'plaid' }, 'curedShade'],
			[{ colourSide: 'C' }, 'colourSide'],
			[{ potLifeConversion: 0.6, gelConversion: 0.5 }, 'gelConversion'],
			[{ recoatConversion: 0.3 }, 'recoatConversion'],
			[{ note: long }, 'note']
		]
	],
	[
		'rubber',
		rubberRecord,
		DEMO_RUBBERS[0]!,
		[
			[{ cureKind: 'sunlight' }, 'cureKind'],
			[{ use: 'eating' }, 'use'],
			[{ ratioA: 0 }, 'ratioA'],
			[{ workingTimeS: 5 }, 'workingTimeS'],
			[{ recoatS: 5 }, 'recoatS'],
			[{ mostTempC: 5000 }, 'mostTempC'],
			[{ shoreA: 101 }, 'shoreA']
		]
	],
	[
		'filler',
		fillerRecord,
		DEMO_FILLERS[0]!,
		[
			[{ densityGPerMl: 99 }, 'densityGPerMl'],
			[{ bulkDensityGPerMl: 9 }, 'bulkDensityGPerMl'],
			[{ grainMm: 0 }, 'grainMm'],
			[{ family: 'confetti' }, 'family']
		]
	],
	[
		'release',
		releaseRecord,
		DEMO_RELEASES[0]!,
		[
			[{ kind: 'butter' }, 'kind'],
			[{ flashOffS: -1 }, 'flashOffS'],
			[{ flashOffS: 1e9 }, 'flashOffS'],
			[{ everyPulls: 0 }, 'everyPulls'],
			[{ everyPulls: 1.5 }, 'everyPulls'],
			[{ paintable: 'maybe' }, 'paintable']
		]
	],
	[
		'thermoplastic',
		thermoplasticRecord,
		DEMO_THERMOPLASTICS[0]!,
		[
			[{ softenTempC: 10 }, 'softenTempC'],
			[{ softenTempC: 900 }, 'softenTempC'],
			[{ densityGPerMl: 0 }, 'densityGPerMl'],
			[{ coolS: 1 }, 'coolS']
		]
	],
	[
		'tin',
		containerRecord,
		tin,
		[
			[{ slowerPercent: 900 }, 'slowerPercent'],
			[{ slowerPercent: -80 }, 'slowerPercent'],
			[{ lot: long }, 'lot'],
			[{ useBy: '31.12.2026' }, 'useBy']
		]
	]
];

describe.each(CASES)('%s', (_name, schema, good, bad) => {
	it('the good one is taken', () => {
		expect(schema.safeParse(good).error?.issues).toBeUndefined();
	});
	it.each(bad)('%j is refused at its field with a sentence', (over, field) => {
		const issues = schema.safeParse({ ...good, ...over }).error?.issues ?? [];
		const own = issues.find((i) => i.path[0] === field);
		expect(own, field).toBeDefined();
		expect(own!.message).toMatch(/[a-z]{3,}/);
	});
	it('what is missing is asked for, never guessed', () => {
		const result = schema.safeParse({});
		expect(result.success).toBe(false);
		expect(result.error!.issues.length).toBeGreaterThan(0);
	});
});
