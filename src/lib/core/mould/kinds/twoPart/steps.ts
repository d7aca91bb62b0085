import { opened, lookedOver } from '../../steps/finish';
import type { MakingPlan } from '../../steps/plan';
import { pourSteps } from '../../steps/pour';
import { bedInClay, prepared, release } from '../../steps/prepare';
import { check, type MakingStep, type ShowQuantity } from '../../steps/step';

/** Clay, first half, over, second half. */
export function twoPartSteps(plan: MakingPlan, show: ShowQuantity): MakingStep[] {
	return [
		...prepared(plan, bedInClay()),
		...plan.pours.flatMap((_, i) => [
			...(i > 0 ? [...turnOver(plan), ...release(plan, '-joint', 'the rubber of the first half')] : []),
			...pourSteps(plan, i, show)
		]),
		opened(
			'Part the halves, take the master out',
			'Along the joint, keys last. Cut sprue and vents with a sharp tube.'
		),
		lookedOver(plan, show)
	];
}

function turnOver(plan: MakingPlan): MakingStep[] {
	return [
		check(
			'turn',
			'Turn it over, take the clay out',
			`Leave ${plan.masterName} in the first half. Clean every trace of clay from it and from the keys; raise and seal the walls again.`,
			'It is clean and boxed'
		),
		...(plan.release
			? []
			: [
					check(
						'separate',
						'Separate the halves',
						'Rubber sticks to rubber of its own kind: release on the joint, or the halves are one.',
						'The joint is coated'
					)
				])
	];
}
