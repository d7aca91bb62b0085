import { createHash, randomUUID } from 'node:crypto';
import { QueryTypes } from 'sequelize';
import { formatOf, MESH_LIMITS } from '$lib/core/mesh';
import { db, inTransaction } from '../db/connection';
import { NotFoundError, RefusedError } from '../errors';
import { note, type Actor } from '../people/audit';

/** Size of a piece in the database: well under the largest packet that MariaDB takes by default, bytes. */
const CHUNK_BYTES = 1024 * 1024;

interface KeptMesh {
	sha256: string;
	fileName: string;
	sizeBytes: number;
}
type Row = KeptMesh & { uploadId: string; chunks: number };

async function find(sha256: string): Promise<Row | undefined> {
	const [row] = await db().query<Row>('SELECT * FROM meshes WHERE sha256 = ?', {
		type: QueryTypes.SELECT,
		replacements: [sha256]
	});
	return row && { ...row, sizeBytes: Number(row.sizeBytes) };
}

/** Joins what comes in odd sizes to pieces of one size. */
async function* inChunks(body: AsyncIterable<Uint8Array>): AsyncGenerator<Buffer> {
	let waiting: Uint8Array[] = [];
	let size = 0;
	for await (const part of body) {
		waiting.push(part);
		size += part.byteLength;
		if (size < CHUNK_BYTES) continue;
		const whole = Buffer.concat(waiting);
		let at = 0;
		for (; at + CHUNK_BYTES <= whole.length; at += CHUNK_BYTES) yield whole.subarray(at, at + CHUNK_BYTES);
		waiting = [whole.subarray(at)];
		size = whole.length - at;
	}
	if (size > 0) yield Buffer.concat(waiting);
}

/**
 * Keeps a 3D file as it streams in, once by its content. The row in `meshes` is written last: a broken
 * upload leaves pieces that nothing names, and the next upload sweeps them away.
 * @throws RefusedError when it is too large, empty or no 3D file
 */
export async function saveMesh(
	fileName: string,
	body: AsyncIterable<Uint8Array>,
	actor?: Actor
): Promise<KeptMesh> {
	await sweep();
	const uploadId = randomUUID();
	const hash = createHash('sha256');
	let sizeBytes = 0;
	let n = 0;
	// a line that broke after the row was written leaves it: what names the pieces keeps them
	const forget = () =>
		db().query(
			'DELETE FROM mesh_chunks WHERE uploadId = ? AND uploadId NOT IN (SELECT uploadId FROM meshes)',
			{
				replacements: [uploadId]
			}
		);
	try {
		for await (const chunk of inChunks(body)) {
			sizeBytes += chunk.length;
			if (sizeBytes > MESH_LIMITS.bytes)
				throw new RefusedError(`At most ${MESH_LIMITS.bytes / 1024 ** 2} MB are taken.`, 'file', 413);
			if (n === 0 && !formatOf(chunk, fileName))
				throw new RefusedError(
					'This is no STL, OBJ, PLY or 3MF: export the piece as one of these.',
					'file',
					422
				);
			hash.update(chunk);
			await db().query('INSERT INTO mesh_chunks (uploadId, n, bytes, createdAt) VALUES (?, ?, ?, ?)', {
				replacements: [uploadId, n++, chunk, new Date()],
				type: QueryTypes.INSERT,
				logging: false
			});
		}
		if (n === 0) throw new RefusedError('This file is empty.', 'file', 422);
		const sha256 = hash.digest('hex');
		await inTransaction(async (transaction) => {
			const [, made] = await db().query(
				'INSERT IGNORE INTO meshes (sha256, uploadId, fileName, sizeBytes, chunks, createdAt) VALUES (?, ?, ?, ?, ?, ?)',
				{
					replacements: [sha256, uploadId, fileName.slice(0, 200), sizeBytes, n, new Date()],
					type: QueryTypes.INSERT,
					transaction
				}
			);
			if (made) await note(actor, 'file-kept', fileName, transaction);
		});
		const kept = (await find(sha256))!;
		if (kept.uploadId !== uploadId) await forget();
		return { sha256, fileName: kept.fileName, sizeBytes: kept.sizeBytes };
	} catch (failure) {
		await forget().catch(() => undefined);
		throw failure;
	}
}

/** Pieces of uploads that broke off more than a day ago. */
async function sweep(): Promise<void> {
	await db().query(
		'DELETE FROM mesh_chunks WHERE createdAt < ? AND uploadId NOT IN (SELECT uploadId FROM meshes)',
		{ replacements: [new Date(Date.now() - 86_400_000)] }
	);
}

async function chunk(uploadId: string, n: number): Promise<Buffer> {
	const [row] = await db().query<{ bytes: Buffer }>(
		'SELECT bytes FROM mesh_chunks WHERE uploadId = ? AND n = ?',
		{ type: QueryTypes.SELECT, replacements: [uploadId, n] }
	);
	if (!row) throw new NotFoundError('piece of the 3D file');
	return row.bytes;
}

/** A kept file as a stream of its pieces. @throws NotFoundError */
export async function streamMesh(
	sha256: string
): Promise<{ mesh: KeptMesh; body: ReadableStream<Uint8Array> }> {
	const row = await find(sha256);
	if (!row) throw new NotFoundError('3D file');
	let n = 0;
	const body = new ReadableStream<Uint8Array>({
		async pull(controller) {
			if (n === row.chunks) return controller.close();
			controller.enqueue(new Uint8Array(await chunk(row.uploadId, n++)));
		}
	});
	return { mesh: row, body };
}

/** A kept file in one piece. @throws NotFoundError */
export async function readMesh(sha256: string): Promise<{ mesh: KeptMesh; bytes: Uint8Array }> {
	const row = await find(sha256);
	if (!row) throw new NotFoundError('3D file');
	const bytes = new Uint8Array(row.sizeBytes);
	let at = 0;
	for (let n = 0; n < row.chunks; n++) {
		const part = await chunk(row.uploadId, n);
		bytes.set(part, at);
		at += part.length;
	}
	return { mesh: row, bytes };
}
