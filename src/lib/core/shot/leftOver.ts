import type { ShotKind } from './kinds/names';
import { robustSd, winsorisedMean } from '../numeric/robust';

/** A pour of which it was noted what was left, or short: what it mixed, and what its moulds take by the sums. */
export interface TookPull {
	/** All that was mixed, g. */
	mixedG: number;
	/** What of it was left, g; below nothing what was short. */
	leftG: number;
	/** What its moulds with their sprues take by the sums, g, without what stays in a cup. */
	netG: number;
	/** Poured from one cup, or built up in layers: they lose unlike shares. */
	way: 'one' | 'layers';
}

/** What earlier pours really took of what the sums say. */
export interface Taken {
	/** To be mixed for each gram that the moulds take by the sums. */
	share: number;
	/** Where the pours lay. */
	lowShare: number;
	highShare: number;
	/** How many pours it rests on, at most five. */
	pours: number;
	/** The newest of them, g. */
	lastLeftG: number;
	lastMixedG: number;
}

/** So many pours count, the newest. */
export const TAKEN_FROM = 5;
/** One in ten of a normal spread lies this many deviations above its middle. */
const NINE_IN_TEN = 1.2816;
/** Nobody pours and judges what is left more evenly than this, as a share of what it took (common practice, no source). */
const LEAST_SPREAD = 0.02;
/** What lies outside is a slip of the scale, and teaches nothing. */
const BELIEVED = { least: 0.3, most: 3 };

/**
 * What to mix by what the newest five pours of a mould took: their Winsorised mean, and from the second pour on so much
 * more that it is enough nine times in ten by their spread. Of one pour the spread is not known, and nothing is added.
 * @param pulls the newest first
 * @returns nothing while no pour says what was left
 * @example
 * takenFrom([{ mixedG: 40, leftG: 14, netG: 36, way: 'one' }], 'one')?.share; // 0.722222
 */
export function takenFrom(pulls: readonly TookPull[], way: TookPull['way']): Taken | undefined {
	const counted = pulls
		.filter((p) => p.way === way && p.netG > 0)
		.map((p) => ({ ...p, share: (p.mixedG - p.leftG) / p.netG }))
		.filter((p) => p.share >= BELIEVED.least && p.share <= BELIEVED.most)
		.slice(0, TAKEN_FROM);
	const [last] = counted;
	if (!last) return undefined;
	const shares = counted.map((p) => p.share);
	const middle = winsorisedMean(shares);
	const spread = shares.length > 1 ? NINE_IN_TEN * Math.max(robustSd(shares), LEAST_SPREAD * middle) : 0;
	return {
		share: middle + spread,
		lowShare: Math.min(...shares),
		highShare: Math.max(...shares),
		pours: counted.length,
		lastLeftG: last.leftG,
		lastMixedG: last.mixedG
	};
}

/**
 * Whether a cast is poured from one cup, or built up in layers.
 * @example
 * layeredWay({ kind: 'rotocast', coldSchool: 'face' }); // 'layers'
 */
export const layeredWay = ({ kind, coldSchool }: { kind: ShotKind; coldSchool?: string }): TookPull['way'] =>
	kind === 'solid' || (kind === 'cold' && coldSchool === 'one-pour') ? 'one' : 'layers';

/**
 * What the pours that filled any of these moulds took, a pour once.
 * @param pulls the newest first
 * @example
 * takenOf([], ['m']); // {}
 */
export function takenOf(
	pulls: readonly (TookPull & { pourId: string; mouldId: string })[],
	mouldIds: readonly string[]
): { one?: Taken; layers?: Taken } {
	const own = new Map<string, TookPull>();
	for (const pull of pulls)
		if (mouldIds.includes(pull.mouldId) && !own.has(pull.pourId)) own.set(pull.pourId, pull);
	const [one, layers] = (['one', 'layers'] as const).map((way) => takenFrom([...own.values()], way));
	return { ...(one ? { one } : {}), ...(layers ? { layers } : {}) };
}

const ROUND = [1, 2, 5];
/**
 * Amounts that are offered as one press, g: round ones, about a twentieth to a third of what was mixed.
 * @param mixedG more than nothing
 * @example
 * leftPresses(114); // [5, 10, 20]
 */
export function leftPresses(mixedG: number): number[] {
	const near = (g: number) => {
		const step = 10 ** Math.floor(Math.log10(g));
		return ROUND.map((r) => r * step).findLast((r) => r <= g * 1.01) ?? step;
	};
	return [...new Set([0.05, 0.1, 0.2, 0.35].map((share) => near(Math.max(1, mixedG * share))))];
}
