import fc from 'fast-check';
import type { Project } from './project';

/** Small random projects with lags of both kinds, calendars and one or two of each resource. */
export const projects = fc
	.record({
		capacities: fc.array(fc.integer({ min: 1, max: 2 }), { minLength: 1, maxLength: 2 }),
		closed: fc.boolean(),
		steps: fc.array(
			fc.record({
				durationS: fc.integer({ min: 0, max: 5 }),
				resource: fc.nat(1),
				amount: fc.integer({ min: 1, max: 2 }),
				after: fc.option(
					fc.record({
						back: fc.integer({ min: 1, max: 3 }),
						leastS: fc.integer({ min: -2, max: 3 }),
						roomS: fc.option(fc.nat(3))
					})
				),
				dueS: fc.option(fc.integer({ min: 3, max: 20 })),
				weight: fc.integer({ min: 1, max: 3 })
			}),
			{ minLength: 1, maxLength: 6 }
		)
	})
	.map(({ capacities, closed, steps }): Project => ({
		resources: capacities.map((capacity, r) => ({
			name: `r${r}`,
			capacity,
			...(closed &&
				r === 0 && {
					calendar: [
						{ fromS: 2, untilS: 9 },
						{ fromS: 12, untilS: 60 }
					]
				})
		})),
		activities: steps.map((s, k) => {
			const r = s.resource % capacities.length;
			const before = s.after && k >= s.after.back ? s.after : null;
			return {
				id: `a${k}`,
				durationS: s.durationS,
				needs: [{ resource: `r${r}`, amount: Math.min(s.amount, capacities[r]!) }],
				...(before && {
					after: [
						{
							id: `a${k - before.back}`,
							leastS: before.leastS,
							...(before.roomS !== null && { mostS: before.leastS + before.roomS })
						}
					]
				}),
				...(s.dueS !== null && { dueS: s.dueS }),
				weight: s.weight
			};
		})
	}));
