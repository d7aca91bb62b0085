import type { MakingPlan } from './plan';
import { check, type MakingStep, type ShowQuantity } from './step';

/** The master comes out, with what is cut. */
export const opened = (title: string, detail: string): MakingStep =>
	check('open', title, detail, 'The master is out', ['knife']);

/** The first look at it, with water. */
export function lookedOver(plan: MakingPlan, show: ShowQuantity): MakingStep {
	return {
		id: 'inspect',
		kind: 'inspect',
		title: 'Look the mould over',
		detail: `Fill it with water and weigh what it takes: ${
			plan.masterVolumeMl === undefined
				? 'that is one copy, and it goes into the books of the master'
				: `${show(plan.masterVolumeMl, 'volume')}${plan.cavities > 1 ? ` in each of ${plan.cavities} cavities` : ''} is what the master has`
		}. Then dry it for a day.`,
		action: 'It goes on the shelf',
		cautions: []
	};
}
