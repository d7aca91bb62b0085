import { createHash, randomUUID } from 'node:crypto';
import type { Transaction } from 'sequelize';
import { inTransaction } from '../db/connection';
import { plain, tables } from '../db/models';
import { RefusedError } from '../errors';
import { note, type Actor } from '../people/audit';
import { pictureTypeOf } from '../pictureTypes';

export const MAX_PHOTO_BYTES = 8 * 1024 * 1024;

/** Keeps a photo once by its content. What it is, is read off its first bytes, never off its name. */
export async function savePhoto(bytes: Buffer, transaction?: Transaction, actor?: Actor): Promise<string> {
	if (bytes.length > MAX_PHOTO_BYTES) {
		throw new RefusedError(`The photo has ${(bytes.length / 1048576).toFixed(1)} MB: at most 8 MB.`, 'photo');
	}
	const mime = pictureTypeOf(bytes);
	if (!mime) throw new RefusedError('This file is not a JPEG, PNG or WebP picture.', 'photo');
	const sha256 = createHash('sha256').update(bytes).digest('hex');
	const keep = async (transaction: Transaction) => {
		const [row, made] = await tables.photos().findOrCreate({
			where: { sha256 },
			defaults: { id: randomUUID(), sha256, mime, sizeBytes: bytes.length, bytes },
			transaction
		});
		if (made) await note(actor, 'file-kept', mime, transaction);
		return plain(row).id;
	};
	return transaction ? keep(transaction) : inTransaction(keep);
}

/** Of the ids of photos those that are here: a book that was read in without its pictures has none of them. */
export async function photosHere(ids: readonly string[]): Promise<string[]> {
	if (ids.length === 0) return [];
	const rows = await tables.photos().findAll({ attributes: ['id'], where: { id: [...ids] } });
	const here = new Set(rows.map((row) => plain(row).id));
	return ids.filter((id) => here.has(id));
}

export async function readPhoto(
	id: string
): Promise<{ mime: string; bytes: Buffer; sha256: string } | undefined> {
	const row = await tables.photos().findByPk(id);
	return row ? plain(row) : undefined;
}
