// npm run restore -- FILE: reads a book (zip or JSON), or what was kept before a change of version (sql.gz), into the
// empty workshop of `npm run workshop`.
import { readFileSync, statSync } from 'node:fs';
import { ensureBuild } from './lib/build.mjs';
import { startDatabase } from './lib/mariadb.mjs';
import { bringBack } from './lib/dump.mjs';
import { ensureNodePackages } from './lib/packages.mjs';
import { freePort } from './lib/ports.mjs';
import { main, say, Stop } from './lib/say.mjs';
import { WORKSHOPS } from './lib/serve.mjs';
import { startWeb } from './lib/web.mjs';

const MOST_BYTES = 250 * 1024 * 1024;

/** A dump is compressed by itself; a book is a zip or plain. */
const isGzip = (bytes) => bytes[0] === 0x1f && bytes[1] === 0x8b;

/** The book's bytes. */
function backupIn(file) {
	if (!file) throw new Stop('Say which book: npm run restore -- workshop.zip');
	let bytes;
	try {
		if (statSync(file).size > MOST_BYTES)
			throw new Stop(`${file} is over 250 MB: that is no book of a workshop.`);
		bytes = readFileSync(file);
	} catch (error) {
		if (error instanceof Stop) throw error;
		throw new Stop(
			`${file} cannot be read: ${error.code === 'ENOENT' ? 'there is no such file' : error.message}.`
		);
	}
	return bytes;
}

main(async () => {
	const [file] = process.argv.slice(2).filter((a) => !a.startsWith('--'));
	const bytes = backupIn(file);
	await ensureNodePackages();
	await ensureBuild();
	// a workshop that is running is found by its database; its books are read through a server beside it
	const { dir, databasePort } = WORKSHOPS.workshop;
	const database = await startDatabase(dir, { port: databasePort });
	let web;
	const serveBeside = async () =>
		(web = await startWeb({ databaseUrl: database.url, port: await freePort(), quiet: true }));
	try {
		say(`Reading ${file} …`);
		if (isGzip(bytes)) {
			if (database.shared) throw new Stop('The workshop is open: stop it first, and read this in again.');
			const rows = await bringBack(file, database.url);
			// the server brings the tables up to this version
			await serveBeside();
			say(`All tables are in, and of this version: ${rows} rows were read.\nOpen it with: npm run workshop`);
			return;
		}
		await serveBeside();
		const answer = await fetch(`${web.url}/api/workshop`, {
			method: 'POST',
			headers: { 'content-type': 'application/octet-stream' },
			body: bytes
		});
		const told = await answer.json();
		if (!answer.ok) {
			const all = told.errors ?? [{ path: '', message: `The server answered ${answer.status}.` }];
			throw new Stop(
				all
					.slice(0, 10)
					.map((e) => `${e.path ? `${e.path}: ` : ''}${e.message}`)
					.join('\n')
			);
		}
		say(`The whole book is in: ${told.rows} rows.${told.without ? ` ${told.without}` : ''}`);
		say('Open it with: npm run workshop');
	} finally {
		await web?.stop();
		await database.stop();
	}
});
