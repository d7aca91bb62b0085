import type { PourPlan } from '../../plan/pourPlan';

export type { BenchStep } from '../../plan/step';

/** M7, M9 ×2: the moulds of a plan as people say them. */
export function mouldNames(plan: Pick<PourPlan, 'moulds'>): string {
	return plan.moulds.map((m) => `M${m.number}${m.copies > 1 ? ` ×${m.copies}` : ''}`).join(', ');
}

export const sentence = (text: string): string => text && `${text[0]!.toUpperCase()}${text.slice(1)}`;
