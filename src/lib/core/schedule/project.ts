/** A time from which until which something works, whole s. */
export interface Opening {
	fromS: number;
	untilS: number;
}

/** Something of which there is so much at a time: a mould, a pot, pairs of hands. */
export interface Resource {
	name: string;
	capacity: number;
	/** When it works; all the time when left out. */
	calendar?: readonly Opening[] | undefined;
}

/** That an activity comes so long after another. */
export interface After {
	id: string;
	/** Counted from the other's end, unless it is said to be its start. */
	from?: 'end' | 'start' | undefined;
	/** 0 when left out; may be negative, s. */
	leastS?: number | undefined;
	/** No bound when left out, s. */
	mostS?: number | undefined;
}

/** Something that takes time and hands, without a break. */
export interface Activity {
	id: string;
	durationS: number;
	needs: readonly { resource: string; amount: number }[];
	after?: readonly After[] | undefined;
	notBeforeS?: number | undefined;
	/** It has begun or is pinned: it starts then and at no other time. */
	pinnedS?: number | undefined;
	/** It takes what it takes, but nobody waits for its end: somebody who is away. */
	background?: true | undefined;
	dueS?: number | undefined;
	/** How much a second of lateness counts; 1 when left out. */
	weight?: number | undefined;
}

/** What is to be scheduled: all times in whole seconds from one moment on. */
export interface Project {
	resources: readonly Resource[];
	activities: readonly Activity[];
}

/** Start of each activity by its id, whole s. */
export type Starts = Readonly<Record<string, number>>;
