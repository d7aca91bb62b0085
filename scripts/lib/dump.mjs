// What stood in a database before a newer version changes its tables: every table, read back before anything is changed.
import { spawn } from 'node:child_process';
import {
	createReadStream,
	createWriteStream,
	mkdirSync,
	readdirSync,
	renameSync,
	rmSync,
	statSync,
	writeFileSync
} from 'node:fs';
import { open } from 'node:fs/promises';
import { join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import { createGunzip, createGzip } from 'node:zlib';
import { oneOf } from './databaseUrl.mjs';
import { ensureCommand } from './debian.mjs';
import { startDatabase } from './mariadb.mjs';
import { root, stateDir } from './paths.mjs';
import { say, Stop } from './say.mjs';

/** So many of them are kept: one for each of the last changes of version. */
const KEPT = 4;
const NAMED = /^before-\d{4}-[\dTZ-]+\.sql\.gz$/;
const CLIENT = { packageName: 'mariadb-client', what: 'MariaDB’s client' };

/** The names of this version's migrations, in their order. */
const migrationsHere = () =>
	readdirSync(join(root, 'src', 'lib', 'server', 'db', 'migrations'))
		.filter((file) => /^\d{4}-.*\.ts$/.test(file))
		.map((file) => file.replace(/\.ts$/, ''))
		.sort();

/** How a client program is told which database. The password goes by the environment, where no list of processes shows it. */
function clientFor(databaseUrl) {
	const { hostname, port, username, password, pathname } = new URL(databaseUrl);
	return {
		name: decodeURIComponent(pathname.slice(1)),
		args: [
			'--no-defaults',
			`--host=${hostname}`,
			`--port=${port || 3306}`,
			'--protocol=tcp',
			`--user=${decodeURIComponent(username)}`
		],
		env: { ...process.env, MYSQL_PWD: decodeURIComponent(password) }
	};
}

/** Runs questions against a database, and lets go of it. */
async function asking(databaseUrl, work) {
	const { createConnection } = await import('mariadb');
	const connection = await createConnection(databaseUrl);
	try {
		return await work((statement) => connection.query(statement));
	} finally {
		await connection.end();
	}
}

/** Rows of every table. */
const countRows = (databaseUrl) =>
	asking(databaseUrl, async (query) => {
		const counts = new Map();
		for (const { name } of await query(
			"SELECT table_name AS name FROM information_schema.tables WHERE table_schema = DATABASE() AND table_type = 'BASE TABLE' ORDER BY 1"
		)) {
			const [{ n }] = await query(`SELECT COUNT(*) AS n FROM \`${name}\``);
			counts.set(name, Number(n));
		}
		return counts;
	});

/** The last migration that ran in a database that lacks some of this version's; nothing where none is lacking, or where it is new. */
const lastBefore = (databaseUrl) =>
	asking(databaseUrl, async (query) => {
		const [there] = await query("SHOW TABLES LIKE 'migrations'");
		if (!there) return undefined;
		const ran = (await query('SELECT name FROM migrations ORDER BY name')).map((row) => row.name);
		return migrationsHere().every((name) => ran.includes(name)) ? undefined : ran.at(-1);
	});

/** The last sentence of a complaint, without the rows that it quotes. */
const lastSaid = (complaint) => complaint.trim().split('\n').at(-1).slice(0, 200);

/** Runs a client program with its input or output on a stream. @throws Stop with what it complained of */
async function client(command, { args, env }, stream) {
	const child = spawn(command, args, { env, stdio: ['pipe', 'pipe', 'pipe'] });
	let complaint = '';
	child.stderr.setEncoding('utf8').on('data', (part) => (complaint = (complaint + part).slice(-1500)));
	const ended = new Promise((resolve, reject) => {
		child.once('error', reject);
		child.once('close', resolve);
	});
	const [streamed, code] = await Promise.all([stream(child).catch((error) => error), ended]);
	if (/^Z_/.test(streamed?.code ?? '')) throw new Stop('it is cut off or damaged.');
	if (code !== 0) throw new Stop(lastSaid(complaint) || `${command} ended with ${code}.`);
	if (streamed instanceof Error) throw streamed;
}

/** Reads a dump into a database that holds nothing. */
async function readDump(file, databaseUrl) {
	const { name, args, env } = clientFor(databaseUrl);
	const command = await ensureCommand({ command: 'mariadb', ...CLIENT });
	await client(command, { args: [...args, '--default-character-set=utf8mb4', name], env }, (child) => {
		child.stdout.resume();
		return pipeline(createReadStream(file), createGunzip(), child.stdin);
	});
}

/** Takes every table out of a database in which nothing was entered: a dump brings its own. */
const empty = (databaseUrl) =>
	asking(databaseUrl, async (query) => {
		await query('SET foreign_key_checks = 0');
		for (const row of await query('SHOW TABLES')) await query(`DROP TABLE \`${Object.values(row)[0]}\``);
	});

/** Rows of each table of the dump, by reading it into a scratch database. */
async function countInDump(file) {
	const scratch = join(stateDir, `scratch-dump-${process.pid}`);
	const database = await startDatabase(scratch);
	try {
		await readDump(file, database.url);
		return await countRows(database.url);
	} finally {
		await database.stop();
		rmSync(scratch, { recursive: true, force: true });
	}
}

async function writeDump(databaseUrl, file) {
	const { name, args, env } = clientFor(databaseUrl);
	const command = await ensureCommand({ command: 'mariadb-dump', ...CLIENT });
	const how = [
		'--single-transaction',
		'--quick',
		'--hex-blob',
		'--no-tablespaces',
		'--default-character-set=utf8mb4'
	];
	await client(command, { args: [...args, ...how, name], env }, (child) => {
		child.stdin.end();
		return pipeline(child.stdout, createGzip(), createWriteStream(file));
	});
	const handle = await open(file, 'r');
	await handle.sync();
	await handle.close();
}

/** Throws unless each table holds as much as it held: what others wrote meanwhile may or may not be in it. */
function compare(before, inDump, after) {
	for (const [table, rows] of before) {
		const held = inDump.get(table) ?? -1;
		const most = Math.max(rows, after.get(table) ?? rows);
		const least = Math.min(rows, after.get(table) ?? rows);
		if (held < least || held > most)
			throw new Stop(`it was read back and holds ${Math.max(0, held)} of ${rows} rows of ${table}`);
	}
}

/**
 * Keeps what stands in a database of an older version, before this one changes its tables: dumped, read back into a
 * scratch database and counted. Nothing where there is nothing to change.
 * @returns {Promise<{ file: string, atMs: number, sizeBytes: number, rows: number } | undefined>}
 * @throws Stop when it cannot be kept: the tables are left as they are
 */
export async function keepBeforeMigration(anyUrl, folder, now = new Date()) {
	let part;
	try {
		const databaseUrl = await oneOf(anyUrl);
		const last = await lastBefore(databaseUrl).catch((error) => {
			// one that cannot be reached is told of by what starts next
			if (error.fatal) return undefined;
			throw error;
		});
		if (last === undefined) return undefined;
		say('A newer version changes the tables: keeping them as they are first …');
		mkdirSync(folder, { recursive: true });
		const file = `before-${last.slice(0, 4)}-${now.toISOString().slice(0, 19).replaceAll(':', '-')}Z.sql.gz`;
		part = join(folder, `${file}.part`);
		const before = await countRows(databaseUrl);
		await writeDump(databaseUrl, part);
		const inDump = await countInDump(part);
		compare(before, inDump, await countRows(databaseUrl));
		renameSync(part, join(folder, file));
		const rows = [...inDump.values()].reduce((sum, n) => sum + n, 0);
		const made = { file, atMs: now.getTime(), sizeBytes: statSync(join(folder, file)).size, rows, last };
		writeFileSync(join(folder, file.replace(/sql\.gz$/, 'json')), `${JSON.stringify(made)}\n`);
		say(`${join(folder, file)} holds them: ${rows} rows, read back and counted.`);
		forgetOld(folder);
		return made;
	} catch (error) {
		const why = error.sqlMessage ?? error.message;
		throw new Stop(
			`The backup before this version’s changes failed: ${why}\nNothing was changed. Mend that and start again, or start the version before.`
		);
	} finally {
		if (part) rmSync(part, { force: true });
	}
}

function forgetOld(folder) {
	const all = readdirSync(folder)
		.filter((name) => NAMED.test(name))
		.map((name) => ({ name, atMs: statSync(join(folder, name)).mtimeMs }))
		.sort((a, b) => b.atMs - a.atMs);
	for (const { name } of all.slice(KEPT)) {
		rmSync(join(folder, name), { force: true });
		rmSync(join(folder, name.replace(/sql\.gz$/, 'json')), { force: true });
	}
}

/**
 * Brings what was kept before a change of version back into a workshop in which nothing was entered.
 * @returns {Promise<number>} rows
 * @throws Stop when there is work in it, or the file is not whole: nothing is changed then
 */
export async function bringBack(file, databaseUrl) {
	const there = await countRows(databaseUrl);
	if (
		['materials', 'masters', 'moulds', 'shots', 'pulls', 'vessels', 'containers'].some(
			(t) => there.get(t) > 0
		)
	)
		throw new Stop(
			'There is a workshop in these books already. It is brought back only into an empty one: npm run workshop -- --fresh'
		);
	const inDump = await countInDump(file).catch((error) => {
		throw new Stop(`${file} is no whole backup: ${error.message} Nothing was read.`);
	});
	if (!inDump.has('migrations')) throw new Stop(`${file} holds no workshop. Nothing was read.`);
	await empty(databaseUrl);
	await readDump(file, databaseUrl);
	return [...inDump.values()].reduce((sum, n) => sum + n, 0);
}
