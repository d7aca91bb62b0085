import { randomUUID } from 'node:crypto';
import type { Transaction } from 'sequelize';
import { masterRecord, masterVolumeMl, type MasterRecord } from '$lib/core/master';
import { RowCache, stampOf } from '../db/rowCache';
import { plain, tables, type MasterRow } from '../db/models';
import { NotFoundError } from '../errors';
import { updateVersioned } from './versioned';

export interface Master {
	id: string;
	version: number;
	record: MasterRecord;
	volumeMl: number;
	photoId: string | null;
	createdAt: Date;
}

const records = new RowCache<MasterRecord>();

function toMaster(row: MasterRow): Master {
	const { id, version, body, volumeMl, photoId, createdAt } = row;
	const record = records.get(id, stampOf(row), () => masterRecord.parse(body));
	return { id, version, record, volumeMl, photoId, createdAt };
}

export async function listMasters(): Promise<Master[]> {
	const rows = await tables.masters().findAll({ order: [['name', 'ASC']] });
	return rows.map((row) => toMaster(plain(row)));
}

export async function getMaster(id: string): Promise<Master> {
	const row = await tables.masters().findByPk(id);
	if (!row) throw new NotFoundError('master');
	return toMaster(plain(row));
}

/** Adds a master or changes one. The volume is worked out here, whatever the browser showed. */
export async function saveMaster(
	record: MasterRecord,
	photoId: string | null,
	existing?: { id: string; version: number },
	transaction?: Transaction,
	id: string = randomUUID()
): Promise<string> {
	const volumeMl = masterVolumeMl(record);
	const change = { name: record.name, body: record, volumeMl, photoId };
	if (existing) {
		await updateVersioned(tables.masters(), 'master', existing.id, existing.version, change, transaction);
		return existing.id;
	}
	await tables.masters().create({ id, ...change, version: 1 }, transaction ? { transaction } : {});
	return id;
}
