/**
 * A shelf to begin with: one material of each kind under a plain name. The figures lie inside the ranges that the trade
 * goes by (common practice, no source) and are nobody's sheet: each record says that it is typical of its kind.
 */
import type { z } from 'zod';
import { colourRecord } from './colour';
import { fillerRecord } from './filler';
import { releaseRecord, thermoplasticRecord } from './release';
import { resinRecord } from './resin';
import { rubberRecord } from './rubber';

const typical = { typical: true, note: 'Typical of its kind: replace it by your sheet.' } as const;
/** Equal parts in the cup, and what that weighs by the two densities. */
const equalCups = { volumeA: 1, volumeB: 1 } as const;

const RESINS: Readonly<Record<string, Omit<z.input<typeof resinRecord>, keyof typeof typical>>> = {
	fast: {
		name: 'Fast white, typical',
		family: 'fast urethane',
		densityAGPerMl: 1.1,
		densityBGPerMl: 0.98,
		...equalCups,
		potLifeS: 150,
		potLifeLowS: 120,
		potLifeHighS: 180,
		demouldS: 900,
		demouldLowS: 600,
		demouldHighS: 1200,
		character: 'quick',
		viscosityMpaS: 100,
		curedShade: 'white'
	},
	clear: {
		name: 'Water-clear, typical',
		family: 'water-clear urethane',
		densityAGPerMl: 1.08,
		densityBGPerMl: 0.94,
		...equalCups,
		potLifeS: 150,
		demouldS: 780,
		demouldLowS: 600,
		demouldHighS: 900,
		character: 'snap',
		viscosityMpaS: 120,
		curedShade: 'clear'
	},
	gradual: {
		name: 'Gradual for rolling, typical',
		family: 'gradual urethane',
		densityAGPerMl: 1.1,
		densityBGPerMl: 1.0,
		...equalCups,
		potLifeS: 150,
		demouldS: 2400,
		demouldLowS: 1800,
		demouldHighS: 3600,
		demouldSectionMm: 4,
		character: 'gradual',
		viscosityMpaS: 180,
		curedShade: 'off-white'
	},
	slow: {
		name: 'Slow for larger parts, typical',
		family: 'slow urethane',
		densityAGPerMl: 1.12,
		densityBGPerMl: 1.01,
		...equalCups,
		potLifeS: 480,
		potLifeLowS: 360,
		potLifeHighS: 600,
		demouldS: 4500,
		demouldLowS: 3600,
		demouldHighS: 5400,
		character: 'quick',
		viscosityMpaS: 250,
		curedShade: 'off-white'
	},
	flexible: {
		name: 'Flexible, typical',
		family: 'flexible urethane',
		densityAGPerMl: 1.06,
		densityBGPerMl: 1.03,
		...equalCups,
		potLifeS: 360,
		demouldS: 5400,
		character: 'gradual',
		viscosityMpaS: 900
	},
	epoxy: {
		name: 'Slow epoxy, typical',
		family: 'epoxy',
		densityAGPerMl: 1.14,
		densityBGPerMl: 1.0,
		volumeA: 2,
		volumeB: 1,
		potLifeS: 4500,
		potLifeLowS: 3600,
		potLifeHighS: 5400,
		demouldS: 86_400,
		character: 'gradual',
		viscosityMpaS: 700
	},
	'clear-polyester': {
		name: 'Clear polyester, typical',
		family: 'clear polyester',
		densityAGPerMl: 1.11,
		catalystPercent: 1,
		referencePercent: 1,
		referenceGelS: 1080,
		referenceTempC: 25,
		catalystDensityGPerMl: 1.12,
		demouldS: 50_400,
		character: 'gradual',
		viscosityMpaS: 350,
		curedShade: 'clear'
	},
	polyester: {
		name: 'General-purpose polyester, typical',
		family: 'general-purpose polyester',
		densityAGPerMl: 1.12,
		catalystPercent: 2,
		referencePercent: 2,
		referenceGelS: 840,
		referenceTempC: 25,
		catalystDensityGPerMl: 1.12,
		demouldS: 7200,
		character: 'gradual',
		viscosityMpaS: 500,
		curedShade: 'amber'
	},
	'water-extended': {
		name: 'Water-extended polyester, typical',
		family: 'water-extended polyester',
		densityAGPerMl: 1.1,
		catalystPercent: 1.5,
		referencePercent: 1.5,
		referenceGelS: 600,
		referenceTempC: 25,
		catalystDensityGPerMl: 1.12,
		demouldS: 3600,
		character: 'gradual',
		viscosityMpaS: 900,
		heatOfCureJPerG: 180
	}
};

/** A resin of each kind by a short name. */
export type TypicalResin =
	| 'fast'
	| 'clear'
	| 'gradual'
	| 'slow'
	| 'flexible'
	| 'epoxy'
	| 'clear-polyester'
	| 'polyester'
	| 'water-extended';
export const TYPICAL_RESIN_NAMES = Object.keys(RESINS) as [TypicalResin, ...TypicalResin[]];

/**
 * A resin that is typical of its kind.
 * @throws ZodError never, as its test holds: a figure out of range would be a mistake of this file
 * @example
 * typicalResin('fast').potLifeS; // 150
 */
export const typicalResin = (kind: TypicalResin) => resinRecord.parse({ ...RESINS[kind]!, ...typical });

/**
 * What the shelf begins with, by kind of material.
 * @throws ZodError never, as its test holds: a figure out of range would be a mistake of this file
 * @example
 * starterShelf().rubber.length; // 4
 */
export const starterShelf = () => ({
	resin: TYPICAL_RESIN_NAMES.map(typicalResin),
	rubber: [
		{
			name: 'Soft platinum, typical',
			cureKind: 'addition',
			densityGPerMl: 1.1,
			ratioA: 1,
			ratioB: 1,
			workingTimeS: 2100,
			cureTimeS: 14_400,
			viscosityMpaS: 15_000,
			shoreA: 20
		},
		{
			name: 'Tin block rubber, typical',
			cureKind: 'condensation',
			densityGPerMl: 1.15,
			ratioA: 100,
			ratioB: 10,
			workingTimeS: 2400,
			cureTimeS: 61_200,
			viscosityMpaS: 20_000,
			shoreA: 25
		},
		{
			name: 'High-heat tin rubber, typical',
			cureKind: 'condensation',
			use: 'high-heat',
			densityGPerMl: 1.35,
			ratioA: 100,
			ratioB: 3,
			workingTimeS: 1800,
			cureTimeS: 61_200,
			viscosityMpaS: 35_000,
			shoreA: 35
		},
		{
			name: 'Brush-on platinum, typical',
			cureKind: 'addition',
			use: 'brush-on',
			densityGPerMl: 1.12,
			ratioA: 1,
			ratioB: 1,
			workingTimeS: 1200,
			cureTimeS: 10_800,
			recoatS: 1800,
			viscosityMpaS: 60_000,
			shoreA: 22
		}
	].map((r) => rubberRecord.parse({ ...r, ...typical })),
	filler: [
		{
			name: 'Hollow spheres, typical',
			family: 'hollow spheres',
			densityGPerMl: 0.2,
			bulkDensityGPerMl: 0.12,
			grainMm: 0.06
		},
		{
			name: 'Bronze powder, typical',
			family: 'metal powder',
			densityGPerMl: 8.7,
			bulkDensityGPerMl: 3.4,
			grainMm: 0.04
		},
		{
			name: 'Stone flour, typical',
			family: 'mineral powder',
			densityGPerMl: 2.7,
			bulkDensityGPerMl: 0.9,
			grainMm: 0.02
		},
		{
			name: 'Fumed silica, typical',
			family: 'fumed silica',
			densityGPerMl: 2.2,
			bulkDensityGPerMl: 0.05,
			creamyScoopsPerB: 0.8,
			pasteScoopsPerB: 2
		}
	].map((f) => fillerRecord.parse({ ...f, ...typical })),
	colour: [
		{ name: 'Liquid dye, typical', kind: 'dye', densityGPerMl: 1.05, mostPercent: 2 },
		{ name: 'Pigment paste, typical', kind: 'pigment paste', densityGPerMl: 1.4, mostPercent: 5 }
	].map((c) => colourRecord.parse({ ...c, ...typical })),
	release: [
		{ name: 'Talc', kind: 'talc' },
		{ name: 'Paste wax', kind: 'wax' },
		{ name: 'Silicone release spray, typical', kind: 'silicone spray' },
		{ name: 'Barrier coat, typical', kind: 'barrier coat' }
	].map((r) => releaseRecord.parse({ ...r, ...typical })),
	thermoplastic: [{ name: 'Re-meltable, typical', softenTempC: 90, densityGPerMl: 0.97, coolS: 3600 }].map(
		(t) => thermoplasticRecord.parse({ ...t, ...typical })
	)
});
