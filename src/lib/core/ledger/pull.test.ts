import { describe, expect, it } from 'vitest';
import { pulled } from '../examples.testing';
import type { PullBody } from '../openData/bodies';
import { pullLine } from './pull';

/** Whether a pull that was planned and went so is told as late. Pot life 150 s, as its label has it. */
const isLate = (planned: Partial<PullBody['planned']>, real: PullBody['real']) =>
	pullLine({ ...pulled, body: { ...pulled.body, planned: { ...pulled.body.planned, ...planned }, real } })
		.late;

describe('a pull is late when its own cup was past its pot life (common practice, no source)', () => {
	it('of one cup: from combining until it stands under pressure', () => {
		expect(isLate({}, { lastCupFromS: 0, pouredByS: 140, settledByS: 149 })).toBe(false);
		expect(isLate({}, { lastCupFromS: 0, pouredByS: 140, settledByS: 151 })).toBe(true);
		// that its plan was past it too is no excuse
		expect(isLate({ pouredByS: 200 }, { lastCupFromS: 0, pouredByS: 205, settledByS: 205 })).toBe(true);
	});
	it('in layers: from the combining of the last, by the pot life of that one', () => {
		const layers = { pouredByS: 7300, lastCupPotLifeS: 300 };
		expect(isLate(layers, { lastCupFromS: 7200, pouredByS: 7490, settledByS: 7900 })).toBe(false);
		expect(isLate(layers, { lastCupFromS: 7200, pouredByS: 7510, settledByS: 7510 })).toBe(true);
	});
	it('what is not known is not said: given up before the last cup, out of a notebook, layers of an earlier version', () => {
		expect(isLate({}, {})).toBe(false);
		expect(isLate({ potLifeS: 0 }, { settledByS: 900 })).toBe(false);
		expect(isLate({ pouredByS: 7300 }, { pouredByS: 7400, settledByS: 7400 })).toBe(false);
		expect(isLate({}, { pouredByS: 140, settledByS: 160 })).toBe(true);
	});
});
