import fc from 'fast-check';
import highsLoader from 'highs';
import { expect, it } from 'vitest';
import type { Project } from './project';
import { projects } from './projects.testing';
import { schedule } from './schedule';

/** No small project of these ends later than this. */
const HORIZON = 45;

/**
 * The project as a mixed-integer model indexed by time (Pritsker, Watters & Wolfe, Management Science 16 (1969) 93), which
 * shares nothing with the solver: x of an activity and a time is 1 where it starts then.
 */
function model(project: Project, objective: 'late' | 'finish', mostLate: number): string {
	const { activities, resources } = project;
	const times = Array.from({ length: HORIZON }, (_, t) => t);
	const x = (i: number, t: number) => `x_${i}_${t}`;
	const start = (i: number, factor: number) =>
		times
			.slice(1)
			.map((t) => `${factor * t >= 0 ? '+' : '-'} ${Math.abs(factor * t)} ${x(i, t)}`)
			.join(' ');
	const lateness = activities.flatMap((a, i) => {
		const { dueS } = a;
		return dueS === undefined
			? []
			: times.flatMap((t) =>
					t + a.durationS > dueS ? [`+ ${(t + a.durationS - dueS) * (a.weight ?? 1)} ${x(i, t)}`] : []
				);
	});
	const rows: string[] = [];
	activities.forEach((a, i) => {
		rows.push(`${times.map((t) => x(i, t)).join(' + ')} = 1`);
		rows.push(`last ${start(i, -1)} >= ${a.durationS}`);
		for (const { id, from, leastS = 0, mostS } of a.after ?? []) {
			const j = activities.findIndex((b) => b.id === id);
			const base = from === 'start' ? 0 : activities[j]!.durationS;
			rows.push(`${start(i, 1)} ${start(j, -1)} >= ${base + leastS}`);
			if (mostS !== undefined) rows.push(`${start(i, 1)} ${start(j, -1)} <= ${base + mostS}`);
		}
	});
	resources.forEach((r) => {
		for (let t = 0; t < HORIZON + 6; t++) {
			const open = !r.calendar || r.calendar.some((o) => o.fromS <= t && t < o.untilS);
			const running = activities.flatMap((a, i) => {
				const need = a.needs.find((n) => n.resource === r.name);
				return need
					? times.flatMap((s) => (s <= t && t < s + a.durationS ? [`+ ${need.amount} ${x(i, s)}`] : []))
					: [];
			});
			if (running.length > 0) rows.push(`${running.join(' ')} <= ${open ? r.capacity : 0}`);
		}
	});
	if (objective === 'finish' && lateness.length > 0) rows.push(`${lateness.join(' ')} <= ${mostLate}`);
	const aim = objective === 'finish' ? 'last' : lateness.join(' ') || '0 last';
	return `Minimize\n obj: ${aim}\nSubject To\n${rows.map((row, k) => ` c${k}: ${row}`).join('\n')}\nBounds\n last >= 0\nBinary\n${activities.map((_, i) => times.map((t) => x(i, t)).join(' ')).join('\n')}\nEnd`;
}

it('small projects with most lags, calendars and due times end as an exact solver of mixed-integer models says', async () => {
	const highs = await highsLoader();
	const seen = { Optimal: 0, Infeasible: 0 };
	for (const project of fc.sample(projects, { numRuns: 120, seed: 22 })) {
		const found = schedule(project, 1, { iterations: 5000 });
		const late = highs.solve(model(project, 'late', 0));
		if (late.Status === 'Infeasible') {
			seen.Infeasible++;
			expect(found.status).toBe('infeasible');
			continue;
		}
		expect(late.Status).toBe('Optimal');
		seen.Optimal++;
		const lateS = Math.round(late.ObjectiveValue);
		const finish = highs.solve(model(project, 'finish', lateS));
		expect(found).toMatchObject({
			status: 'feasible',
			proven: true,
			lateWeightedS: lateS,
			finishS: Math.round(finish.ObjectiveValue)
		});
	}
	expect(seen.Optimal).toBeGreaterThan(30);
	expect(seen.Infeasible).toBeGreaterThan(2);
});
