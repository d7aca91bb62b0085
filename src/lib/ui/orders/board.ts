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
