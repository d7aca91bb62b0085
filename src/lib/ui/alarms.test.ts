import { describe, expect, it } from 'vitest';
import type { Clock } from '$lib/core/bench';
import { Alarms } from './alarms';

const T0 = 1.79e12;
const clock = (id: string, endsAtMs: number, kind: Clock['kind'] = 'hold'): Clock => ({
	id,
	kind,
	label: 'Whelk · M1',
	startedAtMs: T0 - 60_000,
	endsAtMs,
	then: 'release the pressure',
	href: '/pour/p'
});

/** Looks four times a second from one moment to another, and says what was told when. */
function watch(clocksAt: (nowMs: number) => readonly Clock[], fromMs: number, untilMs: number) {
	const told: [string, number][] = [];
	let nowMs = fromMs;
	const alarms = new Alarms((c) => told.push([c.id, nowMs]));
	for (; nowMs <= untilMs; nowMs += 250) alarms.look(clocksAt(nowMs), nowMs);
	return told;
}

describe('the end of a clock', () => {
	it('hold and cure are each told once, when they come', () => {
		const both = [clock('hold', T0 + 1000), clock('cure', T0 + 5000)];
		expect(watch(() => both, T0, T0 + 20_000)).toEqual([
			['hold', T0 + 1000],
			['cure', T0 + 5000]
		]);
	});
	it('what ended before the page was opened is no news; what ended during a reload is', () => {
		expect(watch(() => [clock('old', T0 - 60_000)], T0, T0 + 5000)).toEqual([]);
		expect(watch(() => [clock('just', T0 - 3000)], T0, T0 + 5000)).toEqual([['just', T0]]);
	});
	it('a reading that puts the end off has it told again, one that brings it forward once', () => {
		const moved = (nowMs: number) => [clock('hold', nowMs < T0 + 2000 ? T0 + 1000 : T0 + 4000)];
		expect(watch(moved, T0, T0 + 9000).map(([, at]) => at)).toEqual([T0 + 1000, T0 + 4000]);
		const sooner = (nowMs: number) => [clock('hold', nowMs < T0 + 2000 ? T0 + 9000 : T0 + 1500)];
		expect(watch(sooner, T0, T0 + 12_000).map(([, at]) => at)).toEqual([T0 + 2000]);
	});
	it('several at once are told one at a time, what is lost first in front', () => {
		const all = [
			clock('rubber', T0 + 1000, 'rubber'),
			clock('hold', T0 + 1000),
			clock('pot-life', T0 + 1000, 'pot-life'),
			clock('locks', T0 + 1000, 'wait')
		];
		expect(watch(() => all, T0, T0 + 20_000)).toEqual([
			['pot-life', T0 + 1000],
			['locks', T0 + 3000],
			['hold', T0 + 5000],
			['rubber', T0 + 7000]
		]);
	});
	it('what is done while it waits its turn is told no more', () => {
		const both = [clock('pot-life', T0 + 1000, 'pot-life'), clock('hold', T0 + 1000)];
		expect(watch((now) => (now < T0 + 2000 ? both : both.slice(0, 1)), T0, T0 + 9000)).toEqual([
			['pot-life', T0 + 1000]
		]);
	});
	it('a clock that is gone, because somebody did what it asked, is not told', () => {
		expect(watch((now) => (now < T0 + 800 ? [clock('hold', T0 + 1000)] : []), T0, T0 + 5000)).toEqual([]);
	});
});
