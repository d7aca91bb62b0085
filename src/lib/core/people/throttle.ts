/** So many slips are nobody’s fault. */
export const FREE_TRIES = 4;
/** From then on each wait is twice the one before, to this, ms. */
const FIRST_WAIT_MS = 2000;
const LONGEST_WAIT_MS = 15 * 60_000;
/** After so long without a slip all is forgotten, ms. */
export const FORGOTTEN_MS = 60 * 60_000;

/**
 * How long nobody may try again after so many failures in a row, ms.
 * @param failures ≥ 0
 * @example
 * waitAfterMs(5); // 4000
 */
export const waitAfterMs = (failures: number): number =>
	failures < FREE_TRIES ? 0 : Math.min(LONGEST_WAIT_MS, FIRST_WAIT_MS * 2 ** (failures - FREE_TRIES));
