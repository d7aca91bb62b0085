import type { PourPlan } from './pourPlan';

/** From the last scrape of one cup until the next is combined, s (common practice, no source). */
export const NEXT_CUP_S = 20;

const sumS = (steps: PourPlan['steps']) => steps.reduce((sum, s) => sum + s.durationS, 0);
const loadAt = (plan: PourPlan) => plan.steps.findIndex((s) => s.role === 'load');

/**
 * Pours that go into their pot with one closing: each waits until the last of them is poured, and all stay under pressure
 * until the slowest is firm.
 * @param plans in the order in which they are poured, each of one cup that goes into the same pot
 * @param id of the closing
 * @returns the plans as the bench runs them
 * @throws RangeError for one that goes into no pot
 * @example
 * inPotLoad([planOf(), planOf()], 'load')[0].steps.map((s) => s.role); // ['mix', 'pour', 'others', 'load', 'pump']
 */
export function inPotLoad(plans: readonly PourPlan[], id: string): PourPlan[] {
	if (plans.some((p) => !p.pot || loadAt(p) < 0)) throw new RangeError('inPotLoad: a plan goes into no pot');
	const pouredS = plans.map((p) => sumS(p.steps.slice(0, loadAt(p))));
	/** When each is poured, s after the first was combined. */
	const atS = pouredS.map((_, i) => sumOf(pouredS.slice(0, i + 1)) + i * NEXT_CUP_S);
	const openedS = Math.max(...plans.map((p, i) => atS[i]! + p.holdUntilS));
	return plans.map((plan, place) => {
		const others = plans
			.filter((_, i) => i !== place)
			.map((p) => ({ masterName: p.masterName, moulds: p.moulds.map((m) => `M${m.number}`) }));
		const later = plans.slice(place + 1);
		const at = loadAt(plan);
		const names = later.flatMap((p) => p.moulds.map((m) => `M${m.number}`)).join(', ');
		const waits: PourPlan['steps'] =
			later.length === 0
				? []
				: [{ name: `Pour ${names} too`, durationS: atS.at(-1)! - atS[place]!, role: 'others' }];
		const holdUntilS = openedS - atS[place]!;
		return {
			...plan,
			potLoad: { id, place, others },
			steps: [...plan.steps.slice(0, at), ...waits, ...plan.steps.slice(at)],
			holdUntilS,
			demouldS: Math.max(plan.demouldS, holdUntilS)
		};
	});
}

const sumOf = (values: readonly number[]) => values.reduce((sum, v) => sum + v, 0);
