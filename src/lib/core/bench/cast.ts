/** Most pictures that are taken of one cast at the bench. */
export const MOST_CAST_PICTURES = 12;

/**
 * Shrinkage of a cast against its master, percent; less than nothing: it is larger.
 * @example
 * shrinkagePercent({ masterMm: 100, sizeMm: 99.5 }); // 0.5
 */
export function shrinkagePercent(f: {
	masterMm?: number | undefined;
	sizeMm?: number | undefined;
}): number | undefined {
	return f.masterMm && f.sizeMm ? 100 * (1 - f.sizeMm / f.masterMm) : undefined;
}
