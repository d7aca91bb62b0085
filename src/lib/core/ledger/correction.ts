import { z } from 'zod';
import { castFindings } from '../bench/events';
import { FAULTS } from '../faults/faults';
import { GRADES } from '../bench/grades';

const who = z.string().trim().min(1, 'Say who corrects it.').max(60, 'Keep it under 60 characters.');
const why = z.string().trim().min(1, 'Say why.').max(300, 'Keep it under 300 characters.');
const number = (from: number, to: number, example: string) =>
	z
		.number({ error: `Type it, such as ${example}.` })
		.min(from, 'That is too little.')
		.max(to, 'That is too much.');

/** What can be corrected in the ledger; the old value stays beside it, with who, when and why. */
export const correction = z.discriminatedUnion(
	'field',
	[
		z.object({ field: z.literal('grade'), to: z.enum(GRADES, { error: 'Choose a grade.' }), who, why }),
		z.object({ field: z.literal('faults'), to: z.array(z.enum(FAULTS)).max(FAULTS.length), who, why }),
		z.object({
			field: z.literal('note'),
			to: z.string().max(2000, 'Keep the note under 2000 characters.'),
			who,
			why
		}),
		z.object({ field: z.literal('massG'), to: number(0, 1e6, '118 g'), who, why }),
		z.object({ field: z.literal('roomTempC'), to: number(-10, 60, '21 C'), who, why }),
		z.object({ field: z.literal('mouldTempC'), to: number(-10, 120, '22 C'), who, why }),
		z.object({ field: z.literal('relativeHumidity'), to: number(1, 100, '45 %'), who, why }),
		z.object({ field: z.literal('copies'), to: number(1, 500, '2').int('Copies are whole.'), who, why })
	],
	{ error: 'Choose what is corrected.' }
);
/** What is found once a cast has been looked at in the evening: it is added to what stands there, and corrects nothing. */
export const addition = z.object({
	findings: castFindings.refine(
		(f) => Object.values(f).some((v) => v !== undefined),
		'Type at least one of them.'
	),
	who: z.string().trim().max(60, 'Keep it under 60 characters.').default('')
});
export type Addition = z.output<typeof addition>;

export type Correction = z.output<typeof correction>;
export const CORRECTABLE = {
	grade: 'Grade',
	faults: 'Faults',
	note: 'Note',
	massG: 'Shot',
	roomTempC: 'Room',
	mouldTempC: 'Mould temperature',
	relativeHumidity: 'Humidity',
	copies: 'Copies'
} as const;
