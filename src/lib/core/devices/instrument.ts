import { z } from 'zod';
import { DEVICES } from './kinds';

/** An instrument as it is set up: what it reads and what people call it. */
export const instrumentInput = z.strictObject({
	kind: z.enum(DEVICES, { error: 'Choose what it reads.' }),
	name: z
		.string()
		.trim()
		.min(1, 'Give it a name, such as bench scale.')
		.max(60, 'Keep its name under 60 characters.')
});
export type InstrumentInput = z.output<typeof instrumentInput>;

/**
 * What an instrument posts: a scale g, a gun thermometer °C, a pot gauge kPa above the room, a thermo-hygrometer °C with
 * its relative humidity in percent as `second`. Whether it can be believed is judged where it is used.
 */
export const postedReading = z.strictObject({
	value: z
		.number({ error: 'Send the reading as a number.' })
		.min(-1e7, 'That cannot be read by anything.')
		.max(1e7, 'That cannot be read by anything.'),
	second: z.number({ error: 'Send the humidity as a number.' }).min(-1000).max(1000).optional(),
	/** Of a scale: it has come to rest. */
	settled: z.boolean().optional()
});
export type PostedReading = z.output<typeof postedReading>;
