import type { ResinRecord } from './resin';
import { mixable, ratiosOf } from './resinSums';

/**
 * Whole shots that what is left of a resin still gives; the side that runs out first decides. A side of which there
 * is no tin in the books is not asked for.
 * @param shotG one shot with its loss, g, above 0
 * @param leftG what is left of A (or of a resin in one tin) and of B, g; undefined where no tin is known
 * @returns nothing when neither side is known
 * @example
 * shotsLeft(urethane, 190, { a: 1000, b: 500 }); // 5
 */
export function shotsLeft(
	record: ResinRecord,
	shotG: number,
	leftG: { a?: number | undefined; b?: number | undefined }
): number | undefined {
	if (!(shotG > 0) || (leftG.a === undefined && leftG.b === undefined)) return undefined;
	const bPerA = (ratiosOf(record)?.weightB ?? mixable(record).catalyst?.percent ?? 0) / 100;
	const needG = { a: shotG / (1 + bPerA), b: (shotG * bPerA) / (1 + bPerA) };
	const shots = [
		...(leftG.a === undefined ? [] : [leftG.a / needG.a]),
		...(leftG.b === undefined || needG.b === 0 ? [] : [leftG.b / needG.b])
	];
	// sums of what pours took do not come out to the last digit: a millionth of a shot short is not short
	return shots.length ? Math.floor(Math.min(...shots) + 1e-6) : undefined;
}
