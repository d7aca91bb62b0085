import type { PourPlan } from '../../plan/pourPlan';

export type { BenchStep } from '../../plan/step';

/** M7, M9 ×2: the moulds of a plan as people say them. */
export function mouldNames(plan: Pick<PourPlan, 'moulds'>): string {
	return plan.moulds.map((m) => `M${m.number}${m.copies > 1 ? ` ×${m.copies}` : ''}`).join(', ');
}

/** A wall that is built up layer by layer: what is set in goes into its last one, and not into the empty mould. */
export const isWalled = (plan: Pick<PourPlan, 'layers'>): boolean =>
	plan.layers !== undefined && plan.layers.every((l) => (l.way ?? 'roll') !== 'flat');

export const sentence = (text: string): string => text && `${text[0]!.toUpperCase()}${text.slice(1)}`;
