import { cautionsForResin } from '../../cautions';
import { formatQuantity, type UnitSystem } from '../../units';
import { MOULD_WORDS } from '../../mould/kinds/words';
import { POUR_PLACES } from '../../shot/pouring';
import { type PourPlan } from '../../plan/pourPlan';
import { stepId } from './ids';
import { mouldNames, type BenchStep } from './step';

/** The steps that the clock drives, each with its deadline after combining. */
export function timedSteps(plan: PourPlan, units: UnitSystem): BenchStep[] {
	let atS = 0;
	return plan.steps.map((step, i) => {
		atS += step.durationS;
		return timedStep(step, i, atS, plan, units);
	});
}

function timedStep(
	step: PourPlan['steps'][number],
	index: number,
	atS: number,
	plan: PourPlan,
	units: UnitSystem
): BenchStep {
	const common = {
		id: stepId({ name: 'timed', n: index }),
		title: step.name,
		deadlineS: atS,
		role: step.role,
		kind: 'timed' as const
	};
	const way = wayOf(plan);
	// closed halves are full only when they are closed; otherwise the pour fills the mould
	const closes = plan.steps.some((s) => s.role === 'close');
	switch (step.role) {
		case 'mix':
			return {
				...common,
				detail: 'Scrape sides and floor. Undermixing leaves soft, tacky spots.',
				action: 'It is mixed',
				cautions: [...cautionsForResin(plan.chemistry), 'heat']
			};
		case 'vacuum':
			return {
				...common,
				detail: 'Let it rise and fall once; let the air in before the pump stops.',
				action: 'It has fallen',
				cautions: ['vacuum']
			};
		case 'some':
			return {
				...common,
				detail: `${mouldNames(plan)}: enough to wet the whole face, no more; the rest waits in its cup.`,
				action: 'The face is wet',
				cautions: []
			};
		case 'flame':
			return {
				...common,
				detail: `${mouldNames(plan)}: a soft flame passed over the open back, moving all the time, until the bubbles at the face have burst; never held still, the rubber and the resin scorch.`,
				action: 'The bubbles have burst',
				cautions: ['flame']
			};
		case 'brush':
			return {
				...common,
				detail:
					way === 'some-first'
						? `${mouldNames(plan)}: worked into every corner with a brush that may be thrown away, until no bubble clings to the face.`
						: `${mouldNames(plan)}: a little resin brushed into fine places first, so that no air stays there.`,
				action: 'Fine places are wet',
				cautions: []
			};
		case 'pour':
			return { ...common, ...pourWords(plan, way), fills: !closes, action: 'It is poured', cautions: [] };
		case 'tap':
			return {
				...common,
				detail: 'Tap, squeeze and tilt until no more bubbles come up. Then top up.',
				action: 'No more bubbles',
				cautions: []
			};
		case 'close':
			return {
				...common,
				detail:
					'Wipe the rims, lay the halves together in one go, band or clamp them while it is still liquid.',
				fills: true,
				action: 'Closed and clamped',
				cautions: []
			};
		case 'others':
			return {
				...common,
				detail: `${(plan.potLoad?.others ?? []).map((o) => `${o.masterName} in ${o.moulds.join(', ')}`).join('; ')}: its cup is combined, mixed and poured now, at its own bench. All of them go into the pot with one closing.`,
				action: 'All are poured',
				cautions: []
			};
		case 'load':
			return {
				...common,
				detail: 'Level on the shelf, lid on, every clamp closed.',
				action: 'Lid is clamped',
				cautions: ['pressure']
			};
		case 'pump':
			return {
				...common,
				kind: 'pump',
				detail: plan.pot
					? `To ${formatQuantity(plan.pot.targetGaugeKpa, 'pressure', units)} gauge; the plate says at most ${formatQuantity(plan.pot.ratedGaugeKpa, 'pressure', units)}.`
					: '',
				action: 'At pressure',
				cautions: ['pressure']
			};
	}
}

/** How it is poured: whatever was chosen, an open mould has neither sprue nor vents. */
function wayOf(plan: PourPlan): NonNullable<PourPlan['pouring']>['way'] {
	const way = plan.pouring?.way ?? 'sprue';
	const open = plan.moulds.every((m) => m.kind !== undefined && MOULD_WORDS[m.kind].open);
	return open && way === 'sprue' ? 'open face' : way;
}

function pourWords(plan: PourPlan, way: NonNullable<PourPlan['pouring']>['way']): { detail: string } {
	const where = POUR_PLACES[plan.pouring?.place ?? 'lowest'];
	const moulds = mouldNames(plan);
	switch (way) {
		case 'sprue':
			return { detail: `${moulds}: ${where}, until resin stands in the sprue and every vent. Then top up.` };
		case 'open face':
			return { detail: `${moulds}: ${where}, up to the rim and no further; it levels itself.` };
		case 'syringe':
			return {
				detail: `${moulds}: syringe at the lowest point, slowly, until resin stands in every vent. Then top up.`
			};
		case 'some-first':
			return { detail: `${moulds}: the rest, ${where}, up to the rim and no further; it levels itself.` };
		case 'halves':
			return { detail: `${moulds}: fill both halves open, ${where}, the rims kept clean.` };
	}
}
