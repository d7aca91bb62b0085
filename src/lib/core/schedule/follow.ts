import { earliestStarts } from './earliest';
import { generate, groupOrder } from './generate';
import { netOf, type Net } from './net';
import type { Project, Starts } from './project';
import { told, type Schedule } from './schedule';
import { valueOf } from './value';

type Followed = { net: Net; earliestS: Float64Array; startS: Float64Array };

function followed(project: Project, like: Starts, free: (id: string) => boolean): Followed | undefined {
	const net = netOf({
		...project,
		activities: project.activities.map((a) =>
			like[a.id] === undefined || a.pinnedS !== undefined || free(a.id)
				? a
				: { ...a, notBeforeS: Math.max(a.notBeforeS ?? 0, like[a.id]!) }
		)
	});
	const earliest = earliestStarts(net);
	if (!earliest.ok) return undefined;
	const rank = Float64Array.from(net.groups, (members) => {
		let first = Infinity;
		for (const i of members) first = Math.min(first, like[project.activities[i]!.id] ?? Infinity);
		// what is new comes by its place in the list, after all that was there
		return first === Infinity ? 1e12 + members[0]! : first;
	});
	const startS = generate(net, groupOrder(net), earliest.startS, rank);
	return startS && { net, earliestS: earliest.startS, startS };
}

/**
 * The schedule that follows another one: everything in the order of its starts, and nothing earlier than there unless it is
 * let go; what is new comes after. One generation, so that hundreds of them can be had.
 * @param like starts that are followed, s
 * @param free ids that may begin earlier than they did
 * @returns nothing where that order leads to no schedule
 * @example
 * follow({ resources: [], activities: [{ id: 'mix', durationS: 60, needs: [] }] }, { mix: 30 })?.starts.mix; // 30
 */
export function follow(
	project: Project,
	like: Starts,
	free: (id: string) => boolean = () => false
): Schedule | undefined {
	const found = followed(project, like, free);
	if (!found) return undefined;
	const { net, earliestS, startS } = found;
	return told(project, {
		status: 'feasible',
		startS,
		value: valueOf(net, startS),
		// by lags and calendars alone: whoever follows asks for starts
		bound: valueOf(net, earliestS),
		proven: false,
		iterations: 1
	});
}

/**
 * Starts alone of the schedule that follows another one, with everything free to begin earlier: for runs of chance.
 * @example
 * followedStarts({ resources: [], activities: [{ id: 'mix', durationS: 60, needs: [] }] }, { mix: 30 })?.mix; // 0
 */
export function followedStarts(project: Project, like: Starts): Starts | undefined {
	const found = followed(project, like, () => true);
	return found && Object.fromEntries(project.activities.map((a, i) => [a.id, found.startS[i]!]));
}
