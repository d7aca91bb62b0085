/** Time until one part of a jacket's shell may be lifted, s (common practice, no source). */
export const OPEN_CURE_KINDS: Readonly<Record<'resin' | 'plaster', number>> = {
	resin: 4 * 3600,
	plaster: 3600
};
