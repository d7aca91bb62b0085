import { type Embed, type ShotContext, shotInputs } from '..';
import { resinRecord } from '../../shelf';
import { WORKSHOP_DEFAULTS } from '../../workshop';

export const urethane = resinRecord.parse({
	name: 'Test white',
	family: 'slow urethane',
	densityAGPerMl: 1.1,
	weightA: 100,
	weightB: 90,
	volumeA: 1,
	volumeB: 1,
	potLifeS: 420,
	demouldS: 3600,
	character: 'quick',
	viscosityMpaS: 120,
	note: ''
});
export const polyester = resinRecord.parse({
	name: 'Test clear',
	family: 'clear polyester',
	densityAGPerMl: 1.11,
	catalystPercent: 1,
	referencePercent: 1,
	referenceGelS: 1080,
	catalystDensityGPerMl: 1.12,
	demouldS: 50_400,
	character: 'gradual',
	viscosityMpaS: 350,
	note: ''
});
export const context: ShotContext = {
	cavityVolumeMl: 96,
	mouldWallMm: 12,
	mouldsVolumeMl: 400,
	skinAreaMm2: 9000,
	radiusMm: 30,
	heightMm: 30,
	resin: urethane,
	recipes: [],
	settings: WORKSHOP_DEFAULTS
};
export const inputs = (more: object) =>
	shotInputs.parse({
		masterId: 'a',
		mouldIds: ['m'],
		resinId: 'r',
		copies: 1,
		sprueVolumeMl: 0,
		sectionMm: 6,
		lossPercent: 0,
		startTempC: 21,
		mouldTempC: 21,
		roomTempC: 21,
		relativeHumidity: 45,
		...more
	});
export const bronze = { name: 'Bronze', densityGPerMl: 8.7, bulkDensityGPerMl: 3.4, grainMm: 0.04 };
export const silica = {
	name: 'Silica',
	densityGPerMl: 2.2,
	bulkDensityGPerMl: 0.05,
	creamyScoopsPerB: 0.8,
	pasteScoopsPerB: 2
};
export const fern: Embed = { name: 'fern', massG: 0.4, volumeMl: 1.2, heightMm: 3, atMm: 12 };
