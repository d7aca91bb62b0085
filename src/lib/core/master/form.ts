import { z } from 'zod';
import { masterSizeInput } from './sizes';
import { note } from '../shelf/fields';
import { SOLID_SHAPES, type SolidShape } from '../volume/solidInput';
import { masterRecord, referenceSize, SEALINGS, SURFACES, type MasterRecord } from './master';
import { MASTER_MATERIALS } from './materials';
import { volumeReading, type VolumeReading } from './reading';

const maybe = (message: string) => z.number({ error: message }).optional();
const length = 'Type a length such as 60 mm or 2 3/8 in.';

/** A solid of the sum, with the fields of every shape, so that switching loses nothing. */
const piece = z.object({
	sign: z.enum(['add', 'subtract']).default('add'),
	shape: z.enum(SOLID_SHAPES as [SolidShape, ...SolidShape[]]).default('box'),
	lengthMm: maybe(length),
	widthMm: maybe(length),
	heightMm: maybe(length),
	diameterMm: maybe(length),
	topDiameterMm: maybe(length),
	ringDiameterMm: maybe(length)
});
export type FormPiece = z.output<typeof piece>;

/** Ways that are typed in a form; a 3D file has a page of its own. */
export const TYPED_METHODS = ['overflow', 'rise', 'mould-water', 'cast', 'solids', 'typed'] as const;

/** A master as a flat form: kept readings, and the one that is being typed with every way's own fields. */
const fields = z.object({
	name: z.string().default(''),
	material: z.enum(MASTER_MATERIALS, { error: 'Choose what the master is made of.' }),
	surface: z.enum(SURFACES).default('matt'),
	sealing: z.enum(SEALINGS).default('none'),
	releaseId: z.string().max(40).default(''),
	footprint: masterSizeInput.shape.footprint.default('rectangular'),
	lengthMm: maybe(length),
	widthMm: maybe(length),
	heightMm: maybe(length),
	readings: z.array(volumeReading).max(40, 'At most 40 readings of one piece.').default([]),
	used: z.number().int().min(0).default(0),
	references: z.array(referenceSize.partial({ lengthMm: true }).extend({ name: z.string() })).default([]),
	method: z.enum(TYPED_METHODS).default('overflow'),
	overflowMassG: maybe('Type a weight such as 120 g or 3 oz.'),
	waterTempC: maybe('Type a temperature such as 20 C or 68 F.'),
	beforeMl: maybe('Type a level such as 200 ml.'),
	afterMl: maybe('Type a level such as 285 ml.'),
	waterMassG: maybe('Type a weight such as 120 g or 3 oz.'),
	castMassG: maybe('Type a weight such as 120 g or 3 oz.'),
	castDensityGPerMl: maybe('Type a density such as 1.05 g/ml.'),
	pieces: z.array(piece).max(40, 'At most 40 solids.').default([]),
	volumeMl: maybe('Type a volume such as 85 ml or 3 oz (fluid).'),
	remark: z.string().default(''),
	note
});
type Fields = z.output<typeof fields>;

/** Fields of each way that a maker types; the temperature of the water stands there already. */
const TYPED_IN: Readonly<Record<(typeof TYPED_METHODS)[number], readonly (keyof Fields)[]>> = {
	overflow: ['overflowMassG'],
	rise: ['beforeMl', 'afterMl'],
	'mould-water': ['waterMassG'],
	cast: ['castMassG', 'castDensityGPerMl'],
	solids: [],
	typed: ['volumeMl']
};

/**
 * Whether a reading is being typed at all.
 * @example
 * hasDraft(formFromMaster(cube)); // false
 */
export function hasDraft(f: Fields): boolean {
	return f.method === 'solids'
		? f.pieces.length > 0
		: TYPED_IN[f.method].some((field) => f[field] !== undefined);
}

/** The reading that is being typed, as the record would keep it; not checked yet. */
function draft(f: Fields): unknown {
	const { method, remark } = f;
	const common = { method, remark, on: '' };
	switch (method) {
		case 'overflow':
			return { ...common, overflowMassG: f.overflowMassG, waterTempC: f.waterTempC };
		case 'rise':
			return { ...common, beforeMl: f.beforeMl, afterMl: f.afterMl };
		case 'mould-water':
			return { ...common, waterMassG: f.waterMassG, waterTempC: f.waterTempC };
		case 'cast':
			return { ...common, castMassG: f.castMassG, castDensityGPerMl: f.castDensityGPerMl };
		case 'solids':
			return { ...common, pieces: f.pieces.map(({ sign, ...solid }) => ({ sign, solid })) };
		case 'typed':
			return { ...common, volumeMl: f.volumeMl };
	}
}

/**
 * Problems of the reading that is being typed, by the form's fields.
 * @example
 * draftProblems({ ...formFromMaster(cube), method: 'typed', volumeMl: -3 })[0]?.path; // ['volumeMl']
 */
export function draftProblems(f: Fields): { path: (string | number)[]; message: string }[] {
	const result = volumeReading.safeParse(draft(f));
	if (result.success) return [];
	return result.error.issues.map((issue) => ({
		// pieces.0.solid.lengthMm stands at pieces.0.lengthMm of the form
		path: issue.path.filter((p) => p !== 'solid').map((p) => (typeof p === 'symbol' ? String(p) : p)),
		message: issue.message
	}));
}

/**
 * What is typed so far as a reading, or nothing while it is not complete.
 * @example
 * readingSoFar({ ...formFromMaster(cube), method: 'typed', volumeMl: 70 })?.volumeMl; // 70
 */
export function readingSoFar(f: Fields): VolumeReading | undefined {
	const result = volumeReading.safeParse(draft(f));
	return result.success ? result.data : undefined;
}

function candidate(f: Fields) {
	const typed = hasDraft(f);
	return {
		name: f.name,
		material: f.material,
		surface: f.surface,
		sealing: f.sealing,
		releaseId: f.releaseId,
		footprint: f.footprint,
		lengthMm: f.lengthMm,
		// a round footprint has one width, its diameter
		widthMm: f.footprint === 'round' ? f.lengthMm : f.widthMm,
		heightMm: f.heightMm,
		readings: typed ? [...f.readings, draft(f)] : f.readings,
		used: Math.min(f.used, f.readings.length),
		references: f.references,
		note: f.note
	};
}

/** The record's own rules, each at the field of the form that can mend it. */
export const masterForm = fields.superRefine((f, ctx) => {
	const result = masterRecord.safeParse(candidate(f));
	if (result.success) return;
	for (const issue of result.error.issues) {
		const [head, at, ...rest] = issue.path.map((p) => (typeof p === 'symbol' ? String(p) : p));
		let path: (string | number)[] = [head ?? 'method', ...(at === undefined ? [] : [at]), ...rest];
		if (head === 'readings' && at === f.readings.length) {
			path = rest.filter((p) => p !== 'solid');
			if (path.length === 0) path = [TYPED_IN[f.method][0] ?? 'method'];
		} else if (head === 'readings') path = ['used'];
		else if (head === 'widthMm' && f.footprint === 'round') path = ['lengthMm'];
		ctx.addIssue({ code: 'custom', path, message: issue.message });
	}
});
export type MasterForm = Fields;

/**
 * The record that a checked form amounts to. `before` keeps what has pages of its own: shape and traps.
 * @throws ZodError when the input is outside its schema.
 * @example
 * masterFromForm(formFromMaster(cube)).readings.length; // 1
 */
export function masterFromForm(
	form: Fields,
	before?: Pick<MasterRecord, 'shape' | 'traps' | 'readings'>
): MasterRecord {
	const made = candidate(form);
	// what a 3D file measured is worked out by the server and is never taken from a form
	const readings = (made.readings as VolumeReading[]).map((r) =>
		r.method === 'mesh'
			? before?.readings.find(
					(b) => b.method === 'mesh' && b.sha256 === r.sha256 && b.unit === r.unit && b.scale === r.scale
				)
			: r
	);
	return masterRecord.parse({
		...made,
		readings: readings.filter((r) => r !== undefined),
		...(before?.shape ? { shape: before.shape } : {}),
		traps: before?.traps ?? []
	});
}

/**
 * The form that shows a record again, with nothing typed yet.
 * @example
 * formFromMaster(cube).name; // 'Cube'
 */
export function formFromMaster(record: MasterRecord): Fields {
	const { shape: _shape, traps: _traps, ...rest } = record;
	return { ...rest, method: 'overflow', pieces: [], remark: '' };
}
