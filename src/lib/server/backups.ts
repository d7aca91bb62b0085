import { readdir, readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { z } from 'zod';
import { environment } from './environment';

/** What was noted of a backup once it was read back. */
const backupNote = z.object({
	file: z.string(),
	atMs: z.number(),
	sizeBytes: z.number().min(0),
	rows: z.number().int().min(0)
});
export type BackupNote = z.output<typeof backupNote>;

/** Last good backup older than this: the workshop says so, ms. */
export const STALE_MS = 2 * 86_400_000;

/** What backed up: the book each night, or the tables as they were before a newer version changed them. */
type Of = 'workshop' | 'before';

/** The good backups of this workshop, newest first; nothing where nobody backs it up by itself. */
export async function listBackups(
	of: Of = 'workshop',
	folder = environment().ANTHYPOS_BACKUPS
): Promise<BackupNote[] | undefined> {
	if (!folder) return undefined;
	// the folder comes with the first backup
	const names = await readdir(folder).catch(() => []);
	const notes = await Promise.all(
		names
			.filter((n) => n.startsWith(`${of}-`) && n.endsWith('.json'))
			.map(async (n) => {
				try {
					return [backupNote.parse(JSON.parse(await readFile(join(folder, n), 'utf8')))];
				} catch {
					return [];
				}
			})
	);
	return notes.flat().sort((a, b) => b.atMs - a.atMs);
}
