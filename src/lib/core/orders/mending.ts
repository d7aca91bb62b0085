/** How the casts of a piece in a resin came out so far. */
export interface CastsSeen {
	/** Copies that can be given away, at once or once they are mended. */
	good: number;
	scrap: number;
	/** The good ones that wanted mending; of `notedCopies` of them the time was noted, `notedS` together, s. */
	mended?: { copies: number; notedCopies: number; notedS: number } | undefined;
}

/**
 * What mending takes of the hands for each good copy, s, going by all good ones so far: those of which no time was noted are
 * taken to have wanted as much as those of which it was. Nothing where copies wanted mending and nobody noted how long.
 * @returns 0 or more, s; `null`: not known
 * @example
 * mendingS({ good: 20, scrap: 1, mended: { copies: 4, notedCopies: 2, notedS: 1200 } }); // 120
 */
export function mendingS({ good, mended }: CastsSeen): number | null {
	if (!mended || mended.copies === 0 || !(good > 0)) return 0;
	return mended.notedCopies > 0 ? (mended.copies / good) * (mended.notedS / mended.notedCopies) : null;
}
