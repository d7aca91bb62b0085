import type { MakingPlan } from './plan';
import { check, type MakingStep } from './step';

/** The master bedded to its parting line, for a mould in halves. */
export const bedInClay = (): MakingStep =>
	check(
		'fix',
		'Bed the master in clay',
		'Sulphur-free clay up to the parting line, square against the master without a gap. Press the keys in. Lay the sprue in clay.',
		'It is bedded'
	);

/** The master held down. @param cut what else is done before it is out of sight */
export const fixDown = (cut = ''): MakingStep =>
	check(
		'fix',
		'Fix the master down',
		`Clay under its rim, hot glue at the foot: it floats otherwise.${cut}`,
		'It is fixed',
		['hot-glue']
	);

/** Everything before the first pour: a brush reaches the master only while no wall stands round it. */
export const prepared = (plan: MakingPlan, fix: MakingStep, box = true): MakingStep[] => [
	...sealing(plan),
	fix,
	...release(plan, '', plan.masterName),
	...(box ? boxing(plan) : [])
];

/** Walls up, and every joint shut. */
export function boxing(plan: MakingPlan): MakingStep[] {
	const walls = { box: 'the boards', tube: 'the tube', bricks: 'the bricks', given: 'the container' }[
		plan.shape
	];
	return [
		check(
			'box',
			'Raise the walls, seal every joint',
			`Stand ${walls} up and run hot glue or clay along every joint, inside corners too: rubber finds each gap, and a leak empties the box overnight. Stand it level.`,
			'Nothing can leak',
			['hot-glue']
		)
	];
}

/** The face of a porous master is closed first. */
export function sealing(plan: MakingPlan): MakingStep[] {
	if (plan.sealing === 'none') return [];
	return [
		check(
			'seal',
			`Seal the master: ${plan.sealing}`,
			'Two thin coats rather than one thick; let it dry through. An open face locks rubber in its pores.',
			'It is sealed and dry',
			['solvent']
		)
	];
}

/** What keeps it off, on what, and its flash-off. */
export function release(plan: MakingPlan, suffix: string, on: string): MakingStep[] {
	const r = plan.release;
	if (!r) return [];
	const coat = check(
		`release${suffix}`,
		`Release: ${r.name}`,
		`On ${on}, thin and even, into the corners without pooling.`,
		'It is coated',
		r.powder ? ['powder'] : ['solvent']
	);
	if (!(r.flashOffS > 0)) return [coat];
	return [
		coat,
		{
			id: `flash-off${suffix}`,
			kind: 'wait',
			title: 'Let it flash off',
			detail: 'A wet release leaves pinholes in the rubber.',
			action: 'It is dry',
			waitS: r.flashOffS,
			then: 'release is dry',
			cautions: []
		}
	];
}
