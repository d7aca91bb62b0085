/** What stands at a bench and can be read by the application. */
export const DEVICES = ['scale', 'infraredThermometer', 'gauge', 'hygrometer'] as const;
export type DeviceKind = (typeof DEVICES)[number];

/** What people call them. */
export const DEVICE_NAMES: Readonly<Record<DeviceKind, string>> = {
	scale: 'Scale',
	infraredThermometer: 'Gun thermometer',
	gauge: 'Pot gauge',
	hygrometer: 'Thermo-hygrometer'
};

/**
 * One reading: scale g (net of its zero), gun °C, gauge kPa above the room, air °C with relative humidity in
 * percent as the second value. What a device sends is not believed: `judgeReading` says whether it can be so.
 */
export interface DeviceReading {
	device: DeviceKind;
	/** When it was read, ms since 1970. */
	atMs: number;
	value: number;
	second?: number;
	/** A scale that has come to rest. */
	settled?: boolean;
	/** Which instrument it was, by its name. */
	instrument?: string;
}
