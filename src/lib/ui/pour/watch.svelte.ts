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
	let [gunMs, heldAt] = [0, 0];
	let hold: { kpa: number; atMs: number } | undefined;
	const lost: Partial<Record<string, boolean>> = {};
	$effect(() => {
		const { readings } = devices;
		const open = run.state.status === 'open';
		const states = DEVICES.map((k) => devices.state(k));
		untrack(() => {
			if (!open) return;
			const nowMs = run.nowMs();
			const gun = devices.live('gun');
			// held at another cup, it is noted at once
			if (heldAt !== cup()) [heldAt, gunMs] = [cup(), 0];
			if (gun && burning() && run.state.pouredAtMs === undefined && nowMs - gunMs >= GUN_EVERY_S * 1000) {
				gunMs = nowMs;
				run.record({
					kind: 'temp-read',
					tempC: gun.value,
					by: 'device',
					...(cup() > 0 ? { cup: cup() } : {})
				});
			}
			const gauge = devices.live('gauge');
			if (gauge && run.current?.kind === 'hold') {
				if (!hold || (gauge.value <= hold.kpa - HOLD_FELL_KPA && nowMs - hold.atMs >= HOLD_EVERY_S * 1000)) {
					hold = { kpa: gauge.value, atMs: nowMs };
					run.record({ kind: 'pressure-read', stepId: 'hold', gaugeKpa: gauge.value, by: 'device' });
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
