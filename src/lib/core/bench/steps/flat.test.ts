import { describe, expect, it } from 'vitest';
import { castAnswer } from '../../calc/castCalculation';
import { runCalculation } from '../../calc';
import { polyester, urethane } from '../../shot/kinds/shots.testing';

const asked = {
	piece: { name: 'Ammonite', cavityVolumeMl: 40 },
	mould: { open: true, count: 2 },
	resin: urethane,
	copies: 2,
	sprueVolumeMl: 0,
	sectionMm: 8,
	pourWay: 'some-first' as const,
	brushS: 12,
	pourS: 10,
	flameS: 6,
	startTempC: 21,
	mouldTempC: 21,
	roomTempC: 21,
	relativeHumidity: 45
};

describe('flat pieces, one after another', () => {
	const { steps, plans } = castAnswer(asked);
	it('some first, brushed in, the rest, the flame; cleaned before the next', () => {
		const roles = steps.flatMap((s) => (s.role ? [s.role] : []));
		expect(roles).toEqual(['mix', 'some', 'brush', 'pour', 'flame']);
		expect(steps.map((s) => s.id).slice(-3)).toEqual(['demould', 'clean', 'inspect']);
		// half of the pouring before the brush, half after it, for two copies
		const s = plans[0]!.steps;
		expect(
			s.find((x) => x.role === 'some')!.durationS + s.find((x) => x.role === 'pour')!.durationS
		).toBeCloseTo(20, 9);
	});
	it('the flame has its caution, at its own step alone', () => {
		expect(steps.filter((s) => s.cautions.includes('flame')).map((s) => s.role)).toEqual(['flame']);
	});
	it('no flame over styrene, and none into a closed mould', () => {
		for (const more of [{ resin: polyester }, { mould: { open: false } }])
			expect(runCalculation('cast', { ...asked, ...more })).toMatchObject({
				ok: false,
				errors: [{ path: 'flameS' }]
			});
	});
});
