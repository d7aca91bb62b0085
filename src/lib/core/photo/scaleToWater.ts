/** A body made to hold what water says. */
export interface ScaledTo {
	/** Every length times this. */
	lengthShare: number;
	volumeMl: number;
	lowMl: number;
	highMl: number;
	/** Water and pictures contradict each other: the reading lies outside the band, or the change is large. */
	apart: boolean;
}

/**
 * Scales a body to a reading of its volume by water: water is right about volume, pictures about shape.
 * @param readingShare how far the reading may be off, as a share
 * @example
 * scaleToWater({ volumeMl: 110, lowMl: 98, highMl: 112 }, 105, 0.02).apart; // false
 */
export function scaleToWater(
	{ volumeMl, lowMl, highMl }: { volumeMl: number; lowMl: number; highMl: number },
	waterMl: number,
	readingShare: number
): ScaledTo {
	return {
		lengthShare: Math.cbrt(waterMl / volumeMl),
		volumeMl: waterMl,
		lowMl: waterMl * (1 - readingShare),
		highMl: waterMl * (1 + readingShare),
		apart: waterMl * (1 + readingShare) < lowMl || waterMl * (1 - readingShare) > highMl
	};
}
