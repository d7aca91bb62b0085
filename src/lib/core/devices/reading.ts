import { z } from 'zod';
import { DEVICES } from './kinds';

const base = {
	id: z.uuid({ error: 'A command needs an id of its own.' }),
	atMs: z
		.number()
		.int()
		.min(1.5e12, 'The clock of this device is years off.')
		.max(4e12, 'The clock of this device is years off.')
};

/** What is done to a device, or in front of one that is simulated. Kept, so that any process reads the same. */
export const deviceCommand = z.discriminatedUnion('kind', [
	/** The scale shows nothing from here. */
	z.strictObject({ ...base, kind: z.literal('zero') }),
	/** A stream runs into the cup, or stops. */
	z.strictObject({
		...base,
		kind: z.literal('stream'),
		on: z.boolean(),
		gPerS: z.number().min(0, 'A stream cannot run backwards.').max(10_000, 'Over 10 kg a second.').default(0)
	}),
	/** The compressor runs up to a pressure, the line is closed, or the pot is let out. */
	z.strictObject({
		...base,
		kind: z.literal('pot'),
		to: z.enum(['pump', 'hold', 'release']),
		targetGaugeKpa: z.number().min(0).max(2000, 'Over 20 bar: check the unit.').default(0)
	}),
	/** The gun thermometer is held at one of several cups, counted from 0. */
	z.strictObject({ ...base, kind: z.literal('aim'), cup: z.number().int().min(0).max(19) }),
	/** A simulated device fails, or comes back. */
	z.strictObject({
		...base,
		kind: z.literal('fails'),
		device: z.enum(DEVICES),
		how: z.enum(['silent', 'nonsense', 'not'])
	})
]);
export type DeviceCommand = z.infer<typeof deviceCommand>;
