import { cautionsFor } from '../../cautions';
import type { PourPlan } from '../../plan/pourPlan';
import { formatQuantity, formatWeighed, type UnitSystem } from '../../units';
import { beforeSteps } from './before';
import { stepId } from './ids';
import { mouldNames, type BenchStep } from './step';

/** Plaster, wax or soap, from the look at the mould to the grade. */
export function castableSteps(plan: PourPlan, units: UnitSystem): BenchStep[] {
	return [
		...beforeSteps(plan, units).filter((s) => s.kind !== 'air'),
		...(plan.melt ? meltSteps(plan, plan.melt, units) : plasterSteps(plan, units)),
		{
			id: 'demould',
			kind: 'cure',
			title: plan.melt ? 'Let it cool, then take it out' : 'Let it set, then take it out',
			detail: plan.melt
				? 'Cold to the touch all over, its middle too. Edges first, then pull slowly.'
				: 'It warms as it sets and is ready when it has cooled again. Edges first, then pull slowly; it is weak until it is dry.',
			action: 'It is out of the mould',
			cautions: []
		},
		{
			id: 'clean',
			kind: 'check',
			title: 'Clean mould, bowl and tools',
			detail: plan.melt
				? `${mouldNames(plan)}: crumbs out of its corners. What is left in the pot sets and is melted again.`
				: `${mouldNames(plan)}: crumbs out of its corners. The bowl is left to set and knocked out; its water settles in a bucket, never in a drain.`,
			action: 'All is clean',
			cautions: []
		},
		{
			id: 'inspect',
			kind: 'inspect',
			title: 'Grade each copy',
			detail: 'Good, needs work or scrap; note what went wrong.',
			action: 'Write it into the ledger',
			cautions: ['knife']
		}
	];
}

/** A step that the clock drives, with its deadline after it has begun. */
const timed = (
	plan: PourPlan,
	index: number
): Pick<BenchStep, 'id' | 'kind' | 'title' | 'deadlineS' | 'role'> => {
	const step = plan.steps[index]!;
	return {
		id: stepId({ name: 'timed', n: index }),
		kind: 'timed',
		title: step.name,
		role: step.role,
		deadlineS: plan.steps.slice(0, index + 1).reduce((sum, s) => sum + s.durationS, 0)
	};
};

function plasterSteps(plan: PourPlan, units: UnitSystem): BenchStep[] {
	const weighed = (massG: number) => formatWeighed(massG, units, plan.scaleResolutionG ?? 1);
	const cautions = cautionsFor('plaster');
	return [
		{
			id: 'measure-b',
			kind: 'measure',
			title: 'Weigh the water',
			detail: 'Clean and cool, into the bowl that it is mixed in: warm water sets it sooner.',
			action: 'The water is in',
			amount: plan.b,
			cautions: []
		},
		{
			id: 'measure-a',
			kind: 'measure',
			title: 'Weigh the powder',
			detail: 'Dry, without lumps, in a bowl of its own.',
			action: 'The powder is weighed',
			amount: plan.a,
			cautions: ['powder']
		},
		{
			id: 'combine',
			kind: 'combine',
			title: 'Sift powder into water',
			detail: `${weighed(plan.a.massG)} into ${weighed(plan.b.massG)}, always powder into water. The clock starts with the first of it.`,
			action: 'The first is in: start the clock',
			cautions
		},
		{
			...timed(plan, 0),
			detail:
				'By hand over all of the water until islands stay dry. Leave it until they are wet, then stir under the surface: no air in.',
			action: 'It is smooth',
			cautions: ['plaster']
		},
		{
			...timed(plan, 1),
			detail: `${mouldNames(plan)}: a little first, brushed or blown into the fine places; then a thin stream at one spot.`,
			fills: true,
			action: 'It is poured',
			cautions: []
		},
		{
			...timed(plan, 2),
			detail: 'Tap the board until no more bubbles come up.',
			action: 'No more bubbles',
			cautions: []
		}
	];
}

function meltSteps(plan: PourPlan, melt: NonNullable<PourPlan['melt']>, units: UnitSystem): BenchStep[] {
	const hot = formatQuantity(melt.pourTempC, 'temperature', units);
	return [
		{
			id: 'measure-a',
			kind: 'measure',
			title: 'Weigh what is melted',
			detail: 'In small pieces: they melt evenly.',
			action: 'It is weighed',
			amount: plan.a,
			cautions: []
		},
		{
			id: 'melt',
			kind: 'check',
			title: `Melt it to ${hot}`,
			detail:
				'In a water bath, stirred now and then without air; colour and scent last. The hotter it is poured, the more it sinks.',
			action: `It is melted, at ${hot}`,
			cautions: cautionsFor('melt')
		},
		{
			id: 'combine',
			kind: 'combine',
			title: 'Take it off the heat',
			detail: `${formatWeighed(melt.topUpG, units, plan.scaleResolutionG ?? 1)} of it stay in the bath for topping up. The clock starts off the heat.`,
			action: 'Off the heat: start the clock',
			cautions: cautionsFor('melt')
		},
		{
			...timed(plan, 0),
			detail: `${mouldNames(plan)}: in one go, a thin stream down the wall. As it sinks it is topped up from the bath, while its top is still soft.`,
			fills: true,
			action: 'It is poured',
			cautions: cautionsFor('melt')
		}
	];
}
