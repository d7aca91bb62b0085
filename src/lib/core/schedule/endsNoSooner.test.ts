import { describe, expect, it } from 'vitest';
import { endsNoSoonerS, schedule, type Activity } from '.';

const activity = (id: string, durationS: number, more: Partial<Activity> = {}): Activity => ({
	id,
	durationS,
	needs: [{ resource: 'hands', amount: 1 }],
	...more
});
const one = [{ name: 'hands', capacity: 1 }];

describe('what no schedule beats', () => {
	it('one pair of hands does one thing after another', () => {
		expect(endsNoSoonerS({ resources: one, activities: [activity('a', 40), activity('b', 60)] })).toBe(100);
	});
	it('a way through lags counts, and so does a night on which nobody is there; work may be broken off in it', () => {
		const cure = activity('cure', 300, { needs: [], after: [{ id: 'cast' }] });
		expect(endsNoSoonerS({ resources: one, activities: [activity('cast', 20), cure] })).toBe(320);
		const calendar = [
			{ fromS: 0, untilS: 50 },
			{ fromS: 1000, untilS: 2000 }
		];
		const days = [{ name: 'hands', capacity: 1, calendar }];
		expect(endsNoSoonerS({ resources: days, activities: [activity('a', 40), activity('b', 40)] })).toBe(1030);
	});
	it('is never above what is found, for a few dozen small projects', () => {
		for (let k = 1; k <= 40; k++) {
			const activities = Array.from({ length: 3 + (k % 5) }, (_, i) =>
				activity(`${i}`, 10 + ((k * 7 + i * 13) % 50), {
					...(i > 1 ? { after: [{ id: `${i - 2}`, leastS: (k + i) % 9 }] } : {}),
					notBeforeS: (k * i) % 30
				})
			);
			const project = { resources: one, activities };
			expect(endsNoSoonerS(project), `project ${k}`).toBeLessThanOrEqual(
				schedule(project, k, { iterations: 30 }).finishS!
			);
		}
	});
});
