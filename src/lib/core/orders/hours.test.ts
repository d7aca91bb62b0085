import { describe, expect, it } from 'vitest';
import { cureAtS } from './cureAt';
import { handsTimes, USUAL_HOURS, workshopHours } from './hours';
import { momentOf, wallMs } from '../wallClock';
import { HOUR, NOW, recipe } from './workshop.testing';

describe('hours of a workshop', () => {
	it('nine to five from Monday to Saturday', () => {
		const times = handsTimes(USUAL_HOURS, NOW, 7);
		expect(times).toHaveLength(7);
		expect(times[0]).toEqual({ fromS: 3600, untilS: 9 * 3600, hands: 1 });
		// Saturday, then Monday again
		expect(times[6]!.fromS - times[5]!.fromS).toBe(2 * 86_400);
	});
	it('an afternoon that is blocked, and two who come in the evening', () => {
		const exceptions = [
			{ fromMs: NOW + 5 * HOUR, untilMs: NOW + 20 * HOUR, hands: 0, note: '' },
			{ fromMs: NOW + 10 * HOUR, untilMs: NOW + 12 * HOUR, hands: 2, note: '' }
		];
		const [morning, evening] = handsTimes({ ...USUAL_HOURS, exceptions }, NOW, 1);
		expect(morning).toEqual({ fromS: 3600, untilS: 5 * 3600, hands: 1 });
		expect(evening).toEqual({ fromS: 10 * 3600, untilS: 12 * 3600, hands: 2 });
	});
	// Directive 2000/84/EC: summer time begins at 01:00 UTC on the last Sunday of March
	it('nine o’clock stays nine o’clock when the clocks change', () => {
		const zone = 'Europe/Berlin';
		expect(momentOf(Date.UTC(2026, 2, 28, 9), zone)).toBe(Date.UTC(2026, 2, 28, 8));
		expect(momentOf(Date.UTC(2026, 2, 30, 9), zone)).toBe(Date.UTC(2026, 2, 30, 7));
		expect(wallMs(Date.UTC(2026, 2, 30, 7), zone)).toBe(Date.UTC(2026, 2, 30, 9));
	});
	it('a day that ends before it begins, and a zone that nobody knows, are told at their fields', () => {
		const week = USUAL_HOURS.week.map((d, i) => (i === 2 ? { ...d, from: '18:00' } : d));
		const wrong = workshopHours.safeParse({ ...USUAL_HOURS, week, zone: 'Nowhere/Else' });
		expect(wrong.error!.issues.map((i) => i.path.join('.')).sort()).toEqual(['week.2.until', 'zone']);
	});
});

describe('a cure at the hour at which it falls', () => {
	const openings = [{ fromS: 3600, untilS: 7200, hands: 1 }];
	const slow = recipe('a', { cureS: { day: 2000, night: 8000 } });
	it('wholly by day, wholly by night, and over the edge, worked by hand', () => {
		expect(cureAtS(slow, 4000, openings)).toBe(2000);
		expect(cureAtS(slow, 8000, openings)).toBe(8000);
		// 1600 s of cold are a fifth of it; four fifths are left, at 2000 s for the whole
		expect(cureAtS(slow, 2000, openings)).toBe(1600 + 0.8 * 2000);
		// 200 s of warmth are a tenth; nine tenths are left to the cold
		expect(cureAtS(slow, 7000, openings)).toBe(200 + 0.9 * 8000);
	});
});
