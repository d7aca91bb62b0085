/** A pull of a mould: with which release it was planned, and what that coat had borne before it where it was left on. */
export interface CoatedPull {
	release: string | null;
	borne: number | null;
}

/**
 * How many pulls the coat that is on a mould has borne already; nothing where it is put on before the next one. A pull without
 * a release wears the coat of the pulls before it as any other; another release means that this one is not on it.
 * @param pulls of the mould, the newest first; `everyPulls` of them are enough
 * @param release every so many pulls it is put on again, 1 or more; nothing: before every one
 * @example
 * coatBorne([{ release: null, borne: null }, { release: 'Wax', borne: null }], { name: 'Wax', everyPulls: 3 }); // 2
 */
export function coatBorne(
	pulls: readonly CoatedPull[],
	{ name, everyPulls = 1 }: { name: string; everyPulls?: number | undefined }
): number | undefined {
	for (const [i, pull] of pulls.slice(0, everyPulls - 1).entries()) {
		if (pull.release !== null && pull.release !== name) return undefined;
		if (pull.release === name && pull.borne === null) return i + 1;
	}
	return undefined;
}
