import { z } from 'zod';
import { note } from '../shelf/resin';
import { masterRecord, type MasterRecord } from './master';
import { MASTER_MATERIALS } from './materials';

const maybe = (message: string) => z.number({ error: message }).optional();
const length = 'Type a length such as 60 mm or 2 3/8 in.';

/** A master as a flat form: every way to its volume keeps its own fields, so that switching loses nothing. */
const fields = z.object({
	name: z.string().default(''),
	material: z.enum(MASTER_MATERIALS, { error: 'Choose what the master is made of.' }),
	footprint: z.enum(['rectangular', 'round']).default('rectangular'),
	lengthMm: maybe(length),
	widthMm: maybe(length),
	heightMm: maybe(length),
	method: z.enum(['overflow', 'solid', 'typed']).default('overflow'),
	overflowMassG: maybe('Type a weight such as 120 g or 3 oz.'),
	waterTempC: maybe('Type a temperature such as 20 C or 68 F.'),
	shape: z.enum(['box', 'tube', 'ball', 'cone']).default('box'),
	solidLengthMm: maybe(length),
	solidWidthMm: maybe(length),
	solidHeightMm: maybe(length),
	solidDiameterMm: maybe(length),
	volumeMl: maybe('Type a volume such as 85 ml or 3 oz (fluid).'),
	note
});
type Fields = z.output<typeof fields>;

/** Where an issue of the record stands in the form. */
const FIELD_OF: Readonly<Record<string, keyof Fields>> = {
	'reading.overflowMassG': 'overflowMassG',
	'reading.waterTempC': 'waterTempC',
	'reading.solid.lengthMm': 'solidLengthMm',
	'reading.solid.widthMm': 'solidWidthMm',
	'reading.solid.heightMm': 'solidHeightMm',
	'reading.solid.diameterMm': 'solidDiameterMm',
	'reading.volumeMl': 'volumeMl'
};

function candidate(f: Fields) {
	const reading =
		f.method === 'overflow'
			? { method: 'overflow', overflowMassG: f.overflowMassG, waterTempC: f.waterTempC }
			: f.method === 'typed'
				? { method: 'typed', volumeMl: f.volumeMl }
				: {
						method: 'solid',
						solid: {
							shape: f.shape,
							lengthMm: f.solidLengthMm,
							widthMm: f.solidWidthMm,
							heightMm: f.solidHeightMm,
							diameterMm: f.solidDiameterMm
						}
					};
	return {
		name: f.name,
		material: f.material,
		footprint: f.footprint,
		lengthMm: f.lengthMm,
		// a round footprint has one width, its diameter
		widthMm: f.footprint === 'round' ? f.lengthMm : f.widthMm,
		heightMm: f.heightMm,
		reading,
		note: f.note
	};
}

/** The record's own rules, each at the field of the form that can mend it. */
export const masterForm = fields.superRefine((f, ctx) => {
	const result = masterRecord.safeParse(candidate(f));
	if (result.success) return;
	for (const issue of result.error.issues) {
		const path = issue.path.join('.');
		const field =
			FIELD_OF[path] ?? (String(issue.path[0]) in fields.shape ? (issue.path[0] as string) : 'method');
		const place = field === 'widthMm' && f.footprint === 'round' ? 'lengthMm' : field;
		ctx.addIssue({ code: 'custom', path: [place], message: issue.message });
	}
});
export type MasterForm = Fields;

/** The record that a checked form amounts to. */
export function masterFromForm(form: Fields): MasterRecord {
	return masterRecord.parse(candidate(form));
}

/** The form that shows a record again. */
export function formFromMaster(record: MasterRecord): Fields {
	const { reading, ...rest } = record;
	const solid = reading.method === 'solid' ? reading.solid : undefined;
	return {
		...rest,
		method: reading.method,
		shape: solid?.shape ?? 'box',
		overflowMassG: reading.method === 'overflow' ? reading.overflowMassG : undefined,
		waterTempC: reading.method === 'overflow' ? reading.waterTempC : undefined,
		volumeMl: reading.method === 'typed' ? reading.volumeMl : undefined,
		solidLengthMm: solid && 'lengthMm' in solid ? solid.lengthMm : undefined,
		solidWidthMm: solid && 'widthMm' in solid ? solid.widthMm : undefined,
		solidHeightMm: solid && 'heightMm' in solid ? solid.heightMm : undefined,
		solidDiameterMm: solid && 'diameterMm' in solid ? solid.diameterMm : undefined
	};
}

/** Volume and its sum for what is typed so far, or nothing while it is not complete. */
export function volumeSoFar(form: Fields): MasterRecord['reading'] | undefined {
	const result = masterRecord.shape.reading.safeParse(candidate(form).reading);
	return result.success ? result.data : undefined;
}
