import { describe, expect, it } from 'vitest';
import type { Planned } from '$lib/core/orders';
import { daysOf, hoursBetween, isWithin, midnights, rowsOf } from './board';

/** A clock time of this device on a day of December 2026, ms since 1970. */
const at = (day: number, hour: number, minute = 0) => new Date(2026, 11, day, hour, minute).getTime();
const does = (
	id: string,
	part: Planned['part'],
	startMs: number,
	endMs: number,
	more: Partial<Planned> = {}
) =>
	({ id, part, startMs, endMs, hands: part === 'cure' ? 0 : 1, moulds: ['M3'], ...more }) satisfies Planned;
const work = [
	does('a/1/prep', 'prep', at(1, 9, 10), at(1, 9, 15)),
	does('a/1/cast', 'cast', at(1, 9, 15), at(1, 9, 21)),
	does('a/1/cure', 'cure', at(1, 9, 21), at(1, 10, 30)),
	does('b/1/cast', 'cast', at(1, 9, 20), at(1, 9, 30), { moulds: ['M4'] }),
	does('c/1/cure', 'cure', at(3, 22), at(4, 6))
];

describe('rows of the board', () => {
	it('are hands, and each mould and pot that something goes on in; what overlaps lies on lines of its own', () => {
		const rows = rowsOf(
			work,
			[
				{ number: 3, label: 'Shell' },
				{ number: 9, label: 'Idle' }
			],
			[]
		);
		expect(rows.map((r) => [r.name, r.bars.length, r.lanes])).toEqual([
			['Hands', 3, 2],
			['M3 Shell', 4, 1]
		]);
		expect(rows[0]!.bars.map((b) => [b.activity.id, b.lane])).toEqual([
			['a/1/prep', 0],
			['a/1/cast', 0],
			['b/1/cast', 1]
		]);
	});
});

describe('what is drawn of it', () => {
	it('is what goes on within a stretch, also what began before or ends after it', () => {
		const inHour = work.filter(isWithin({ fromMs: at(1, 9, 20), untilMs: at(1, 10) }));
		expect(inHour.map((a) => a.id)).toEqual(['a/1/cast', 'a/1/cure', 'b/1/cast']);
		expect(work.filter(isWithin({ fromMs: at(4, 0), untilMs: at(4, 1) })).map((a) => a.id)).toEqual([
			'c/1/cure'
		]);
		expect(work.filter(isWithin({ fromMs: at(2, 0), untilMs: at(3, 0) }))).toEqual([]);
	});

	it('is on paper each day on which something begins, by whole hours, and no further than its midnight', () => {
		const board = { fromMs: at(1, 9), untilMs: at(5, 9) };
		expect(daysOf(board, work)).toEqual([
			{ fromMs: at(1, 9), untilMs: at(1, 11) },
			{ fromMs: at(3, 22), untilMs: at(4, 0) }
		]);
		expect(daysOf(board, [])).toEqual([]);
	});

	it('has its midnights and hours', () => {
		expect(midnights(at(1, 9), at(3, 9))).toEqual([at(2, 0), at(3, 0)]);
		expect(hoursBetween(at(1, 20, 30), at(2, 5), 2)).toEqual([at(1, 22), at(2, 2), at(2, 4)]);
	});
});
