import { cautionsFor, type CautionTopic } from '../cautions';
import { formatQuantity, type UnitSystem } from '../units';
import type { PourPlan } from './plan';

/** One thing to do at the bench. */
export interface BenchStep {
	readonly id: string;
	readonly kind:
		'check' | 'dry' | 'air' | 'measure' | 'combine' | 'timed' | 'pump' | 'hold' | 'cure' | 'inspect';
	readonly title: string;
	readonly detail: string;
	/** What the one big button says. */
	readonly action: string;
	/** Seconds after combining by which it must be done. */
	readonly deadlineS?: number;
	/** Seconds that must pass after the step before it, such as a release that flashes off. */
	readonly waitS?: number;
	/** The step that the wait counts from, when it is not the one before. */
	readonly sinceStep?: string;
	/** When it is done, the mould is full. */
	readonly fills?: boolean;
	readonly part?: 'A' | 'B';
	/** What is weighed in this step; the plan's own when it says nothing. */
	readonly amount?: { massG: number; volumeMl: number };
	/** Rotocast: which layer; its clock runs from that layer's combining. */
	readonly layer?: number;
	readonly cautions: readonly CautionTopic[];
}

function mouldNames(plan: PourPlan): string {
	return plan.moulds.map((m) => `M${m.number}${m.copies > 1 ? ` ×${m.copies}` : ''}`).join(', ');
}

/**
 * The steps of a batch in the order of the work: before the pull, measuring (A, the isocyanate side, is
 * opened last), combining (the clock starts only there), the timed steps, the pot, the cure.
 */
export function benchSteps(plan: PourPlan, units: UnitSystem = 'metric'): BenchStep[] {
	const chemistry = cautionsFor(plan.chemistry);
	const measure = (part: 'A' | 'B'): BenchStep => {
		const amount = part === 'A' ? plan.a : plan.b;
		const mark = part === 'A' ? plan.markAMm : plan.markBMm;
		return {
			id: `measure-${part.toLowerCase()}`,
			kind: 'measure',
			part,
			title: `Measure ${part}`,
			detail:
				`${formatQuantity(amount.volumeMl, 'volume', units)} if you measure by cup: ` +
				`${formatQuantity(mark, 'length', units)} high in a straight cup ${formatQuantity(plan.cupDiameterMm, 'length', units)} wide.`,
			action: `${part} is measured`,
			cautions: chemistry
		};
	};
	const steps: BenchStep[] = [
		{
			id: 'look',
			kind: 'check',
			title: 'Look the mould over',
			detail: `${mouldNames(plan)}: no flash, dust, old resin or water; no new tears. Close it, line up the seam, stand it level. Spare moulds for left-overs at hand.`,
			action: 'Mould is ready',
			cautions: []
		},
		...(plan.release ? coatSteps(plan.release, plan) : []),
		...(plan.inserts?.length ? [insertStep(plan.inserts, units)] : []),
		{
			id: 'air',
			kind: 'air',
			title: 'Room, humidity, mould',
			detail: 'Read them off now; they go into the ledger.',
			action: 'Keep these readings',
			cautions: []
		},
		{
			id: 'shake',
			kind: 'check',
			title: 'Stir or shake each part',
			detail: `${plan.resinName}: each in its own container, each with its own clean stick.`,
			action: 'Both are stirred',
			cautions: chemistry
		},
		...(plan.catalyst
			? [measure('A'), catalystStep(plan, units)]
			: [measure('B'), ...(plan.fillers ?? []).map((f, i) => fillerStep(f, i, units)), measure('A')]),
		{
			id: 'combine',
			kind: 'combine',
			title: plan.catalyst ? 'Stir in the catalyst' : 'Combine A and B',
			detail: plan.catalyst
				? 'The clock starts with the first drop.'
				: 'The clock starts when the one goes into the other.',
			action: plan.catalyst ? 'Catalysed: start the clock' : 'Combined: start the clock',
			cautions: chemistry
		}
	];
	if (plan.layers)
		steps.splice(
			steps.findIndex((s) => s.kind === 'measure'),
			Infinity,
			...layerSteps(plan, units)
		);
	let atS = 0;
	(plan.layers ? [] : plan.steps).forEach((step, i) => {
		atS += step.durationS;
		steps.push(timedStep(step, i, atS, plan, units));
	});
	if (plan.pot) {
		steps.push({
			id: 'release',
			kind: 'hold',
			title: 'Hold the pressure',
			detail: `Stay above ${formatQuantity(plan.pot.targetGaugeKpa * 0.95, 'pressure', units)} until it is firm: opened early, the bubbles grow back.`,
			action: 'Pressure released',
			cautions: ['pressure']
		});
	}
	if (plan.fill) steps.push(fillStep(plan.fill, units));
	steps.push(
		{
			id: 'demould',
			kind: 'cure',
			title: 'Let it cure, then demould',
			detail: 'Try the left-over cup and the thin places first. Edges first, then pull slowly.',
			action: 'It is out of the mould',
			cautions: ['heat']
		},
		{
			id: 'inspect',
			kind: 'inspect',
			title: 'Grade each copy',
			detail: 'Good, needs work or scrap; note what went wrong.',
			action: 'Write it into the ledger',
			cautions: ['knife']
		}
	);
	return steps;
}

function fillerStep(
	filler: NonNullable<PourPlan['fillers']>[number],
	index: number,
	units: UnitSystem
): BenchStep {
	return {
		id: `measure-filler-${index}`,
		kind: 'measure',
		amount: filler,
		title: `Measure ${filler.name}`,
		detail: `Into B, stirred in until no dry grain is left; ${formatQuantity(filler.massG, 'mass', units)}.`,
		action: 'The filler is in',
		cautions: ['powder']
	};
}

function insertStep(inserts: NonNullable<PourPlan['inserts']>, units: UnitSystem): BenchStep {
	return {
		id: 'inserts',
		kind: 'check',
		title: 'Set in what goes inside',
		detail: `${inserts.map((i) => `${i.name}, ${formatQuantity(i.massG, 'mass', units)}`).join('; ')}: clean, dry, warm, held off the face.`,
		action: 'It is set in',
		cautions: []
	};
}

function fillStep(fill: NonNullable<PourPlan['fill']>, units: UnitSystem): BenchStep {
	return {
		id: 'fill',
		kind: 'check',
		title: `Fill the shell: ${fill.words}`,
		detail: `Mix ${formatQuantity(fill.mixG, 'mass', units)}; ${formatQuantity(fill.fillMl, 'volume', units)} go in. The shell stays in its mould, its opening level.`,
		action: 'It is filled',
		cautions: ['powder', 'heat']
	};
}

/** Each layer: weigh, combine, mix, pour, roll until it stays, wait until the next may follow. */
function layerSteps(plan: PourPlan, units: UnitSystem): BenchStep[] {
	const chemistry = cautionsFor(plan.chemistry);
	const count = plan.layers!.length;
	const time = (s: number) => formatQuantity(s, 'time', units);
	const mixS = plan.steps.find((s) => s.role === 'mix')?.durationS ?? 45;
	const pourS = plan.steps.find((s) => s.role === 'pour')?.durationS ?? 20;
	return plan.layers!.flatMap((layer, i): BenchStep[] => {
		const id = (name: string) => (i === 0 ? name : `${name}-${i}`);
		const nth = `Layer ${i + 1} of ${count}`;
		const weigh = (part: 'A' | 'B'): BenchStep => ({
			id: id(`measure-${part.toLowerCase()}`),
			kind: 'measure',
			part,
			layer: i,
			amount: part === 'A' ? layer.a : layer.b,
			title: `${nth}: measure ${part}`,
			detail:
				part === 'B' && layer.fillerPercent > 0.5
					? `Stir about ${Math.round(layer.fillerPercent)} % by volume of fine filler into it: this layer stays on upright walls then.`
					: `${layer.serves[0]!.toUpperCase()}${layer.serves.slice(1)}.`,
			action: `${part} is measured`,
			cautions: chemistry
		});
		const catalyst: BenchStep[] = layer.catalyst
			? [
					{
						...catalystStep({ ...plan, catalyst: layer.catalyst }, units),
						id: id('measure-catalyst'),
						layer: i
					}
				]
			: [];
		const before = plan.layers![i - 1];
		const wait: BenchStep[] = before
			? [
					{
						id: `gelled-${i - 1}`,
						kind: 'dry',
						layer: i - 1,
						title: `Wait: layer ${i} gels`,
						detail: `The next goes on when it has gelled and before ${time(before.recoatUntilS)} after it was poured. Once it strings, leave it alone: dragging lifts what is below. Rub out bubbles under the new layer.`,
						action: 'It has gelled',
						waitS: before.recoatFromS,
						sinceStep: `pour-${i - 1}`,
						cautions: []
					}
				]
			: [];
		return [
			...(layer.catalyst ? [weigh('A'), ...catalyst] : [weigh('B'), weigh('A')]),
			...wait,
			{
				id: id('combine'),
				kind: 'combine',
				layer: i,
				title: layer.catalyst ? 'Stir in the catalyst' : 'Combine A and B',
				detail: `${nth}. Its clock starts here.`,
				action: 'Combined: start the clock',
				cautions: chemistry
			},
			{
				id: `mix-${i}`,
				kind: 'timed',
				layer: i,
				deadlineS: mixS,
				title: 'Mix',
				detail: 'Scrape sides and floor.',
				action: 'It is mixed',
				cautions: chemistry
			},
			{
				id: `pour-${i}`,
				kind: 'timed',
				layer: i,
				deadlineS: mixS + pourS,
				fills: true,
				title: i === count - 1 && count > 1 ? 'Pour the last layer' : 'Pour and begin to roll',
				detail: `${mouldNames(plan)}: ${layer.serves}.`,
				action: 'It is poured',
				cautions: []
			},
			{
				id: `roll-${i}`,
				kind: 'dry',
				layer: i,
				title: `Roll layer ${i + 1}`,
				detail:
					i === count - 1 && count > 1
						? 'Every way round until it hardly runs; then stand it upside down to drain and even the rim.'
						: 'Slowly, every way round, until it no longer runs: thin places and edges longest.',
				action: 'It no longer runs',
				waitS: layer.lockS,
				cautions: []
			}
		];
	});
}

function coatSteps(release: NonNullable<PourPlan['release']>, plan: PourPlan): BenchStep[] {
	const powder = release.kind === 'talc';
	const coat: BenchStep = {
		id: 'coat',
		kind: 'check',
		title: `Coat the mould: ${release.name}`,
		detail: powder
			? `${mouldNames(plan)}: dust it into every corner, knock out what is loose.`
			: `${mouldNames(plan)}: thin and even, into the detail without pooling.`,
		action: 'It is coated',
		cautions: powder ? ['powder'] : ['solvent']
	};
	if (!(release.flashOffS > 0)) return [coat];
	return [
		coat,
		{
			id: 'flash-off',
			kind: 'dry',
			title: 'Let it flash off and warm up',
			detail: 'A wet release leaves pinholes, and a spray chills the face.',
			action: 'It is dry',
			waitS: release.flashOffS,
			cautions: []
		}
	];
}

function catalystStep(plan: PourPlan, units: UnitSystem): BenchStep {
	const { drops, massG, volumeMl } = plan.catalyst!;
	return {
		id: 'measure-catalyst',
		kind: 'measure',
		title: `Measure the catalyst: ${drops} drops`,
		detail: `${formatQuantity(volumeMl, 'volume', units)} by syringe, or ${formatQuantity(massG, 'mass', units)}. Glasses on before the bottle is opened.`,
		action: 'Catalyst is measured',
		cautions: ['catalyst']
	};
}

function timedStep(
	step: PourPlan['steps'][number],
	index: number,
	atS: number,
	plan: PourPlan,
	units: UnitSystem
): BenchStep {
	const common = { id: `timed-${index}`, title: step.name, deadlineS: atS };
	switch (step.role) {
		case 'mix':
			return {
				...common,
				kind: 'timed',
				detail: 'Scrape sides and floor. Undermixing leaves soft, tacky spots.',
				action: 'It is mixed',
				cautions: cautionsFor(plan.chemistry)
			};
		case 'pour':
			return {
				...common,
				kind: 'timed',
				detail: `${mouldNames(plan)}: a thin stream at the lowest point, until resin stands in the sprue and every vent. Then top up.`,
				fills: true,
				action: 'It is poured',
				cautions: []
			};
		case 'load':
			return {
				...common,
				kind: 'timed',
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
