import { untrack } from 'svelte';
import { DEVICES } from '$lib/core/devices';
import type { Devices } from '../devices.svelte';
import type { PourRun } from '../pourRun.svelte';

/** The gun notes the cup so often by itself, s. */
const GUN_EVERY_S = 10;
/** A hold is noted again when its pressure fell by so much, kPa, and at most so often, s. */
const HOLD_FELL_KPA = 3;
const HOLD_EVERY_S = 15;

/**
 * Notes what devices say while the maker's hands are busy: the cup's temperature until it is poured, the lowest
 * pressure of the hold, and every device that is lost.
 */
export function watchDevices(
	run: PourRun,
	devices: Devices,
	burning: () => boolean,
	cup: () => number
): void {
	// nothing of a cup that the gun was moved away from counts for the next
	let [heldAt, movedMs] = [0, -Infinity];
	const lost: Partial<Record<string, boolean>> = {};
	$effect(() => {
		const { readings } = devices;
		const open = run.state.status === 'open';
		const states = DEVICES.map((k) => devices.state(k));
		untrack(() => {
			if (!open) return;
			const nowMs = run.nowMs();
			const gun = devices.live('infraredThermometer');
			// held at another cup, it is noted at once
			if (heldAt !== cup()) [heldAt, movedMs] = [cup(), nowMs];
			const { tempMs, holdMs, holdKpa } = run.byDevice;
			// the clock of another bench may be off
			const due = Math.abs(nowMs - tempMs) >= GUN_EVERY_S * 1000 || tempMs < movedMs;
			if (gun && due && burning() && run.state.pouredAtMs === undefined) {
				run.record({
					kind: 'temp-read',
					tempC: gun.value,
					...devices.mark('infraredThermometer'),
					...(cup() > 0 ? { cup: cup() } : {})
				});
			}
			const gauge = devices.live('gauge');
			if (gauge && run.current?.kind === 'hold') {
				const fell = gauge.value <= holdKpa - HOLD_FELL_KPA && nowMs - holdMs >= HOLD_EVERY_S * 1000;
				if (holdKpa === Infinity || fell) {
					run.record({
						kind: 'pressure-read',
						stepId: 'hold',
						gaugeKpa: gauge.value,
						...devices.mark('gauge')
					});
				}
			}
			DEVICES.forEach((device, i) => {
				const state = states[i];
				const gone = state === 'silent' || state === 'nonsense';
				// noted once for each time that it is lost, and only if it had spoken
				if (gone && !lost[device] && readings[device])
					run.record({ kind: 'device-lost', device, how: state });
				lost[device] = gone;
			});
		});
	});
}
