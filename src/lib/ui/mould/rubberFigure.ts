import type { MouldPlan } from '$lib/core/mould';
import type { Units } from '../units.svelte';

/** The one figure of a mould: a mass is the sum of A and B as they are weighed beside it. */
export function rubberFigure(
	units: Pick<Units, 'inCup' | 'show'>,
	plan: Pick<MouldPlan, 'pours'>,
	figure: { kind: 'mass' | 'volume'; value: number }
): string {
	if (figure.kind !== 'mass') return units.show(figure.value, figure.kind);
	const parts = plan.pours.flatMap(({ a, b }) => (a && b ? [a, b] : []));
	return units.inCup({ massG: figure.value, fillers: parts });
}
