import { lowerBound, tailsOf } from './bound';
import { chanceOf } from './chance';
import { conflictOf } from './conflict';
import { earliestStarts } from './earliest';
import { MOST_EXACT, searchAll } from './exact';
import { generate, groupOrder, type GroupOrder } from './generate';
import { improve, type Found } from './improve';
import { netOf, type Net } from './net';
import { fewest } from './part';
import type { Project, Starts } from './project';
import { better, valueOf, type Value } from './value';

/** What is known of a project after so much work. */
export interface Progress {
	status: 'feasible' | 'infeasible' | 'unknown';
	/** Starts of the best schedule, s, by the place of the activity; nothing where none was found. */
	startS?: Float64Array;
	value?: Value;
	/** No schedule is better than this. */
	bound: Value;
	/** Nothing better exists. */
	proven: boolean;
	/** Ids of a few activities that cannot hold together. */
	conflict?: readonly string[];
	/** Orders and branches that were looked at. */
	iterations: number;
}

/** Orders that are drawn by chance before a schedule is given up, where no rule has found one. */
const MOST_DRAWN = 200_000;
/** Steps after which a part of a conflict counts as one that may be done. */
const MOST_FOR_PART = 2000;
/** Branches that are looked at for each order while both go on. */
const BRANCHES_EACH = 1;

/**
 * Works on a project until nothing better exists, one order or branch a step; whoever asks ends it when time is up.
 * First by rules, so that there is an answer at once, then by search: more steps never make it worse, and the same seed
 * gives the same. Small projects are searched through as well, with the proof at the end.
 * @param like starts whose order is tried first
 * @yields what is known so far
 * @throws Error for a project with a conflict that was not found, which is a defect of ours
 * @example
 * solving({ resources: [], activities: [] }, 1).next().value.status; // 'feasible'
 */
export function* solving(project: Project, seed: number, like?: Starts): Generator<Progress, Progress> {
	const net = netOf(project);
	const nothing = { lateS: 0, finishS: 0 };
	const refused = conflictOf(project, net);
	if (refused)
		return { status: 'infeasible', bound: nothing, proven: true, conflict: refused, iterations: 0 };
	const earliest = earliestStarts(net);
	if (!earliest.ok) throw new Error('solving: a project without a conflict has earliest starts');
	const order = groupOrder(net);
	const bound = lowerBound(net, earliest.startS);
	const chance = chanceOf(seed);
	let found = byRules(net, order, earliest.startS, like && startsOf(project, like));
	let iterations = 1;
	const known = (): Progress => ({
		status: found ? 'feasible' : 'unknown',
		...(found && { startS: found.startS, value: found.value }),
		bound,
		proven: found !== undefined && !better(bound, found.value),
		iterations
	});
	if (known().proven) return known();
	yield known();

	const all = net.n <= MOST_EXACT ? searchAll(net, earliest.startS, () => found) : undefined;
	let search: Generator<Found, never> | undefined;
	for (;;) {
		iterations++;
		if (found) {
			search ??= improve(net, order, earliest.startS, found, chance);
			const { value } = search.next();
			if (better(value.value, found.value)) found = value;
		} else if (iterations <= MOST_DRAWN) found = drawn(net, order, earliest.startS, chance);
		else if (!all) return known();
		for (let k = 0; all && k < BRANCHES_EACH; k++) {
			const step = all.next();
			found = step.value.best ?? found;
			if (!step.done) continue;
			if (found) return { ...known(), bound: found.value, proven: true };
			return {
				...known(),
				status: 'infeasible',
				proven: true,
				conflict: fewest(
					project,
					project.activities.map((a) => a.id),
					(part) => isNone(part, seed)
				)
			};
		}
		if (known().proven) return known();
		yield known();
	}
}

/** Whether a part of a project is known within a few branches to have no schedule. */
function isNone(part: Project, seed: number): boolean {
	const work = solving(part, seed);
	for (let step = work.next(); ; step = work.next()) {
		const { status, iterations } = step.value;
		if (step.done) return status === 'infeasible';
		if (status === 'feasible' || iterations > MOST_FOR_PART) return false;
	}
}

/** The best by a few rules of priority: due first, longest tail, longest work, by earliest. */
function byRules(
	net: Net,
	order: GroupOrder,
	earliestS: Float64Array,
	like?: Float64Array
): Found | undefined {
	const tail = tailsOf(net);
	const work = Float64Array.from(net.groups, (g) => g.reduce((sum, i) => sum + net.durationS[i]!, 0));
	const least = (group: readonly number[], of: (i: number) => number) => Math.min(...group.map(of));
	const dueBefore = dueThrough(net);
	const rules: ((g: readonly number[], k: number) => number)[] = [
		(g) => least(g, (i) => -tail[i]! - net.durationS[i]!),
		(g) => least(g, (i) => Math.min(dueBefore[i]!, 1e12) - net.durationS[i]!),
		(g) => least(g, (i) => earliestS[i]!),
		(g, k) => least(g, (i) => -tail[i]!) - work[k]!,
		...(like ? [(g: readonly number[]) => least(g, (i) => like[i]!)] : [])
	];
	let best: Found | undefined;
	for (const rule of rules) {
		const startS = generate(net, order, earliestS, Float64Array.from(net.groups, rule));
		if (!startS) continue;
		const found = { startS, value: valueOf(net, startS) };
		if (!best || better(found.value, best.value)) best = found;
	}
	return best;
}

/** Starts by place; what is not among them comes last. */
const startsOf = (project: Project, starts: Starts) =>
	Float64Array.from(project.activities, (a) => starts[a.id] ?? 1e12);

/** When each has to have ended so that nothing after it is late, s. */
function dueThrough(net: Net): Float64Array {
	const due = net.dueS.slice();
	for (let round = 0, moved = true; moved && round < net.n; round++) {
		moved = false;
		for (let i = net.n - 1; i >= 0; i--)
			for (const { to, lagS } of net.out[i]!) {
				const t = due[to]! - net.durationS[to]! - lagS + net.durationS[i]!;
				if (t < due[i]!) [due[i], moved] = [t, true];
			}
	}
	return due;
}

/** A schedule by an order drawn by chance. */
function drawn(
	net: Net,
	order: GroupOrder,
	earliestS: Float64Array,
	chance: () => number
): Found | undefined {
	const startS = generate(
		net,
		order,
		earliestS,
		Float64Array.from(net.groups, () => chance())
	);
	return startS && { startS, value: valueOf(net, startS) };
}
