import { masterOutline, type PieceOutline } from '$lib/core/mould';
import { getMaster, listMasters, type Master } from './repositories/masters';
import { getShot } from './repositories/shots';

/** What a piece looks like, small enough for a list of hundreds. */
export interface Face {
	photoId: string | null;
	outline: PieceOutline;
}

export const faceOf = (master: Pick<Master, 'record' | 'photoId'>): Face => ({
	photoId: master.photoId,
	outline: masterOutline(master.record)
});

/** Every piece of the books by its id. */
export async function allFaces(): Promise<Record<string, Face>> {
	return Object.fromEntries((await listMasters()).map((m) => [m.id, faceOf(m)]));
}

/** The outline of what a shot casts: drawn, so that it stands on the bench without a network too. */
export async function outlineOfShot(shotId: string): Promise<PieceOutline> {
	const { masterId } = await getShot(shotId);
	return masterOutline((await getMaster(masterId)).record);
}
