import type { ShopChange } from '../devices/shop';
import type { PourPlan } from '../plan/pourPlan';

/** What can be thrown into a practice pour, and how the shop differs by it. */
export interface Slip {
	words: string;
	/** Said afterwards: what it did, and what a practised hand does. */
	lesson: string;
	change: ShopChange;
	/** Called away for so long while it is mixed, s. */
	lateS?: number;
	/** Only a pour with a pot can have it. */
	needsPot?: true;
	/** The scale says nothing from the weighing of A on. */
	scaleFails?: true;
}

/** Sizes of the slips are defaults of ours: large enough to matter, small enough to be caught. */
export const SLIPS = {
	'warm room': {
		words: 'A room 6 °C warmer than planned',
		lesson: 'The air readings shortened every time that follows: go by the corrected clock.',
		change: { warmerByC: 6 }
	},
	'late start': {
		words: 'Called away while mixing',
		lesson: 'Half a minute of pot life went by: leave out what can be left out, never the mixing.',
		change: {},
		lateS: 30
	},
	'over-pour': {
		words: 'A stream that runs on after you stop',
		lesson: 'The other side follows what was over-poured; only the total grows.',
		change: { overshootS: 1.4 }
	},
	'leaking pot': {
		words: 'A pot that leaks',
		lesson: 'Top the pressure up until it has gelled; look for the leak afterwards.',
		change: { leakPerMin: 0.12 },
		needsPot: true
	},
	'damp air': {
		words: 'A damp day',
		lesson:
			'Within 3 °C of the dew point the face foams: warm the mould, or give the pour up before resin is opened.',
		change: { damperBy: 50 }
	},
	'dead scale': {
		words: 'A scale that goes silent',
		lesson: 'Switch it to typing, weigh elsewhere or go by the marks: never guess.',
		change: {},
		scaleFails: true
	}
} as const satisfies Record<string, Slip>;
export type SlipName = keyof typeof SLIPS;
export const SLIP_NAMES = Object.keys(SLIPS) as SlipName[];

const slip = (name: SlipName): Slip => SLIPS[name];

/**
 * Slips that this plan can have: a pot that is not there cannot leak.
 * @example
 * slipsFor({}).includes('leaking pot'); // false
 */
export function slipsFor(plan: Pick<PourPlan, 'pot'>): SlipName[] {
	return SLIP_NAMES.filter((name) => !slip(name).needsPot || plan.pot !== undefined);
}

/**
 * A surprise: so many different slips.
 * @param chance numbers in 0…1, as many as asked for
 * @example
 * drawSlips(planOf(), 2, () => 0).length; // 2
 */
export function drawSlips(plan: Pick<PourPlan, 'pot'>, count: number, chance: () => number): SlipName[] {
	const left = slipsFor(plan);
	const drawn: SlipName[] = [];
	while (drawn.length < count && left.length > 0) {
		const i = Math.min(left.length - 1, Math.floor(chance() * left.length));
		drawn.push(...left.splice(i, 1));
	}
	return drawn;
}

/**
 * All changes of the shop together.
 * @example
 * shopChange(['warm room']); // { warmerByC: 6 }
 */
export function shopChange(names: readonly SlipName[]): ShopChange {
	return names.reduce<ShopChange>((all, name) => ({ ...all, ...slip(name).change }), {});
}

/**
 * How long the maker is called away in the mixing, s.
 * @example
 * lateS(['late start']); // 30
 */
export function lateS(names: readonly SlipName[]): number {
	return names.reduce((sum, name) => sum + (slip(name).lateS ?? 0), 0);
}

/**
 * Whether the scale falls silent.
 * @example
 * scaleFails(['late start']); // false
 */
export const scaleFails = (names: readonly SlipName[]): boolean => names.some((n) => slip(n).scaleFails);
