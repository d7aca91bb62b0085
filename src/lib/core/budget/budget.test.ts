import { expect, it } from 'vitest';
import { budget } from './budget';

const steps = [{ name: 'Mix', durationS: 45 }];
it('slack is held against the earlier of margin and band, never both', () => {
	// 150 less 15 % is 127.5
	expect(budget({ steps, potLifeS: 150 }).usableS).toBeCloseTo(127.5, 9);
	expect(budget({ steps, potLifeS: 150, potLifeLowS: 118 }).slackS).toBeCloseTo(118 - 45, 9);
	expect(budget({ steps, potLifeS: 150, potLifeLowS: 140 }).usableS).toBeCloseTo(127.5, 9);
	expect(budget({ steps, potLifeS: 150, potLifeLowS: 118 }).working[0]!.source).toContain('band');
});

it('the three numbers of the slack agree as they are shown', () => {
	const sumOf = (durationS: number) =>
		budget({ steps: [{ name: 'Mix', durationS }], potLifeS: 400, potLifeLowS: 304.6 }).working[1]!;
	// 305 − 161 would be 144, and 143 is right
	expect(sumOf(161.4)).toMatchObject({ sum: '304.6 s − 161.4 s', result: '2:23 min' });
	expect(sumOf(161.6)).toMatchObject({ sum: '5:05 min − 2:42 min', result: '2:23 min' });
});
