/**
 * Ids of the steps at the bench: a name, and for some which cup or layer, or which of several, it is of. Their text form
 * is kept in every event; it is made and read here and nowhere else.
 */

/** One for the whole pour. */
const SINGLE = [
	'look',
	'coat',
	'flash-off',
	'dust',
	'inserts',
	'seat',
	'spares',
	'air',
	'shake',
	'melt',
	'cups-read',
	'pour-together',
	'hold',
	'release',
	'fill',
	'demould',
	'support',
	'clean',
	'inspect'
] as const;
/** Of a cup that is measured: the first bears no number. */
const OF_CUP = ['measure-a', 'measure-b', 'measure-catalyst', 'combine'] as const;
/** Of a layer, or of a cup of colours: each bears its number. */
const OF_LAYER = ['mix', 'pour', 'roll', 'brush', 'gelled', 'set', 'cooled'] as const;
/** One of several in a cup. */
const OF_SEVERAL = ['measure-filler', 'colour'] as const;
type SingleStep = (typeof SINGLE)[number];
type CupStep = (typeof OF_CUP)[number];
type LayerStep = (typeof OF_LAYER)[number];
type SeveralStep = (typeof OF_SEVERAL)[number];
export type StepName = SingleStep | CupStep | LayerStep | SeveralStep | 'timed';

/** A step by what it is: `cup` counts cups and layers from 0, `n` several of one kind. */
export type StepRef =
	| { name: SingleStep }
	| { name: CupStep; cup: number }
	| { name: LayerStep; cup: number }
	| { name: SeveralStep; n: number; cup: number }
	| { name: 'timed'; n: number };

const isIn = <T extends string>(list: readonly T[], name: string): name is T =>
	(list as readonly string[]).includes(name);
const suffix = (cup: number) => (cup === 0 ? '' : `-${cup}`);

/** The one text form of a step. @example stepId({ name: 'combine', cup: 1 }) // 'combine-1' */
export function stepId(ref: StepRef): string {
	if ('n' in ref) return ref.name === 'timed' ? `timed-${ref.n}` : `${ref.name}-${ref.n}${suffix(ref.cup)}`;
	if (!('cup' in ref)) return ref.name;
	return isIn(OF_LAYER, ref.name) ? `${ref.name}-${ref.cup}` : `${ref.name}${suffix(ref.cup)}`;
}

/**
 * Cup steps and layer steps, the most asked of all.
 * @example
 * cupStep('measure-a', 0); // 'measure-a'
 */
export const cupStep = (name: CupStep, cup: number): string => stepId({ name, cup });
/**
 * Text form of a step of a layer.
 * @example
 * layerStep('roll', 1); // 'roll-1'
 */
export const layerStep = (name: LayerStep, cup: number): string => stepId({ name, cup });

/**
 * What a text form stands for; nothing for one that no step has.
 * @example
 * parseStepId('roll-1'); // { name: 'roll', cup: 1 }
 */
export function parseStepId(text: string): StepRef | undefined {
	if (isIn(SINGLE, text)) return { name: text };
	if (isIn(OF_CUP, text)) return { name: text, cup: 0 };
	const [, name, first, second] = /^(.*?)-(\d{1,4})(?:-(\d{1,4}))?$/.exec(text) ?? [];
	if (name === undefined || first === undefined) return undefined;
	const ref = refOf(name, Number(first), second === undefined ? undefined : Number(second));
	// one step, one text: `combine-0` or `roll-01` is none
	return ref && stepId(ref) === text ? ref : undefined;
}

function refOf(name: string, first: number, second: number | undefined): StepRef | undefined {
	if (isIn(OF_SEVERAL, name)) return { name, n: first, cup: second ?? 0 };
	if (second !== undefined) return undefined;
	if (name === 'timed') return { name, n: first };
	return isIn(OF_CUP, name) || isIn(OF_LAYER, name) ? { name, cup: first } : undefined;
}

/**
 * Its name alone; nothing for an id that no step has.
 * @example
 * stepName('measure-a'); // 'measure-a'
 */
export const stepName = (text: string): StepName | undefined => parseStepId(text)?.name;
