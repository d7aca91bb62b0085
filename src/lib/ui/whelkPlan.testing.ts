import type { PourPlan } from '$lib/core/plan';

/** A small pour of three minutes. */
export const whelkPlan: PourPlan = {
	shotId: 's',
	batchIndex: 0,
	batchCount: 1,
	masterName: 'Whelk',
	moulds: [{ id: 'm', number: 1, label: 'Whelk', copies: 1 }],
	resinName: 'White',
	chemistry: 'urethane',
	a: { massG: 10, volumeMl: 10 },
	b: { massG: 9, volumeMl: 10 },
	massG: 19,
	markAMm: 20,
	markBMm: 20,
	cupDiameterMm: 25,
	potLifeS: 150,
	gelTimeS: 160,
	usableS: 127,
	steps: [
		{ name: 'Mix', durationS: 40, role: 'mix' },
		{ name: 'Pour', durationS: 20, role: 'pour' }
	],
	holdUntilS: 300,
	demouldS: 900,
	roomTempC: 21,
	relativeHumidity: 44,
	mouldTempC: 21,
	startTempC: 21
};
