import { earliestStarts } from './earliest';
import { searchAll } from './exact';
import { netOf, type Net } from './net';
import { fewest } from './part';
import type { Project } from './project';

/** A group that most lags tie together is searched through alone up to so many members and branches. */
const MOST_MEMBERS = 24;
const MOST_BRANCHES = 3000;

/**
 * A few activities that cannot be done at all, whatever else there is: one that wants more than there is, one that fits into
 * no opening of what it needs, a circle of lags that cannot hold, two that have to overlap on what only one can have, or a
 * group tied by most lags that was searched through. Left away one by one as long as the rest cannot be done either.
 * @returns ids; nothing where none of these is found, which does not mean that it can be done
 */
export function conflictOf(project: Project, net: Net): string[] | undefined {
	const places = anyConflict(net);
	if (!places) return undefined;
	const ids = places.map((i) => project.activities[i]!.id);
	return fewest(project, ids, (part) => anyConflict(netOf(part)) !== undefined);
}

function anyConflict(net: Net): number[] | undefined {
	for (let i = 0; i < net.n; i++)
		if (net.needs[i]!.some(({ resource, amount }) => amount > net.capacity[resource]!)) return [i];
	const earliest = earliestStarts(net);
	if (!earliest.ok) return earliest.chain;
	const pinned = Array.from({ length: net.n }, (_, i) => i).filter((i) => net.latestS[i] !== Infinity);
	const together = pinned.length > 0 ? pinnedOnTop(net, pinned) : undefined;
	if (together) return together;
	for (const members of net.groups) {
		if (members.length < 2 || members.length > MOST_MEMBERS) continue;
		if (searchedThrough(net, members)) return [...members];
	}
	return undefined;
}

/** Pinned activities that take too much together. */
function pinnedOnTop(net: Net, pinned: readonly number[]): number[] | undefined {
	for (let r = 0; r < net.capacity.length; r++) {
		const users = pinned.filter((i) => net.needs[i]!.some((x) => x.resource === r));
		for (const u of users) {
			const t = net.latestS[u]!;
			const active = users.filter((i) => net.latestS[i]! <= t && net.latestS[i]! + net.durationS[i]! > t);
			const used = active.reduce((sum, i) => sum + net.needs[i]!.find((x) => x.resource === r)!.amount, 0);
			if (used > net.capacity[r]!) return active;
		}
	}
	return undefined;
}

/** Whether a group cannot be placed even when it is alone. */
function searchedThrough(net: Net, members: readonly number[]): boolean {
	const at = new Map(members.map((m, k) => [m, k]));
	const arcs = members.map((m) =>
		net.out[m]!.flatMap(({ to, lagS }) => (at.has(to) ? [{ from: at.get(m)!, to: at.get(to)!, lagS }] : []))
	);
	const pick = (values: Float64Array) => Float64Array.from(members, (m) => values[m]!);
	const alone: Net = {
		...net,
		n: members.length,
		durationS: pick(net.durationS),
		needs: members.map((m) => net.needs[m]!),
		out: arcs,
		into: members.map((_, k) => arcs.flat().filter((a) => a.to === k)),
		releaseS: pick(net.releaseS),
		latestS: pick(net.latestS),
		dueS: pick(net.dueS),
		weight: pick(net.weight),
		counts: Uint8Array.from(members, (m) => net.counts[m]!),
		groupOf: new Int32Array(members.length),
		groups: [members.map((_, k) => k)]
	};
	const earliest = earliestStarts(alone);
	if (!earliest.ok) return true;
	const search = searchAll(alone, earliest.startS, () => undefined);
	for (let k = 0; k < MOST_BRANCHES; k++) {
		const step = search.next();
		if (step.value.best) return false;
		if (step.done) return true;
	}
	return false;
}
