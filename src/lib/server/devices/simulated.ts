import {
	DEVICES,
	seedOf,
	simulatedReading,
	simulatedShop,
	type DeviceCommand,
	type DeviceKind
} from '$lib/core/devices';
import type { PourPlan } from '$lib/core/pour';
import type { DeviceDriver } from './driver';

/** The four simulated devices of a pour. They hold nothing that a second process would miss. */
export function simulatedDrivers(pourId: string, plan: PourPlan, scaleResolutionG: number): DeviceDriver[] {
	const shop = simulatedShop(plan, { seed: seedOf(pourId), scaleResolutionG });
	return DEVICES.map((kind: DeviceKind): DeviceDriver => {
		let commands: readonly DeviceCommand[] = [];
		let { cups } = shop;
		return {
			kind,
			told: (all) => (commands = all),
			cupsAre: (all) => (cups = all),
			read: (atMs) => simulatedReading(kind, { ...shop, cups }, commands, atMs)
		};
	});
}
