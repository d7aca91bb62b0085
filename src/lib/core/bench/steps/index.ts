import { cautionsForResin } from '../../cautions';
import { formatQuantity, formatWeighed, type UnitSystem } from '../../units';
import { type PourPlan } from '../../plan/pourPlan';
import { holdFloorKpa } from '../../plan/marks';
import { FILL_CAUTIONS, FOAM_LIQUID_G_PER_ML } from '../../shot/kinds/filled/fills';
import { beforeSteps } from './before';
import { isCastablePlan } from '../castablePlan';
import { castableSteps } from './castable';
import { cupSteps } from './cups';
import { layerStep, stepId } from './ids';
import { layerSteps } from './layers';
import { measureSteps } from './measure';
import { mouldNames, type BenchStep } from './step';
import { timedSteps } from './timed';

export type { BenchStep } from './step';
export { cupStep, layerStep, parseStepId, stepId, stepName, type StepName, type StepRef } from './ids';

/**
 * The steps of a batch in the order of the work: before the pull, measuring (A, the isocyanate side, is
 * opened last), combining (the clock starts only there), the timed steps, the pot, the cure.
 * @example
 * benchSteps(planOf()).map((s) => s.id); // ['look', 'air', 'shake', 'measure-b', 'measure-a', 'combine', 'timed-0', 'timed-1', 'timed-2', 'timed-3', 'release', 'demould', 'inspect']
 */
export function benchSteps(plan: PourPlan, units: UnitSystem = 'metric'): BenchStep[] {
	if (isCastablePlan(plan)) return castableSteps(plan, units);
	return [
		...beforeSteps(plan, units),
		shakeStep(plan),
		...liquidSteps(plan, units),
		...(plan.pot
			? [
					{
						id: 'release',
						kind: 'hold' as const,
						title: 'Hold the pressure',
						detail: `Stay above ${formatQuantity(holdFloorKpa(plan.pot.targetGaugeKpa), 'pressure', units)} until it is firm: opened early, the bubbles grow back.`,
						action: 'Pressure released',
						cautions: ['pressure' as const]
					}
				]
			: []),
		...(plan.fill && !plan.fill.outside ? [fillStep(plan.fill, plan, units)] : []),
		demouldStep(plan, units),
		...(plan.out ? [supportStep(plan, plan.out, units)] : []),
		...(plan.fill?.outside ? [fillStep(plan.fill, plan, units)] : []),
		...(plan.pouring?.way === 'some-first' ? [cleanStep(plan)] : []),
		plan.moulds.length > 0
			? {
					id: 'inspect',
					kind: 'inspect',
					title: 'Grade each copy',
					detail: 'Good, needs work or scrap; note what went wrong.',
					action: 'Write it into the ledger',
					cautions: ['knife']
				}
			: {
					id: 'inspect',
					kind: 'inspect',
					title: 'Look at what came out',
					detail: 'No mould of it is in the books, so no pull is counted; the pour itself is kept.',
					action: 'It is done',
					cautions: ['knife']
				}
	];
}

/** Many flat pieces from one mould: all is ready again before the next. */
const cleanStep = (plan: PourPlan): BenchStep => ({
	id: 'clean',
	kind: 'check',
	title: 'Clean mould, cup and tools',
	detail: `${mouldNames(plan)}: flash and crumbs off its rim and out of its corners. Cup and stick peeled or wiped clean, the brush thrown away or in its own solvent: ready for the next.`,
	action: 'All is clean',
	cautions: ['solvent']
});

/** The stages of a polyester by name, when each comes, and what may be done at it. */
function stageWords(stages: PourPlan['stages'], units: UnitSystem): string {
	if (!stages)
		return 'Wobbling gel, then soft and crumbly, then firm, then hard: only hard comes out. Thin places last.';
	const at = (s: number) => formatQuantity(s, 'time', units);
	return `Wobbling gel after about ${at(stages.gelS)}: what is cast in, and the next layer, go on now. Soft and crumbly from ${at(stages.softS)}: leave it alone. Firm at ${at(stages.firmS)}: flash and rim may be cut with a knife. Hard at ${at(stages.hardS)}: only hard comes out, thin places last.`;
}

/** The cure and what comes after it: once it is firm, or while it still gives. */
function demouldStep(plan: PourPlan, units: UnitSystem): BenchStep {
	const common = { id: 'demould', kind: 'cure' as const, action: 'It is out of the mould' };
	if (plan.out)
		return {
			...common,
			title: 'Out while it still gives',
			detail: `From ${formatQuantity(plan.demouldS, 'time', units)} after the last pour until about ${formatQuantity(plan.out.stiffS, 'time', units)}, when it is stiff and its keys lock. Ease it off its keys bending, never by one edge; lay it in its shape, or over its curve, until it is hard.`,
			cautions: ['hot-part', 'uncured']
		};
	return {
		...common,
		title: 'Let it cure, then demould',
		detail:
			plan.chemistry === 'polyester'
				? stageWords(plan.stages, units)
				: `Try the left-over cup and the thin places first${plan.fill && !plan.fill.outside ? '; the filling has set, too' : ''}. Edges first, then pull slowly.`,
		cautions: ['hot-part', 'uncured']
	};
}

/** What came out while it gives keeps the shape in which it lies until it is stiff. */
function supportStep(plan: PourPlan, { stiffS }: NonNullable<PourPlan['out']>, units: UnitSystem): BenchStep {
	const last = plan.layers ? plan.layers.length - 1 : undefined;
	const filling = plan.steps.findLastIndex((s) => s.role === 'close' || s.role === 'pour');
	const since =
		last !== undefined
			? layerStep('pour', last)
			: plan.cups
				? 'pour-together'
				: stepId({ name: 'timed', n: filling });
	return {
		id: 'support',
		kind: 'dry',
		title: 'Hold it in its shape until it is stiff',
		detail: `Over its curve, or flat on a board with its mould round it, until about ${formatQuantity(stiffS, 'time', units)} after the pour: what sags now stays so.`,
		action: 'It keeps its shape',
		waitS: stiffS,
		sinceStep: since,
		cautions: ['uncured']
	};
}

/** From the first part in a cup to the last thing that needs liquid resin. */
function liquidSteps(plan: PourPlan, units: UnitSystem): BenchStep[] {
	if (plan.layers) return layerSteps(plan, units);
	if (plan.cups) {
		const after = timedSteps(plan, units).filter((s) => s.role !== 'mix' && s.role !== 'pour');
		return [...cupSteps(plan, units), ...after];
	}
	return [
		...measureSteps(
			plan,
			{
				index: 0,
				a: plan.a,
				b: plan.b,
				catalyst: plan.catalyst,
				fillers: plan.fillers ?? [],
				colours: plan.colours ?? []
			},
			units
		),
		...timedSteps(plan, units)
	];
}

/** Whether one thing is weighed and a catalyst is stirred into it: there is no A and no B then. */
const isCatalysedPlan = (plan: Pick<PourPlan, 'catalyst' | 'layers' | 'cups'>): boolean =>
	Boolean(plan.catalyst ?? plan.layers?.[0]?.catalyst ?? plan.cups?.[0]?.catalyst);

function shakeStep(plan: PourPlan): BenchStep {
	const cautions = cautionsForResin(plan.chemistry);
	const old = plan.stock?.length ? { warnings: plan.stock } : {};
	if (isCatalysedPlan(plan)) {
		return {
			id: 'shake',
			kind: 'check',
			title: 'Stir the resin',
			detail: `${plan.resinName}: in its own container, from the floor up. The catalyst’s bottle stays shut and is left alone: it is never shaken or stirred.`,
			action: 'It is stirred',
			...old,
			cautions
		};
	}
	return {
		id: 'shake',
		kind: 'check',
		title: 'Stir or shake each part',
		detail: `${plan.resinName}: each in its own container, each with its own clean stick.`,
		action: 'Both are stirred',
		...old,
		cautions
	};
}

/** Nothing wet or heavy goes into a shell before it is firm: it waits for what the demould waits for, or comes after it. */
function fillStep(fill: NonNullable<PourPlan['fill']>, plan: PourPlan, units: UnitSystem): BenchStep {
	const last = plan.layers ? plan.layers.length - 1 : undefined;
	const weighed = (massG: number) => formatWeighed(massG, units, plan.scaleResolutionG ?? 1);
	const of =
		fill.powderG === undefined || fill.waterG === undefined
			? `Mix ${weighed(fill.mixG)}`
			: `${weighed(fill.powderG)} of powder sifted into ${weighed(fill.waterG)} of water`;
	const room =
		fill.kind === 'foam'
			? ` It rises about ${Math.round((fill.fillMl * FOAM_LIQUID_G_PER_ML) / fill.mixG)}-fold: the opening stays free, with room over it.`
			: fill.kind === 'loaded resin'
				? ' It makes heat of its own: in two goes where the hollow is thick.'
				: '';
	/** Loaded resin is resin: its parts are opened again. Plans of earlier versions do not say what fills it. */
	const own = fill.kind === 'loaded resin' ? cautionsForResin(plan.chemistry) : [];
	const common = {
		id: 'fill',
		title: `Fill the shell: ${fill.words}`,
		action: 'It is filled',
		cautions: fill.kind
			? [...new Set([...own, ...FILL_CAUTIONS[fill.kind]])]
			: (['powder', 'heat'] as const).slice()
	};
	if (fill.outside)
		return {
			...common,
			kind: 'check',
			detail: `Out of its mould, bedded in sand or foam so that it keeps its shape, its opening level. ${of}; ${formatQuantity(fill.fillMl, 'volume', units)} go in.${room}`
		};
	return {
		...common,
		kind: 'dry',
		detail: `Once its last layer is firm, not before. ${of}; ${formatQuantity(fill.fillMl, 'volume', units)} go in.${room} The shell stays in its mould, its opening level.`,
		waitS: plan.demouldS,
		...(last === undefined ? {} : { sinceStep: layerStep('pour', last) })
	};
}
