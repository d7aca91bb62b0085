import type { Warning } from '../working';

/** What a tin holds: one part of two, or a resin that is sold as one. */
export const TIN_PARTS = ['A', 'B', 'whole'] as const;

/**
 * The tins that a pour of a material takes from, by part: the first that is in use, in the order of the shelf (oldest
 * first). This is the one place where that is decided.
 * @example
 * tinsInUse([
 *   { id: '1', part: 'A', emptied: true, remainingG: 0 },
 *   { id: '2', part: 'A', emptied: false, remainingG: 400 }
 * ]).a?.id; // '2'
 */
export function tinsInUse<
	T extends { part: (typeof TIN_PARTS)[number]; emptied: boolean; remainingG: number }
>(tins: readonly T[]): { a?: T; b?: T } {
	const first = (parts: readonly string[]) =>
		tins.find((t) => !t.emptied && t.remainingG > 0 && parts.includes(t.part));
	const [a, b] = [first(['A', 'whole']), first(['B'])];
	return { ...(a ? { a } : {}), ...(b ? { b } : {}) };
}

/** How far a container may be trusted, and why. */
export interface ContainerHealth {
	level: 'fine' | 'watch' | 'doubtful';
	reasons: string[];
	openDays?: number;
}

/**
 * What is old or doubtful about the tins that a pour takes from, said before anything is poured out of them.
 * @example
 * stockWarnings({ a: { level: 'doubtful', reasons: ['open for 212 days'] } })[0]?.message; // 'A in use is doubtful: open for 212 days.'
 */
export function stockWarnings(tins: {
	a?: ContainerHealth | undefined;
	b?: ContainerHealth | undefined;
	/** There is one tin, and no A and B. */
	whole?: boolean;
}): Warning[] {
	return (['a', 'b'] as const).flatMap((part) => {
		const health = tins[part];
		if (!health || health.level === 'fine') return [];
		const doubtful = health.level === 'doubtful';
		return [
			{
				code: `old-stock-${part}`,
				message: `${tins.whole ? 'The tin' : part.toUpperCase()} in use is ${doubtful ? 'doubtful' : 'no longer fresh'}: ${health.reasons.join(', ')}.`,
				action: doubtful
					? 'Try a small cup first: foam, soft spots or another speed show there, not in the cast.'
					: 'Look into the tin: skin, crystals or cloudiness mean a trial cup first.'
			}
		];
	});
}
