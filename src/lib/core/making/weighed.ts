import type { MakingStep } from '../mould';
import { digits } from '../units';
import type { MakingState } from './reduce';

/** Rubber that was really weighed for one pour, against what was planned, g. */
export interface WeighedPour {
	title: string;
	plannedG: number;
	weighedG: number;
	/** How far the share of the second part is off the planned one, percent; nothing where one thing is weighed. */
	ratioOffPercent?: number;
}

/** From so far off its sheet a ratio shows in the rubber (common practice, no source). */
const RUBBER_RATIO_PERCENT = 5;

/**
 * What was really weighed while a mould was made, in the order of its steps; steps of which nothing was noted are left out.
 * @example
 * const steps = makingSteps(makingOf('one-piece'));
 * weighedPours(steps, { weighed: { 'measure-0': [70, 63] } })[0]?.weighedG; // 133
 */
export function weighedPours(
	steps: readonly MakingStep[],
	{ weighed }: Pick<MakingState, 'weighed'>
): WeighedPour[] {
	return steps.flatMap((step) => {
		const massesG = weighed[step.id];
		const planned = step.amounts?.map((a) => a.massG);
		if (!massesG || !planned || massesG.length !== planned.length) return [];
		const sum = (all: readonly number[]) => all.reduce((a, b) => a + b, 0);
		const [a, b] = massesG;
		const [pa, pb] = planned;
		return [
			{
				title: step.title,
				plannedG: sum(planned),
				weighedG: sum(massesG),
				...(a && b && pa && pb ? { ratioOffPercent: 100 * (b / a / (pb / pa) - 1) } : {})
			}
		];
	});
}

/**
 * What is to be said of amounts before they are combined: a ratio that is off, or less than stands in the box.
 * @param massesG as typed, in the order of the step's amounts; what is not typed yet is undefined
 * @example
 * const amounts = [{ label: 'A', massG: 50 }, { label: 'B', massG: 50 }];
 * weighedProblem({ id: 'measure-0', title: 'Weigh', amounts }, [50, 80])?.slice(0, 21); // 'The ratio is 60 % off'
 */
export function weighedProblem(
	step: Pick<MakingStep, 'amounts' | 'id' | 'title'>,
	massesG: readonly (number | undefined)[]
): string | undefined {
	if (massesG.length === 0 || massesG.some((m) => m === undefined || !(m > 0))) return undefined;
	const [pour] = weighedPours([step as MakingStep], { weighed: { [step.id]: massesG as number[] } });
	if (!pour) return undefined;
	const off = pour.ratioOffPercent ?? 0;
	if (Math.abs(off) > RUBBER_RATIO_PERCENT)
		return `The ratio is ${digits(Math.abs(off), 0)} % off: there is too ${off > 0 ? 'much' : 'little'} of the second part. Add of the other until it fits.`;
	return undefined;
}
