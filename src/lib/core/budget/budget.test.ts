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
