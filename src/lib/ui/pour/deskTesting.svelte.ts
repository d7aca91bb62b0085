import type { DeviceCommand, DeviceReading } from '$lib/core/devices';
import type { PourPlan } from '$lib/core/plan';
import { withSteps } from '$lib/core/bench';
import { lessonPlan } from '$lib/core/practice';
import { WORKSHOP_DEFAULTS } from '$lib/core/workshop';
import { flushSync } from 'svelte';
import { afterEach, beforeEach, expect, vi } from 'vitest';
import { Devices, type DeviceSource } from '../devices.svelte';
import { PourRun } from '../pourRun.svelte';
import { Desk } from './desk.svelte';

export const plan: PourPlan = {
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
export class Bench implements DeviceSource {
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

// eslint-disable-next-line svelte/prefer-svelte-reactivity -- no page shows it
export const kept = new Map<string, string>();
export let stop = () => {};
/** What ends the bench from here on. */
export const stopBy = (end: () => void) => void (stop = end);
export let bench: Bench;
export let devices: Devices;
export let run: PourRun;
export let desk: Desk;

export function begin(more: Partial<PourPlan> = {}, on = true) {
	bench = new Bench();
	stop = $effect.root(() => {
		run = new PourRun('p', withSteps({ ...plan, ...more }), { events: [], lastSeq: 0 });
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
export function press() {
	vi.advanceTimersByTime(400);
	desk.press();
	flushSync();
}
/** Pressed, asked, and pressed once more: a wait that is cut short. */
export function pressTwice() {
	press();
	expect(desk.asks).toMatch(/Press once more/);
	press();
	expect(desk.asks).toBe('');
}
/** Steps done until the one with this id is at hand. */
export function upTo(id: string) {
	for (let i = 0; i < 60 && run.current?.id !== id; i++) {
		run.record({ kind: 'step-done', stepId: run.current!.id });
		vi.advanceTimersByTime(1000);
	}
	flushSync();
	expect(run.current?.id).toBe(id);
}
export const noted = (kind: string) => {
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
