import { calculation } from '../calculation';
import { breaches } from './check';
import { scheduleInput } from './input';
import { schedule } from './schedule';

const hands = { resource: 'hands', amount: 1 };

/** `schedule` of the open interface. What comes out has passed the checker. */
export const scheduleCalculation = {
	...calculation(
		'schedule',
		'Starts of activities with limited resources, lags and calendars: least late, then soonest done.',
		scheduleInput,
		{
			resources: [
				{ name: 'hands', capacity: 1, calendar: [{ fromS: 0, untilS: 28_800 }] },
				{ name: 'mould', capacity: 1 }
			],
			activities: [
				{ id: 'pour', durationS: 600, needs: [hands, { resource: 'mould', amount: 1 }] },
				{
					id: 'cure',
					durationS: 1800,
					needs: [{ resource: 'mould', amount: 1 }],
					after: [{ id: 'pour', mostS: 0 }]
				},
				{
					id: 'demould',
					durationS: 300,
					needs: [hands, { resource: 'mould', amount: 1 }],
					after: [{ id: 'cure', mostS: 900 }],
					dueS: 3600
				}
			],
			iterations: 50
		},
		({ seed, iterations, budgetMs, ...project }) => {
			const found = schedule(project, seed, { iterations, budgetMs, nowMs: () => performance.now() });
			const wrong = found.status === 'feasible' ? breaches(project, found.starts) : [];
			if (wrong.length > 0) throw new Error(`schedule: its own checker refuses it: ${wrong[0]!.message}`);
			return found;
		}
	),
	long: true as const
};
