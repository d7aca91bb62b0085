import { cautionsForResin } from '../../cautions';
import { formatQuantity, type UnitSystem } from '../../units';
import { type PourPlan } from '../../plan/pourPlan';
import { mixOneCupS } from '../../plan/marks';
import { measureSteps } from './measure';
import { layerStep } from './ids';
import { mouldNames, type BenchStep } from './step';

/**
 * Colours poured together: every cup measured and coloured first, then combined one after another; poured
 * when they are warm and thick enough to stay apart. The clock is the first cup's.
 */
export function cupSteps(plan: PourPlan, units: UnitSystem): BenchStep[] {
	const mixS = mixOneCupS(plan) ?? 45;
	const cups = plan.cups!;
	const made = cups.map((cup, i) => ({
		cup,
		steps: measureSteps(
			// one cup on top of another's clock would leave no time: each part is weighed before any is combined
			{ ...plan, measuring: plan.measuring === 'marks' ? 'marks' : 'two-cups' },
			{
				index: i,
				cup: i,
				called: cup.name,
				a: cup.a,
				b: cup.b,
				catalyst: cup.catalyst,
				fillers: [],
				colours: cup.colours
			},
			units
		)
	}));
	const measured = made.flatMap(({ steps }) => steps.filter((s) => s.kind !== 'combine'));
	const mixed = made.flatMap(({ cup, steps }, i): BenchStep[] => [
		{
			...steps.find((s) => s.kind === 'combine')!,
			title: `${cup.name}: combine`,
			detail:
				i === 0
					? 'The clock starts when the one goes into the other; scrape the emptied cup out.'
					: 'The clock of the first cup runs on; scrape the emptied cup out.',
			...(i === 0 ? {} : { action: 'Combined' })
		},
		{
			id: layerStep('mix', i),
			kind: 'timed',
			role: 'mix',
			cup: i,
			deadlineS: mixS * (i + 1),
			title: `${cup.name}: mix`,
			detail: 'A clean stick of its own. Scrape sides and floor.',
			action: 'It is mixed',
			cautions: [...cautionsForResin(plan.chemistry), 'heat']
		}
	]);
	const pour = plan.steps.find((s) => s.role === 'pour');
	const atS = mixS * cups.length + (pour?.durationS ?? 20);
	const temp = plan.pourTempC === undefined ? '' : formatQuantity(plan.pourTempC, 'temperature', units);
	return [
		...measured,
		...mixed,
		{
			id: 'pour-together',
			kind: 'timed',
			role: 'pour',
			fills: true,
			deadlineS: Math.max(atS, pourAtS(plan) ?? 0),
			...(plan.pourTempC === undefined ? {} : { untilTempC: plan.pourTempC }),
			title: 'Pour them together',
			detail: `${mouldNames(plan)}: ${cups.map((c) => c.name).join(', ')} in turns of a thin stream${temp ? `, once the cups read ${temp}: cooler they run into one another` : ''}. Leave swirls alone.`,
			action: 'It is poured',
			cautions: []
		}
	];
}

/** When the slowest cup is warm, s after the first was combined; nothing when one never is in time. */
export function pourAtS(plan: PourPlan): number | undefined {
	const mixS = mixOneCupS(plan) ?? 45;
	const pourS = plan.steps.find((s) => s.role === 'pour')?.durationS ?? 20;
	const warm = plan.cups!.map((c, i) => (c.warmS === undefined ? NaN : mixS * i + c.warmS));
	const at = Math.max(...warm) + pourS;
	return Number.isFinite(at) && at < plan.usableS ? at : undefined;
}
