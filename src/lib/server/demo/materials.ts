import type { ResinRecord, RubberRecord } from '$lib/core/shelf';

const sheet = { potLifeMassG: 100, potLifeTempC: 23, demouldSectionMm: 6 } as const;

/** Invented resins; figures inside the ranges that the trade goes by (common practice, no source). */
export const DEMO_RESINS: ResinRecord[] = [
	{
		...sheet,
		name: 'Lantern white',
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
	}
];

/** Invented mould rubbers. */
export const DEMO_RUBBERS: RubberRecord[] = [
	{
		name: 'Tidal grey',
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
		cureKind: 'condensation',
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
	}
];
