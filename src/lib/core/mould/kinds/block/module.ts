import { rubberThing } from '../../../compatibility/things';
import { lookedOver, opened } from '../../steps/finish';
import { pourSteps } from '../../steps/pour';
import { fixDown, prepared } from '../../steps/prepare';
import type { MakingPlan } from '../../steps/plan';
import type { ShowQuantity } from '../../steps/step';
import type { MouldInputs } from '../../inputs';
import type { MouldPlan } from '../../planned';
import type { MouldModule } from '../module';
import { blockReachMm, drawBlock } from './draw';

/** What every mould of rubber from the shelf has in common. */
export const OF_RUBBER = {
	figure: (plan: MouldPlan) => ({ kind: 'mass' as const, value: plan.rubber.massG }),
	pricePerKg: ({ rubber }) => rubber?.pricePerKg,
	cupIsLost: true,
	wearFamily: (rubber) => {
		if (rubber?.use === 'high-heat') return 'high-heat tin';
		return rubber?.cureKind === 'condensation' ? 'tin' : 'platinum';
	},
	thing: ({ rubberId }, { rubber }) => rubber && rubberThing(rubberId, rubber)
} satisfies Partial<MouldModule>;

/** What every block poured in a box has in common. */
export const BOXED = {
	...OF_RUBBER,
	asksForSprue: true,
	refusesResin: '',
	degassed: true,
	draw: drawBlock,
	reachMm: (_inputs: MouldInputs, plan: MouldPlan) => blockReachMm(plan),
	wall: (inputs) => ({ mm: inputs.clearanceMm, of: 'silicone' }),
	cautions: (inputs) =>
		inputs.degas === 'vacuum'
			? ['silicone', 'vacuum']
			: inputs.degas === 'pressure'
				? ['silicone', 'pressure']
				: ['silicone'],
	making: () => ({}),
	settingS: (plan) => plan.pours.map(() => plan.readyInS / Math.max(1, plan.pours.length))
} satisfies Partial<MouldModule>;

/** A block of one pour: held down, poured, opened. @param cut what is written down before the master is out of sight */
export function onePourSteps(
	plan: MakingPlan,
	show: ShowQuantity,
	[title, detail]: readonly [string, string],
	cut = ''
) {
	return [
		...prepared(plan, fixDown(cut)),
		...plan.pours.flatMap((_, i) => pourSteps(plan, i, show)),
		opened(title, detail),
		lookedOver(plan, show)
	];
}
