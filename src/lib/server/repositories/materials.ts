import { randomUUID } from 'node:crypto';
import type { Transaction } from 'sequelize';
import {
	fillerRecord,
	resinRecord,
	rubberRecord,
	type FillerRecord,
	type ResinRecord,
	type RubberRecord
} from '$lib/core/shelf';
import { plain, tables, type MaterialRow } from '../db/models';
import { NotFoundError } from '../errors';
import { updateVersioned } from './versioned';

export interface Resin {
	id: string;
	version: number;
	record: ResinRecord;
}
export interface Rubber {
	id: string;
	version: number;
	record: RubberRecord;
}

export interface StockedFiller {
	id: string;
	version: number;
	record: FillerRecord;
}

async function list(kind: MaterialRow['kind']): Promise<MaterialRow[]> {
	const rows = await tables.materials().findAll({ where: { kind }, order: [['name', 'ASC']] });
	return rows.map(plain);
}

async function one(kind: MaterialRow['kind'], id: string): Promise<MaterialRow> {
	const row = await tables.materials().findOne({ where: { id, kind } });
	if (!row) throw new NotFoundError(kind);
	return plain(row);
}

export async function listResins(): Promise<Resin[]> {
	return (await list('resin')).map(({ id, version, body }) => ({ id, version, record: body as ResinRecord }));
}

export async function listRubbers(): Promise<Rubber[]> {
	return (await list('rubber')).map(({ id, version, body }) => ({
		id,
		version,
		record: body as RubberRecord
	}));
}

export async function getResin(id: string): Promise<Resin> {
	const { version, body } = await one('resin', id);
	return { id, version, record: resinRecord.parse(body) };
}

export async function getRubber(id: string): Promise<Rubber> {
	const { version, body } = await one('rubber', id);
	return { id, version, record: rubberRecord.parse(body) };
}

export async function listFillers(): Promise<StockedFiller[]> {
	return (await list('filler')).map(({ id, version, body }) => ({
		id,
		version,
		record: body as FillerRecord
	}));
}

export async function getFiller(id: string): Promise<StockedFiller> {
	const { version, body } = await one('filler', id);
	return { id, version, record: fillerRecord.parse(body) };
}

/** Adds a material or changes one; without an id it is new. Returns its id. */
export async function saveMaterial(
	kind: MaterialRow['kind'],
	record: ResinRecord | RubberRecord | FillerRecord,
	existing?: { id: string; version: number },
	transaction?: Transaction
): Promise<string> {
	if (existing) {
		await updateVersioned(
			tables.materials(),
			kind,
			existing.id,
			existing.version,
			{ name: record.name, body: record },
			transaction
		);
		return existing.id;
	}
	const id = randomUUID();
	await tables
		.materials()
		.create({ id, kind, name: record.name, body: record, version: 1 }, transaction ? { transaction } : {});
	return id;
}
