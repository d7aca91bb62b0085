/** What may happen to what a tin holds: every one is a line of its own, and none is written over. */
export const MOVEMENT_KINDS = ['weighed', 'used', 'opened', 'thrown-away', 'corrected'] as const;
export type MovementKind = (typeof MOVEMENT_KINDS)[number];
export const MOVEMENT_WORDS: Readonly<Record<MovementKind, string>> = {
	weighed: 'weighed',
	used: 'used in a pour',
	opened: 'opened',
	'thrown-away': 'thrown away',
	corrected: 'corrected'
};

/** One line of a tin's stock. */
export interface Movement {
	/** Order of arrival. */
	seq: number;
	/** It amends the line of that number, and counts where that one stands. */
	placeSeq: number | null;
	kind: MovementKind;
	/** Weighed: what is in it, g. Used, thrown away: what went out. Corrected: what was put right, either way. */
	massG: number | null;
	/** Openings that it stands for; less than nothing takes some back. */
	openings: number;
}

/** A line as the tin's page shows it. */
export interface StockLine extends Movement {
	id: string;
	pourId: string | null;
	/** What was cast, for a line of a pour. */
	masterName: string | null;
	/** When it happened, by the clock that told it, and when the server heard of it. */
	at: Date;
	receivedAt: Date;
	note: string;
	/** What was left after it, g. */
	afterG: number;
}

/** What a tin holds by its lines. */
export interface Stock {
	/** Never below nothing. */
	leftG: number;
	/** Taken out beyond what was weighed, g: a weighing is due. */
	overdrawnG: number;
	openings: number;
	/** What was left after each line, in their order, g. */
	afterG: number[];
}

/**
 * Lines in the order in which they count: as they arrived, amendments beside what they amend.
 * @example
 * inStockOrder([{ seq: 2, placeSeq: null }, { seq: 3, placeSeq: 1 }, { seq: 1, placeSeq: null }]).map((m) => m.seq); // [1, 3, 2]
 */
export const inStockOrder = <M extends Pick<Movement, 'seq' | 'placeSeq'>>(movements: readonly M[]): M[] =>
	[...movements].sort((a, b) => (a.placeSeq ?? a.seq) - (b.placeSeq ?? b.seq) || a.seq - b.seq);

/**
 * What a tin holds: the last weighing, less what went out since, in the order in which the server knew of it. A pour
 * from a device that was offline, or whose clock is wrong, counts when it arrives, whatever its clock said.
 * @example
 * stockOf([
 *   { seq: 1, placeSeq: null, kind: 'weighed', massG: 800, openings: 0 },
 *   { seq: 2, placeSeq: null, kind: 'used', massG: 114, openings: 1 }
 * ]).leftG; // 686
 */
export function stockOf(movements: readonly Movement[]): Stock {
	let heldG = 0;
	let openings = 0;
	const afterG: number[] = [];
	for (const m of inStockOrder(movements)) {
		openings += m.openings;
		const massG = m.massG ?? 0;
		if (m.kind === 'weighed') heldG = massG;
		else if (m.kind === 'corrected') heldG += massG;
		else heldG -= massG;
		afterG.push(Math.max(0, heldG));
	}
	return {
		leftG: Math.max(0, heldG),
		overdrawnG: Math.max(0, -heldG),
		openings: Math.max(0, openings),
		afterG
	};
}

/** A line that brings what is booked for a pour to what it took; nothing where it is so already. */
export interface Booking {
	containerId: string;
	massG: number;
	openings: number;
	placeSeq: number | null;
}

/** What is booked of a pour so far, by tin. */
export interface Booked {
	massG: number;
	openings: number;
	firstSeq: number;
}

/** Less than this is a rounding, g. */
const NOTHING_G = 1e-6;

/**
 * Lines that are added so that a pour is booked with what it took: the first of a tin opens it, later ones amend that.
 * @param taken by tin, g
 * @param booked by tin, so far
 * @example
 * bookingsFor(new Map([['tin', 120]]), new Map([['tin', { massG: 114, openings: 1, firstSeq: 7 }]])); // [{ containerId: 'tin', massG: 6, openings: 0, placeSeq: 7 }]
 */
export function bookingsFor(
	taken: ReadonlyMap<string, number>,
	booked: ReadonlyMap<string, Booked>
): Booking[] {
	return [...new Set([...taken.keys(), ...booked.keys()])].flatMap((containerId) => {
		const wantG = taken.get(containerId) ?? 0;
		const was = booked.get(containerId);
		const massG = wantG - (was?.massG ?? 0);
		if (Math.abs(massG) <= NOTHING_G) return [];
		const openings = (wantG > NOTHING_G ? 1 : 0) - (was?.openings ?? 0);
		return [{ containerId, massG, openings, placeSeq: was?.firstSeq ?? null }];
	});
}
