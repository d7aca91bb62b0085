import { cautionsFor, cautionsForResin } from '../../cautions';
import { formatDrops, formatQuantity, formatWeighed, type UnitSystem } from '../../units';
import { type PourPlan } from '../../plan/pourPlan';
import { marksOf } from '../../plan/marks';
import { cupStep, stepId } from './ids';
import { sentence, type BenchStep } from './step';

type Colour = NonNullable<PourPlan['colours']>[number];
type Filler = NonNullable<PourPlan['fillers']>[number];
/** A mass in the step of the scale that weighs it. */
type Weighed = (massG: number) => string;
type Catalyst = NonNullable<PourPlan['catalyst']>;

/** One cup that is mixed: the only one of a solid shot, one of several colours, one layer. */
export interface Cup {
	/** Which cup or layer it is, counted from 0. */
	readonly index: number;
	readonly layer?: number;
	readonly cup?: number;
	/** Stands before the titles: `Layer 2 of 3`, `Sea green`. */
	readonly called?: string;
	readonly a: PourPlan['a'];
	readonly b: PourPlan['b'];
	readonly catalyst?: Catalyst | undefined;
	readonly fillers: readonly Filler[];
	readonly colours: readonly Colour[];
	/** Said with B. */
	readonly hint?: string;
}

/**
 * Measuring by the chosen school, up to combining: B, its fillers and its colours, A last since it takes up
 * moisture. Poured both into one cup, A runs in at the combining and is weighed with the clock on.
 */
export function measureSteps(plan: PourPlan, cup: Cup, units: UnitSystem): BenchStep[] {
	const common = {
		...(cup.layer === undefined ? {} : { layer: cup.layer }),
		...(cup.cup === undefined ? {} : { cup: cup.cup })
	};
	const before = cup.called ? `${cup.called}: ` : '';
	const title = (text: string) => (before ? `${before}${text[0]!.toLowerCase()}${text.slice(1)}` : text);
	const chemistry = cautionsFor(plan.chemistry);
	const school = plan.measuring ?? 'two-cups';
	const weighed: Weighed = (massG) => formatWeighed(massG, units, plan.scaleResolutionG ?? 1);
	/** What is measured first says why. */
	const firstPart = cup.catalyst ? 'A' : 'B';
	const hint = cup.index === 0 ? [cup.hint, takenWords(plan, weighed)].filter(Boolean).join(' ') : cup.hint;
	const part = (which: 'A' | 'B'): BenchStep => {
		const amount = which === 'A' ? cup.a : cup.b;
		const marks = marksOf(plan, cup);
		const { wideMm } = marks;
		const markMm = wideMm > 0 ? (which === 'A' ? marks.aMm : marks.bMm) : undefined;
		return {
			...common,
			id: cupStep(which === 'A' ? 'measure-a' : 'measure-b', cup.index),
			kind: 'measure',
			// a resin that is catalysed is one thing: there is no A
			...(cup.catalyst ? {} : { part: which }),
			amount,
			...(markMm !== undefined ? { markMm } : {}),
			title: title(cup.catalyst ? 'Measure the resin' : `Measure ${which}`),
			detail: partWords(
				plan,
				cup.catalyst ? 'resin' : which,
				amount,
				{ wideMm, markMm, own: marks.own },
				which === firstPart ? hint : cup.hint,
				units,
				weighed
			),
			action: cup.catalyst ? 'The resin is measured' : `${which} is measured`,
			cautions: cautionsForResin(plan.chemistry)
		};
	};
	const fillers = cup.fillers.map((f, i) =>
		fillerStep(f, i, cup, title, weighed, common, plan.waterExtended === true)
	);
	const colours = (side: 'A' | 'B') =>
		cup.colours
			.map((c, i) => ({ c, i }))
			.filter(({ c }) => c.part === side)
			.map(({ c, i }) => colourStep(c, i, cup, title, weighed, common));
	const combine = combineStep(cup, chemistry, common, school === 'one-cup' && !cup.catalyst);
	if (cup.catalyst) {
		return [
			part('A'),
			...fillers,
			...colours('A'),
			...colours('B'),
			{
				...catalystStep(cup.catalyst, units, weighed),
				...common,
				id: cupStep('measure-catalyst', cup.index)
			},
			combine
		];
	}
	if (school === 'one-cup' && colours('A').length === 0)
		return [part('B'), ...fillers, ...colours('B'), combine, { ...part('A'), action: 'A is in' }];
	return [part('B'), ...fillers, ...colours('B'), part('A'), ...colours('A'), combine];
}

/** Why another amount is mixed than the last time. */
function takenWords({ taken }: PourPlan, weighed: Weighed): string {
	if (!taken) return '';
	const { lastLeftG, pours } = taken;
	const last =
		lastLeftG > 0
			? `${weighed(lastLeftG)} were left last time`
			: lastLeftG < 0
				? `${weighed(-lastLeftG)} were short last time`
				: 'nothing was left last time';
	return `Mixed by what ${pours === 1 ? 'the last pour' : `the last ${pours} pours`} took: ${last}.`;
}

/** A volume as a cup's own scale says it. */
const onScale = (volumeMl: number, graduated: 'ml' | 'floz') =>
	formatQuantity(volumeMl, 'volume', graduated === 'ml' ? 'metric' : 'us');

function partWords(
	plan: PourPlan,
	which: 'A' | 'B' | 'resin',
	amount: PourPlan['a'],
	{ wideMm, markMm, own }: { wideMm: number; markMm: number | undefined; own?: PourPlan['markCup'] },
	hint: string | undefined,
	units: UnitSystem,
	weighed: Weighed
): string {
	const ml = formatQuantity(amount.volumeMl, 'volume', units);
	const wide = formatQuantity(wideMm, 'length', units);
	const mark = markMm === undefined ? '' : formatQuantity(markMm, 'length', units);
	const said = hint ? ` ${hint}` : '';
	// a scale that is printed on the cup is read; without one its mark is measured over its floor
	const filled = !own
		? `filled to ${mark} in a straight cup ${wide} wide`
		: own.graduated === 'none'
			? `filled to ${mark} over the floor of ${own.name}`
			: `filled to ${onScale(amount.volumeMl, own.graduated)} on the scale of ${own.name}, ${mark} over its floor`;
	if (which === 'resin')
		return plan.measuring === 'marks'
			? `The mixing cup, ${filled}: ${weighed(amount.massG)}.${said}`
			: `Into the mixing cup. ${ml} of it.${said}`;
	if (plan.measuring === 'one-cup')
		return which === 'B'
			? `Into the mixing cup.${said}`
			: `Onto B in the same cup: zero the scale first. ${ml} of it.${said}`;
	if (plan.measuring === 'marks')
		return `Its own cup, marked ${which}, ${filled}: ${weighed(amount.massG)}.${said}`;
	if (plan.measuring === 'two-cups')
		return `Its own cup, marked ${which}; its own stick. ${ml} of it.${said}`;
	if (markMm === undefined) return hint ?? '';
	return `${ml} if you measure by cup: ${mark} high in a straight cup ${wide} wide.${said}`;
}

function combineStep(
	cup: Cup,
	chemistry: BenchStep['cautions'],
	common: object,
	intoOne: boolean
): BenchStep {
	const called = cup.called ? `${cup.called}. ` : '';
	return {
		...common,
		id: cupStep('combine', cup.index),
		kind: 'combine',
		title: cup.catalyst ? 'Stir in the catalyst' : intoOne ? 'Pour A onto B' : 'Combine A and B',
		detail:
			called +
			(cup.catalyst
				? 'The clock starts with the first drop.'
				: intoOne
					? 'The clock starts with the first drop of A.'
					: 'The clock starts when the one goes into the other; scrape the emptied cup out.'),
		action: cup.catalyst
			? 'Catalysed: start the clock'
			: intoOne
				? 'A runs: start the clock'
				: 'Combined: start the clock',
		cautions: chemistry
	};
}

function fillerStep(
	filler: Filler,
	index: number,
	cup: Cup,
	title: (text: string) => string,
	weighed: Weighed,
	common: object,
	waterExtended: boolean
): BenchStep {
	// a gram to the millilitre into a resin that takes water up: nothing else weighs that
	const water = waterExtended && Math.abs(filler.massG / filler.volumeMl - 1) < 0.01;
	if (water)
		return {
			...common,
			id: stepId({ name: 'measure-filler', n: index, cup: cup.index }),
			kind: 'measure',
			amount: { massG: filler.massG, volumeMl: filler.volumeMl },
			title: title('Stir the water in'),
			detail: `${weighed(filler.massG)} in a thin stream under the mixer, until it is one smooth cream and no drop shows: what is not taken up now stays a hole. Then the catalyst.`,
			action: 'It is a smooth cream',
			cautions: ['styrene']
		};
	return {
		...common,
		id: stepId({ name: 'measure-filler', n: index, cup: cup.index }),
		kind: 'measure',
		amount: { massG: filler.massG, volumeMl: filler.volumeMl },
		title: title(`Measure ${filler.name}`),
		detail: `Into ${cup.catalyst ? 'the resin' : 'B'}, stirred in until no dry grain is left; ${weighed(filler.massG)}.`,
		action: 'The filler is in',
		cautions: ['powder']
	};
}

/** Colour is built up: by threes of drops, or in three parts by weight (common practice, no source). */
const DOSES = 3;
function dosesOf({ drops, massG }: Colour): { count: number; drops?: number[]; massG: number } {
	if (drops === undefined) return { count: DOSES, massG: massG / DOSES };
	const count = Math.min(DOSES, Math.max(1, Math.ceil(drops / DOSES)));
	const each = Array.from({ length: count }, (_, i) => Math.floor((drops + count - 1 - i) / count));
	return { count, drops: each, massG: massG / count };
}
function dosesWords(colour: Colour, weighed: Weighed): string {
	const { count, drops, massG } = dosesOf(colour);
	if (count === 1) return 'at once';
	if (drops === undefined) return `in ${count} doses of ${weighed(massG)}`;
	const [most, least] = [drops[0]!, drops.at(-1)!];
	if (most === least) return `in ${count} doses of ${formatDrops(most)}`;
	return `in ${count} doses, ${drops.slice(0, -1).join(', ')} and ${formatDrops(least)}`;
}

function colourStep(
	colour: Colour,
	index: number,
	cup: Cup,
	title: (text: string) => string,
	weighed: Weighed,
	common: object
): BenchStep {
	const side = cup.catalyst ? 'the resin' : colour.part;
	return {
		...common,
		id: stepId({ name: 'colour', n: index, cup: cup.index }),
		kind: 'check',
		title: title(`Colour: ${colour.name}`),
		detail: sentence(
			`${colour.drops === undefined ? weighed(colour.massG) : `${formatDrops(colour.drops)} (${weighed(colour.massG)})`} into ${side}, ${dosesWords(colour, weighed)}. Stir until no streak is left and judge it on the stick after each${cup.catalyst ? '' : ': the other part thins it'}.`
		),
		doses: dosesOf(colour).count,
		action: 'The colour is right',
		cautions: colour.powder ? ['powder'] : []
	};
}

function catalystStep(
	{ drops, dropsMost, massG, volumeMl }: Catalyst,
	units: UnitSystem,
	weighed: Weighed
): Omit<BenchStep, 'id'> {
	const ml = formatQuantity(volumeMl, 'volume', units);
	const counted = dropsMost === undefined;
	return {
		kind: 'measure',
		title: `Measure the catalyst: ${counted ? formatDrops(drops) : ml}`,
		detail: `${counted ? `${ml} by syringe` : `By syringe: nobody has counted this dropper, ${formatDrops(drops, dropsMost)}`}, or ${weighed(massG)}. Glasses on before the bottle is opened.`,
		action: 'Catalyst is measured',
		amount: { massG, volumeMl },
		cautions: ['catalyst']
	};
}
