import type { PourPlan } from '../plan';

/**
 * One small pour of two and a half minutes, under pressure, for tests: each says only what it is about.
 * @example
 * planOf({ potLifeS: 300 }).steps.length // 4
 */
export const planOf = (over: Partial<PourPlan> = {}): PourPlan => ({
	shotId: 's',
	batchIndex: 0,
	batchCount: 1,
	masterName: 'Ammonite',
	moulds: [{ id: 'm1', number: 4, label: 'Ammonite', copies: 1 }],
	resinName: 'White',
	chemistry: 'urethane',
	a: { massG: 60, volumeMl: 55 },
	b: { massG: 54, volumeMl: 55 },
	massG: 114,
	markAMm: 41,
	markBMm: 41,
	cupDiameterMm: 41,
	potLifeS: 150,
	gelTimeS: 160,
	usableS: 127,
	steps: [
		{ name: 'Mix', durationS: 40, role: 'mix' },
		{ name: 'Pour', durationS: 20, role: 'pour' },
		{ name: 'Load and close', durationS: 20, role: 'load' },
		{ name: 'Pump up', durationS: 12, role: 'pump' }
	],
	pot: { name: 'Pot', targetGaugeKpa: 275, ratedGaugeKpa: 400, bubbleDiameterRatio: 0.645 },
	holdUntilS: 300,
	demouldS: 900,
	roomTempC: 21,
	relativeHumidity: 44,
	mouldTempC: 21,
	startTempC: 21,
	...over
});
