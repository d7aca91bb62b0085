import type { DeviceReading } from '$lib/core/devices';
import type { PourPlan } from '$lib/core/plan';
import { lessonPlan } from '$lib/core/practice';
import { WORKSHOP_DEFAULTS } from '$lib/core/workshop';
import { flushSync } from 'svelte';
import { describe, expect, it, vi } from 'vitest';
import { WHO_LONGEST } from './desk.svelte';
import { PracticeRun } from './practiceRun.svelte';
import { watchDevices } from './watch.svelte';
import {
	begin,
	bench,
	desk,
	devices,
	noted,
	plan,
	press,
	pressTwice,
	run,
	stop,
	stopBy,
	upTo
} from './deskTesting.svelte';

describe('the one press', () => {
	it('a bounce of the key is not a second step; a press that ended nothing costs no wait', () => {
		begin();
		const first = run.current!.id;
		vi.advanceTimersByTime(400);
		desk.press();
		desk.press();
		vi.advanceTimersByTime(100);
		desk.press();
		expect(run.state.doneAtMs[first]).toBeDefined();
		expect(run.state.current).toBe(1);
		upTo('measure-b');
		bench.says({ device: 'scale', value: 3 });
		vi.advanceTimersByTime(400);
		desk.press(); // not enough in the cup: said, and nothing done
		expect(desk.scale.said).toMatch(/shows 3.g of 90.g/);
		bench.says({ device: 'scale', value: 90 });
		desk.press();
		expect(run.current!.id).not.toBe('measure-b');
	});

	it('back takes the last press back, and nothing else', () => {
		begin();
		press();
		press();
		expect(run.state.current).toBe(2);
		desk.back();
		expect(run.state.current).toBe(1);
		desk.back();
		desk.back();
		expect(run.state.current).toBe(0);
	});
});

describe('air, pot and who let it out', () => {
	it('what the devices say stands in the fields and is kept as theirs', () => {
		begin();
		upTo('air');
		bench.says({ device: 'hygrometer', value: 24.5, second: 51 });
		bench.says({ device: 'infraredThermometer', value: 26 });
		press();
		expect(noted('air-read')[0]).toMatchObject({
			roomTempC: 24.5,
			relativeHumidity: 51,
			mouldTempC: 26,
			source: 'device'
		});
		expect(run.state.air).toEqual({ roomTempC: 24.5, relativeHumidity: 51, mouldTempC: 26 });
	});

	it('a device that went silent is not believed: what stands there is typed', () => {
		begin();
		upTo('air');
		bench.says({ device: 'hygrometer', value: 24.5, second: 51 });
		vi.advanceTimersByTime(10_000);
		desk.air.roomTempC = 22;
		press();
		expect(noted('air-read')[0]).toMatchObject({ roomTempC: 22, relativeHumidity: 51 });
		expect(noted('air-read')[0]).toMatchObject({ source: 'typed' });
	});

	it('figures that nobody touched are not kept as read, unless somebody says that they are', () => {
		begin({}, false);
		upTo('air');
		expect(desk.airRead).toBe(false);
		press();
		expect(noted('air-read')).toEqual([]);
		expect(run.current!.id).not.toBe('air');
		upTo('timed-3');
		press();
		upTo('release');
		pressTwice();
		expect(noted('pressure-read').map((e) => e['gaugeKpa'])).toEqual([undefined, undefined]);
		// the cycle took place all the same
		expect(run.state.reached?.atMs).toBeGreaterThan(0);
		expect(run.state.reached).not.toHaveProperty('gaugeKpa');
		stop();
		begin({}, false);
		upTo('air');
		desk.confirmed.air = true;
		press();
		expect(noted('air-read')[0]).toMatchObject({ roomTempC: plan.roomTempC, source: 'typed' });
		upTo('timed-3');
		desk.confirmed.gauge = 'timed-3';
		press();
		expect(run.state.reached).toMatchObject({ gaugeKpa: 275 });
	});

	it('a release is noted with its gauge and its name, which stands there the next time', () => {
		begin({}, false);
		upTo('release');
		desk.gaugeKpa = 262;
		desk.who = 'x'.repeat(WHO_LONGEST + 1);
		pressTwice();
		expect(run.current!.id).toBe('release');
		desk.who = '  Mara ';
		pressTwice();
		expect(run.state.released).toMatchObject({ gaugeKpa: 262, who: 'Mara' });
		stop();
		begin({}, false);
		expect(desk.who).toBe('Mara');
	});

	it('a browser that refuses to keep the name still notes the release', () => {
		const refuses = () => {
			throw new DOMException('denied', 'SecurityError');
		};
		vi.stubGlobal('localStorage', { getItem: refuses, setItem: refuses });
		begin({}, false);
		upTo('release');
		desk.who = 'Mara';
		pressTwice();
		expect(run.state.released).toMatchObject({ who: 'Mara' });
	});

	it('a gauge that is live is noted; only a simulated pot is worked from the screen', () => {
		begin();
		upTo('timed-3');
		bench.says({ device: 'gauge', value: 276 });
		press();
		expect(run.state.reached).toMatchObject({ gaugeKpa: 276 });
		bench.says({ device: 'gauge', value: 268 });
		pressTwice();
		expect(run.state.released).toMatchObject({ gaugeKpa: 268 });
		expect(run.state.released).not.toHaveProperty('who');
		expect(bench.told.filter((c) => c.kind === 'pot')).toEqual([]);
		stop();
		begin();
		devices.simulated = true;
		upTo('timed-3');
		bench.says({ device: 'gauge', value: 276 });
		press();
		bench.says({ device: 'gauge', value: 268 });
		pressTwice();
		expect(bench.told.filter((c) => c.kind === 'pot').map((c) => c.to)).toEqual(['hold', 'release']);
		// and what it said is nobody's reading in a real pour
		expect(noted('pressure-read').map((e) => e['source'])).toEqual(['simulated', 'simulated']);
		expect(run.state.reached).not.toHaveProperty('gaugeKpa');
	});
});

describe('a wait that is cut short', () => {
	it('is asked about once, at the step itself; one that is over is not', () => {
		begin({}, false);
		upTo('release');
		press();
		expect(run.current!.id).toBe('release');
		expect(desk.asks).toMatch(/^Only .* of .* have passed/);
		vi.advanceTimersByTime(plan.holdUntilS * 1000);
		press();
		expect(run.current!.id).toBe('demould');
		// the question belonged to the hold
		press();
		expect(run.current!.id).toBe('demould');
		vi.advanceTimersByTime(plan.demouldS * 1000);
		press();
		expect(run.current!.id).toBe('inspect');
	});
});

describe('what is noted by itself', () => {
	/** What another bench of the same pour noted arrives here. */
	const arrives = (e: object) => {
		const known = run as unknown as { events: readonly object[] };
		known.events = [...known.events, { id: crypto.randomUUID(), atMs: Date.now(), ...e }];
		flushSync();
	};
	const later = (s: number) => vi.advanceTimersByTime(s * 1000);
	function watched(more: Partial<PourPlan> = {}) {
		begin(more);
		const quiet = $effect.root(() =>
			watchDevices(
				run,
				devices,
				() => true,
				() => desk.cup
			)
		);
		const before = stop;
		stopBy(() => (quiet(), before()));
	}

	it('the cup every ten seconds, however many benches listen; another cup at once', () => {
		watched();
		upTo('combine');
		run.record({ kind: 'step-done', stepId: 'combine' });
		const gun = (tempC: number) => bench.says({ device: 'infraredThermometer', value: tempC });
		gun(24);
		later(4);
		gun(25);
		expect(noted('temp-read').map((e) => e.tempC)).toEqual([24]);
		later(7);
		gun(26);
		expect(noted('temp-read').map((e) => e.tempC)).toEqual([24, 26]);
		later(7);
		arrives({ kind: 'temp-read', tempC: 27, source: 'device' });
		later(4);
		gun(28);
		expect(noted('temp-read').map((e) => e.tempC)).toEqual([24, 26, 27]);
		desk.cup = 1;
		later(0.5);
		gun(23);
		expect(noted('temp-read').at(-1)).toMatchObject({ tempC: 23, cup: 1, source: 'device' });
		later(3);
		gun(24);
		expect(noted('temp-read')).toHaveLength(4);
	});

	it('the hold once, and again when it falls; a device that is lost once each time', () => {
		watched();
		upTo('release');
		const gauge = (kpa: number) => bench.says({ device: 'gauge', value: kpa });
		for (const kpa of [275, 274, 273]) {
			gauge(kpa);
			later(2);
		}
		expect(noted('pressure-read').map((e) => e.gaugeKpa)).toEqual([275]);
		later(20);
		gauge(268);
		expect(noted('pressure-read').map((e) => e.gaugeKpa)).toEqual([275, 268]);
		const lost = noted('device-lost').length;
		later(5);
		bench.says({ device: 'hygrometer', value: 21, second: 44 });
		later(5);
		bench.says({ device: 'hygrometer', value: 21, second: 44 });
		expect(noted('device-lost').filter((e) => e.device === 'gauge').length).toBeGreaterThan(0);
		expect(noted('device-lost').length).toBeGreaterThan(lost);
	});
});

describe('the end', () => {
	it('waits for a grade; a good cast has no faults and keeps no place of one', () => {
		begin({}, false);
		upTo('inspect');
		press();
		expect(desk.wanting).toBe(true);
		expect(run.state.status).toBe('open');
		Object.assign(desk.grades[0]!, { grade: 'needs-work', faults: ['flash'], note: 'a thin edge' });
		desk.grades[0]!.findings = { places: { flash: 'seam', foam: 'foot' } as never, castMassG: 181 };
		press();
		expect(run.state.status).toBe('finished');
		expect(run.state.grades['m']).toEqual({
			grade: 'needs-work',
			faults: ['flash'],
			note: 'a thin edge',
			findings: { castMassG: 181, places: { flash: 'seam' } }
		});
		press();
		expect(noted('finished')).toHaveLength(1);
	});

	it('a note that is too long ends nothing and is not lost', () => {
		begin({}, false);
		upTo('inspect');
		Object.assign(desk.grades[0]!, { grade: 'good', faults: ['flash'], note: 'x'.repeat(2001) });
		press();
		expect(run.state.status).toBe('open');
		expect(desk.grades[0]!.note).toHaveLength(2001);
		desk.grades[0]!.note = 'fine';
		press();
		expect(run.state.grades['m']).toMatchObject({ grade: 'good', faults: [] });
	});
});

describe('practice', () => {
	function practise(slips: ConstructorParameters<typeof PracticeRun>[1]): PracticeRun {
		let practice: PracticeRun;
		stopBy(
			$effect.root(() => {
				practice = new PracticeRun(lessonPlan(WORKSHOP_DEFAULTS), slips, 7, 'metric');
			})
		);
		flushSync();
		return practice!;
	}
	const through = (practice: PracticeRun, id: string) => {
		for (let i = 0; i < 60 && practice.current?.id !== id; i++) {
			practice.record({ kind: 'step-done', stepId: practice.current!.id });
			flushSync();
			practice.forward(2);
		}
		expect(practice.current?.id).toBe(id);
	};

	it('sends nothing and keeps nothing; its clock is put forward, never back', () => {
		const fetching = vi.fn();
		vi.stubGlobal('fetch', fetching);
		const practice = practise([]);
		const before = practice.nowMs();
		practice.forward(90);
		practice.forward(-500);
		expect(practice.nowMs() - before).toBe(90_000);
		practice.record({ kind: 'step-done', stepId: practice.current!.id });
		vi.advanceTimersByTime(10_000);
		expect(fetching).not.toHaveBeenCalled();
		expect(practice.unsent).toBe(0);
	});

	it('a call to the door takes its seconds at the mixing, once, and is said until the next step', () => {
		const practice = practise(['late start']);
		const mixing = practice.steps.find((s) => s.role === 'mix')!.id;
		through(practice, mixing);
		expect(practice.happened).toMatch(/seconds are gone/);
		const at = practice.nowMs();
		flushSync();
		expect(practice.nowMs()).toBe(at);
		practice.record({ kind: 'step-done', stepId: mixing });
		flushSync();
		expect(practice.happened).toBe('');
	});

	it('the simulated scale fills while it is poured at, and falls silent when it is to', () => {
		const read = (practice: PracticeRun) => {
			let last: readonly DeviceReading[] = [];
			const close = practice.source.open((readings) => (last = readings));
			return {
				of: (device: string) => last.find((r) => r.device === device),
				close
			};
		};
		const practice = practise([]);
		const bench = read(practice);
		const atMs = practice.nowMs();
		practice.source.send({ kind: 'stream', on: true, gPerS: 10, id: 'a', atMs });
		vi.advanceTimersByTime(4000);
		expect(bench.of('scale')!.value).toBeGreaterThan(20);
		bench.close();
		stop();
		const dead = practise(['dead scale']);
		through(dead, dead.steps.find((s) => s.part === 'A')!.id);
		const silent = read(dead);
		vi.advanceTimersByTime(6000);
		const said = silent.of('scale');
		expect(said === undefined || dead.nowMs() - said.atMs > 3000).toBe(true);
		silent.close();
	});

	it('is scored: all planned in time is better than the same an hour late', () => {
		const scoreOf = (aheadS: number) => {
			const practice = practise([]);
			for (const step of practice.steps) {
				if (step.role === 'pour') practice.forward(aheadS);
				practice.record({ kind: 'step-done', stepId: step.id });
				practice.forward(1);
			}
			const { points } = practice.score();
			stop();
			return points;
		};
		expect(scoreOf(0)).toBeGreaterThan(scoreOf(3600) + 20);
	});
});
