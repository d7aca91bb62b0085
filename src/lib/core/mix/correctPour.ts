import { InputError, type WorkingLine } from '../working';
import { digits } from '../units';
import type { CorrectPourInput } from './correctPourInput';

export interface Correction {
	addA: number;
	addB: number;
	total: number;
	discard: number;
	/** Taken out of A (or B) before anything is added, so that the total just fills the cup. */
	takeOutA: number;
	takeOutB: number;
	unit: 'g' | 'ml';
	working: WorkingLine[];
}

/**
 * After an over-pour the other part is raised to match; nothing can be taken back once it is mixed.
 * Amounts are grams for a ratio by weight and millilitres for one by volume.
 * @throws InputError when the amounts are not of the ratio's kind, or none was given.
 * @example
 * correctPour({ ratio: { by: 'weight', a: 100, b: 90 }, pouredAG: 110, pouredBG: 90 }).addB; // 9
 */
export function correctPour(input: CorrectPourInput): Correction {
	const weight = input.ratio.by === 'weight';
	const unit = weight ? 'g' : 'ml';
	const given = weight ? [input.pouredAG, input.pouredBG] : [input.pouredAMl, input.pouredBMl];
	const other = weight ? [input.pouredAMl, input.pouredBMl] : [input.pouredAG, input.pouredBG];
	const field = weight ? 'pouredAG' : 'pouredAMl';
	if (other.some((x) => x !== undefined)) {
		throw new InputError(
			[field],
			`This ratio is by ${input.ratio.by}: give what was poured in ${weight ? 'grams' : 'millilitres'}.`
		);
	}
	const [a = 0, b = 0] = given;
	if (!(a + b > 0)) throw new InputError([field], 'Type what was poured already of A or of B.');
	if (input.ratio.b === 0) throw new InputError(['ratio', 'b'], 'One part has nothing to be matched to.');
	const batches = Math.max(a / input.ratio.a, b / input.ratio.b);
	const total = batches * (input.ratio.a + input.ratio.b);
	const capacity = weight ? input.capacityG : input.capacityMl;
	const fit = capacity === undefined ? 1 : Math.min(1, capacity / total);
	const [wantA, wantB] = [batches * input.ratio.a, batches * input.ratio.b];
	return {
		addA: wantA - a,
		addB: wantB - b,
		total,
		discard: total * (1 - fit),
		takeOutA: Math.max(0, a - wantA * fit),
		takeOutB: Math.max(0, b - wantB * fit),
		unit,
		working: [
			{
				what: `A to ${digits(input.ratio.a)} and B to ${digits(input.ratio.b)} parts`,
				sum: `max(${digits(a)} ÷ ${digits(input.ratio.a)}, ${digits(b)} ÷ ${digits(input.ratio.b)}) × (${digits(input.ratio.a)} + ${digits(input.ratio.b)})`,
				result: `${digits(total)} ${unit} in all`
			}
		]
	};
}
