import type { Planned } from '$lib/core/orders';

/** A bar on the board: an activity, and on which of the lines of its row it lies. */
export interface Bar {
	activity: Planned;
	lane: number;
}

/** A row of the board: hands, a mould, a pot. */
export interface Row {
	key: string;
	name: string;
	bars: Bar[];
	lanes: number;
}

/** A stretch of time, ms since 1970. */
export interface Stretch {
	fromMs: number;
	untilMs: number;
}

/** Zooms of the board, from an hour to a month: how wide an hour is, px. */
export const ZOOMS = { hour: 480, day: 56, week: 14, month: 4 } as const;
export type Zoom = keyof typeof ZOOMS;

/**
 * Activities by rows, each on the first line of its row that is free.
 * @example
 * rowsOf([], [], [])[0]!.name // 'Hands'
 */
export function rowsOf(
	activities: readonly Planned[],
	moulds: readonly { number: number; label: string }[],
	pots: readonly { id: string; name: string }[]
): Row[] {
	const drawn = activities.filter((a) => a.endMs > a.startMs);
	const successors = [...new Set(drawn.flatMap((a) => a.moulds ?? []))].filter((m) => m.includes(' '));
	const inMould = (name: string) =>
		drawn.filter((a) => a.part !== 'hold' && a.part !== 'finish' && a.moulds?.includes(name));
	const rows = [
		row(
			'hands',
			'Hands',
			drawn.filter((a) => a.hands > 0)
		),
		...moulds.map((m) => row(`M${m.number}`, `M${m.number} ${m.label}`, inMould(`M${m.number}`))),
		...successors.map((m) => row(m, m, inMould(m))),
		...pots.map((p) =>
			row(
				`pot ${p.id}`,
				p.name,
				drawn.filter((a) => a.part === 'hold' && a.potId === p.id)
			)
		)
	];
	return rows.filter((r) => r.key === 'hands' || r.bars.length > 0);
}

function row(key: string, name: string, activities: readonly Planned[]): Row {
	const ends: number[] = [];
	const bars = activities.map((activity) => {
		const free = ends.findIndex((end) => end <= activity.startMs);
		const lane = free < 0 ? ends.length : free;
		ends[lane] = activity.endMs;
		return { activity, lane };
	});
	return { key, name, bars, lanes: Math.max(1, ends.length) };
}

/** Midnights between two moments, by the clock of this device. */
export function midnights(fromMs: number, untilMs: number): number[] {
	const out: number[] = [];
	const day = new Date(fromMs);
	day.setHours(24, 0, 0, 0);
	for (; day.getTime() < untilMs; day.setDate(day.getDate() + 1)) out.push(day.getTime());
	return out;
}

/** Whole hours between two moments, every so many. */
export function hoursBetween(fromMs: number, untilMs: number, every: number): number[] {
	const out: number[] = [];
	const hour = new Date(fromMs);
	hour.setMinutes(60, 0, 0);
	for (; hour.getTime() < untilMs; hour.setHours(hour.getHours() + 1))
		if (hour.getHours() % every === 0 && hour.getHours() !== 0) out.push(hour.getTime());
	return out;
}

/**
 * Whether some of what goes on lies within a stretch.
 * @example
 * isWithin({ fromMs: 10, untilMs: 20 })({ startMs: 5, endMs: 11 }) // true
 */
export const isWithin = (stretch: Stretch) => (a: { startMs: number; endMs: number }) =>
	a.endMs > stretch.fromMs && a.startMs < stretch.untilMs;

const HOUR_MS = 3_600_000;

/**
 * The days of a board on which something begins, each from the hour of the first, or where the board begins, to the hour after the last of it, or to
 * midnight: what paper shows of each day.
 * @example
 * daysOf({ fromMs: 0, untilMs: 86_400_000 }, []) // []
 */
export function daysOf(board: Stretch, activities: readonly { startMs: number; endMs: number }[]): Stretch[] {
	const edges = [board.fromMs, ...midnights(board.fromMs, board.untilMs), board.untilMs];
	return edges.slice(1).flatMap((end, i) => {
		const begun = activities.filter((a) => a.startMs >= edges[i]! && a.startMs < end);
		if (begun.length === 0) return [];
		const first = Math.min(...begun.map((a) => a.startMs));
		const last = Math.max(...begun.map((a) => a.endMs));
		return [
			{
				fromMs: Math.max(board.fromMs, Math.floor(first / HOUR_MS) * HOUR_MS),
				untilMs: Math.min(end, Math.ceil(last / HOUR_MS) * HOUR_MS)
			}
		];
	});
}
