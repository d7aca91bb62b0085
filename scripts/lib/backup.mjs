// A backup is a book that was read back: into a scratch database, and every table compared.
import {
	createWriteStream,
	mkdirSync,
	readdirSync,
	readFileSync,
	renameSync,
	rmSync,
	writeFileSync
} from 'node:fs';
import { open } from 'node:fs/promises';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { startDatabase } from './mariadb.mjs';
import { stateDir } from './paths.mjs';
import { freePort } from './ports.mjs';
import { Stop } from './say.mjs';
import { generationsToKeep } from './generations.mjs';
import { startWeb } from './web.mjs';

/** Where backups go: beside the databases, so that emptying a workshop leaves them. */
export const backupsOf = (name) => process.env.ANTHYPOS_BACKUPS ?? join(stateDir, 'backups', name);

/** The good backups of a folder, newest first, by what was noted when each was checked. */
export function listBackups(folder) {
	let names;
	try {
		names = readdirSync(folder);
	} catch {
		return [];
	}
	return names
		.filter((n) => /^workshop-[\dTZ-]+\.json$/.test(n))
		.flatMap((n) => {
			try {
				return [JSON.parse(readFileSync(join(folder, n), 'utf8'))];
			} catch {
				return [];
			}
		})
		.filter((b) => Number.isFinite(b.atMs) && typeof b.file === 'string')
		.sort((a, b) => b.atMs - a.atMs);
}

async function download(url, file, ownToken) {
	const answer = await fetch(url, ownToken ? { headers: { authorization: `Bearer ${ownToken}` } } : {});
	if (!answer.ok)
		throw new Stop(`The workshop’s book could not be written: the server answered ${answer.status}.`);
	await pipeline(Readable.fromWeb(answer.body), createWriteStream(file));
	// it is on the disk, not only on its way there
	const handle = await open(file, 'r');
	await handle.sync();
	await handle.close();
}

/** A book without the moment at which it was written: two of one workshop are the same to the letter. */
const withoutMoment = (text) => text.replace(/"writtenAt":"[^"]*"/, '');

/**
 * Reads a book into a scratch database and compares what comes out of it, table by table, with what went in.
 * @returns {Promise<number>} rows
 */
async function restored(file) {
	const bytes = readFileSync(file);
	const { unzipSync } = await import('fflate');
	const inside = unzipSync(bytes, { filter: (f) => f.name === 'workshop.json' })['workshop.json'];
	if (!inside) throw new Stop('The backup holds no book: it is not kept.');
	const scratch = join(stateDir, `scratch-${process.pid}`);
	const database = await startDatabase(scratch);
	let web;
	try {
		web = await startWeb({ databaseUrl: database.url, port: await freePort(), quiet: true });
		const answer = await fetch(`${web.url}/api/workshop`, {
			method: 'POST',
			headers: { 'content-type': 'application/octet-stream' },
			body: bytes
		});
		const told = await answer.json();
		if (!answer.ok)
			throw new Stop(`The backup cannot be read back: ${told.errors?.[0]?.message ?? answer.status}`);
		const again = await (await fetch(`${web.url}/workshop/book.json`)).text();
		if (withoutMoment(again) !== withoutMoment(new TextDecoder().decode(inside)))
			throw new Stop('The backup was read back and is not what was written: it is not kept.');
		return told.rows;
	} finally {
		await web?.stop();
		await database.stop();
		rmSync(scratch, { recursive: true, force: true });
	}
}

/**
 * Writes the book of a running workshop into the folder, reads it back, and lets go of generations that are over.
 * Nothing that fails stays there, and nothing good is deleted for it.
 * @returns {Promise<{ file: string, atMs: number, sizeBytes: number, rows: number }>}
 */
export async function backUp(webUrl, folder, now = new Date(), ownToken = '') {
	mkdirSync(folder, { recursive: true });
	const name = `workshop-${now.toISOString().slice(0, 19).replaceAll(':', '-')}Z`;
	const part = join(folder, `${name}.part`);
	try {
		await download(`${webUrl}/workshop/book.zip`, part, ownToken);
		const rows = await restored(part);
		const sizeBytes = readFileSync(part).length;
		const made = { file: `${name}.zip`, atMs: now.getTime(), sizeBytes, rows };
		renameSync(part, join(folder, made.file));
		writeFileSync(join(folder, `${name}.json`), `${JSON.stringify(made)}\n`);
		const all = listBackups(folder);
		const kept = generationsToKeep(all.map((b) => b.atMs));
		for (const old of all.filter((b) => !kept.has(b.atMs))) {
			rmSync(join(folder, old.file), { force: true });
			rmSync(join(folder, old.file.replace(/zip$/, 'json')), { force: true });
		}
		return made;
	} finally {
		rmSync(part, { force: true });
	}
}
