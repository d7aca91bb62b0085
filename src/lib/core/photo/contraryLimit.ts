/** A picture that denies so large a share of an outline is in contradiction with the others. */
export const CONTRARY = 0.015;

/** Where more than this share of the pictures contradict, nobody knows which of them are right. */
const MOST_CONTRARY = 1 / 3;

/**
 * Whether so many outlines contradict each other that their body says nothing: no number is to be shown then.
 * @param shares what share of an outline each picture denies although others show it
 * @example
 * [contradictory([0, 0.2, 0, 0.01]), contradictory([0.1, 0.2, 0, 0.01])]; // [false, true]
 */
export const contradictory = (shares: readonly number[]): boolean =>
	shares.filter((s) => s >= CONTRARY).length > MOST_CONTRARY * shares.length;
