import { z } from 'zod';

/** What one question may hold at most. */
export const SCHEDULE_LIMITS = {
	activities: 3000,
	resources: 300,
	openings: 5000,
	iterations: 100_000,
	budgetMs: 10_000,
	timeS: 10_000_000_000
};
const DEFAULT_BUDGET_MS = 1000;

const seconds = z
	.number('Must be a number of seconds.')
	.int('Times are whole seconds.')
	.max(SCHEDULE_LIMITS.timeS, 'That is over three hundred years.')
	.min(-SCHEDULE_LIMITS.timeS, 'That is over three hundred years.');
const fromNow = seconds.min(0, 'Must be 0 or more.');
const amount = z.number('Must be a number.').int('Must be whole.').max(10_000);
const name = z.string('Give it a name.').min(1, 'Give it a name.').max(120, 'At most 120 letters.');

const opening = z
	.object({ fromS: seconds, untilS: seconds })
	.refine((o) => o.untilS > o.fromS, { path: ['untilS'], message: 'Must be after its beginning.' });

const resource = z.object({
	name,
	capacity: amount.min(0, 'Must be 0 or more.'),
	calendar: z.array(opening).max(SCHEDULE_LIMITS.openings).optional()
});

const after = z
	.object({
		id: name,
		from: z.enum(['end', 'start'], 'Say "end" or "start".').optional(),
		leastS: seconds.optional(),
		mostS: seconds.optional()
	})
	.refine((a) => a.mostS === undefined || a.mostS >= (a.leastS ?? 0), {
		path: ['mostS'],
		message: 'Must not be less than leastS, which is 0 where it is left out.'
	});

const activity = z.object({
	id: name,
	durationS: fromNow,
	needs: z
		.array(z.object({ resource: name, amount: amount.min(0, 'Must be 0 or more.') }))
		.max(50)
		.default([]),
	breaks: z.literal(false, 'An activity runs without a break: cut it in two where it may rest.').optional(),
	after: z.array(after).max(500).optional(),
	notBeforeS: fromNow.optional(),
	dueS: seconds.optional(),
	weight: z.number('Must be a number.').min(0, 'Must be 0 or more.').max(1_000_000).optional()
});

/** A project as it is asked about: names that are known, ids that are there once. */
export const scheduleInput = z
	.object({
		resources: z.array(resource).max(SCHEDULE_LIMITS.resources, 'At most 300 resources.'),
		activities: z.array(activity).max(SCHEDULE_LIMITS.activities, 'At most 3000 activities.'),
		seed: z.number().int().min(0).max(4_294_967_295).default(1),
		budgetMs: z
			.number('Must be a number of milliseconds.')
			.int()
			.min(0, 'Must be 0 or more.')
			.max(SCHEDULE_LIMITS.budgetMs, 'At most 10 000 ms.')
			.default(DEFAULT_BUDGET_MS),
		iterations: z.number().int().min(1, 'At least one.').max(SCHEDULE_LIMITS.iterations).optional()
	})
	.superRefine(({ resources, activities }, context) => {
		const wrong = (path: (string | number)[], message: string) =>
			context.addIssue({ code: 'custom', path, message });
		const twice = (list: readonly string[], path: (k: number) => (string | number)[]) => {
			const seen = new Set<string>();
			list.forEach((x, k) => {
				if (seen.has(x)) wrong(path(k), `"${x}" is there twice.`);
				seen.add(x);
			});
			return seen;
		};
		const names = twice(
			resources.map((r) => r.name),
			(k) => ['resources', k, 'name']
		);
		const ids = twice(
			activities.map((a) => a.id),
			(k) => ['activities', k, 'id']
		);
		activities.forEach((a, k) => {
			a.needs.forEach((x, j) => {
				if (!names.has(x.resource))
					wrong(['activities', k, 'needs', j, 'resource'], `There is no resource "${x.resource}".`);
			});
			a.after?.forEach((x, j) => {
				if (!ids.has(x.id)) wrong(['activities', k, 'after', j, 'id'], `There is no activity "${x.id}".`);
				else if (x.id === a.id) wrong(['activities', k, 'after', j, 'id'], 'It cannot be after itself.');
			});
		});
	});
