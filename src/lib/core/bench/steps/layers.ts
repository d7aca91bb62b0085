import { cautionsForResin } from '../../cautions';
import { formatQuantity, type UnitSystem } from '../../units';
import { type PourPlan } from '../../plan/pourPlan';
import { mixOneCupS } from '../../plan/marks';
import { isLeftToCool, nextCupS } from './times';
import { measureSteps } from './measure';
import { layerStep } from './ids';
import { isWalled, mouldNames, sentence, type BenchStep } from './step';

type Layer = NonNullable<PourPlan['layers']>[number];

/** What a layer is called by how it is laid. */
const CALLED = { roll: 'Layer', flat: 'Layer', brush: 'Coat' } as const;

/** Hotter than this a cup is not held in the hand, °C (a default of ours). */
const SCALDS_C = 50;

/** What becomes of a cup that is left standing instead of being spread; nothing where it stays handwarm. */
function standing({ standing: s }: Layer, units: UnitSystem): string {
	return s === undefined || s.peakTempC < SCALDS_C
		? ''
		: ` What stays in the cup is ${formatQuantity(s.peakTempC, 'temperature', units)} hot after ${formatQuantity(s.peakTimeS, 'time', units)}.`;
}

/** Out of its cup a mix works longer: by when, and how much that gains. */
function spreadGains(layer: Layer, mixS: number, units: UnitSystem): string {
	const spreadS = mixS + layer.gelS;
	const time = (s: number) => formatQuantity(s, 'time', units);
	return spreadS > layer.potLifeS
		? `In its cup it is too thick after ${time(layer.potLifeS)}; spread out it works until about ${time(spreadS)}, ${time(spreadS - layer.potLifeS)} more.`
		: `It works until about ${time(spreadS)}.`;
}

/** Each layer: weigh, combine, mix, lay, and wait until the next may follow. */
export function layerSteps(plan: PourPlan, units: UnitSystem): BenchStep[] {
	const count = plan.layers!.length;
	const mixS = mixOneCupS(plan) ?? 45;
	const pourS = plan.steps.find((s) => s.role === 'pour')?.durationS ?? 20;
	return plan.layers!.flatMap((layer, i): BenchStep[] => {
		// one layer is just the cast
		const called = count > 1 ? `${CALLED[layer.way ?? 'roll']} ${i + 1} of ${count}` : '';
		const measured = measureSteps(
			plan,
			{
				index: i,
				layer: i,
				called,
				a: layer.a,
				b: layer.b,
				catalyst: layer.catalyst,
				fillers: layer.fillers ?? [],
				colours: layer.colours ?? [],
				hint: `${sentence(layer.serves)}.`
			},
			units
		);
		const combineAt = measured.findIndex((s) => s.kind === 'combine');
		const before = plan.layers![i - 1];
		const wait = before ? waitSteps(plan, before, i - 1, units) : [];
		// what follows at gel stands ready by then; what waits for hours is measured after them, fresh
		const ready = before && isLeftToCool(before) ? 0 : combineAt;
		return [
			...measured.slice(0, ready),
			...wait,
			...measured.slice(ready),
			{
				id: layerStep('mix', i),
				kind: 'timed',
				role: 'mix',
				layer: i,
				deadlineS: mixS,
				title: 'Mix',
				detail: 'Scrape sides and floor.',
				action: 'It is mixed',
				cautions: [...cautionsForResin(plan.chemistry), layer.way === 'brush' ? 'bulk' : 'heat']
			},
			...laySteps(plan, layer, i, mixS + pourS, units),
			...setInLast(plan, i)
		];
	});
}

/** Until the layer below bears the next, with what is set on it at gel. */
function waitSteps(plan: PourPlan, below: Layer, index: number, units: UnitSystem): BenchStep[] {
	const way = below.way ?? 'roll';
	const cools = isLeftToCool(below);
	const words = {
		roll: `The next goes on when it has gelled, and well before it has cured through. Once it strings, leave it alone: dragging lifts what is below. Rub out bubbles under the new layer.`,
		flat: `It wobbles as one piece and no longer runs. Poured too late, the next shows as a line.`,
		brush: `Tacky, and it no longer comes off on the glove. Once it strings, leave it alone.`
	}[way];
	// mixed while the last of it gels, and poured once it has
	const ahead = !cools && nextCupS(plan, index) < below.recoatFromS;
	const gelled: BenchStep = {
		id: layerStep('gelled', index),
		kind: 'dry',
		layer: index,
		title: `Wait: ${CALLED[way].toLowerCase()} ${index + 1} ${ahead ? 'nearly gels' : 'gels'}`,
		detail:
			plan.chemistry === 'polyester'
				? `${cools ? 'It wobbles as one piece and no longer runs.' : words} Liquid, wobbling gel, crumbly, firm, hard: now it is at the second.`
				: `${ahead ? 'Combine the next cup a mixing before it gels. ' : ''}${words}`,
		action: ahead ? 'It thickens: combine' : 'It has gelled',
		waitS: nextCupS(plan, index),
		sinceStep: layerStep('pour', index),
		cautions: []
	};
	const cooled: BenchStep[] = cools
		? [
				{
					id: layerStep('cooled', index),
					kind: 'dry',
					layer: index,
					title: `Wait: layer ${index + 1} cools`,
					detail:
						'Covered from dust, its face left tacky and not wiped: the next layer bonds to the tack, and on a warm one it would crack.',
					action: 'It has cooled',
					waitS: below.recoatFromS,
					sinceStep: layerStep('pour', index),
					cautions: []
				}
			]
		: [];
	if (!below.setsIn?.length) return [gelled, ...cooled];
	return [
		gelled,
		{
			id: layerStep('set', index),
			kind: 'check',
			layer: index,
			title: `Set in: ${below.setsIn.join(', ')}`,
			detail: `Dry, on the gelled layer${below.levelMm === undefined ? '' : ` ${formatQuantity(below.levelMm, 'length', units)} above the floor`}, pressed just wet so that no air stays under it.`,
			action: 'It is set in',
			cautions: []
		},
		...cooled
	];
}

/** Spread by hand, for as long as its area takes. */
function brushSteps(plan: PourPlan, layer: Layer, i: number): BenchStep[] {
	return [
		{
			id: layerStep('brush', i),
			kind: 'dry',
			layer: i,
			title: `Brush coat ${i + 1}`,
			detail: `${sentence(layer.serves)}. Where it slides it wants more thickener: work it in, and note it.`,
			action: 'It is laid',
			waitS: layer.layS!,
			sinceStep: layerStep('pour', i),
			cautions: []
		}
	];
}

/** Hooks, plates, wire: into the last layer while it is wet, of brushed and of hollow casts alike. */
function setInLast(plan: PourPlan, i: number): BenchStep[] {
	if (!plan.inserts?.length || !isWalled(plan) || i !== plan.layers!.length - 1) return [];
	return [
		{
			id: layerStep('set', i),
			kind: 'check',
			layer: i,
			title: `Set in: ${plan.inserts.map((x) => x.name).join(', ')}`,
			detail:
				'Clean, dry and roughened, pressed into the last layer while it is wet; a patch of the same mix, or of cloth soaked in it, over each foot.',
			action: 'It is set in',
			cautions: []
		}
	];
}

function laySteps(
	plan: PourPlan,
	layer: Layer,
	i: number,
	deadlineS: number,
	units: UnitSystem
): BenchStep[] {
	const count = plan.layers!.length;
	const last = i === count - 1 && count > 1;
	const way = layer.way ?? 'roll';
	const lay: BenchStep = {
		id: layerStep('pour', i),
		kind: 'timed',
		role: 'pour',
		layer: i,
		deadlineS,
		fills: true,
		title:
			way === 'brush'
				? layer.layS === undefined
					? 'Brush it on'
					: 'Tip it out and spread it'
				: last
					? 'Pour the last layer'
					: way === 'flat'
						? 'Pour it level'
						: 'Pour and begin to roll',
		detail:
			way === 'flat' && layer.levelMm !== undefined
				? `${mouldNames(plan)}: down a stick, up to ${formatQuantity(layer.levelMm, 'length', units)} above the floor. Prick what bubbles come up.`
				: way === 'brush' && layer.layS !== undefined
					? `${mouldNames(plan)}: all of it at once, in heaps over the whole face. ${spreadGains(layer, mixOneCupS(plan) ?? 45, units)}${standing(layer, units)}`
					: `${mouldNames(plan)}: ${layer.serves}.`,
		action: way !== 'brush' ? 'It is poured' : layer.layS === undefined ? 'It is laid' : 'The cup is empty',
		cautions: []
	};
	if (way === 'brush' && layer.layS !== undefined) return [lay, ...brushSteps(plan, layer, i)];
	if (way !== 'roll') return [lay];
	return [
		lay,
		{
			id: layerStep('roll', i),
			kind: 'dry',
			layer: i,
			title: `Roll layer ${i + 1}`,
			detail: last
				? `Every way round until it hardly runs; then stand it upside down to drain and even the rim.${layer.sags ? ' It would sag on upright walls: leave it so until it has gelled.' : ''}`
				: 'Slowly, every way round, until it no longer runs: thin places and edges longest.',
			action: 'It no longer runs',
			waitS: layer.lockS,
			cautions: []
		}
	];
}
