import { cautionsForResin } from '../../cautions';
import { formatQuantity, type UnitSystem } from '../../units';
import { type PourPlan } from '../../plan/pourPlan';
import { betweenCupsS, mixOneCupS } from '../../plan/marks';
import { pouredByS } from './times';
import { measureSteps } from './measure';
import { layerStep } from './ids';
import { mouldNames, type BenchStep } from './step';

type ColourCup = NonNullable<PourPlan['cups']>[number];

/**
 * Colours poured together: every cup measured and coloured first, its temperature read, then combined by the chosen
 * school, each stirred in turn; poured when they are warm and thick enough to stay apart. The clock is the first cup's.
 */
export function cupSteps(plan: PourPlan, units: UnitSystem): BenchStep[] {
	const made = plan.cups!.map((cup, i) => ({ cup, steps: measured(plan, cup, i, units) }));
	const atOnce = plan.colourSchool === 'all-at-once';
	const weighing = made.flatMap(({ steps }) => steps.filter((s) => s.kind !== 'combine'));
	const all = made.map(({ cup, steps }, i) => ({
		combine: combineStep(
			plan,
			cup,
			i,
			steps.find((s) => s.kind === 'combine')!
		),
		mix: mixStep(plan, cup, i)
	}));
	return [
		// A waits in the mixing cups with its colour while B is measured beside each
		...(atOnce
			? [...weighing.filter((s) => s.part !== 'B'), ...weighing.filter((s) => s.part === 'B')]
			: weighing),
		...(plan.pourTempC === undefined ? [] : [readStep()]),
		...(atOnce
			? [...all.map((x) => x.combine), ...all.map((x) => x.mix)]
			: all.flatMap((x) => [x.combine, x.mix])),
		pourStep(plan, units)
	];
}

/** One cup's measuring: each part weighed before any is combined, since one on another's clock would leave no time. */
const measured = (plan: PourPlan, cup: ColourCup, index: number, units: UnitSystem) =>
	measureSteps(
		{ ...plan, measuring: plan.measuring === 'marks' ? 'marks' : 'two-cups' },
		{
			index,
			cup: index,
			called: cup.name,
			a: cup.a,
			b: cup.b,
			catalyst: cup.catalyst,
			fillers: [],
			colours: cup.colours
		},
		units
	);

/** What the cups begin at moves the time at which they are warm: read before the clock. */
const readStep = (): BenchStep => ({
	id: 'cups-read',
	kind: 'check',
	title: 'Read each cup before the clock',
	detail:
		'What stands in the cups, read with the gun one after another: a degree colder is warm a good deal later.',
	action: 'They are read',
	cautions: []
});

function combineStep(plan: PourPlan, cup: ColourCup, i: number, step: BenchStep): BenchStep {
	const atOnce = plan.colourSchool === 'all-at-once';
	return {
		...step,
		title: atOnce ? `${cup.name}: B in` : `${cup.name}: combine`,
		detail:
			i === 0
				? `The clock starts when the one goes into the other; scrape the emptied cup out.${atOnce ? ' The other cups follow at once, and only then is anything stirred.' : ''}`
				: 'The clock of the first cup runs on; scrape the emptied cup out.',
		...(i === 0 ? {} : { action: atOnce ? 'B is in' : 'Combined' })
	};
}

function mixStep(plan: PourPlan, cup: ColourCup, i: number): BenchStep {
	const mixS = mixOneCupS(plan) ?? 45;
	const before = plan.colourSchool === 'all-at-once' ? betweenCupsS(plan) * plan.cups!.length : 0;
	return {
		id: layerStep('mix', i),
		kind: 'timed',
		role: 'mix',
		cup: i,
		deadlineS: before + mixS * (i + 1),
		title: `${cup.name}: mix`,
		detail: 'A clean stick of its own. Scrape sides and floor.',
		action: 'It is mixed',
		cautions: [...cautionsForResin(plan.chemistry), 'heat']
	};
}

function pourStep(plan: PourPlan, units: UnitSystem): BenchStep {
	const temp = plan.pourTempC === undefined ? '' : formatQuantity(plan.pourTempC, 'temperature', units);
	return {
		id: 'pour-together',
		kind: 'timed',
		role: 'pour',
		fills: true,
		deadlineS: pouredByS(plan),
		...(plan.pourTempC === undefined ? {} : { untilTempC: plan.pourTempC }),
		title: 'Pour them together',
		detail: `${mouldNames(plan)}: ${plan.cups!.map((c) => c.name).join(', ')} in turns of a thin stream${temp ? `, once the cups read ${temp}: cooler they run into one another` : ''}. Leave swirls alone.`,
		action: 'It is poured',
		cautions: []
	};
}
