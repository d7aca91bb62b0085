import { randomUUID } from 'node:crypto';
import type { z } from 'zod';
import { MATERIAL_RECORDS } from '$lib/core/openData';
import { RowCache, stampOf } from '../db/rowCache';
import { plain, tables, type MaterialKind, type MaterialRecords, type MaterialRow } from '../db/models';
import { makeOnce } from '../db/makeOnce';
import { NotFoundError } from '../errors';
import { noted, type Keeping } from './keeping';
import { updateVersioned } from './versioned';

/** A material of the shelf with its record. */
export interface Kept<K extends MaterialKind> {
	id: string;
	version: number;
	record: MaterialRecords[K];
}
export type Resin = Kept<'resin'>;
export type Rubber = Kept<'rubber'>;

/** The schema of each kind: what is read from the database is checked by it, and gets newer defaults. */
export const MATERIAL_SCHEMAS: { [K in MaterialKind]: z.ZodType<MaterialRecords[K]> } = MATERIAL_RECORDS;

const records = new RowCache<MaterialRecords[MaterialKind]>();

function toKept<K extends MaterialKind>(kind: K, row: MaterialRow): Kept<K> {
	const { id, version, body } = row;
	const record = records.get(id, stampOf(row), () => MATERIAL_SCHEMAS[kind].parse(body));
	return { id, version, record: record as MaterialRecords[K] };
}

export async function listMaterials<K extends MaterialKind>(kind: K): Promise<Kept<K>[]> {
	const rows = await tables.materials().findAll({ where: { kind }, order: [['name', 'ASC']] });
	return rows.map((row) => toKept(kind, plain(row)));
}

/** @throws NotFoundError when there is none of this kind under the id. */
export async function getMaterial<K extends MaterialKind>(kind: K, id: string): Promise<Kept<K>> {
	const row = await tables.materials().findOne({ where: { id, kind } });
	if (!row) throw new NotFoundError(kind);
	return toKept(kind, plain(row));
}

export const listResins = () => listMaterials('resin');
export const listRubbers = () => listMaterials('rubber');
export const listFillers = () => listMaterials('filler');
export const getResin = (id: string) => getMaterial('resin', id);
export const getRubber = (id: string) => getMaterial('rubber', id);
export const getFiller = (id: string) => getMaterial('filler', id);

/** Adds a material or changes one. Returns its id. */
export async function saveMaterial<K extends MaterialKind>(
	kind: K,
	record: MaterialRecords[K],
	{ id = randomUUID(), version, ...by }: Keeping = {}
): Promise<string> {
	const values = { name: record.name, body: record };
	return makeOnce(id, () =>
		noted(by, ['material-kept', record.name], async (transaction) => {
			if (version !== undefined)
				return updateVersioned(tables.materials(), kind, id, version, values, transaction);
			await tables.materials().create({ id, kind, ...values, version: 1 }, { transaction });
		})
	);
}
