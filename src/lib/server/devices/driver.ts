import type { DeviceReading } from '$lib/core/devices';
import { listInstruments, newestReadings, zeroScales } from '../repositories/instruments';

/**
 * A way in which instruments reach the workshop. Whether a reading can be believed is the core's business: a driver
 * says what it heard and judges nothing. One for a serial line or a radio implements the same and is added to
 * `DRIVERS`; it keeps no state that a second process would miss.
 */
interface DeviceDriver {
	readonly name: string;
	/** Whether any instrument of this kind is set up: without one a pour offers no devices. */
	isSetUp(): Promise<boolean>;
	/** The newest reading of each kind of device. */
	read(): Promise<DeviceReading[]>;
	/** What stands on the scale counts as nothing from here. */
	zero(): Promise<void>;
}

/** Instruments that post their readings with a token: `POST /api/instruments/reading`. */
const overHttp: DeviceDriver = {
	name: 'instrument over HTTP',
	isSetUp: async () => (await listInstruments()).length > 0,
	read: newestReadings,
	zero: zeroScales
};

export const DRIVERS: readonly DeviceDriver[] = [overHttp];

/** Whether this workshop has instruments at all. Simulated ones exist in practice only. */
export async function hasInstruments(): Promise<boolean> {
	return (await Promise.all(DRIVERS.map((d) => d.isSetUp()))).some(Boolean);
}
