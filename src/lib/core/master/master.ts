import { z } from 'zod';
import { masterSizeInput, outerVolumeMl } from './sizes';
import { name, note } from '../shelf/fields';
import { digits } from '../units';
import { MASTER_MATERIALS } from './materials';
import { volumeReading } from './reading';
import { readVolume } from './readVolume';
import { shapeRecord, trapRecord } from './shape';

/** What goes straight into every copy. */
export const SURFACES = ['gloss', 'satin', 'matt', 'grained'] as const;
/** What closes a porous face before rubber goes on. */
export const SEALINGS = ['none', 'lacquer', 'shellac', 'wax', 'resin coat', 'other'] as const;

/** A size of the master that copies are measured against. */
export const referenceSize = z.object({
	name: z
		.string()
		.trim()
		.min(1, 'Say what is measured, such as across the shoulders.')
		.max(80, 'Keep it under 80 characters.'),
	lengthMm: z
		.number({ error: 'Type the size, such as 60 mm or 2 3/8 in.' })
		.positive('The size must be more than nothing.')
		.max(10_000, 'Over 10 m: check the unit.')
});

const fields = z.object({
	name: name('master'),
	material: z.enum(MASTER_MATERIALS, { error: 'Choose what the master is made of.' }),
	surface: z.enum(SURFACES).default('matt'),
	sealing: z.enum(SEALINGS).default('none'),
	releaseId: z.string().max(40).default(''),
	...masterSizeInput.shape,
	/** None while its volume is not known: a mould can be planned, a shot cannot. */
	readings: z.array(volumeReading).max(40, 'At most 40 readings of one piece.').default([]),
	/** Which reading the shots go by. */
	used: z.number().int().min(0).default(0),
	references: z.array(referenceSize).max(20, 'At most 20 sizes.').default([]),
	shape: shapeRecord.optional(),
	traps: z.array(trapRecord).max(200, 'At most 200 places.').default([]),
	note
});

/** Records of the first kind had one reading, and a solid of its own. */
function upgrade(raw: unknown): unknown {
	if (raw === null || typeof raw !== 'object' || !('reading' in raw)) return raw;
	const { reading, ...rest } = raw as { reading: Record<string, unknown> };
	const now =
		reading?.['method'] === 'solid'
			? { method: 'solids', pieces: [{ sign: 'add', solid: reading['solid'] }] }
			: reading;
	return { readings: [now], used: 0, ...rest };
}

/** A master as it is kept. */
export const masterRecord = z.preprocess(
	upgrade,
	fields.superRefine((m, ctx) => {
		if (m.used >= Math.max(1, m.readings.length)) {
			ctx.addIssue({ code: 'custom', path: ['used'], message: 'Choose the reading that the shots go by.' });
			return;
		}
		const bounds = outerVolumeMl(m);
		m.readings.forEach((reading, i) => {
			const { volumeMl } = readVolume(reading);
			if (volumeMl <= bounds * 1.02) return;
			ctx.addIssue({
				code: 'custom',
				path: ['readings', i],
				message: `${digits(volumeMl)} ml is more than the outer sizes hold (${digits(bounds)} ml): check volume and sizes.`
			});
		});
	})
);
export type MasterRecord = z.output<typeof masterRecord>;
