/** A forecast as it was given, with what came of it. */
export interface KeptForecast {
	/** Pulls that the mould had then. */
	pulls: number;
	low: number;
	median: number;
	high: number;
	/** Pulls that it gave in all, once it is retired; so far, while it is not. */
	gaveSoFar: number;
	retired: boolean;
}

export interface ForecastScore {
	/** Forecasts whose end is known. */
	known: number;
	inside: number;
	/** The mould lasted less, or more, than the band. */
	shorter: number;
	longer: number;
	/** Share that should be inside, and how sure so few can be: the band of it at 90 % (Wilson). */
	wanted: 0.8;
	low: number;
	high: number;
}

/**
 * Wilson's interval for a share, J. Am. Stat. Assoc. 22 (1927) 209; z = 1.645 covers 90 %.
 * @example
 * wilson(8, 10); // { low: 0.54077, high: 0.93145 }
 */
export function wilson(hits: number, of: number, z = 1.645): { low: number; high: number } {
	if (of === 0) return { low: 0, high: 1 };
	const p = hits / of;
	const z2 = z * z;
	const middle = (p + z2 / (2 * of)) / (1 + z2 / of);
	const half = (z / (1 + z2 / of)) * Math.sqrt((p * (1 - p)) / of + z2 / (4 * of * of));
	// of none or of all the band ends at the share itself; rounding may not push it past
	return { low: hits === 0 ? 0 : middle - half, high: hits === of ? 1 : middle + half };
}

/**
 * How our own forecasts did. One whose mould is in use counts only when it has outlived its band already: waiting for
 * the rest without that would count the short lives alone.
 * @example
 * scoreForecasts([{ pulls: 10, low: 20, median: 40, high: 60, gaveSoFar: 55, retired: true }]); // { known: 1, inside: 1, shorter: 0, longer: 0, wanted: 0.8, low: 0.26983, high: 1 }
 */
export function scoreForecasts(kept: readonly KeptForecast[]): ForecastScore {
	let [inside, shorter, longer] = [0, 0, 0];
	for (const k of kept) {
		const gave = k.gaveSoFar - k.pulls;
		if (gave > k.high) longer++;
		else if (!k.retired) continue;
		else if (gave < k.low) shorter++;
		else inside++;
	}
	const known = inside + shorter + longer;
	return { known, inside, shorter, longer, wanted: 0.8, ...wilson(inside, known) };
}
