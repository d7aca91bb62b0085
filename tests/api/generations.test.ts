import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { backupIsDue, generationsToKeep } from '../../scripts/lib/generations.mjs';

const DAY_MS = 86_400_000;
// a Wednesday (ISO 8601: day 3 of week 48)
const now = Date.UTC(2026, 10, 25, 3);

describe('which backups are kept', () => {
	it('of a backup each night for a hundred days: seven days, and the ends of the three weeks before', () => {
		const nights = Array.from({ length: 100 }, (_, i) => now - i * DAY_MS);
		const kept = [...generationsToKeep(nights)].sort((a, b) => b - a).map((ms) => (now - ms) / DAY_MS);
		// the last seven reach over this week and into the one before; Sundays of weeks 46 and 45 are 10 and 17 days ago
		expect(kept).toEqual([0, 1, 2, 3, 4, 5, 6, 10, 17]);
	});
	it('after a year without one the last ones are still there', () => {
		const old = [400, 401, 500].map((days) => now - days * DAY_MS);
		expect(generationsToKeep(old)).toEqual(new Set(old));
		expect(generationsToKeep([]).size).toBe(0);
	});
	it('the newest always stays, at most eleven stay, and what stays is never let go of by looking again', () => {
		fc.assert(
			fc.property(
				fc.uniqueArray(fc.integer({ min: 0, max: 400 * 24 }), { minLength: 1, maxLength: 80 }),
				(hours) => {
					const times = hours.map((h) => now - h * 3_600_000);
					const kept = generationsToKeep(times);
					expect(kept.has(Math.max(...times))).toBe(true);
					expect(kept.size).toBeLessThanOrEqual(11);
					expect(generationsToKeep([...kept])).toEqual(kept);
				}
			)
		);
	});
});

describe('when a backup is made', () => {
	const at = (hour: number) => new Date(2026, 10, 25, hour);
	it('at night when there is none of tonight, by day when the machine was off', () => {
		expect(backupIsDue(undefined, at(12))).toBe(true);
		expect(backupIsDue(at(3).getTime() - DAY_MS, at(3))).toBe(true);
		expect(backupIsDue(at(3).getTime(), at(4))).toBe(false);
		expect(backupIsDue(at(3).getTime(), at(15))).toBe(false);
		expect(backupIsDue(at(3).getTime() - DAY_MS, at(12))).toBe(true);
		expect(backupIsDue(at(9).getTime() - DAY_MS, at(12))).toBe(false);
	});
});
