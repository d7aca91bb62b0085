// What `npm run demo` and `npm run workshop` share: a database of its own, the application on it, and their end.
import { randomBytes } from 'node:crypto';
import { rmSync } from 'node:fs';
import { join } from 'node:path';
import { createInterface } from 'node:readline/promises';
import { backupsOf } from './backup.mjs';
import { ensureBuild } from './build.mjs';
import { reserveOn } from './disk.mjs';
import { keepBeforeMigration } from './dump.mjs';
import { startDatabase } from './mariadb.mjs';
import { ensureNodePackages } from './packages.mjs';
import { stateDir } from './paths.mjs';
import { backUpNightly } from './nightly.mjs';
import { isFree } from './ports.mjs';
import { alive, end } from './run.mjs';
import { say, Stop } from './say.mjs';
import { startWeb } from './web.mjs';

/** The workshops that this machine can serve, each with a folder and ports of its own. */
export const WORKSHOPS = {
	demo: {
		dir: join(stateDir, 'demo'),
		webPort: 4610,
		databasePort: 4611,
		demo: true,
		words: 'demo workshop'
	},
	workshop: {
		dir: join(stateDir, 'workshop'),
		webPort: 4620,
		databasePort: 4621,
		demo: false,
		words: 'workshop'
	}
};

async function startOver({ dir, words }) {
	if (!process.argv.includes('--yes')) {
		if (!process.stdin.isTTY)
			throw new Stop('--fresh throws away what was entered: add --yes when nobody can be asked.');
		const ask = createInterface({ input: process.stdin, output: process.stdout });
		const answer = await ask.question(`Throw away everything in the ${words} and start over? Type yes: `);
		ask.close();
		if (answer.trim().toLowerCase() !== 'yes') throw new Stop('Nothing was thrown away.');
	}
	// a database left running by a killed start is found, stopped, and then its folder removed
	const database = await startDatabase(dir);
	await database.stop();
	rmSync(dir, { recursive: true, force: true });
	say(`The ${words} is empty again.`);
}

/**
 * Where this machine keeps its certificates, when it listens to a network; nothing on loopback, or where TLS=0 says that
 * something in front of it does that.
 */
export const tlsFolderFor = (host = '127.0.0.1') =>
	process.env.TLS === '0' || /^(localhost|127\.[\d.]+|::1)$/.test(host) ? undefined : join(stateDir, 'tls');

/** The port that was asked for, free; or one sentence that says what to do. */
async function portFor(name, { webPort }) {
	const port = Number(process.env.PORT ?? webPort);
	if (!Number.isInteger(port) || port < 1 || port > 65_535)
		throw new Stop(`PORT=${process.env.PORT} is not a port: take a number such as ${webPort}.`);
	if (await isFree(port)) return port;
	throw new Stop(
		`Port ${port} is in use: Anthypos may be running already. Open http://127.0.0.1:${port}, stop the other program, or choose a port: PORT=${port + 10} npm run ${name}`
	);
}

/** Calls back when whoever started this script through npm is gone: nobody would end it any more. */
export function onOrphaned(stop) {
	if (!process.env.npm_lifecycle_event) return;
	const parent = process.ppid;
	setInterval(() => process.ppid !== parent && stop(), 1000).unref();
}

/** Serves a workshop until a signal ends it, on its own embedded database. */
export async function serve(name) {
	const workshop = WORKSHOPS[name];
	const port = await portFor(name, workshop);
	await ensureNodePackages();
	if (process.argv.includes('--fresh')) await startOver(workshop);
	await ensureBuild();

	const reserve = reserveOn(workshop.dir);
	let stopping = false;
	let restarting = false;
	let database;
	let starting;
	/** What this process shows the server that it started, to read the book at night. */
	const ownToken = randomBytes(32).toString('hex');
	let web;
	let webPid;
	const stop = async (code) => {
		if (stopping) return;
		stopping = true;
		if (webPid) {
			say('\nStopping the web server …');
			await end(webPid, { withinMs: 8000 });
		}
		database ??= await starting?.catch(() => undefined);
		if (database) {
			say('Stopping the database …');
			await database.stop();
		}
		say('Stopped. What was entered is kept.');
		process.exit(code);
	};
	for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => void stop(0));
	onOrphaned(() => void stop(0));

	say('Starting the database …');
	starting = startDatabase(workshop.dir, { port: workshop.databasePort });
	database = await starting;
	if (stopping) return;
	try {
		await keepBeforeMigration(database.url, backupsOf(name));
	} catch (error) {
		await database.stop();
		throw error;
	}
	if (stopping) return;
	say(`Starting Anthypos${workshop.demo ? ' (the first start loads the demo workshop)' : ''} …`);
	try {
		web = await startWeb({
			databaseUrl: database.url,
			port,
			demo: workshop.demo,
			env: {
				SIGN_IN: process.env.SIGN_IN ?? '0',
				ANTHYPOS_OWN_TOKEN: ownToken,
				ANTHYPOS_DATA: join(workshop.dir, 'data'),
				...(workshop.demo ? {} : { ANTHYPOS_BACKUPS: backupsOf(name) })
			},
			host: process.env.HOST ?? '127.0.0.1',
			tlsFolder: tlsFolderFor(process.env.HOST),
			spawned: (pid) => (webPid = pid)
		});
	} catch (error) {
		if (stopping) return;
		await database.stop();
		throw error;
	}
	say(
		`\n  Anthypos is at ${web.url}\n  Ctrl-C stops it; what you enter is kept. npm run ${name} -- --fresh starts over.\n`
	);
	reserve.layBy();
	// a database that dies under a running workshop is started again on its port; the web server reconnects
	const watch = setInterval(async () => {
		if (stopping || restarting) return;
		reserve.letGo();
		if (alive(database.pid)) {
			reserve.layBy();
			return;
		}
		restarting = true;
		say('The database ended unexpectedly: starting it again …');
		try {
			database = await startDatabase(workshop.dir, { port: database.port });
			say('The database is back. Everything that was saved is there.');
		} catch (error) {
			say(error.message);
			// pages say that the disk is full, and it is tried again until there is room
			if (!reserve.full()) await stop(1);
			await new Promise((done) => setTimeout(done, 5000));
		}
		restarting = false;
	}, 1000);
	const rest = workshop.demo ? () => {} : backUpNightly(web.url, backupsOf(name), ownToken);
	const code = await web.exited;
	rest();
	clearInterval(watch);
	if (!stopping) {
		say('The web server ended by itself.');
		await stop(code === 0 ? 0 : 1);
	}
}
