import { createHash, randomUUID } from 'node:crypto';
import type { Transaction } from 'sequelize';
import type { PictureType } from '$lib/core/openData';
import { plain, tables } from '../db/models';
import { RefusedError } from '../errors';

export const MAX_PHOTO_BYTES = 8 * 1024 * 1024;

const SIGNATURES: readonly { mime: PictureType; test: (b: Buffer) => boolean }[] = [
	{ mime: 'image/jpeg', test: (b) => b[0] === 0xff && b[1] === 0xd8 && b[2] === 0xff },
	{ mime: 'image/png', test: (b) => b.subarray(0, 8).equals(Buffer.from('89504e470d0a1a0a', 'hex')) },
	{
		mime: 'image/webp',
		test: (b) => b.toString('latin1', 0, 4) === 'RIFF' && b.toString('latin1', 8, 12) === 'WEBP'
	}
];

/** What picture it is by its first bytes; nothing for anything else. */
export const pictureTypeOf = (bytes: Buffer): PictureType | undefined =>
	SIGNATURES.find((s) => s.test(bytes))?.mime;

/** Keeps a photo once by its content. What it is, is read off its first bytes, never off its name. */
export async function savePhoto(bytes: Buffer, transaction?: Transaction): Promise<string> {
	if (bytes.length > MAX_PHOTO_BYTES) {
		throw new RefusedError(`The photo has ${(bytes.length / 1048576).toFixed(1)} MB: at most 8 MB.`, 'photo');
	}
	const mime = pictureTypeOf(bytes);
	if (!mime) throw new RefusedError('This file is not a JPEG, PNG or WebP picture.', 'photo');
	const sha256 = createHash('sha256').update(bytes).digest('hex');
	const [row] = await tables.photos().findOrCreate({
		where: { sha256 },
		defaults: { id: randomUUID(), sha256, mime, sizeBytes: bytes.length, bytes },
		...(transaction ? { transaction } : {})
	});
	return plain(row).id;
}

export async function readPhoto(
	id: string
): Promise<{ mime: string; bytes: Buffer; sha256: string } | undefined> {
	const row = await tables.photos().findByPk(id);
	return row ? plain(row) : undefined;
}
