import type { MouldInputs, MouldPlan } from './inputs';

type Made = { inputs: MouldInputs; plan: MouldPlan };

/** The wall between resin and air that heat goes through, mm. */
export function wallMm({ inputs }: Pick<Made, 'inputs'>): number {
	switch (inputs.kind) {
		case 'jacket':
			return inputs.skinMm + inputs.shellMm;
		case 'rigid':
			return inputs.rigidWallMm;
		default:
			return inputs.clearanceMm;
	}
}

/** What the closed mould takes up in a pot, cavity included, ml. */
export function outsideMl({ plan }: Pick<Made, 'plan'>, masterVolumeMl: number): number {
	if (plan.rigid) {
		const { lengthMm, widthMm, heightMm } = plan.rigid.outerMm;
		return (lengthMm * widthMm * heightMm) / 1000;
	}
	if (plan.jacket) return masterVolumeMl + plan.rubber.volumeMl + plan.jacket.shell.volumeMl;
	return plan.grossVolumeMl;
}

/** Copies spread over moulds, each filled before the next: how many each gets. */
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
