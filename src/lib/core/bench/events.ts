import { z } from 'zod';
import { DEVICES } from '../devices/kinds';
import { EARLIER_DEVICES, EARLIER_FAULTS, EARLIER_GRADES, idSchema, withIds } from '../earlierIds';
import { FAULTS } from '../faults/faults';
import { MOST_CAST_PICTURES } from './cast';
import { GRADES } from './grades';
import { WALL_SPOTS } from './wallSpots';
import { SEEN } from './seenWords';
import { SOURCES } from './source';

/** A fault and a grade by their ids, or as an earlier version stored them. */
export const faultId = idSchema(FAULTS, EARLIER_FAULTS, 'There is no such fault.');
export const gradeId = idSchema(GRADES, EARLIER_GRADES, 'Choose a grade.');

const eventId = z.uuid({ error: 'An event needs an id of its own.' });
const base = {
	id: eventId,
	/** When it happened, where it happened: milliseconds since 1970, UTC. */
	atMs: z
		.number()
		.int()
		.min(1.5e12, 'The clock of this device is years off.')
		.max(4e12, 'The clock of this device is years off.'),
	/** Written down afterwards: when that was. What was noted as it happened has none. */
	enteredAtMs: z.number().int().min(1.5e12).max(4e12).optional(),
	/** How it came to be known; what earlier versions noted says nothing of it. */
	source: z.enum(SOURCES).optional(),
	/** The mark of whoever had the gloves on; nothing where nobody signs in, and of what earlier versions noted. */
	mark: z.string().trim().min(1).max(8).optional(),
	/** The instrument that read it, by its name. */
	instrument: z.string().trim().min(1).max(60).optional(),
	/** Noted by an earlier version from one of its devices, which were all simulated. */
	by: z.literal('device').optional()
};
const gaugeKpa = z
	.number({ error: 'Type what the gauge showed, such as 60 psi.' })
	.min(0, 'A gauge reads from nothing up.')
	.max(2000, 'Over 20 bar: check the unit.');

/** What else was found on a cast: where the faults are, its weight, one size against the master’s, mending. */
export const castFindings = z.strictObject({
	places: z
		.preprocess(
			withIds(EARLIER_FAULTS),
			z.partialRecord(z.enum(FAULTS), z.string().trim().max(80, 'Keep the place under 80 characters.'))
		)
		.optional(),
	castMassG: z
		.number({ error: 'Type what the cast weighs, such as 118 g.' })
		.positive('It weighs something.')
		.max(1e6, 'Over a tonne: check the unit.')
		.optional(),
	/** Of a hollow cast: its wall where somebody measured it, mm, by the spot. */
	wallsMm: z
		.partialRecord(
			z.enum(WALL_SPOTS),
			z
				.number({ error: 'Type the wall there, such as 3.5 mm.' })
				.min(0.1, 'Under 0.1 mm: check the unit.')
				.max(200, 'Over 200 mm: check the unit.')
		)
		.optional(),
	/** How high its rim came out, mm. */
	rimHighMm: z
		.number({ error: 'Type how high the rim is, such as 6 mm.' })
		.min(0, 'The rim is no lower than nothing.')
		.max(300, 'A rim over 300 mm: check the unit.')
		.optional(),
	/** Which reference of the master was measured, that on the master, and that on the cast, mm. */
	sizeOf: z.string().max(60).optional(),
	masterMm: z.number().positive().max(10_000).optional(),
	sizeMm: z
		.number({ error: 'Type the size, such as 95.2 mm.' })
		.positive('It has a size.')
		.max(10_000, 'Over 10 m: check the unit.')
		.optional(),
	reworkS: z
		.number({ error: 'Type how long mending took, such as 10 min.' })
		.min(0, 'No less than nothing.')
		.max(1e6, 'Over eleven days: check the unit.')
		.optional()
});
export type CastFindings = z.output<typeof castFindings>;

/** A picture taken while a cast is graded: of one of its faults, or of all of it. */
export const castPicture = z.strictObject({ photoId: z.uuid(), fault: faultId.optional() });
export type CastPicture = z.output<typeof castPicture>;
/** Something that happened at the bench. Events are only ever added; saving one twice changes nothing. */
export const pourEvent = z.discriminatedUnion('kind', [
	z.strictObject({
		...base,
		kind: z.literal('step-done'),
		stepId: z.string().min(1, 'Choose a step.').max(40)
	}),
	z.strictObject({
		...base,
		kind: z.literal('air-read'),
		roomTempC: z.number().min(-10, 'Under −10 °C: check the unit.').max(60, 'Over 60 °C: check the unit.'),
		relativeHumidity: z
			.number()
			.min(1, 'Relative humidity is 1–100 %.')
			.max(100, 'Relative humidity is 1–100 %.'),
		mouldTempC: z.number().min(-10, 'Under −10 °C: check the unit.').max(120, 'Over 120 °C: check the unit.')
	}),
	/** A gun thermometer on the cup, typed or sent by a device. */
	z.strictObject({
		...base,
		kind: z.literal('temp-read'),
		tempC: z
			.number({ error: 'Type what the gun showed, such as 38 °C.' })
			.min(-20, 'Under −20 °C: check the reading.')
			.max(300, 'Over 300 °C: check the reading.'),
		/** Which of several cups of colours, counted from 0; the first unless said. Layers are known by their time. */
		cup: z.number().int().min(0).max(19).optional()
	}),
	/** What stands in a cup, on the scale or typed; a later one for the same step counts instead. */
	z.strictObject({
		...base,
		kind: z.literal('weighed'),
		stepId: z.string().min(1).max(40),
		massG: z
			.number({ error: 'Type what is in the cup, such as 84 g.' })
			.min(0, 'A cup cannot hold less than nothing.')
			.max(1e6, 'Over a tonne: check the unit.')
	}),
	/** One dose of colour is in, and was looked at on the stick. */
	z.strictObject({ ...base, kind: z.literal('dosed'), stepId: z.string().min(1, 'Choose a step.').max(40) }),
	/** More of a filler than was planned, stirred in at the bench. */
	z.strictObject({
		...base,
		kind: z.literal('added'),
		name: z.string().trim().min(1, 'Say what was added.').max(60, 'Keep the name under 60 characters.'),
		massG: z
			.number({ error: 'Type how much was added, such as 2 g.' })
			.positive('It weighs something.')
			.max(1e5, 'Over 100 kg: check the unit.'),
		/** Which of several cups or layers, counted from 0. */
		cup: z.number().int().min(0).max(40).optional()
	}),
	/** A device that went silent or said nonsense, so that gaps in its readings are explained. */
	z.strictObject({
		...base,
		kind: z.literal('device-lost'),
		device: idSchema(DEVICES, EARLIER_DEVICES),
		how: z.enum(['silent', 'nonsense'])
	}),
	/** What the resin was seen to do, at the press of a button; or the left-over in its cup. */
	z.strictObject({
		...base,
		kind: z.literal('seen'),
		what: z.enum(SEEN),
		/** Of several cups or layers. */
		cup: z.number().int().min(0).max(40).optional()
	}),
	/** What was left of all that was mixed once the moulds were full, g; below nothing what was short. The last one counts. */
	z.strictObject({
		...base,
		kind: z.literal('left'),
		massG: z
			.number({ error: 'Type what was left, such as 14 g, or 0.' })
			.min(-1e6, 'Over a tonne: check the unit.')
			.max(1e6, 'Over a tonne: check the unit.')
	}),
	/** Something seen at the bench that no step asks for. */
	z.strictObject({
		...base,
		kind: z.literal('remark'),
		text: z.string().trim().min(1, 'Type what you saw.').max(500, 'Keep it under 500 characters.')
	}),
	z.strictObject({
		...base,
		kind: z.literal('pressure-read'),
		stepId: z.string().min(1).max(40),
		/** Nothing where nobody read it: the step was done all the same. */
		gaugeKpa: gaugeKpa.optional(),
		/** Who let the pressure out, as the vessel's log wants it. */
		who: z.string().trim().max(60, 'Keep the name under 60 characters.').optional()
	}),
	z.strictObject({
		...base,
		kind: z.literal('graded'),
		mouldId: z.string().min(1).max(40),
		grade: gradeId,
		faults: z.array(faultId).max(FAULTS.length),
		note: z.string().max(2000, 'Keep the note under 2000 characters.'),
		findings: castFindings.optional(),
		pictures: z.array(castPicture).max(MOST_CAST_PICTURES).optional()
	}),
	/** Takes an earlier event back; the earlier one stays in the record. */
	z.strictObject({ ...base, kind: z.literal('undone'), eventId }),
	z.strictObject({ ...base, kind: z.literal('finished') }),
	z.strictObject({
		...base,
		kind: z.literal('abandoned'),
		reason: z.string().max(500, 'Keep the reason under 500 characters.')
	})
]);
export type PourEvent = z.infer<typeof pourEvent>;
