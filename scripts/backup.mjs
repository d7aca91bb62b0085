// npm run backup: writes the workshop's book now and reads it back, for the workshop of this machine or for DATABASE_URL.
import { join } from 'node:path';
import { backUp, backupsOf } from './lib/backup.mjs';
import { ensureBuild } from './lib/build.mjs';
import { keepBeforeMigration } from './lib/dump.mjs';
import { ensureCommand } from './lib/debian.mjs';
import { startDatabase } from './lib/mariadb.mjs';
import { ensureNodePackages } from './lib/packages.mjs';
import { freePort } from './lib/ports.mjs';
import { main, say } from './lib/say.mjs';
import { WORKSHOPS } from './lib/serve.mjs';
import { startWeb } from './lib/web.mjs';

main(async () => {
	await ensureNodePackages();
	await ensureCommand({ command: 'mariadbd', packageName: 'mariadb-server', what: 'MariaDB' });
	await ensureBuild();
	const { DATABASE_URL } = process.env;
	const { dir, databasePort } = WORKSHOPS.workshop;
	// a workshop that is running is found by its database, and goes on running
	const database = DATABASE_URL ? undefined : await startDatabase(dir, { port: databasePort });
	let web;
	try {
		const folder = backupsOf(DATABASE_URL ? 'database' : 'workshop');
		// the server that writes the book brings the tables up to its version first
		await keepBeforeMigration(DATABASE_URL || database.url, folder);
		web = await startWeb({
			databaseUrl: DATABASE_URL || database.url,
			port: await freePort(),
			quiet: true
		});
		say('Writing the book, and reading it back into a scratch database …');
		const made = await backUp(web.url, folder);
		say(
			`${join(folder, made.file)}\nIt holds ${made.rows} rows in ${(made.sizeBytes / 1_048_576).toFixed(1)} MB, and every table was compared. Copy it to another place now and then.`
		);
	} finally {
		await web?.stop();
		await database?.stop();
	}
});
