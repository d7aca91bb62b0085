import { z } from 'zod';

const stepS = (what: string) =>
	z
		.number({ error: `Type how long ${what} takes, such as 2:00 or 30 s.` })
		.min(0, 'A step cannot take less than no time.')
		.max(36_000, 'A step over ten hours: check the unit.');

/** What is typed to cast plaster, wax or soap. */
export const castableInputs = z.object({
	materialId: z.string({ error: 'Choose what is cast.' }).min(1, 'Choose what is cast.'),
	masterId: z.string({ error: 'Choose the master that is cast.' }).min(1, 'Choose the master that is cast.'),
	mouldIds: z
		.array(z.string().min(1))
		.min(1, 'Choose at least one mould: without a mould there is nothing to pour into.')
		.max(60, 'At most 60 moulds at once.'),
	copies: z
		.number({ error: 'Type how many copies, such as 2.' })
		.int('Copies are whole.')
		.min(1, 'At least one copy.')
		.max(500, 'Over 500 copies at once: check it.'),
	sprueVolumeMl: z
		.number({ error: 'Type the volume of sprue and vents, such as 6 ml, or 0.' })
		.min(0, 'The sprue cannot be less than nothing.')
		.max(100_000, 'Over 100 l of sprue: check the unit.')
		.default(0),
	lossPercent: z
		.number({ error: 'Type what stays in the bowl, such as 10 %.' })
		.min(0, 'The loss cannot be less than nothing.')
		.max(100, 'Over as much again lost: check the loss.')
		.default(10),
	/** Plaster: sifting, soaking and stirring. */
	mixS: stepS('sifting, soaking and stirring').default(180),
	pourS: stepS('pouring one copy').default(20),
	/** Plaster is tapped; a melt is topped up as it sinks. */
	tapS: stepS('tapping one copy').default(15)
});
export type CastableInputs = z.output<typeof castableInputs>;
