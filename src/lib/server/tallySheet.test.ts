import { describe, expect, it } from 'vitest';
import type { TallyPull } from './repositories/tally';
import { orderSheet, TICK } from './orderSheet';
import { tallyParts } from './tallySheet';

const settings = { units: 'metric', scaleResolutionG: 1 } as const;
const pull = (over: Partial<TallyPull> = {}): TallyPull => ({
	atMs: 0,
	mouldNumber: 3,
	copies: 1,
	grade: 'good',
	body: { massG: 40, faults: [] },
	...over
});
const rowsOf = (pulls: TallyPull[], wanted?: number) => {
	const [sentence, table] = tallyParts(pulls, wanted, settings, (ms) => `at ${ms}`);
	return { sentence, rows: (table as { rows: readonly (readonly string[])[] }).rows };
};

describe('the tally of a run', () => {
	it('counts what is good of what is wanted, and leaves a numbered box for each to come', () => {
		const { sentence, rows } = rowsOf(
			[pull(), pull({ grade: 'scrap', body: { massG: 40, faults: ['foam'] } })],
			4
		);
		expect(sentence).toBe('1 of 4 good, 1 scrapped.');
		expect(rows.map((r) => r[0])).toEqual(['1', '2', '3', '4', '5']);
		expect(rows[1]!.at(-1)).toMatch(/scrap.*foam/i);
		expect(rows.slice(2).every((r) => r.at(-1) === TICK)).toBe(true);
	});
	it('says what was left, and of what nobody knows nothing', () => {
		const took = { mixedG: 40, leftG: -3, netG: 36, way: 'one' as const };
		const { rows } = rowsOf([pull({ body: { massG: null, faults: [], took } })]);
		expect(rows).toHaveLength(1);
		expect(rows[0]!.slice(1, 5)).toEqual(['at 0', 'M3', '', expect.stringMatching(/3.g were short/)]);
	});
	it('a box to come is drawn, since the paper’s font has no sign for it', () => {
		const sheet = orderSheet(
			'A4',
			'Tally',
			'ice',
			'today',
			tallyParts([pull()], 3, settings, () => '')
		);
		expect(JSON.stringify(sheet.content)).not.toContain(TICK);
		expect(JSON.stringify(sheet.content).match(/"type":"rect"/g)).toHaveLength(2);
	});
	it('a run of ten thousand does not print a book of boxes', () => {
		expect(rowsOf([], 10_000).rows.length).toBeLessThanOrEqual(60);
		expect(rowsOf([], 10_000).sentence).toMatch(/0 of 10000 good; nothing was cast yet/);
	});
});
