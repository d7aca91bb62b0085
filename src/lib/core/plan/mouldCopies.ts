import { spread, type MouldInputs } from '../mould';
import type { PourPlan } from './pourPlan';

/** Copies of one cup spread over their moulds, as a plan names them; moulds of the first kind knew no cavities and no kinds. */
export const mouldCopies = (
	copies: number,
	moulds: readonly { id: string; number: number; label: string; inputs: MouldInputs }[]
): PourPlan['moulds'] =>
	spread(
		copies,
		moulds.map((m) => ({ ...m, cavities: m.inputs.cavities ?? 1 }))
	).map(({ id, number, label, inputs, copies: mine }) => ({
		id,
		number,
		label,
		copies: mine,
		kind: inputs.kind ?? 'one-piece'
	}));
