// npm run passphrase -- "Name": a code for somebody who lost their passphrase, made by whoever sits at this machine.
import { createHash, randomInt } from 'node:crypto';
import { onDatabase } from './lib/databaseUrl.mjs';
import { startDatabase } from './lib/mariadb.mjs';
import { ensureNodePackages } from './lib/packages.mjs';
import { main, say, Stop } from './lib/say.mjs';
import { WORKSHOPS } from './lib/serve.mjs';

/** As the application reads them: `src/lib/core/people/person.ts`. */
const LETTERS = '23456789ABCDEFGHJKLMNPQRSTUVWXYZ';
const LENGTH = 12;
const GOOD_FOR_MS = 24 * 3_600_000;

main(async () => {
	const name = process.argv
		.slice(2)
		.filter((a) => !a.startsWith('--'))
		.join(' ')
		.trim();
	if (!name) throw new Stop('Say whose: npm run passphrase -- "Name" (or their mark).');
	await ensureNodePackages();
	const { DATABASE_URL } = process.env;
	const demo = process.argv.includes('--demo');
	const { dir, databasePort } = demo ? WORKSHOPS.demo : WORKSHOPS.workshop;
	// a workshop that is running is found by its database, and goes on running
	const database = DATABASE_URL ? undefined : await startDatabase(dir, { port: databasePort });
	try {
		await onDatabase(DATABASE_URL || database.url, async (connection) => {
			const [person] = await connection.query(
				'SELECT id, name FROM people WHERE leftAt IS NULL AND (name = ? OR mark = ?)',
				[name, name.toUpperCase()]
			);
			if (!person) {
				const all = await connection.query('SELECT name FROM people WHERE leftAt IS NULL ORDER BY name');
				throw new Stop(
					all.length > 0
						? `Nobody is called ${name}. Known: ${all.map((p) => p.name).join(', ')}.`
						: 'Nobody is known yet: start the workshop for a network, and it shows the code for its first keeper.'
				);
			}
			const code = Array.from({ length: LENGTH }, () => LETTERS[randomInt(LETTERS.length)]).join('');
			const now = new Date();
			await connection.query(
				'INSERT INTO access_codes (hash, kind, personId, createdAt, expiresAt) VALUES (?, ?, ?, ?, ?)',
				[
					createHash('sha256').update(code).digest('hex'),
					'reset',
					person.id,
					now,
					new Date(now.getTime() + GOOD_FOR_MS)
				]
			);
			await connection.query('INSERT INTO audit (at, who, what, about) VALUES (?, ?, ?, ?)', [
				now,
				'this machine',
				'passphrase-reset',
				person.name
			]);
			say(
				`\n  ${person.name} chooses a new passphrase at /sign-in/code with ${code.match(/.{4}/g).join('-')}\n  The code holds a day, and once.\n`
			);
		});
	} finally {
		await database?.stop();
	}
});
