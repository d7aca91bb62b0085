/** What keeps two things apart. */
export const RELEASE_KINDS = ['silicone spray', 'non-silicone spray', 'wax', 'talc', 'barrier coat'] as const;
export type ReleaseKind = (typeof RELEASE_KINDS)[number];

/** Time to flash off or dry when its sheet gives none, s (common practice, no source). */
export const FLASH_OFF_S: Readonly<Record<ReleaseKind, number>> = {
	'silicone spray': 300,
	'non-silicone spray': 300,
	wax: 600,
	talc: 0,
	'barrier coat': 600
};

/**
 * How long a release dries before it is poured on, s.
 * @example
 * flashOffS({ kind: 'silicone spray' }); // 300
 */
export function flashOffS(release: { kind: ReleaseKind; flashOffS?: number | undefined }): number {
	return release.flashOffS ?? FLASH_OFF_S[release.kind];
}
