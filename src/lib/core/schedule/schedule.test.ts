import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { breaches } from './check';
import { jobShop } from './instances.testing';
import type { Project } from './project';
import { projects } from './projects.testing';
import { schedule } from './schedule';

const hands = { resource: 'hands', amount: 1 };

describe('job shops whose optimum is published', () => {
	it.each([
		['FT06', 55],
		['LA01', 666]
	] as const)('%s in its optimum, proven', (name, optimum) => {
		for (const seed of [1, 2, 3]) {
			const found = schedule(jobShop(name), seed, { iterations: 20_000 });
			expect(found).toMatchObject({
				status: 'feasible',
				finishS: optimum,
				proven: true,
				lowerBoundS: optimum
			});
			expect(breaches(jobShop(name), found.starts)).toEqual([]);
		}
	});
	it('FT10 within a twentieth of its 930 after 10 000 orders, and its bound is none above it', () => {
		const found = schedule(jobShop('FT10'), 1, { iterations: 10_000 });
		expect(found.finishS).toBeGreaterThanOrEqual(930);
		expect(found.finishS).toBeLessThanOrEqual(930 * 1.05);
		expect(found.lowerBoundS).toBeLessThanOrEqual(930);
		expect(found.lowerBoundS).toBeGreaterThan(780);
	});
});

describe('whatever the project is', () => {
	it('what comes out passes the checker, is no better than its bound, and a seed repeats it', () => {
		let feasible = 0;
		fc.assert(
			fc.property(projects, fc.nat(1000), (project, seed) => {
				const found = schedule(project, seed, { iterations: 60 });
				expect(schedule(project, seed, { iterations: 60 })).toEqual(found);
				if (found.status !== 'feasible') return;
				feasible++;
				expect(breaches(project, found.starts)).toEqual([]);
				expect(found.finishS!).toBeGreaterThanOrEqual(found.lowerBoundS!);
				expect(found.lateWeightedS!).toBeGreaterThanOrEqual(found.lateBoundS!);
			}),
			{ numRuns: 200, seed: 22 }
		);
		expect(feasible).toBeGreaterThan(100);
	});
	it('more steps never make it worse', () => {
		fc.assert(
			fc.property(projects, fc.nat(1000), (project, seed) => {
				const few = schedule(project, seed, { iterations: 3 });
				const more = schedule(project, seed, { iterations: 40 });
				if (few.status !== 'feasible') return;
				expect(more.status).toBe('feasible');
				expect(more.lateWeightedS!).toBeLessThanOrEqual(few.lateWeightedS!);
				if (more.lateWeightedS === few.lateWeightedS) expect(more.finishS!).toBeLessThanOrEqual(few.finishS!);
			}),
			{ numRuns: 150, seed: 23 }
		);
	});
	it('a conflict cannot be done either when it stands alone', () => {
		let infeasible = 0;
		fc.assert(
			fc.property(projects, (project) => {
				const { status, conflict } = schedule(project, 1, { iterations: 2000 });
				if (status !== 'infeasible') return;
				infeasible++;
				const ids = new Set(conflict);
				const alone = {
					...project,
					activities: project.activities
						.filter((a) => ids.has(a.id))
						.map((a) => ({ ...a, after: a.after?.filter((x) => ids.has(x.id)) ?? [] }))
				};
				expect(schedule(alone, 1, { iterations: 2000 }).status).toBe('infeasible');
			}),
			{ numRuns: 300, seed: 24 }
		);
		expect(infeasible).toBeGreaterThan(5);
	});
});

describe('what cannot be', () => {
	const pair = (mostS: number): Project => ({
		resources: [{ name: 'hands', capacity: 1 }],
		activities: [
			{ id: 'mix', durationS: 60, needs: [hands] },
			{ id: 'watch', durationS: 10, needs: [hands], after: [{ id: 'mix', from: 'start', leastS: 0, mostS }] },
			{ id: 'sweep', durationS: 10, needs: [hands] }
		]
	});
	it('both at once with one pair of hands: those two are named, the third is not', () => {
		expect(schedule(pair(30), 1, { iterations: 10 })).toMatchObject({
			status: 'infeasible',
			proven: true,
			conflict: ['mix', 'watch'],
			starts: {},
			finishS: null
		});
		expect(schedule(pair(60), 1, { iterations: 10 }).status).toBe('feasible');
	});
	it('more hands than there are, a day that is too short, a circle of lags', () => {
		const one = (
			activity: Partial<Project['activities'][number]>,
			calendar?: { fromS: number; untilS: number }[]
		): Project => ({
			resources: [{ name: 'hands', capacity: 1, calendar }],
			activities: [{ id: 'cast', durationS: 100, needs: [hands], ...activity }]
		});
		for (const project of [
			one({ needs: [{ resource: 'hands', amount: 2 }] }),
			one({}, [{ fromS: 0, untilS: 99 }]),
			one({ notBeforeS: 50 }, [{ fromS: 0, untilS: 120 }])
		])
			expect(schedule(project, 1, { iterations: 5 })).toMatchObject({
				status: 'infeasible',
				conflict: ['cast']
			});
		const circle: Project = {
			resources: [],
			activities: [
				{ id: 'a', durationS: 10, needs: [], after: [{ id: 'b', leastS: 0 }] },
				{ id: 'b', durationS: 10, needs: [], after: [{ id: 'a', leastS: 0 }] }
			]
		};
		expect([...schedule(circle, 1, { iterations: 5 }).conflict!].sort()).toEqual(['a', 'b']);
	});
	it('nothing to do is done at once', () => {
		expect(schedule({ resources: [], activities: [] }, 1, { iterations: 5 })).toMatchObject({
			status: 'feasible',
			finishS: 0,
			proven: true
		});
	});
});

describe('a pin', () => {
	it('is kept, and the rest goes round it', () => {
		const project: Project = {
			resources: [{ name: 'hands', capacity: 1 }],
			activities: [
				{ id: 'pour', durationS: 60, needs: [hands], pinnedS: 30 },
				{ id: 'sweep', durationS: 40, needs: [hands] }
			]
		};
		const found = schedule(project, 1, { iterations: 20 });
		expect(found).toMatchObject({ starts: { pour: 30, sweep: 90 }, finishS: 130, proven: true });
	});
	it('two on the same hands are a conflict', () => {
		const at = (id: string, pinnedS: number) => ({ id, durationS: 60, needs: [hands], pinnedS });
		const project = {
			resources: [{ name: 'hands', capacity: 1 }],
			activities: [at('a', 30), at('b', 60), at('c', 200)]
		};
		expect(schedule(project, 1, { iterations: 5 }).conflict).toEqual(['a', 'b']);
	});
});
