import { lookedOver } from '../../steps/finish';
import type { MakingPlan } from '../../steps/plan';
import { release } from '../../steps/prepare';
import { check, type MakingStep, type ShowQuantity } from '../../steps/step';

/** Nothing is poured: looked over, drilled, coated, closed. */
export function rigidSteps(plan: MakingPlan, show: ShowQuantity): MakingStep[] {
	return [
		check(
			'clean',
			'Look it over',
			'No stringing, dust or old resin; try the parts together dry: no rocking, no step.',
			'The parts meet'
		),
		check(
			'vents',
			'Drill sprue and vents',
			'Vents at the places noted on the master; deburr inside.',
			'They are open',
			['knife']
		),
		...release(plan, '', 'every face of the mould'),
		check(
			'close',
			'Putty in the parting line, bands round it',
			'A thin bead outside the cavity, bands evenly.',
			'It is closed'
		),
		lookedOver(plan, show)
	];
}
