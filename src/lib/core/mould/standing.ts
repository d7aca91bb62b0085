import type { WallKind } from '../cure/wall';
import { BAND_EVERY_MM, closingWords } from './details';
import type { MouldInputs } from './inputs';
import { MOULD_MODULES, USUAL_CLOSING } from './kinds';
import type { MouldPlan } from './planned';

type Made = { inputs: MouldInputs; plan: MouldPlan };

/**
 * The wall between resin and air that heat goes through, mm.
 * @example
 * wallMm(mouldOf('one-piece')); // 10
 */
export const wallMm = ({ inputs }: Pick<Made, 'inputs'>): number =>
	MOULD_MODULES[inputs.kind].wall(inputs).mm;

/**
 * What that wall is made of, as heat sees it.
 * @example
 * wallOf(mouldOf('one-piece')); // 'silicone'
 */
export const wallOf = ({ inputs }: Pick<Made, 'inputs'>): WallKind =>
	MOULD_MODULES[inputs.kind].wall(inputs).of;

/**
 * What the closed mould takes up in a pot, cavity included, ml.
 * @example
 * outsideMl(mouldOf('one-piece'), 64); // 180
 */
export function outsideMl({ plan }: Pick<Made, 'plan'>, masterVolumeMl: number): number {
	if (plan.rigid) {
		const { lengthMm, widthMm, heightMm } = plan.rigid.outerMm;
		return (lengthMm * widthMm * heightMm) / 1000;
	}
	if (plan.jacket) return masterVolumeMl + plan.rubber.volumeMl + plan.jacket.shell.volumeMl;
	return plan.grossVolumeMl;
}

/**
 * Copies spread over moulds, each filled before the next: how many each gets.
 * @example
 * spread(3, [
 *   { id: 'a', cavities: 2 },
 *   { id: 'b', cavities: 2 }
 * ]); // [{ id: 'a', cavities: 2, copies: 2 }, { id: 'b', cavities: 2, copies: 1 }]
 */
export function spread<M extends { cavities: number }>(
	copies: number,
	moulds: readonly M[]
): (M & { copies: number })[] {
	let left = copies;
	return moulds.flatMap((m) => {
		const mine = Math.min(left, m.cavities);
		left -= mine;
		return mine > 0 ? [{ ...m, copies: mine }] : [];
	});
}

/**
 * How this mould is closed for a pour, and what too little and too much of it does.
 * @example
 * closingOf(mouldOf('one-piece')).how.length > 10; // true
 */
export function closingOf({ inputs, plan }: Made): ReturnType<typeof closingWords> {
	const closing =
		!inputs.closing || inputs.closing === 'usual'
			? // moulds of the first kind knew no kinds
				inputs.kind === 'jacket' && plan.jacket?.shell.kind === 'printed'
				? 'bands'
				: USUAL_CLOSING[inputs.kind ?? 'one-piece']
			: inputs.closing;
	// a printed support is held by three, whatever its height
	if (closing === 'bands' && plan.jacket?.shell.kind === 'printed')
		return closingWords('bands', 3 * BAND_EVERY_MM, 0);
	const heightMm = plan.rigid?.outerMm.heightMm ?? plan.cavity?.heightMm ?? 60;
	return closingWords(closing, heightMm, plan.jacket?.shell.bolts ?? 4);
}

/**
 * What a closed mould takes up on a shelf, mm: by its box or tube, its own outer sizes, or its master's.
 * @example
 * standingOf(mouldOf('one-piece'), cube).footprint; // { shape: 'rectangular', lengthMm: 60, widthMm: 60 }
 */
export function standingOf(
	{ inputs, plan }: Made,
	master: { footprint: 'round' | 'rectangular'; lengthMm: number; widthMm: number; heightMm: number }
): {
	footprint:
		{ shape: 'round'; diameterMm: number } | { shape: 'rectangular'; lengthMm: number; widthMm: number };
	heightMm: number;
} {
	if (plan.rigid) {
		const { lengthMm, widthMm, heightMm } = plan.rigid.outerMm;
		return { footprint: { shape: 'rectangular', lengthMm, widthMm }, heightMm };
	}
	const cavity = plan.cavity;
	if (cavity?.shape === 'tube')
		return { footprint: { shape: 'round', diameterMm: cavity.diameterMm }, heightMm: cavity.heightMm };
	if (cavity && 'lengthMm' in cavity) {
		const { lengthMm, widthMm, heightMm } = cavity;
		return { footprint: { shape: 'rectangular', lengthMm, widthMm }, heightMm };
	}
	if (cavity?.shape === 'courses') {
		const widest = (of: 'lengthMm' | 'widthMm') => Math.max(...cavity.courses.map((c) => c[of]));
		return {
			footprint: { shape: 'rectangular', lengthMm: widest('lengthMm'), widthMm: widest('widthMm') },
			heightMm: cavity.heightMm
		};
	}
	const wall = wallMm({ inputs });
	const heightMm = master.heightMm + 2 * wall;
	return master.footprint === 'round'
		? { footprint: { shape: 'round', diameterMm: master.lengthMm + 2 * wall }, heightMm }
		: {
				footprint: {
					shape: 'rectangular',
					lengthMm: master.lengthMm + 2 * wall,
					widthMm: master.widthMm + 2 * wall
				},
				heightMm
			};
}
