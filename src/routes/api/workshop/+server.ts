import { json, type RequestHandler } from '@sveltejs/kit';
import { unzip, type Unzipped } from 'fflate';
import { ForeignKeyConstraintError, UniqueConstraintError } from 'sequelize';
import { checkBackup, upgradeBackup, type BackupTable } from '$lib/core/openData';
import { drain } from '$lib/server/body';
import { answerFor } from '$lib/server/errors';
import { readBackup, withoutFiles } from '$lib/server/repositories/backup';

const MOST_BYTES = 250 * 1024 * 1024;
/** What a packed book may grow to: past it a small file fills the memory. */
const MOST_UNPACKED = 1024 * 1024 * 1024;

const refuse = (status: number, message: string, problems: { where: string; message: string }[] = []) =>
	json(
		{ errors: [{ path: '', message }, ...problems.map((p) => ({ path: p.where, message: p.message }))] },
		{ status }
	);

function unpack(bytes: Uint8Array): Promise<Unzipped> {
	let size = 0;
	return new Promise((resolve, reject) =>
		unzip(
			bytes,
			{
				filter: (f) => {
					size += f.originalSize;
					return size <= MOST_UNPACKED && /^(workshop\.json|(photos|meshes)\/[0-9a-f]{64})$/.test(f.name);
				}
			},
			(error, files) => {
				if (error) reject(error);
				else if (size > MOST_UNPACKED) reject(new Error('too large'));
				else resolve(files);
			}
		)
	);
}

/** A book in: the zip or the JSON that this workshop writes, into an empty one; all of it, or nothing. */
export const POST: RequestHandler = async ({ request }) => {
	if (Number(request.headers.get('content-length') ?? 0) > MOST_BYTES) {
		await drain(request.body);
		return refuse(413, 'That book is over 250 MB.');
	}
	const bytes = new Uint8Array(await request.arrayBuffer());
	if (bytes.length === 0)
		return refuse(
			422,
			'Nothing came: send the file as the body, with content-type application/octet-stream.'
		);
	const packed = bytes[0] === 0x50 && bytes[1] === 0x4b;
	let files: Unzipped = {};
	let text: string;
	try {
		if (packed) {
			files = await unpack(bytes);
			if (!files['workshop.json']) return refuse(422, 'There is no workshop.json in this zip.');
			text = new TextDecoder('utf-8', { fatal: true }).decode(files['workshop.json']);
		} else text = new TextDecoder('utf-8', { fatal: true }).decode(bytes);
	} catch {
		return refuse(422, 'This file cannot be read: it is damaged, or no book of a workshop.');
	}
	let book: unknown;
	try {
		book = upgradeBackup(JSON.parse(text));
	} catch {
		return refuse(422, 'This is no JSON: it is damaged or cut off.');
	}
	const problems = checkBackup(book);
	if (problems.length > 0) return refuse(422, `Nothing was read: ${problems[0]!.message}`, problems);
	try {
		const { tables } = book as { tables: Record<BackupTable, Record<string, unknown>[]> };
		if (packed) return json({ rows: await readBackup(tables, files) });
		const bare = withoutFiles(tables);
		const rows = await readBackup(bare.tables, {});
		if (bare.photos + bare.meshes === 0) return json({ rows });
		return json({
			rows,
			without: `Without its ${bare.photos} pictures and ${bare.meshes} 3D files, which only the zip holds.`
		});
	} catch (error) {
		const answer = answerFor(error);
		if (answer) return refuse(answer.status, answer.errors[0]!.message);
		if (error instanceof ForeignKeyConstraintError)
			return refuse(422, 'Nothing was read: a row of it points to a row that it does not hold.');
		if (error instanceof UniqueConstraintError)
			return refuse(422, 'Nothing was read: two rows of it have the same id or number.');
		throw error;
	}
};
