import type { Load, VesselRecord } from '../pressurePot';
import type { WorkshopHours } from './hours';
import type { CastsSeen } from './mending';

/** Pulls that go into a pot with one closing, by their ids in the order in which their cups are poured. */
export type PotLoad = readonly string[];

/** What is left of a part of a material, in all its tins. */
export interface Stock {
	id: string;
	name: string;
	leftG: number;
	/** Of it in tins with a use-by day, to the end of which each is good, g. */
	dated?: readonly { untilMs: number; leftG: number }[] | undefined;
}

/** Something that work takes from the shelf, g. What stands in no tin of the books has a `stockId` that no stock has. */
export interface Take {
	stockId: string;
	name: string;
	massG: number;
}

/** One batch of a kept shot, as the schedule sees it: hands, mould and pot, s. */
export interface PullRecipe {
	/** Which batch of the shot. */
	batch: number;
	copies: number;
	mouldIds: readonly string[];
	/** The pot that it is held in, and how long. */
	potId: string | null;
	holdS: number;
	/** Of one that goes in a pot from a single cup; nothing of layers and of colours poured together. */
	pot?:
		| {
				gaugeKpa: number;
				/** From combining until it is in its mould, s. */
				pouredS: number;
				/** From then until it is at pressure, s. */
				pressedS: number;
				/** Hands for that and for letting the air in, s: once for all that go in together. */
				closeS: number;
				/** It is at pressure so long after it was combined, or it is too thick, s. */
				liquidS: number;
		  }
		| undefined;
	/** Looked over, coated, closed: hands. */
	prepS: number;
	/** The coat flashes off before it is poured. */
	flashS: number;
	/**
	 * Hands without a break: the cast, or each layer of a hollow one. Those after the first begin so long after the one before
	 * began, at least and at most.
	 */
	blocks: readonly { durationS: number; leastS: number; mostS: number }[];
	/** From the end of the last block until it may come out, by day and in the cold of the night. */
	cureS: { day: number; night: number };
	/** It comes out while it still gives: at most so long after it may. */
	flexibleS: number | null;
	/** Taking it out and judging it: hands. */
	demouldS: number;
	/** What is mixed for it. */
	takes: readonly Take[];
	/** Coats that its moulds get before it, less than one each where a coat bears several pulls. */
	coats?: { name: string; moulds: number } | undefined;
	/** 80 % of cures lie between these shares of the forecast. */
	cureBand: { low: number; high: number };
}

/** A pull that is at the bench, or out of its mould and still hardening or to be finished. */
export interface BegunPull {
	/** Which pull of its line. */
	number: number;
	/** Copies of it that are to be finished. */
	copies: number;
	moulds: readonly string[];
	castAtMs: number;
	/** When it is out of its mould, at the soonest. */
	outAtMs: number;
}

/** A line of an open order with all that the schedule must know of it. */
export interface LineToPlan {
	id: string;
	shotId: string;
	shotNumber: number;
	pieceName: string;
	resinName: string;
	copies: number;
	/** Good ones of it in the ledger, and copies that are being cast now. */
	good: number;
	casting: number;
	/** Casts of this line so far, good or not, with those at the bench: numbers of pulls go on from there. */
	pulls: number;
	/** Pulls that were begun and are not ready yet. */
	begun?: readonly BegunPull[] | undefined;
	/** Finishing and mending of each good one; 0: neither is planned. */
	finishS: number;
	hardenS: number;
	/** This piece in this resin so far. */
	seen: CastsSeen;
	recipes: readonly PullRecipe[];
	/** Why it cannot be cast at all. */
	refused: string | null;
}

export interface OrderToPlan {
	id: string;
	number: number;
	name: string;
	dueAtMs: number;
	priority: number;
	lines: readonly LineToPlan[];
}

export interface MouldToPlan {
	id: string;
	number: number;
	label: string;
	/** It is in a pour, or being made, until then. */
	freeAtMs: number;
	/** Why it is poured no more. */
	refused: string | null;
	/** Pulls left, four times in five between these; nothing where nobody looked at it. */
	left: { low: number; median: number; high: number } | null;
	/** How it stands in a pot; nothing where its sizes are not known. */
	body?: Load | undefined;
	/** How long hands make another one, and how long it cures; nothing where it is not known. */
	successor: { makeS: number; cureS: number; takes?: readonly Take[] } | null;
}

/** Everything that the schedule of a workshop rests on. */
export interface Workshop {
	nowMs: number;
	hours: WorkshopHours;
	orders: readonly OrderToPlan[];
	moulds: readonly MouldToPlan[];
	pots: readonly {
		id: string;
		name: string;
		freeAtMs: number;
		refused: string | null;
		/** Its shelves and its width, where more than one pull may go in. */
		vessel?: VesselRecord | undefined;
	}[];
	/** What is left of each part; what is not in the books is not counted. */
	stock: readonly Stock[];
	/** Activities that somebody has put to a time. */
	pins: Readonly<Record<string, number>>;
}
