import type { z } from 'zod';
import type {
	colourRecord,
	fillerRecord,
	markCupRecord,
	releaseRecord,
	resinRecord,
	rubberRecord,
	thermoplasticRecord
} from '$lib/core/shelf';

const sheet = { potLifeMassG: 100, potLifeTempC: 23, demouldSectionMm: 6 } as const;

const polyester = {
	...sheet,
	densityBGPerMl: undefined,
	weightA: undefined,
	weightB: undefined,
	volumeA: undefined,
	volumeB: undefined,
	potLifeS: undefined,
	character: 'gradual',
	referenceTempC: 25,
	dropsPerMl: 22,
	catalystDensityGPerMl: 1.12
} as const;

/** Invented resins; figures inside the ranges that the trade goes by (common practice, no source). */
export const DEMO_RESINS: z.input<typeof resinRecord>[] = [
	{
		...sheet,
		name: 'Lantern white',
		pricePerKg: 17,
		viscosityTempC: 23,
		viscosity2MpaS: 60,
		viscosity2TempC: 32,
		curedShade: 'white',
		family: 'fast urethane',
		densityAGPerMl: 1.1,
		densityBGPerMl: 0.99,
		weightA: 100,
		weightB: 90,
		volumeA: 1,
		volumeB: 1,
		potLifeS: 150,
		demouldS: 900,
		character: 'quick',
		viscosityMpaS: 90,
		note: 'The everyday white. Shake B well: its pigment settles.'
	},
	{
		...sheet,
		name: 'Harbour slow',
		pricePerKg: 24,
		curedShade: 'off-white',
		family: 'slow urethane',
		densityAGPerMl: 1.12,
		densityBGPerMl: 1.01,
		weightA: 100,
		weightB: 90,
		volumeA: undefined,
		volumeB: undefined,
		potLifeS: 480,
		demouldS: 4500,
		character: 'quick',
		viscosityMpaS: 160,
		note: 'For larger pieces and for two moulds at once.'
	},
	{
		...sheet,
		name: 'Bellows gradual',
		pricePerKg: 31,
		curedShade: 'white',
		family: 'gradual urethane',
		densityAGPerMl: 1.11,
		densityBGPerMl: 1.0,
		weightA: undefined,
		weightB: undefined,
		volumeA: 1,
		volumeB: 1,
		potLifeS: 150,
		demouldS: 1800,
		character: 'gradual',
		viscosityMpaS: 140,
		note: 'Thickens slowly; made for rolling.'
	},
	{
		...sheet,
		name: 'Glasswater clear',
		pricePerKg: 13,
		curedShade: 'clear',
		family: 'water-clear urethane',
		densityAGPerMl: 1.15,
		densityBGPerMl: 1.0,
		weightA: 115,
		weightB: 100,
		volumeA: 1,
		volumeB: 1,
		potLifeS: 150,
		demouldS: 840,
		character: 'snap',
		viscosityMpaS: 120,
		note: 'Shows every bubble: pot.'
	},
	{
		...sheet,
		name: 'Fender flexible',
		pricePerKg: 22,
		family: 'flexible urethane',
		densityAGPerMl: 1.06,
		densityBGPerMl: 1.03,
		weightA: undefined,
		weightB: undefined,
		volumeA: 1,
		volumeB: 1,
		potLifeS: 360,
		demouldS: 5400,
		character: 'gradual',
		viscosityMpaS: 900,
		note: ''
	},
	{
		...sheet,
		name: 'Marlin slow',
		pricePerKg: 28,
		curedShade: 'amber',
		family: 'epoxy',
		densityAGPerMl: 1.14,
		densityBGPerMl: 1.0,
		weightA: undefined,
		weightB: undefined,
		volumeA: 2,
		volumeB: 1,
		potLifeS: 4800,
		demouldS: 86_400,
		character: 'gradual',
		viscosityMpaS: 650,
		note: 'A third longer when it is loaded with pigment.'
	},
	{
		...polyester,
		name: 'Amber clear',
		pricePerKg: 19,
		curedShade: 'clear',
		family: 'clear polyester',
		densityAGPerMl: 1.11,
		referencePercent: 1,
		catalystPercent: 1,
		referenceGelS: 1080,
		demouldS: 50_400,
		viscosityMpaS: 350,
		note: 'Thick blocks in layers, each at the gel of the last.'
	},
	{
		...polyester,
		name: 'Quarry general',
		pricePerKg: 26,
		family: 'general-purpose polyester',
		densityAGPerMl: 1.12,
		referencePercent: 2,
		catalystPercent: 2,
		referenceGelS: 840,
		demouldS: 7200,
		viscosityMpaS: 500,
		note: 'For metal and mineral powder.'
	},
	{
		...polyester,
		name: 'Weir extended',
		pricePerKg: 17,
		family: 'water-extended polyester',
		densityAGPerMl: 1.1,
		referencePercent: 1.5,
		catalystPercent: 1.5,
		referenceGelS: 480,
		demouldS: 3600,
		heatOfCureJPerG: 180,
		viscosityMpaS: 900,
		note: 'Takes its own weight of water: cool, cheap, heavy.'
	}
];

/** Invented mould rubbers. */
export const DEMO_RUBBERS: z.input<typeof rubberRecord>[] = [
	{
		name: 'Tidal grey',
		pricePerKg: 34,
		cureKind: 'addition',
		densityGPerMl: 1.11,
		ratioBy: 'weight',
		ratioA: 1,
		ratioB: 1,
		workingTimeS: 2100,
		cureTimeS: 14_400,
		refTempC: 23,
		viscosityMpaS: 12_000,
		shoreA: 20,
		note: 'Trial patch on anything printed.'
	},
	{
		name: 'Slipway red',
		pricePerKg: 22,
		cureKind: 'condensation',
		densityGPerMl: 1.18,
		ratioBy: 'weight',
		ratioA: 100,
		ratioB: 10,
		workingTimeS: 2400,
		cureTimeS: 61_200,
		refTempC: 23,
		viscosityMpaS: 20_000,
		shoreA: 25,
		note: ''
	},
	{
		name: 'Capstan heat red',
		pricePerKg: 41,
		cureKind: 'condensation',
		use: 'high-heat',
		mostTempC: 260,
		densityGPerMl: 1.35,
		ratioBy: 'weight',
		ratioA: 100,
		ratioB: 3,
		workingTimeS: 1800,
		cureTimeS: 57_600,
		refTempC: 23,
		viscosityMpaS: 35_000,
		shoreA: 35,
		note: 'Stands the heat of large polyester pours.'
	},
	{
		name: 'Spindrift skin',
		pricePerKg: 38,
		cureKind: 'addition',
		use: 'brush-on',
		densityGPerMl: 1.13,
		ratioBy: 'weight',
		ratioA: 1,
		ratioB: 1,
		workingTimeS: 900,
		cureTimeS: 7200,
		recoatS: 1500,
		refTempC: 23,
		viscosityMpaS: 60_000,
		shoreA: 22,
		note: 'Thickener into B first, by weight. Spread it straight after mixing.'
	}
];

/** Invented fillers, with both of their densities. */
export const DEMO_FILLERS: z.input<typeof fillerRecord>[] = [
	{
		name: 'Foam beads',
		family: 'hollow spheres',
		densityGPerMl: 0.22,
		bulkDensityGPerMl: 0.13,
		grainMm: 0.06,
		note: 'Light and floating.'
	},
	{
		name: 'Bell bronze',
		family: 'metal powder',
		densityGPerMl: 8.7,
		bulkDensityGPerMl: 3.4,
		grainMm: 0.04,
		pricePerKg: 46,
		note: 'Dust the mould first.'
	},
	{
		name: 'Slate flour',
		family: 'mineral powder',
		densityGPerMl: 2.7,
		bulkDensityGPerMl: 0.9,
		grainMm: 0.02,
		note: ''
	},
	{
		name: 'Cut fibre',
		family: 'fibre',
		densityGPerMl: 2.5,
		bulkDensityGPerMl: 0.2,
		creamyScoopsPerB: 0.6,
		pasteScoopsPerB: 1.5,
		note: ''
	},
	{
		name: 'Feather silica',
		family: 'fumed silica',
		densityGPerMl: 2.2,
		bulkDensityGPerMl: 0.05,
		creamyScoopsPerB: 0.8,
		pasteScoopsPerB: 2,
		note: 'Mask on: it hangs in the air.'
	},
	{
		name: 'Clean water',
		family: 'water',
		densityGPerMl: 0.998,
		bulkDensityGPerMl: 0.998,
		note: 'For Weir only.'
	}
];

/** Invented colours (figures: common practice, no source). */
export const DEMO_COLOURS: z.input<typeof colourRecord>[] = [
	{
		name: 'Buoy red',
		kind: 'dye',
		densityGPerMl: 1.05,
		dropsPerMl: 28,
		mostPercent: 2,
		note: 'Strong: begin with one drop to 100 g.'
	},
	{ name: 'Deep lagoon', kind: 'dye', densityGPerMl: 1.04, dropsPerMl: 28, mostPercent: 2 },
	{
		name: 'Kelp brown',
		kind: 'pigment paste',
		densityGPerMl: 1.45,
		dropsPerMl: 18,
		mostPercent: 5,
		lengtheningPercent: 33
	},
	{
		name: 'Herring silver',
		kind: 'mica',
		side: 'A',
		densityGPerMl: 2.9,
		bulkDensityGPerMl: 0.28,
		mostPercent: 6,
		note: 'Rest it, crush the floating lumps, stir again.'
	},
	{ name: 'Night wake', kind: 'glow powder', densityGPerMl: 3.6, bulkDensityGPerMl: 1.5, mostPercent: 30 },
	{ name: 'Oyster', kind: 'pearl powder', densityGPerMl: 2.8, bulkDensityGPerMl: 0.4, mostPercent: 8 }
];

/** A recipe as it was built up, by the names of its resin and colours. */
export const DEMO_RECIPE = {
	name: 'Old rope',
	resin: 'Lantern white',
	resinMassG: 100,
	doses: [
		{ colour: 'Kelp brown', massG: 0.8, look: 'too pale on the stick' },
		{ colour: 'Kelp brown', massG: 0.8, look: 'right tone, too cold' },
		{ colour: 'Buoy red', massG: 0.08, look: 'that is it' }
	],
	note: 'Judged on a dry stick after two minutes.'
};

/** Invented releases (figures: common practice, no source). */
export const DEMO_RELEASES: z.input<typeof releaseRecord>[] = [
	{ name: 'Slipstream spray', kind: 'silicone spray', flashOffS: 300, note: 'Not in the paint corner.' },
	{ name: 'Ferry dry film', kind: 'non-silicone spray', flashOffS: 480 },
	{ name: 'Planking wax', kind: 'wax', note: 'For shells and flanges. Thin, then buff.' },
	{ name: 'Talc', kind: 'talc', everyPulls: 1 },
	{ name: 'Tideline barrier grey', kind: 'barrier coat', flashOffS: 900, everyPulls: 1 }
];

export const DEMO_THERMOPLASTICS: z.input<typeof thermoplasticRecord>[] = [
	{
		pricePerKg: 28,
		name: 'Kettle blue',
		softenTempC: 90,
		densityGPerMl: 0.97,
		coolS: 3600,
		note: 'Knead it under water until no bubble is left.'
	}
];

/** What the demo's maker found, by names: `rubber:Tidal grey` and the like. */
export const DEMO_EXPERIENCES = [
	{
		first: 'master:resin print',
		second: 'rubber:Tidal grey',
		verdict: 'with care',
		note: 'Fine after two hours of lamp and a day in the warm.'
	},
	{
		first: 'rubber:Slipway red',
		second: 'resin:Amber clear',
		verdict: 'with care',
		note: 'Eleven pulls, then it stuck at the rim.'
	}
] as const;

export const DEMO_CUPS: z.input<typeof markCupRecord>[] = [
	{
		name: 'Wharf tub, half litre',
		floorMm: 78,
		rimMm: 96,
		heightMm: 92,
		graduated: 'ml',
		note: 'Printed every 50 ml.'
	},
	{ name: 'Thimble cup', floorMm: 38, rimMm: 46, heightMm: 52, note: 'For small shots.' }
];
