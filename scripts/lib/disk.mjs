// The disk under a database: where it is, and a piece of it that is let go when there is no more.
import { closeSync, fsyncSync, openSync, rmSync, statfsSync, statSync, writeSync } from 'node:fs';
import { join } from 'node:path';
import { say } from './say.mjs';

const RESERVE_BYTES = 128 * 1024 * 1024;
/** Less than this and the reserve is let go; more than this and it is laid by again, bytes. */
const LET_GO_BELOW = 24e6;
const LAY_BY_ABOVE = 3 * RESERVE_BYTES;
const PIECE = Buffer.alloc(1024 * 1024, 1);

const freeIn = (folder) => {
	const { bavail, bsize } = statfsSync(folder);
	return bavail * bsize;
};

/** Keeps a reserve on the disk of a data folder: room enough to go on with when everything else is full. */
export function reserveOn(dir) {
	const file = join(dir, 'reserve');
	const laidBy = () => {
		try {
			return statSync(file).size > 0;
		} catch {
			return false;
		}
	};
	return {
		/** Lays it by where there is room for it. */
		layBy() {
			if (laidBy() || freeIn(dir) < LAY_BY_ABOVE) return;
			let handle;
			try {
				handle = openSync(file, 'w');
				for (let n = 0; n < RESERVE_BYTES; n += PIECE.length) writeSync(handle, PIECE);
				fsyncSync(handle);
			} catch {
				rmSync(file, { force: true });
			} finally {
				if (handle !== undefined) closeSync(handle);
			}
		},
		/** Whether next to nothing can be written. */
		full: () => freeIn(dir) < LET_GO_BELOW,
		/** Lets it go when the disk is full. @returns whether there is room again for that */
		letGo() {
			if (!laidBy() || freeIn(dir) >= LET_GO_BELOW) return false;
			rmSync(file, { force: true });
			say(
				`The disk of ${dir} is full. A reserve of ${RESERVE_BYTES / 1024 / 1024} MB was let go so that the bench can go on: free some space now.`
			);
			return true;
		}
	};
}

/** The folder of a database's files when it runs on this machine; nothing where that is not known. */
export async function dataFolderOf(databaseUrl) {
	if (process.env.ANTHYPOS_DATA) return process.env.ANTHYPOS_DATA;
	try {
		// of several nodes on several machines none is ours alone
		const { hostname } = new URL(databaseUrl);
		if (!['127.0.0.1', 'localhost', '[::1]'].includes(hostname)) return undefined;
		const { createConnection } = await import('mariadb');
		const connection = await createConnection(databaseUrl);
		const [{ folder }] = await connection.query('SELECT @@datadir AS folder').finally(() => connection.end());
		freeIn(folder);
		return folder;
	} catch {
		return undefined;
	}
}
