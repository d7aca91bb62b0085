import { z } from 'zod';
import { experienceRecord } from '../compatibility';
import { deviceCommand } from '../devices';
import { inspectionInput, makingEvent } from '../making';
import { masterRecord } from '../master/master';
import { MOULD_STATES, mouldInputs } from '../mould';
import { keptOrdersPlan, ORDER_STATES, orderRecord, workshopHours } from '../orders';
import { vesselRecord } from '../pressurePot/vessel';
import { pourPlan } from '../plan/pourPlan';
import { faultId, gradeId, pourEvent } from '../bench/events';
import { CAUSE_IDS } from '../faults';
import { containerRecord, MOVEMENT_KINDS } from '../shelf';
import { shotInputs, trialRecord } from '../shot';
import { mouldInspection } from '../wear/inspection';
import { workshopSettings } from '../workshop/settings';
import { BACKUP, BACKUP_TABLE_NAMES, type BackupTable } from './tables';
import {
	correctionBody,
	cycleBody,
	inspectionForecast,
	keptMouldPlan,
	keptShotResult,
	MATERIAL_KINDS,
	MATERIAL_RECORDS,
	PICTURE_TYPES,
	pullBody,
	vesselInspectionBody
} from './bodies';

const id = z.uuid();
const day = z.iso.datetime({ precision: 3 });
const text = (most: number) => z.string().max(most);
const whole = z.number().int();
/** A result that was worked out: it is shown as it stood. */
const worked = z.record(z.string(), z.unknown());
const stamps = { createdAt: day, updatedAt: day };
const versioned = { version: whole, ...stamps };
/** What the device's clock lacked as it sent an event, ms; books of the version before do not say. */
const clockOffMs = whole.nullable().default(null);
/** On which device an event was noted; nothing in books of before. */
const device = text(120).nullable().default(null);
const row = z.strictObject;

/**
 * The rows of every table that the book holds. A body is what the application's own records
 * say; those that it must be able to read are checked by them.
 */
export const BACKUP_TABLES = {
	settings: row({ id: whole, body: workshopSettings, ...versioned }),
	counters: row({ name: text(40), value: whole }),
	// which record belongs to which kind is checked beside it: a row of a union has no columns to ask for
	materials: row({
		id,
		kind: z.enum(MATERIAL_KINDS),
		name: text(120),
		body: z.union(Object.values(MATERIAL_RECORDS)),
		/** Presses at demould before then teach nothing; books of the version before have none. */
		demouldForgottenAt: day.nullable().default(null),
		...versioned
	}),
	experiences: row({ id, firstKey: text(100), secondKey: text(100), body: experienceRecord, ...stamps }),
	photos: row({ id, sha256: text(64), mime: z.enum(PICTURE_TYPES), sizeBytes: whole, ...stamps }),
	masters: row({
		id,
		name: text(120),
		volumeMl: z.number().nullable(),
		body: masterRecord,
		photoId: id.nullable(),
		...versioned
	}),
	meshes: row({
		sha256: text(64),
		uploadId: id,
		fileName: text(255),
		sizeBytes: whole,
		chunks: whole,
		createdAt: day
	}),
	moulds: row({
		id,
		number: whole,
		label: text(120),
		masterId: id,
		rubberId: id.nullable(),
		state: z.enum(MOULD_STATES),
		place: text(120),
		inputs: mouldInputs,
		plan: keptMouldPlan,
		pouredAt: day.nullable(),
		readyAt: day.nullable(),
		predecessorId: id.nullable(),
		making: worked.nullable(),
		inspection: inspectionInput.nullable(),
		...versioned
	}),
	mould_photos: row({ id, mouldId: id, photoId: id, caption: text(200), ...stamps }),
	making_events: row({
		id,
		seq: whole,
		mouldId: id,
		kind: text(24),
		at: day,
		body: makingEvent,
		receivedAt: day,
		clockOffMs,
		device
	}),
	containers: row({
		id,
		materialId: id,
		part: z.enum(['A', 'B', 'whole']),
		body: containerRecord,
		rateFactor: z.number().nullable(),
		emptied: z.union([z.literal(0), z.literal(1)]),
		...versioned
	}),
	shots: row({
		id,
		number: whole,
		masterId: id,
		resinId: id,
		inputs: shotInputs,
		result: keptShotResult,
		...versioned
	}),
	vessels: row({ id, kind: text(16), name: text(60), body: vesselRecord, ...versioned }),
	orders: row({
		id,
		number: whole,
		name: text(120),
		state: z.enum(ORDER_STATES),
		dueAt: day,
		body: orderRecord,
		...versioned
	}),
	work_hours: row({ id: whole, body: workshopHours, ...versioned }),
	plans: row({ id: whole, body: keptOrdersPlan, ...versioned }),
	pours: row({
		id,
		shotId: id.nullable(),
		/** Books of the version before cast for no order. */
		orderLineId: id.nullable().default(null),
		batchIndex: whole,
		status: z.enum(['open', 'finished', 'abandoned']),
		plan: pourPlan,
		combinedAt: day.nullable(),
		endedAt: day.nullable(),
		...stamps
	}),
	pour_events: row({
		id,
		seq: whole,
		pourId: id,
		kind: text(24),
		at: day,
		body: pourEvent,
		receivedAt: day,
		clockOffMs,
		device
	}),
	device_commands: row({ id, pourId: id, at: day, body: deviceCommand }),
	/** What was weighed, used, opened, thrown away and corrected of tins: lines that are only ever added. */
	stock_movements: row({
		id,
		seq: whole,
		containerId: id,
		kind: z.enum(MOVEMENT_KINDS),
		massG: z.number().nullable(),
		openings: whole,
		pourId: id.nullable(),
		placeSeq: whole.nullable(),
		at: day,
		receivedAt: day,
		note: text(500)
	}),
	pulls: row({
		id,
		pourId: id.nullable(),
		mouldId: id,
		masterName: text(120),
		resinName: text(120),
		copies: whole,
		grade: gradeId,
		combinedAt: day,
		body: pullBody,
		searchText: text(600),
		...stamps
	}),
	container_photos: row({ id, containerId: id, photoId: id, caption: text(200), ...stamps }),
	pull_photos: row({ id, pullId: id, photoId: id, caption: text(200), ...stamps }),
	pull_faults: row({ pullId: id, fault: faultId }),
	pull_corrections: row({ id, pullId: id, at: day, body: correctionBody, ...stamps }),
	pull_causes: row({ id, pullId: id, fault: faultId, cause: z.enum(CAUSE_IDS), ...stamps }),
	pot_cycles: row({ id, vesselId: id, pourId: id.nullable(), at: day, body: cycleBody, ...stamps }),
	vessel_inspections: row({
		id,
		vesselId: id,
		part: text(20),
		at: day,
		cycles: whole,
		ok: z.union([z.literal(0), z.literal(1)]),
		body: vesselInspectionBody,
		...stamps
	}),
	mould_inspections: row({
		id,
		mouldId: id,
		at: day,
		pulls: whole,
		body: mouldInspection,
		forecast: inspectionForecast.nullable(),
		photoId: id.nullable(),
		...stamps
	}),
	trials: row({ id, masterId: id, shotId: id.nullable(), at: day, body: trialRecord, ...stamps }),
	saved_views: row({ id, name: text(60), query: text(500), ...stamps })
} as const satisfies Record<BackupTable, z.ZodObject>;

/** The whole workshop as one file: every table by its name; pictures and 3D files stand beside it in a zip. */
export const backupSchema = z.strictObject({
	form: z.literal(BACKUP.form),
	version: z.literal(BACKUP.version),
	writtenAt: day,
	tables: z.strictObject(
		Object.fromEntries(BACKUP_TABLE_NAMES.map((name) => [name, z.array(BACKUP_TABLES[name])])) as unknown as {
			[T in BackupTable]: z.ZodArray<(typeof BACKUP_TABLES)[T]>;
		}
	)
});

/**
 * The published JSON Schema of the book.
 * @example
 * backupJsonSchema().type; // 'object'
 */
export function backupJsonSchema() {
	return z.toJSONSchema(backupSchema, { io: 'input', unrepresentable: 'any' });
}

export interface BackupProblem {
	where: string;
	message: string;
}

/** What is wrong with a row; a material by the record of its own kind, so that the field is named. */
function issueOf(name: BackupTable, raw: unknown): { path: PropertyKey[]; message: string } | undefined {
	if (name === 'materials') {
		const head = z.object({ kind: z.enum(MATERIAL_KINDS), body: z.unknown() }).safeParse(raw);
		const body = head.success ? MATERIAL_RECORDS[head.data.kind].safeParse(head.data.body) : undefined;
		const issue = body?.error?.issues[0];
		if (issue) return { path: ['body', ...issue.path], message: issue.message };
	}
	return BACKUP_TABLES[name].safeParse(raw).error?.issues[0];
}

/**
 * Checks a book that came in. @returns every problem up to `most`, with where it stands; none when it can be read
 * @example
 * checkBackup({ form: 'something else' }).length > 0; // true
 */
export function checkBackup(raw: unknown, most = 50): BackupProblem[] {
	const head = z
		.looseObject({ form: z.string(), version: z.number(), tables: z.looseObject({}) })
		.safeParse(raw);
	if (!head.success || head.data.form !== BACKUP.form)
		return [{ where: '', message: 'This is no workshop book: the file that this page writes is wanted.' }];
	if (head.data.version !== BACKUP.version)
		return [
			{
				where: 'version',
				message: `This book is of version ${head.data.version}; versions up to ${BACKUP.version} can be read.`
			}
		];
	const problems: BackupProblem[] = [];
	const tables = head.data.tables as Record<string, unknown>;
	for (const name of Object.keys(tables))
		if (!Object.hasOwn(BACKUP_TABLES, name))
			problems.push({ where: name, message: 'There is no such table.' });
	for (const name of BACKUP_TABLE_NAMES) {
		const rows = tables[name];
		if (!Array.isArray(rows)) {
			problems.push({ where: name, message: 'This table is missing.' });
			continue;
		}
		for (const [i, r] of rows.entries()) {
			if (problems.length >= most) return problems;
			const issue = issueOf(name, r);
			if (issue)
				problems.push({ where: `${name}, row ${i + 1}, ${issue.path.join('.')}`, message: issue.message });
		}
	}
	return problems;
}
