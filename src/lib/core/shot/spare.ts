/** A mould that could take what is left in a cup. */
export interface SpareMould {
	id: string;
	number: number;
	label: string;
	/** Resin that one of its cavities takes, ml. */
	volumeMl: number;
}

/** What a slip usually leaves of a cup, as a share of it (a default of ours). */
const USUALLY_LEFT = 0.1;

/**
 * Resin that a cup of so many ml usually leaves, ml: spare moulds are made ready for it.
 * @example
 * usuallyLeftMl(200); // 20
 */
export const usuallyLeftMl = (cupMl: number) => cupMl * USUALLY_LEFT;

/**
 * Moulds for what is left over, the best first: the largest that it still fills, then those that are too
 * large for it, the smallest first, with how much is missing.
 * @param leftMl resin that is left, ml, ≥ 0
 * @example
 * rankSpares(50, [
 *   { name: 'small', volumeMl: 20 },
 *   { name: 'large', volumeMl: 60 }
 * ]); // [{ name: 'small', volumeMl: 20, missingMl: 0 }, { name: 'large', volumeMl: 60, missingMl: 10 }]
 */
export function rankSpares<M extends Pick<SpareMould, 'volumeMl'>>(
	leftMl: number,
	moulds: readonly M[]
): (M & { missingMl: number })[] {
	const all = moulds.map((m) => ({ ...m, missingMl: Math.max(0, m.volumeMl - leftMl) }));
	const fits = all.filter((m) => m.missingMl === 0).sort((a, b) => b.volumeMl - a.volumeMl);
	const short = all.filter((m) => m.missingMl > 0).sort((a, b) => a.missingMl - b.missingMl);
	return [...fits, ...short];
}
