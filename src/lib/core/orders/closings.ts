import type { Starts } from '../schedule';
import { potLoadsOf, type PlannedAlone } from './potLoads';
import type { OrdersProject } from './project';
import type { PullList } from './pulls';
import {
	lateLines,
	lineOf,
	movedFrom,
	settled,
	STAYS_MS,
	type Candidate,
	type Openings,
	type PlanBudget
} from './settled';
import type { Workshop } from './snapshot';

/** So long a closing waits for a mould that is about to be empty, s. */
const WAITS_S = 900;

/** The plan whose pulls share closings; where those that wait a little make it later, those alone for which nothing waits. */
export function joined(
	workshop: Workshop,
	list: PullList,
	openings: Openings,
	like: Starts,
	budget: PlanBudget,
	apart: Candidate
): Candidate {
	const { made, found } = apart;
	if (found.status !== 'feasible') return apart;
	const alone = plannedAlone(made, found.starts);
	let together = apart;
	for (const waitS of [WAITS_S, 0]) {
		const { loads } = potLoadsOf(workshop, list.pulls, like, { ...alone, waitS });
		if (loads.length > 0)
			together = settled(workshop, { ...list, loads }, openings, like, budget, found.starts);
		if (isNoLater(together, apart)) break;
	}
	return together;
}

const lateS = ({ found }: Candidate) => (found.status === 'feasible' ? found.lateWeightedS! : Infinity);

/** No line is late that was not, and what of one is late is on average not noticeably later. */
function isNoLater(plan: Candidate, than: Candidate): boolean {
	if (plan.found.status !== 'feasible') return false;
	const was = lateByLine(than);
	return [...lateByLine(plan)].every(([line, { lateS: late, pulls }]) => {
		const before = was.get(line)?.lateS ?? 0;
		return late <= before || (before > 0 && ((late - before) * 1000) / pulls <= STAYS_MS);
	});
}

function lateByLine({ made, found }: Candidate): Map<string, { lateS: number; pulls: number }> {
	const lines = new Map<string, { lateS: number; pulls: number }>();
	for (const a of made.project.activities) {
		if (a.dueS === undefined) continue;
		const of = lines.get(lineOf(a.id)) ?? { lateS: 0, pulls: 0 };
		of.lateS += Math.max(0, (found.starts[a.id] ?? 0) + a.durationS - a.dueS);
		of.pulls += 1;
		lines.set(lineOf(a.id), of);
	}
	return lines;
}

function plannedAlone(made: OrdersProject, starts: Starts): Omit<PlannedAlone, 'waitS'> {
	const byId = new Map(made.project.activities.map((a) => [a.id, a]));
	const times = new Map<string, { castS: number; outS: number }>();
	for (const { id, part, pull } of made.about) {
		if (!pull) continue;
		const of = times.get(pull.id) ?? { castS: 0, outS: 0 };
		if (part === 'cast' && of.castS === 0) of.castS = starts[id]!;
		if (part === 'demould') of.outS = starts[id]! + byId.get(id)!.durationS;
		times.set(pull.id, of);
	}
	return { times, lateLines: lateLines(made, starts) };
}

/** Least late, then what moves least, then what spares closings; a quarter of an hour is no difference. */
export function better(like: Starts, apart: Candidate, together: Candidate): Candidate {
	const [asSoon, sooner] = [isNoLater(together, apart), !isNoLater(apart, together)];
	if (!asSoon || sooner) return lateS(together) < lateS(apart) ? together : apart;
	const moved = movedFrom(like, together) - movedFrom(like, apart);
	const laterS = together.found.finishS! - apart.found.finishS!;
	return (moved || (laterS * 1000 > STAYS_MS ? laterS : -1)) < 0 ? together : apart;
}
