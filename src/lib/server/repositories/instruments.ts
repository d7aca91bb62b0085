import { createHash, randomBytes, randomUUID } from 'node:crypto';
import { QueryTypes } from 'sequelize';
import type { DeviceKind, DeviceReading, InstrumentInput, PostedReading } from '$lib/core/devices';
import { db } from '../db/connection';
import { note, type Actor } from '../people/audit';

/** Something that reads at the bench and tells it by HTTP, with a token that can do nothing else. */
interface Instrument {
	id: string;
	kind: DeviceKind;
	name: string;
	/** Its last reading, and when the server heard it. */
	value: number | null;
	second: number | null;
	readAt: Date | null;
}

interface Row extends Instrument {
	settled: number | null;
	tareG: number;
}

const hashOf = (token: string) => createHash('sha256').update(token).digest('hex');

/** Instruments that may speak, by kind and name. */
export async function listInstruments(): Promise<Instrument[]> {
	return db().query<Instrument>(
		'SELECT id, kind, name, value, second, readAt FROM instruments WHERE revokedAt IS NULL ORDER BY kind, name',
		{ type: QueryTypes.SELECT }
	);
}

/** Adds one; its token is shown once and kept only as a hash. */
export async function addInstrument(
	{ kind, name }: InstrumentInput,
	actor?: Actor
): Promise<{ id: string; token: string }> {
	const id = randomUUID();
	const token = randomBytes(24).toString('base64url');
	await db().query('INSERT INTO instruments (id, kind, name, tokenHash, createdAt) VALUES (?, ?, ?, ?, ?)', {
		replacements: [id, kind, name, hashOf(token), new Date()],
		type: QueryTypes.INSERT
	});
	await note(actor, 'instrument-added', name);
	return { id, token };
}

/** Its token is good for nothing from here on. */
export async function revokeInstrument(id: string, actor?: Actor): Promise<void> {
	await note(actor, 'instrument-revoked', id);
	await db().query('UPDATE instruments SET revokedAt = ? WHERE id = ? AND revokedAt IS NULL', {
		replacements: [new Date(), id],
		type: QueryTypes.UPDATE
	});
}

/** Whom a token belongs to; nothing when to none, or to one that was revoked. */
export async function instrumentOf(token: string): Promise<{ id: string; kind: DeviceKind } | undefined> {
	const [row] = await db().query<{ id: string; kind: DeviceKind }>(
		'SELECT id, kind FROM instruments WHERE tokenHash = ? AND revokedAt IS NULL',
		{ replacements: [hashOf(token)], type: QueryTypes.SELECT }
	);
	return row;
}

/** Keeps the newest reading; the moment is the server's, whatever clock the instrument has. */
export async function keepReading(id: string, { value, second, settled }: PostedReading): Promise<void> {
	await db().query('UPDATE instruments SET value = ?, second = ?, settled = ?, readAt = ? WHERE id = ?', {
		replacements: [value, second ?? null, settled === undefined ? null : Number(settled), new Date(), id],
		type: QueryTypes.UPDATE
	});
}

/** What every scale of the workshop shows now counts as nothing from here on. */
export async function zeroScales(): Promise<void> {
	await db().query("UPDATE instruments SET tareG = COALESCE(value, 0) WHERE kind = 'scale'", {
		type: QueryTypes.UPDATE
	});
}

/** The newest reading of each kind, a scale's less what it was zeroed with. */
export async function newestReadings(): Promise<DeviceReading[]> {
	const rows = await db().query<Row>(
		'SELECT * FROM instruments WHERE revokedAt IS NULL AND readAt IS NOT NULL ORDER BY readAt',
		{ type: QueryTypes.SELECT }
	);
	// the last that spoke stands for its kind
	const byKind = new Map(rows.map((r) => [r.kind, r]));
	return [...byKind.values()].map((r) => ({
		device: r.kind,
		atMs: new Date(r.readAt!).getTime(),
		value: Number(r.value) - (r.kind === 'scale' ? Number(r.tareG) : 0),
		instrument: r.name,
		...(r.second === null ? {} : { second: Number(r.second) }),
		...(r.settled === null ? {} : { settled: Boolean(r.settled) })
	}));
}
