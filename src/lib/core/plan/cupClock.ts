/** When each cup or layer was combined and poured, ms since 1970; nothing for what did not happen yet. */
export interface CupClock {
	combinedAtMs?: number;
	pouredAtMs?: number;
}

/** The cup that a gun is held at: of colours the one it was said of, of layers the last that was combined. */
export function cupAt(
	clocks: readonly CupClock[],
	layered: boolean,
	atMs: number,
	said = 0
): number | undefined {
	const combined = (c: CupClock | undefined) => c?.combinedAtMs !== undefined && c.combinedAtMs <= atMs;
	if (!layered) return combined(clocks[said]) ? said : undefined;
	const last = clocks.findLastIndex(combined);
	return last < 0 ? undefined : last;
}
