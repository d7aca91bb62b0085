import type { Activity, After, Project, Resource } from '../schedule';
import { handsTimes, type HandsTime } from './hours';
import type { Part } from './parts';
import { castTogether, untangled, type CastTogether } from './potLoads';
import type { BegunToPlan, PullList, PullToPlan } from './pulls';
import type { PotLoad, Workshop } from './snapshot';

/** So many days are looked ahead. */
export const HORIZON_DAYS = 90;

/** What an activity is about; its id is made of it. */
export interface ActivityOf {
	id: string;
	part: Part;
	pull?: PullToPlan;
	/** Of a pull that was begun: what is left to do of it. */
	begun?: BegunToPlan;
	/** Of a layer, which one from 1. */
	layer?: number;
	/** Of a successor, of which mould. */
	mouldId?: string;
	/** Of a cast that shares its closing: all pulls of it, in the order in which they are poured. */
	load?: PotLoad;
}

/** Where a pull stands in the load that it goes in with. */
interface LoadPlace extends CastTogether {
	pulls: readonly PullToPlan[];
	place: number;
}

/** Cure times that were worked out for the hours at which they fall, and draws of chance. */
export interface Durations {
	/** By pull, s. */
	cureS?: ReadonlyMap<string, number>;
	/** Moulds take unlike pulls in any order: for what no plan beats. */
	anyTurn?: boolean;
	/** Hands take so much longer or shorter. */
	handsFactor?: number;
}

export interface OrdersProject {
	project: Project;
	about: ActivityOf[];
	openings: readonly HandsTime[];
}

const HANDS = 'hands';

/** When there are hands, from the snapshot on. */
export const openingsOf = (workshop: Workshop) => handsTimes(workshop.hours, workshop.nowMs, HORIZON_DAYS);

/** The project of pulls: resources, activities and what has to lie between them. Times are seconds from the snapshot on. */
export function projectOf(
	workshop: Workshop,
	list: PullList,
	durations: Durations = {},
	openings: readonly HandsTime[] = openingsOf(workshop)
): OrdersProject {
	const most = Math.max(1, ...openings.map((o) => o.hands));
	const activities: Activity[] = [];
	const about: ActivityOf[] = [];
	const add = (of: Omit<ActivityOf, 'id'>, id: string, activity: Omit<Activity, 'id'>) => {
		const pinnedMs = workshop.pins[id];
		about.push({ id, ...of });
		activities.push({
			id,
			...activity,
			...(pinnedMs === undefined || pinnedMs < workshop.nowMs
				? {}
				: { pinnedS: secondsBetween(pinnedMs, workshop.nowMs) })
		});
		return id;
	};
	const hands = { resource: HANDS, amount: 1 };
	const work = (s: number) => Math.max(1, Math.round(s * (durations.handsFactor ?? 1)));
	const freeS = new Map<string, number>();
	for (const m of workshop.moulds) freeS.set(`M${m.number}`, secondsTo(m.freeAtMs, workshop.nowMs));
	const lastOf = new Map<string, string>();
	const anyTurn = durations.anyTurn ? mouldsOfSeveral(list.pulls) : new Set<string>();
	// what no plan beats knows of no closings: whatever could share one wants no pot, and is not closed by itself
	const loads = loadsIn(durations.anyTurn ? [] : untangled(list.pulls, list.loads ?? []), list.pulls);
	const free = (durations.anyTurn && list.joinable) || new Set<string>();

	for (const s of list.successors) {
		const make = add({ part: 'make', mouldId: s.mouldId }, `${s.mouldId}/make`, {
			durationS: work(s.makeS),
			needs: [hands]
		});
		lastOf.set(
			s.resource,
			add({ part: 'set', mouldId: s.mouldId }, `${s.mouldId}/set`, {
				durationS: Math.round(s.cureS),
				needs: [],
				after: [{ id: make, mostS: 0 }]
			})
		);
	}
	/** All of a closing is one block of the hands of its first pull; the others only lie within it. */
	function castInLoad(
		pull: PullToPlan,
		{ pulls, place, beginsS, durationS }: LoadPlace,
		last: string
	): string {
		const id = `${pull.id}/cast`;
		const of = { part: 'cast' as const, pull, load: pulls.map((p) => p.id) };
		const ready = (of: string) => ({ id: of, mostS: READY_S });
		const beginS = work(beginsS[place]! + 1) - 1;
		if (place > 0)
			return add(of, id, {
				durationS: work(durationS) - beginS,
				needs: [],
				after: [{ id: `${pulls[0]!.id}/cast`, from: 'start', leastS: beginS, mostS: beginS }]
			});
		return add(of, id, {
			durationS: work(durationS),
			needs: [
				hands,
				...pulls.flatMap((p) => p.moulds.map((resource) => ({ resource, amount: 1 }))),
				{ resource: `pot ${pull.recipe.potId}`, amount: 1 }
			],
			after: [
				ready(last),
				...pulls
					.slice(1)
					.map(({ id: other, recipe }) => ready(`${other}/${recipe.flashS > 0 ? 'dry' : 'prep'}`))
			]
		});
	}
	for (const pull of list.pulls) {
		const { recipe, order, line } = pull;
		const moulds = pull.moulds.map((resource) => ({ resource, amount: 1 }));
		const load = loads.get(pull.id);
		const potOf = recipe.potId === null || free.has(pull.id) ? null : `pot ${recipe.potId}`;
		const pot = potOf === null ? [] : [{ resource: potOf, amount: 1 }];
		const of = (part: Part, layer?: number) => ({ part, pull, ...(layer === undefined ? {} : { layer }) });
		const restS = workshop.hours.restMinutes * 60;
		const before: After[] = pull.moulds.flatMap((m) =>
			lastOf.has(m) ? [{ id: lastOf.get(m)!, leastS: restS }] : []
		);
		const prep = add(of('prep'), `${pull.id}/prep`, {
			durationS: work(recipe.prepS),
			needs: [hands, ...moulds],
			after: before,
			notBeforeS: Math.max(0, ...pull.moulds.map((m) => freeS.get(m) ?? 0))
		});
		let last = prep;
		if (recipe.flashS > 0)
			last = add(of('dry'), `${pull.id}/dry`, {
				durationS: Math.round(recipe.flashS),
				needs: moulds,
				after: [{ id: prep, mostS: 0 }]
			});
		let cast = '';
		if (load) cast = last = castInLoad(pull, load, last);
		recipe.blocks.forEach((block, k) => {
			if (load) return;
			last = add(
				k === 0 ? of('cast') : of('layer', k + 1),
				`${pull.id}/${k === 0 ? 'cast' : `layer-${k + 1}`}`,
				{
					durationS: work(block.durationS - (free.has(pull.id) ? (recipe.pot?.closeS ?? 0) : 0)),
					needs: [hands, ...moulds, ...(k === recipe.blocks.length - 1 ? pot : [])],
					// a coat and a clean mould are good for the same half day (common practice, no source)
					after: [
						k === 0
							? { id: last, mostS: READY_S }
							: { id: last, from: 'start', leastS: Math.round(block.leastS), mostS: Math.round(block.mostS) }
					]
				}
			);
			if (k === 0) cast = last;
		});
		const poured = last;
		const isFirst = !load || load.place === 0;
		if (recipe.holdS > 0 && pot.length > 0 && isFirst)
			add(of('hold'), `${pull.id}/hold`, {
				durationS: Math.round(load?.holdS ?? recipe.holdS),
				needs: [...pot],
				after: [{ id: poured, mostS: 0 }]
			});
		const cure = add(of('cure'), `${pull.id}/cure`, {
			durationS: Math.round(durations.cureS?.get(pull.id) ?? recipe.cureS.day),
			needs: moulds,
			after: [{ id: poured, mostS: 0 }]
		});
		const demould = add(of('demould'), `${pull.id}/demould`, {
			durationS: work(recipe.demouldS),
			needs: [hands, ...moulds],
			after: [
				{ id: cure, ...(recipe.flexibleS === null ? {} : { mostS: Math.round(recipe.flexibleS) }) },
				// the pot is opened once, when the slowest in it is firm
				...(load ? [{ id: `${load.pulls[0]!.id}/hold` }] : [])
			]
		});
		for (const m of pull.moulds) if (!anyTurn.has(m)) lastOf.set(m, demould);
		const weight = order.priority * recipe.copies;
		const finish =
			line.finishS > 0
				? add(of('finish'), `${pull.id}/finish`, {
						durationS: work(line.finishS * recipe.copies),
						needs: [hands],
						after: [{ id: demould }]
					})
				: demould;
		add(of('ready'), `${pull.id}/ready`, {
			durationS: 0,
			needs: [],
			after: [{ id: finish }, { id: cast, from: 'start', leastS: Math.round(line.hardenS) }],
			dueS: secondsBetween(order.dueAtMs, workshop.nowMs),
			weight
		});
	}
	for (const begun of list.begun) {
		const { order, line, copies } = begun;
		const outS = secondsTo(begun.outAtMs, workshop.nowMs);
		const finish =
			line.finishS > 0
				? [
						add({ part: 'finish', begun }, `${begun.id}/finish`, {
							durationS: work(line.finishS * copies),
							needs: [hands],
							notBeforeS: outS
						})
					]
				: [];
		add({ part: 'ready', begun }, `${begun.id}/ready`, {
			durationS: 0,
			needs: [],
			after: finish.map((id) => ({ id })),
			notBeforeS: Math.max(outS, secondsTo(begun.castAtMs + line.hardenS * 1000, workshop.nowMs)),
			dueS: secondsBetween(order.dueAtMs, workshop.nowMs),
			weight: order.priority * copies
		});
	}
	// fewer hands than at the busiest hour: somebody is away
	openings.forEach((o, k) => {
		if (o.hands < most)
			activities.push({
				id: `away/${k}`,
				durationS: o.untilS - o.fromS,
				needs: [{ resource: HANDS, amount: most - o.hands }],
				pinnedS: o.fromS,
				background: true
			});
	});
	const resources: Resource[] = [
		{ name: HANDS, capacity: most, calendar: openings.map(({ fromS, untilS }) => ({ fromS, untilS })) },
		...[...new Set(list.pulls.flatMap((p) => p.moulds))].map((name) => ({ name, capacity: 1 })),
		...workshop.pots.map((p) => ({
			name: `pot ${p.id}`,
			capacity: 1,
			calendar: [{ fromS: secondsTo(p.freeAtMs, workshop.nowMs), untilS: 2 * HORIZON_DAYS * 86_400 }]
		}))
	];
	return { project: { resources, activities }, about, openings };
}

/** The place of every pull that goes in with others, by its id. */
function loadsIn(loads: readonly PotLoad[], pulls: readonly PullToPlan[]): Map<string, LoadPlace> {
	const byId = new Map(pulls.map((p) => [p.id, p]));
	return new Map(
		loads.flatMap((load) => {
			const members = load.map((id) => byId.get(id)!);
			const cast = castTogether(members.map((p) => p.recipe));
			return members.map((p, place) => [p.id, { ...cast, pulls: members, place }] as const);
		})
	);
}

/** Moulds in which unlike pulls take turns; where all are alike any turn is as good as another. */
function mouldsOfSeveral(pulls: readonly PullToPlan[]): Set<string> {
	const kinds = new Map<string, Set<string>>();
	for (const { line, recipe, moulds } of pulls)
		for (const m of moulds) kinds.set(m, (kinds.get(m) ?? new Set()).add(`${line.id}/${recipe.batch}`));
	return new Set([...kinds].filter(([, of]) => of.size > 1).map(([m]) => m));
}

const READY_S = 4 * 3600;
const secondsBetween = (toMs: number, fromMs: number) => Math.round((toMs - fromMs) / 1000);
const secondsTo = (toMs: number, fromMs: number) => Math.max(0, Math.ceil((toMs - fromMs) / 1000));
