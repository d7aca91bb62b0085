import { expect, it } from 'vitest';
import { mendingS } from './mending';

it('mending is spread over all good ones, and what was not noted is as what was', () => {
	expect(mendingS({ good: 0, scrap: 3 })).toBe(0);
	expect(mendingS({ good: 12, scrap: 0, mended: { copies: 0, notedCopies: 0, notedS: 0 } })).toBe(0);
	// three of twelve at 8 min: 2 min a copy
	expect(mendingS({ good: 12, scrap: 0, mended: { copies: 3, notedCopies: 3, notedS: 1440 } })).toBe(120);
	// noted of one of the three
	expect(mendingS({ good: 12, scrap: 0, mended: { copies: 3, notedCopies: 1, notedS: 480 } })).toBe(120);
});

it('mended, and nobody noted how long: not known, which is not nothing', () => {
	expect(mendingS({ good: 12, scrap: 0, mended: { copies: 3, notedCopies: 0, notedS: 0 } })).toBeNull();
});
