import type { Opening, Project, Starts } from './project';

/** A rule that a schedule breaks, in plain words, with the activities that it is about. */
export interface Breach {
	ids: string[];
	message: string;
}

/**
 * What a schedule breaks of the rules of its project, worked out apart from what made it: whole seconds, pins, lags, calendars,
 * resources. Plain on purpose: what is taken of a resource is counted anew at every start.
 * @example
 * breaches({ resources: [], activities: [{ id: 'mix', durationS: 60, needs: [] }] }, { mix: 5 }); // []
 */
export function breaches(project: Project, starts: Starts): Breach[] {
	return [
		...ofActivities(project, starts),
		...project.resources.flatMap((r) => ofResource(project, r.name, starts))
	];
}

function ofActivities({ activities }: Project, starts: Starts): Breach[] {
	const out: Breach[] = [];
	const byId = new Map(activities.map((a) => [a.id, a]));
	for (const a of activities) {
		const s = starts[a.id];
		if (s === undefined || !Number.isInteger(s) || s < 0) {
			out.push({ ids: [a.id], message: 'It has no start in whole seconds.' });
			continue;
		}
		if (s < (a.notBeforeS ?? 0)) out.push({ ids: [a.id], message: `It begins before ${a.notBeforeS} s.` });
		if (a.pinnedS !== undefined && s !== a.pinnedS)
			out.push({ ids: [a.id], message: `It is pinned to ${a.pinnedS} s and begins at ${s} s.` });
		for (const { id, from, leastS = 0, mostS } of a.after ?? []) {
			const gap = s - (starts[id]! + (from === 'start' ? 0 : byId.get(id)!.durationS));
			// a start that is missing is told with its own activity
			if (gap < leastS)
				out.push({ ids: [id, a.id], message: `It begins ${leastS - gap} s too early after the other.` });
			if (mostS !== undefined && gap > mostS)
				out.push({ ids: [id, a.id], message: `It begins ${gap - mostS} s too late after the other.` });
		}
	}
	return out;
}

function ofResource({ resources, activities }: Project, name: string, starts: Starts): Breach[] {
	const { capacity, calendar } = resources.find((r) => r.name === name)!;
	const users = activities.flatMap((a) => {
		const amount = a.needs.reduce((sum, x) => sum + (x.resource === name ? x.amount : 0), 0);
		const from = starts[a.id];
		return amount > 0 && a.durationS > 0 && from !== undefined
			? [{ id: a.id, from, until: from + a.durationS, amount }]
			: [];
	});
	const out: Breach[] = [];
	for (const u of users) {
		const together = users.filter((o) => o.from <= u.from && o.until > u.from);
		const used = together.reduce((sum, o) => sum + o.amount, 0);
		if (used > capacity)
			out.push({
				ids: together.map((o) => o.id),
				message: `${name}: ${used} wanted at ${u.from} s, ${capacity} there.`
			});
		if (calendar && !isOpen(calendar, u.from, u.until))
			out.push({ ids: [u.id], message: `${name} does not work all the while.` });
	}
	return out;
}

function isOpen(calendar: readonly Opening[], fromS: number, untilS: number): boolean {
	let t = fromS;
	for (const o of [...calendar].sort((a, b) => a.fromS - b.fromS)) {
		if (o.fromS > t) return false;
		if (o.untilS > t) t = o.untilS;
		if (t >= untilS) return true;
	}
	return t >= untilS;
}
