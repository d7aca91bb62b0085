import { randomUUID } from 'node:crypto';
import type { Transaction } from 'sequelize';
import { masterRecord, masterVolumeMl, UNMEASURED, type MasterRecord } from '$lib/core/master';
import { RowCache, stampOf } from '../db/rowCache';
import { plain, tables, type MasterRow } from '../db/models';
import { makeOnce } from '../db/makeOnce';
import { NotFoundError, RefusedError } from '../errors';
import { noted, type Keeping } from './keeping';
import { updateVersioned } from './versioned';

export interface Master {
	id: string;
	version: number;
	record: MasterRecord;
	/** Nothing while it is not known. */
	volumeMl: number | null;
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

/**
 * A master of which a shot can be sized.
 * @throws NotFoundError
 * @throws RefusedError while its volume is not known
 */
export async function measuredMaster(id: string): Promise<Master & { volumeMl: number }> {
	const master = await getMaster(id);
	const { volumeMl } = master;
	if (volumeMl === null) throw new RefusedError(UNMEASURED, 'masterId');
	return { ...master, volumeMl };
}

/** The water that a mould took at its first look is the volume of a master that nobody measured. */
export async function measureByWater(
	id: string,
	water: { volumeMl: number; mould: string; on: string },
	transaction: Transaction
): Promise<void> {
	const row = await tables.masters().findByPk(id, { transaction, lock: transaction.LOCK.UPDATE });
	if (!row) return;
	const { record, version, photoId } = toMaster(plain(row));
	if (record.readings.length > 0) return;
	const reading = {
		method: 'typed',
		volumeMl: water.volumeMl,
		on: water.on,
		remark: `water in ${water.mould} at its first look`
	} as const;
	const measured = masterRecord.safeParse({ ...record, readings: [reading], used: 0 });
	// more water than the outer sizes hold is said on the mould's page, and measures nothing
	if (measured.success) await saveMaster(measured.data, photoId, { id, version, transaction });
}

/** Adds a master or changes one. The volume is worked out here, whatever the browser showed. */
export async function saveMaster(
	record: MasterRecord,
	photoId: string | null,
	{ id = randomUUID(), version, ...by }: Keeping = {}
): Promise<string> {
	const volumeMl = masterVolumeMl(record) ?? null;
	const change = { name: record.name, body: record, volumeMl, photoId };
	return makeOnce(id, () =>
		noted(by, ['master-kept', record.name], async (transaction) => {
			if (version !== undefined)
				return updateVersioned(tables.masters(), 'master', id, version, change, transaction);
			await tables.masters().create({ id, ...change, version: 1 }, { transaction });
		})
	);
}
