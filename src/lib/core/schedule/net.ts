import type { Opening, Project, Resource } from './project';

/** The start of `to` is at least `lagS` after the start of `from`. */
export interface Arc {
	from: number;
	to: number;
	lagS: number;
}

/** A project by numbers: activities and resources by their place. */
export interface Net {
	n: number;
	durationS: Float64Array;
	needs: readonly (readonly { resource: number; amount: number }[])[];
	/** Arcs that leave and that reach each activity. */
	out: readonly (readonly Arc[])[];
	into: readonly (readonly Arc[])[];
	/** No start before this, s. */
	releaseS: Float64Array;
	/** No start after this, s; infinite for most. */
	latestS: Float64Array;
	dueS: Float64Array;
	weight: Float64Array;
	/** 1 for what is waited for, 0 for what only takes room. */
	counts: Uint8Array;
	capacity: readonly number[];
	calendars: readonly (readonly Opening[] | undefined)[];
	/** Activities that most lags tie together are placed as one: the group of each, and the members of each. */
	groupOf: Int32Array;
	groups: readonly (readonly number[])[];
}

/** Openings in order, those that touch made one. */
function tidy(calendar: Resource['calendar']): readonly Opening[] | undefined {
	if (!calendar) return undefined;
	const out: Opening[] = [];
	for (const w of calendar.filter((o) => o.untilS > o.fromS).sort((a, b) => a.fromS - b.fromS)) {
		const last = out[out.length - 1];
		if (last && w.fromS <= last.untilS) last.untilS = Math.max(last.untilS, w.untilS);
		else out.push({ ...w });
	}
	return out;
}

/** Amounts of one resource that are named twice are added. */
function summed(needs: Project['activities'][number]['needs'], at: ReadonlyMap<string, number>) {
	const sums = new Map<number, number>();
	for (const { resource, amount } of needs)
		if (amount > 0) sums.set(at.get(resource)!, (sums.get(at.get(resource)!) ?? 0) + amount);
	return [...sums].map(([resource, amount]) => ({ resource, amount }));
}

/** A project by numbers. Ids and names are taken to be known: the schema of the input sees to that. */
export function netOf({ resources, activities }: Project): Net {
	const place = new Map(activities.map((a, i) => [a.id, i]));
	const resourceAt = new Map(resources.map((r, i) => [r.name, i]));
	const n = activities.length;
	const out: Arc[][] = Array.from({ length: n }, () => []);
	const into: Arc[][] = Array.from({ length: n }, () => []);
	const add = (arc: Arc) => {
		out[arc.from]!.push(arc);
		into[arc.to]!.push(arc);
	};
	activities.forEach((a, to) => {
		for (const { id, from, leastS = 0, mostS } of a.after ?? []) {
			const i = place.get(id)!;
			const base = from === 'start' ? 0 : activities[i]!.durationS;
			add({ from: i, to, lagS: base + leastS });
			if (mostS !== undefined) add({ from: to, to: i, lagS: -(base + mostS) });
		}
	});
	const groups = components(n, out);
	const groupOf = new Int32Array(n);
	groups.forEach((members, g) => members.forEach((i) => (groupOf[i] = g)));
	return {
		n,
		durationS: Float64Array.from(activities, (a) => a.durationS),
		// what takes no time takes nothing
		needs: activities.map((a) => (a.durationS > 0 ? summed(a.needs, resourceAt) : [])),
		out,
		into,
		releaseS: Float64Array.from(activities, (a) => Math.max(a.notBeforeS ?? 0, a.pinnedS ?? 0)),
		latestS: Float64Array.from(activities, (a) => a.pinnedS ?? Infinity),
		dueS: Float64Array.from(activities, (a) => a.dueS ?? Infinity),
		weight: Float64Array.from(activities, (a) => a.weight ?? 1),
		counts: Uint8Array.from(activities, (a) => (a.background ? 0 : 1)),
		capacity: resources.map((r) => r.capacity),
		calendars: resources.map((r) => tidy(r.calendar)),
		groupOf,
		groups
	};
}

/** Activities from each of which lags lead to the others and back; Tarjan, SIAM J. Comput. 1 (1972) 146, without recursion. */
function components(n: number, out: readonly (readonly Arc[])[]): number[][] {
	const index = new Int32Array(n).fill(-1);
	const low = new Int32Array(n);
	const onStack = new Uint8Array(n);
	const stack: number[] = [];
	const found: number[][] = [];
	let count = 0;
	const open = (i: number) => {
		index[i] = low[i] = count++;
		stack.push(i);
		onStack[i] = 1;
		return { i, next: 0 };
	};
	for (let root = 0; root < n; root++) {
		if (index[root] !== -1) continue;
		const calls = [open(root)];
		for (let call = calls[0]; call; call = calls[calls.length - 1]) {
			const { i } = call;
			const arc = out[i]![call.next++];
			if (arc) {
				if (index[arc.to] === -1) calls.push(open(arc.to));
				else if (onStack[arc.to]) low[i] = Math.min(low[i]!, index[arc.to]!);
				continue;
			}
			calls.pop();
			const above = calls[calls.length - 1];
			if (above) low[above.i] = Math.min(low[above.i]!, low[i]!);
			if (low[i] !== index[i]) continue;
			const members = stack.splice(stack.indexOf(i));
			for (const m of members) onStack[m] = 0;
			found.push(members.sort((a, b) => a - b));
		}
	}
	return found;
}
