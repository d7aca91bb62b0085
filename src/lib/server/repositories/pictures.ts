import { randomUUID } from 'node:crypto';
import { QueryTypes, type Transaction } from 'sequelize';
import type { Graded } from '$lib/core/bench';
import { FAULT_WORDS } from '$lib/core/faults';
import { db, inTransaction } from '../db/connection';
import { NotFoundError, RefusedError } from '../errors';
import { note, type Actor } from '../people/audit';
import { noted } from './keeping';
import { savePhoto } from './photos';

/** A picture of a mould, a pull or a tin. */
export interface Picture {
	id: string;
	photoId: string;
	caption: string;
	addedAt: Date;
}

/** What pictures are kept with, and where. */
const OF = {
	mould: { table: 'mould_photos', column: 'mouldId', owner: 'moulds' },
	pull: { table: 'pull_photos', column: 'pullId', owner: 'pulls' },
	container: { table: 'container_photos', column: 'containerId', owner: 'containers' }
} as const;
export type Pictured = keyof typeof OF;

/** Most pictures of one thing. */
const MOST = 60;

export async function listPictures(of: Pictured, ownerId: string): Promise<Picture[]> {
	const { table, column } = OF[of];
	const rows = await db().query<{ id: string; photoId: string; caption: string; createdAt: Date }>(
		`SELECT id, photoId, caption, createdAt FROM ${table} WHERE ${column} = :ownerId ORDER BY createdAt, id`,
		{ type: QueryTypes.SELECT, replacements: { ownerId } }
	);
	return rows.map(({ id, photoId, caption, createdAt }) => ({
		id,
		photoId,
		caption,
		addedAt: new Date(createdAt)
	}));
}

/** Keeps a picture with its owner. @throws NotFoundError, and RefusedError for no picture, or one too many */
export async function addPicture(
	of: Pictured,
	ownerId: string,
	bytes: Buffer,
	caption: string,
	actor?: Actor
): Promise<void> {
	const { table, column, owner } = OF[of];
	await inTransaction(async (transaction) => {
		const [there] = await db().query<{ id: string }>(`SELECT id FROM ${owner} WHERE id = :ownerId`, {
			type: QueryTypes.SELECT,
			replacements: { ownerId },
			transaction
		});
		if (!there) throw new NotFoundError(of);
		const photoId = await savePhoto(bytes, transaction);
		const [count] = await db().query<{ n: number }>(
			`SELECT COUNT(*) AS n FROM ${table} WHERE ${column} = :ownerId`,
			{ type: QueryTypes.SELECT, replacements: { ownerId }, transaction }
		);
		if (Number(count?.n) >= MOST) throw new RefusedError(`At most ${MOST} pictures of one ${of}.`, 'photo');
		const now = new Date();
		await db().query(
			`INSERT INTO ${table} (id, ${column}, photoId, caption, createdAt, updatedAt) VALUES (?, ?, ?, ?, ?, ?)`,
			{
				type: QueryTypes.INSERT,
				replacements: [randomUUID(), ownerId, photoId, caption.trim().slice(0, 120), now, now],
				transaction
			}
		);
		await note(actor, 'picture-kept', `${of}, ${caption.trim() || ownerId}`, transaction);
	});
}

/** What a picture of a graded cast shows, in words: its fault and where that is. */
function captionOf(fault: NonNullable<Graded['pictures']>[number]['fault'], graded: Graded): string {
	if (!fault) return '';
	const place = graded.findings?.places?.[fault];
	return `${FAULT_WORDS[fault]}${place ? `: ${place}` : ''}`.slice(0, 120);
}

/** The pictures that were taken while a cast was graded stand with its pull, each once however often it is graded. */
export async function keepCastPictures(
	pullId: string,
	graded: Graded | undefined,
	transaction: Transaction
): Promise<void> {
	for (const { photoId, fault } of graded?.pictures ?? []) {
		await db().query(
			`INSERT INTO pull_photos (id, pullId, photoId, caption, createdAt, updatedAt)
			SELECT :id, :pullId, p.id, :caption, :now, :now FROM photos p WHERE p.id = :photoId AND NOT EXISTS
				(SELECT 1 FROM pull_photos WHERE pullId = :pullId AND photoId = :photoId)`,
			{
				type: QueryTypes.INSERT,
				replacements: {
					id: randomUUID(),
					pullId,
					photoId,
					caption: captionOf(fault, graded!),
					now: new Date()
				},
				transaction
			}
		);
	}
}

/** Takes a picture off; the picture itself stays in the store. */
export async function removePicture(of: Pictured, ownerId: string, id: string, actor?: Actor): Promise<void> {
	const { table, column } = OF[of];
	await noted({ actor }, ['picture-removed', `${of}, ${ownerId}`], (transaction) =>
		db().query(`DELETE FROM ${table} WHERE id = :id AND ${column} = :ownerId`, {
			type: QueryTypes.DELETE,
			replacements: { id, ownerId },
			transaction
		})
	);
}

/** The newest picture of each of them, by its id. */
export async function newestPictures(of: Pictured): Promise<Record<string, string>> {
	const { table, column } = OF[of];
	const rows = await db().query<{ ownerId: string; photoId: string }>(
		`SELECT ${column} AS ownerId, photoId FROM ${table} ORDER BY createdAt, id`,
		{ type: QueryTypes.SELECT }
	);
	return Object.fromEntries(rows.map((r) => [r.ownerId, r.photoId]));
}
