import { z } from 'zod';
import { GRADE_WORDS, type Grade } from '../bench/grades';
import { FAULT_WORDS, FAULTS, type Fault } from '../faults';
import { parseQuantity, type QuantityKind, type UnitSystem } from '../units';
import { isZone } from '../wallClock';
import { parseDay, SLASH_ORDERS, slashOrderOf, twoDays, type SlashOrder } from './notebookDays';

/** What a column of an old notebook can be. */
export const IMPORT_FIELDS = {
	when: { words: 'When', needed: true, alike: ['when', 'date', 'day', 'datum'] },
	mould: { words: 'Mould number', needed: true, alike: ['mould', 'mold', 'm', 'mould number', 'mould no'] },
	grade: { words: 'Grade', needed: true, alike: ['grade', 'result', 'quality'] },
	resin: { words: 'Resin', needed: true, alike: ['resin', 'material'] },
	copies: { words: 'Copies', needed: false, alike: ['copies', 'pieces', 'count', 'n'] },
	massG: { words: 'Shot, by weight', needed: false, alike: ['mass', 'weight', 'shot', 'g', 'mass g'] },
	roomTempC: { words: 'Room temperature', needed: false, alike: ['room', 'temperature', 'temp', 'room c'] },
	relativeHumidity: { words: 'Humidity', needed: false, alike: ['humidity', 'rh', 'humidity %'] },
	faults: { words: 'Faults', needed: false, alike: ['faults', 'fault', 'defects', 'problems'] },
	note: { words: 'Note', needed: false, alike: ['note', 'notes', 'remark', 'comment'] }
} as const;
export type ImportField = keyof typeof IMPORT_FIELDS;
export const IMPORT_FIELD_NAMES = Object.keys(IMPORT_FIELDS) as ImportField[];

/** How a notebook may look: read as it stands, without a match of columns by hand. */
export const IMPORT_SAMPLE = [
	['Date', 'Mould', 'Resin', 'Grade', 'Weight', 'Humidity', 'Faults'],
	['2026-03-30', 'M2', 'Lantern white', 'good', '118 g', '41 %', ''],
	['31.3.2026', '2', 'Lantern white', 'scrap', '4.2 oz', '63', 'foam']
] as const;

/** A pull out of a notebook, checked. */
export interface ImportedPull {
	atMs: number;
	mouldNumber: number;
	grade: Grade;
	resin: string;
	copies: number;
	massG: number;
	roomTempC?: number;
	relativeHumidity?: number;
	faults: Fault[];
	note: string;
}
export interface RowError {
	/** Row of the file, the heading is the first. */
	row: number;
	field: ImportField | '';
	message: string;
}

const plain = (text: string) =>
	text
		.trim()
		.toLowerCase()
		.replace(/[_.:()]/g, ' ')
		.replace(/\s+/g, ' ')
		.trim();

/**
 * Which column is likely what, by its heading; a column is used once.
 * @example
 * matchColumns(['Date', 'Mould no', 'Grade']); // { when: 0, mould: 1, grade: 2 }
 */
export function matchColumns(headings: readonly string[]): Partial<Record<ImportField, number>> {
	const found: Partial<Record<ImportField, number>> = {};
	for (const field of IMPORT_FIELD_NAMES) {
		const { words, alike } = IMPORT_FIELDS[field];
		const names: readonly string[] = [...alike, words.toLowerCase()];
		const at = headings.findIndex((h, i) => !Object.values(found).includes(i) && names.includes(plain(h)));
		const begins = headings.findIndex(
			(h, i) => !Object.values(found).includes(i) && names.some((n) => n.length > 2 && plain(h).startsWith(n))
		);
		if (at >= 0) found[field] = at;
		else if (begins >= 0) found[field] = begins;
	}
	return found;
}

/** What people write for a grade. */
const GRADES_WRITTEN: Readonly<Record<string, Grade>> = {
	good: 'good',
	ok: 'good',
	fine: 'good',
	'needs work': 'needs-work',
	rework: 'needs-work',
	mend: 'needs-work',
	scrap: 'scrap',
	bad: 'scrap',
	reject: 'scrap'
};

/**
 * Reads one row as its columns were matched. Every problem of the row is said, not only the first.
 * @param row number of the row in the file, for its messages
 * @param moulds numbers of the moulds that are in the books
 * @param nowMs nothing was pulled after that
 * @example
 * readRow(['2026-03-01', '9', 'good', 'White'], { when: 0, mould: 1, grade: 2, resin: 3 }, 2, {
 *   moulds: new Set([4]),
 *   nowMs: Date.UTC(2026, 5, 1),
 *   units: 'metric'
 * }).errors; // [{ row: 2, field: 'mould', message: 'There is no mould M9 in the books.' }]
 */
export function readRow(
	cells: readonly string[],
	columns: Partial<Record<ImportField, number>>,
	row: number,
	about: {
		moulds: ReadonlySet<number>;
		nowMs: number;
		units: UnitSystem;
		slashes?: SlashOrder;
		zone?: string;
	}
): { pull?: ImportedPull; errors: RowError[] } {
	const errors: RowError[] = [];
	const cell = (field: ImportField) => {
		const at = columns[field];
		return at === undefined ? '' : (cells[at] ?? '').trim();
	};
	const wrong = (field: ImportField, message: string) => void errors.push({ row, field, message });
	const amount = (field: ImportField, kind: QuantityKind, from: number, to: number) => {
		const text = cell(field);
		if (!text) return undefined;
		const read = parseQuantity(text, kind, about.units);
		if (!read.ok) wrong(field, `“${text.slice(0, 40)}”: ${read.errors[0].message}`);
		else if (!(read.value >= from && read.value <= to))
			wrong(field, `“${text.slice(0, 40)}” is out of range.`);
		else return read.value;
		return undefined;
	};
	const atMs = parseDay(cell('when'), about.slashes, about.zone);
	if (atMs === undefined)
		wrong('when', `“${cell('when').slice(0, 40)}” is no day such as 2026-03-01 or 1.3.2026.`);
	else if (atMs > about.nowMs + 86_400_000) wrong('when', 'That day is still to come.');
	const number = Number(/^m?\s*(\d{1,6})$/i.exec(cell('mould'))?.[1] ?? NaN);
	if (!Number.isInteger(number)) wrong('mould', `“${cell('mould').slice(0, 40)}” is no mould such as M7.`);
	else if (!about.moulds.has(number)) wrong('mould', `There is no mould M${number} in the books.`);
	const grade = GRADES_WRITTEN[cell('grade').toLowerCase()];
	if (!grade)
		wrong('grade', `“${cell('grade').slice(0, 40)}” is no grade: ${Object.values(GRADE_WORDS).join(', ')}.`);
	const resin = cell('resin').slice(0, 120);
	if (!resin) wrong('resin', 'The resin is missing.');
	const copiesText = cell('copies');
	const copies = copiesText ? Number(copiesText) : 1;
	if (!(Number.isInteger(copies) && copies >= 1 && copies <= 500))
		wrong('copies', `“${copiesText}” is no count from 1 to 500.`);
	const massG = amount('massG', 'mass', 0, 1e6) ?? 0;
	const roomTempC = amount('roomTempC', 'temperature', -10, 60);
	const relativeHumidity = amount('relativeHumidity', 'percent', 1, 100);
	const written = cell('faults')
		.split(/[,;/]/)
		.map((f) => f.trim().toLowerCase())
		.filter((f) => f !== '');
	const faults = written.flatMap((f) => FAULTS.find((id) => FAULT_WORDS[id] === f || id === f) ?? []);
	for (const f of written)
		if (!FAULTS.some((id) => FAULT_WORDS[id] === f || id === f))
			wrong('faults', `“${f.slice(0, 40)}” is none of: ${Object.values(FAULT_WORDS).join(', ')}.`);
	const note = cell('note');
	if (note.length > 2000) wrong('note', 'The note has over 2000 characters.');
	if (errors.length > 0) return { errors };
	return {
		errors,
		pull: {
			atMs: atMs!,
			mouldNumber: number,
			grade: grade!,
			resin,
			copies,
			massG,
			...(roomTempC === undefined ? {} : { roomTempC }),
			...(relativeHumidity === undefined ? {} : { relativeHumidity }),
			faults,
			note
		}
	};
}

/** A notebook as it is sent: its cells and how its columns were matched. */
export const importInput = z.object({
	entry: z.uuid({ error: 'The import needs an id of its own.' }),
	rows: z
		.array(
			z.array(z.string().max(4000, 'A cell has over 4000 characters.')).max(100, 'Over a hundred columns.')
		)
		.min(1, 'There are no rows.')
		.max(20_000, 'At most 20 000 rows at once: cut the file.'),
	columns: z.partialRecord(
		z.enum(IMPORT_FIELD_NAMES as [ImportField, ...ImportField[]]),
		z.number().int().min(0).max(99)
	),
	/** Which number of a day with slashes is the day, where its column does not say so itself. */
	slashes: z.enum(SLASH_ORDERS).optional(),
	/** The zone that its times of day are meant in. */
	zone: z.string().max(60).refine(isZone, 'This time zone is not known.').default('UTC')
});
export type ImportInput = z.output<typeof importInput>;

/**
 * Reads all rows: every pull, or every problem.
 * @example
 * readNotebook(
 *   { rows: [['2026-03-01', '4', 'good', 'White']], columns: { when: 0, mould: 1, grade: 2, resin: 3 } },
 *   { moulds: new Set([4]), nowMs: Date.UTC(2026, 5, 1), units: 'metric' }
 * ).pulls.length; // 1
 */
export function readNotebook(
	input: Pick<ImportInput, 'rows' | 'columns'> & Partial<Pick<ImportInput, 'slashes' | 'zone'>>,
	about: Parameters<typeof readRow>[3]
): { pulls: ImportedPull[]; errors: RowError[] } {
	const missing = IMPORT_FIELD_NAMES.filter((f) => IMPORT_FIELDS[f].needed && input.columns[f] === undefined);
	if (missing.length > 0)
		return {
			pulls: [],
			errors: missing.map((field) => ({
				row: 1,
				field,
				message: `Say which column is ${IMPORT_FIELDS[field].words.toLowerCase()}.`
			}))
		};
	const days = input.rows.map((cells) => cells[input.columns.when!] ?? '');
	const slashes = input.slashes ?? slashOrderOf(days);
	const unsure = twoDays(days);
	if (!slashes && unsure !== undefined)
		return {
			pulls: [],
			errors: [
				{
					row: days.indexOf(unsure) + 2,
					field: 'when',
					message: `“${unsure.slice(0, 40)}” is two days, by which of its numbers is the month: say which one comes first.`
				}
			]
		};
	const how = { ...about, ...(slashes ? { slashes } : {}), ...(input.zone ? { zone: input.zone } : {}) };
	const read = input.rows.map((cells, i) => readRow(cells, input.columns, i + 2, how));
	return { pulls: read.flatMap((r) => (r.pull ? [r.pull] : [])), errors: read.flatMap((r) => r.errors) };
}
