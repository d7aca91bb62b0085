import type { CupClock } from '$lib/core/pour';
import type { DeviceCommand, DeviceKind, DeviceReading } from '$lib/core/devices';

/**
 * What a device at a bench can do for the application. The simulated ones implement it; a driver for a real
 * scale or gauge implements the same and is added where drivers are opened. A driver says what it reads and
 * judges nothing: whether a reading can be believed is the core's business.
 */
export interface DeviceDriver {
	readonly kind: DeviceKind;
	/** Newest reading; nothing while the device says nothing. */
	read(atMs: number): DeviceReading | undefined;
	/** Told what was done at the bench: zeroed, pumped, let out. Real devices may ignore what does not concern them. */
	told(commands: readonly DeviceCommand[]): void;
	/** When each cup was combined; a simulated one warms from there. */
	cupsAre?(cups: readonly CupClock[]): void;
}
