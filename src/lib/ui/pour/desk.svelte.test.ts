import { flushSync } from 'svelte';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { DeviceCommand, DeviceReading } from '$lib/core/devices';
import type { PourPlan } from '$lib/core/plan';
import { lessonPlan } from '$lib/core/practice';
import { WORKSHOP_DEFAULTS } from '$lib/core/workshop';
import { Devices, type DeviceSource } from '../devices.svelte';
import { PourRun } from '../pourRun.svelte';
import { Desk, WHO_LONGEST } from './desk.svelte';
import { PracticeRun } from './practiceRun.svelte';
import { watchDevices } from './watch.svelte';

const plan: PourPlan = {
	...lessonPlan(WORKSHOP_DEFAULTS),
	moulds: [{ id: 'm', number: 1, label: 'Whelk', copies: 1 }],
	a: { massG: 100, volumeMl: 91 },
	b: { massG: 90, volumeMl: 91 },
	massG: 190,
	measuring: 'two-cups',
	scaleResolutionG: 1,
	tolerancePercent: 3,
	pot: { name: 'Pot', targetGaugeKpa: 275, ratedGaugeKpa: 400, bubbleDiameterRatio: 0.645 }
};

/** Devices that say what the test says, and remember what they are told. */
class Bench implements DeviceSource {
	told: DeviceCommand[] = [];
	#heard: ((readings: readonly DeviceReading[]) => void) | undefined;
	open(heard: (readings: readonly DeviceReading[]) => void) {
		this.#heard = heard;
		return () => (this.#heard = undefined);
	}
	send(command: DeviceCommand) {
		this.told.push(command);
	}
	says(reading: Omit<DeviceReading, 'atMs'>) {
		this.#heard?.([{ ...reading, atMs: Date.now() }]);
		flushSync();
	}
}

const kept = new Map<string, string>();
let stop = () => {};
let bench: Bench;
let devices: Devices;
let run: PourRun;
let desk: Desk;

function begin(more: Partial<PourPlan> = {}, on = true) {
	bench = new Bench();
	stop = $effect.root(() => {
		run = new PourRun('p', { ...plan, ...more }, { events: [], lastSeq: 0 }, () => 'metric');
		devices = new Devices(bench, () => Date.now());
		desk = new Desk(run, devices, () => 'metric');
	});
	if (on) {
		kept.set('devices', 'on');
		devices.start();
	}
	flushSync();
}
/** The large button, longer after the last press than a bounce. */
function press() {
	vi.advanceTimersByTime(400);
	desk.press();
	flushSync();
}
/** Pressed, asked, and pressed once more: a wait that is cut short. */
function pressTwice() {
	press();
	expect(desk.asks).toMatch(/Press once more/);
	press();
	expect(desk.asks).toBe('');
}
/** Steps done until the one with this id is at hand. */
function upTo(id: string) {
	for (let i = 0; i < 60 && run.current?.id !== id; i++) {
		run.record({ kind: 'step-done', stepId: run.current!.id });
		vi.advanceTimersByTime(1000);
	}
	flushSync();
	expect(run.current?.id).toBe(id);
}
const noted = (kind: string) => {
	const { events } = run as unknown as { events: readonly { kind: string }[] };
	return events.filter((e) => e.kind === kind) as unknown as Record<string, unknown>[];
};

beforeEach(() => {
	vi.useFakeTimers({ now: 1.79e12 });
	vi.stubGlobal('fetch', async () => Promise.reject(new TypeError('no network')));
	kept.clear();
	vi.stubGlobal('localStorage', {
		getItem: (k: string) => kept.get(k) ?? null,
		setItem: (k: string, v: string) => void kept.set(k, v)
	});
	vi.stubGlobal('window', new EventTarget());
});
afterEach(() => {
	stop();
	vi.useRealTimers();
	vi.unstubAllGlobals();
});

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
		bench.says({ device: 'air', value: 24.5, second: 51 });
		bench.says({ device: 'gun', value: 26 });
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
		bench.says({ device: 'air', value: 24.5, second: 51 });
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
		stop = () => (quiet(), before());
	}

	it('the cup every ten seconds, however many benches listen; another cup at once', () => {
		watched();
		upTo('combine');
		run.record({ kind: 'step-done', stepId: 'combine' });
		const gun = (tempC: number) => bench.says({ device: 'gun', value: tempC });
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
		bench.says({ device: 'air', value: 21, second: 44 });
		later(5);
		bench.says({ device: 'air', value: 21, second: 44 });
		expect(noted('device-lost').filter((e) => e.device === 'gauge').length).toBeGreaterThan(0);
		expect(noted('device-lost').length).toBeGreaterThan(lost);
	});
});

describe('the scale', () => {
	it('too much B at once becomes more A', () => {
		begin();
		upTo('measure-b');
		bench.says({ device: 'scale', value: 99 }); // a tenth too much
		press();
		expect(run.current!.id).toBe('measure-a');
		expect(desk.scale.targetG).toBeCloseTo(110, 9);
		expect(desk.scale.factor).toBeCloseTo(1.1, 9);
	});

	it('off the ratio the step does not end before it is mended', () => {
		begin({ measuring: 'one-cup' });
		upTo('measure-b');
		bench.says({ device: 'scale', value: 90 });
		press();
		press(); // combined: A runs into the same cup
		bench.says({ device: 'scale', value: 0 }); // the zero has come through
		bench.says({ device: 'scale', value: 110 }); // a tenth too much A
		press();
		// 110 g of A want 99 g of B: 9 g more
		expect(desk.scale.mend).toMatchObject({ part: 'B' });
		expect(desk.scale.mend!.addG).toBeCloseTo(9, 6);
		expect(desk.weighs).toBe(true);
		const at = run.state.current;
		bench.says({ device: 'scale', value: 2 });
		press();
		expect(desk.scale.said).toMatch(/pour on/);
		expect(run.state.current).toBe(at);
		bench.says({ device: 'scale', value: 9 });
		press();
		expect(desk.scale.mend).toBeUndefined();
		expect(run.state.weighedG).toMatchObject({ 'measure-b': 99, 'measure-a': 110 });
	});

	it('one addition follows another, and each is weighed from nothing', () => {
		begin({ measuring: 'one-cup' });
		upTo('measure-b');
		bench.says({ device: 'scale', value: 90 });
		press();
		press();
		bench.says({ device: 'scale', value: 0 });
		bench.says({ device: 'scale', value: 110 });
		press();
		const zeros = () => bench.told.filter((c) => c.kind === 'zero').length;
		const before = zeros();
		// 9 g of B are missing, 20 g run in: now A is missing, and what stands on the scale is not A
		bench.says({ device: 'scale', value: 0 });
		bench.says({ device: 'scale', value: 20 });
		press();
		expect(desk.scale.mend).toMatchObject({ part: 'A' });
		expect(zeros()).toBe(before + 1);
		bench.says({ device: 'scale', value: 20 });
		expect(desk.scale.netG).toBe(0);
		press();
		expect(run.state.weighedG).toMatchObject({ 'measure-b': 110, 'measure-a': 110 });
		bench.says({ device: 'scale', value: 0 });
		bench.says({ device: 'scale', value: desk.scale.targetG });
		press();
		expect(desk.scale.mend).toBeUndefined();
	});

	it('gone back to, a cup still holds what was weighed: more can be added, or it stays as it is', () => {
		begin();
		upTo('measure-b');
		bench.says({ device: 'scale', value: 0 });
		bench.says({ device: 'scale', value: 99 });
		press();
		bench.says({ device: 'scale', value: 0 });
		const zeros = bench.told.filter((c) => c.kind === 'zero').length;
		desk.back();
		flushSync();
		expect(run.current!.id).toBe('measure-b');
		expect(bench.told.filter((c) => c.kind === 'zero')).toHaveLength(zeros);
		expect(desk.scale.netG).toBe(99);
		bench.says({ device: 'scale', value: 4 });
		expect(desk.scale.netG).toBe(103);
		// emptied and begun anew
		desk.scale.zero();
		bench.says({ device: 'scale', value: 0 });
		expect(desk.scale.netG).toBe(0);
		stop();
		// by hand the field says what was typed
		begin({}, false);
		upTo('measure-b');
		desk.scale.typedG = 99;
		press();
		desk.back();
		flushSync();
		expect(desk.scale.typedG).toBe(99);
		desk.scale.typedG = 90;
		press();
		expect(run.state.weighedG['measure-b']).toBe(90);
		expect(desk.scale.typedG).toBeUndefined();
	});

	it('a step that another device ended is not zeroed here: that would wipe what is in the cup already', () => {
		begin();
		upTo('measure-b');
		bench.says({ device: 'scale', value: 90 });
		const zeros = () => bench.told.filter((c) => c.kind === 'zero').length;
		const before = zeros();
		run.record({ kind: 'temp-read', tempC: 22, source: 'typed' });
		flushSync();
		const { steps, state } = run;
		(run as unknown as { events: readonly unknown[] }).events = [
			...(run as unknown as { events: readonly unknown[] }).events,
			{ id: crypto.randomUUID(), atMs: Date.now(), kind: 'step-done', stepId: steps[state.current]!.id }
		];
		flushSync();
		expect(run.current!.id).toBe('measure-a');
		expect(zeros()).toBe(before);
	});

	it('by marks the cup has a mark, which moves with what the part before came out at', () => {
		begin({ measuring: 'marks', cupDiameterMm: 50 }, false);
		upTo('measure-b');
		const planned = 91_000 / (Math.PI * 25 ** 2);
		expect(desk.scale.markMm).toBeCloseTo(planned, 9);
		// B came out a tenth over: typed, since there is no scale
		desk.scale.typedG = 99;
		press();
		expect(run.current?.id).toBe('measure-a');
		expect(desk.scale.markMm).toBeCloseTo(planned * 1.1, 9);
		expect(desk.scale.targetG).toBeCloseTo(110, 9);
	});

	it('by scale there is no mark to look for', () => {
		begin({ measuring: 'two-cups' }, false);
		upTo('measure-b');
		expect(desk.scale.markMm).toBeUndefined();
		expect(desk.scale.targetG).toBeCloseTo(90, 9);
	});

	it('while the ratio is mended only what is missing counts, and no mark', () => {
		begin({ measuring: 'marks', cupDiameterMm: 50 }, false);
		upTo('measure-b');
		desk.scale.typedG = 90;
		press();
		desk.scale.typedG = 120;
		press();
		expect(run.current?.id).toBe('combine');
		expect(desk.scale.mend?.part).toBe('B');
		expect(desk.scale.markMm).toBeUndefined();
		expect(desk.scale.targetG).toBeCloseTo(desk.scale.mend!.addG, 9);
	});

	it('a cup is weighed from nothing, also while the scale still shows the last one', () => {
		begin();
		upTo('measure-b');
		bench.says({ device: 'scale', value: 90 });
		press();
		expect(bench.told.some((c) => c.kind === 'zero')).toBe(true);
		bench.says({ device: 'scale', value: 90 });
		expect(desk.scale.netG).toBe(0);
		// a slow network: nothing can be poured into a cup that still shows the last one
		vi.advanceTimersByTime(4000);
		bench.says({ device: 'scale', value: 90 });
		expect([desk.scale.zeroing, desk.scale.netG, desk.scale.now!.state]).toEqual([true, 0, 'empty']);
		desk.scale.stream(true);
		expect(bench.told.some((c) => c.kind === 'stream')).toBe(false);
		// it came through: what is poured from here counts, also when it is as much as before
		bench.says({ device: 'scale', value: 0 });
		expect([desk.scale.zeroing, desk.scale.netG]).toEqual([false, 0]);
		bench.says({ device: 'scale', value: 90 });
		expect([desk.scale.zeroing, desk.scale.netG]).toEqual([false, 90]);
	});

	it('a zero that never comes through is not waited for without end, and none is for a scale that shows nothing', () => {
		begin();
		upTo('measure-b');
		bench.says({ device: 'scale', value: 90 });
		desk.scale.zero();
		vi.advanceTimersByTime(10_000);
		bench.says({ device: 'scale', value: 90 });
		expect([desk.scale.zeroing, desk.scale.netG]).toEqual([false, 90]);
		bench.says({ device: 'scale', value: 1 });
		desk.scale.zero();
		bench.says({ device: 'scale', value: 12 });
		expect([desk.scale.zeroing, desk.scale.netG]).toEqual([false, 12]);
	});

	it('a stream runs while it is held, a trickle an eighth of it, and none without a scale', () => {
		begin();
		desk.scale.stream(true);
		expect(bench.told).toEqual([]);
		upTo('measure-b');
		bench.says({ device: 'scale', value: 0 });
		for (const [on, slow] of [
			[true, false],
			[true, false],
			[false, false],
			[true, true],
			[false, true]
		] as const)
			desk.scale.stream(on, slow);
		const flows = bench.told.filter((c) => c.kind === 'stream').map((c) => c.gPerS);
		expect(flows).toEqual([90 / 8, 0, 90 / 64, 0]);
	});

	it('a scale that is lost ends no step by itself: the amount is typed, or stood for by a second press', () => {
		const lose = () => {
			bench.says({ device: 'scale', value: 0, settled: true });
			vi.advanceTimersByTime(10_000);
			flushSync();
		};
		begin();
		upTo('measure-b');
		lose();
		press();
		expect(run.current!.id).toBe('measure-b');
		expect(desk.scale.said).toMatch(/90\sg/);
		desk.scale.typedG = 93;
		press();
		expect(noted('weighed')[0]).toMatchObject({ stepId: 'measure-b', massG: 93 });
		expect(noted('weighed')[0]).not.toHaveProperty('by');
		// the next cup is asked about again
		upTo('measure-a');
		lose();
		press();
		expect(run.current!.id).toBe('measure-a');
		press();
		expect(run.current!.id).not.toBe('measure-a');
		expect(noted('weighed')).toHaveLength(1);
		stop();
		// a cup with a mark needs no scale
		begin({ measuring: 'marks', markBMm: 40 });
		upTo('measure-b');
		lose();
		press();
		expect(run.current!.id).not.toBe('measure-b');
	});

	it('by hand: nothing typed ends the step as planned, nonsense does not', () => {
		begin({}, false);
		upTo('measure-b');
		desk.scale.typedG = -4;
		press();
		expect(desk.scale.said).toBe('A cup cannot hold less than nothing.');
		desk.scale.typedG = 90.4;
		press();
		expect(run.state.weighedG['measure-b']).toBe(90.4);
		press();
		expect(run.state.weighedG['measure-a']).toBeUndefined();
		expect(run.state.doneAtMs['measure-a']).toBeDefined();
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
		stop = $effect.root(() => {
			practice = new PracticeRun(lessonPlan(WORKSHOP_DEFAULTS), slips, 7, () => 'metric');
		});
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
