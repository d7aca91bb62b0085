// npm run demo: everything from a fresh machine to a running workshop with demo data.
import { rmSync } from 'node:fs';
import { join } from 'node:path';
import { createInterface } from 'node:readline/promises';
import { ensureBuild } from './lib/build.mjs';
import { startDatabase } from './lib/mariadb.mjs';
import { ensureNodePackages } from './lib/packages.mjs';
import { stateDir } from './lib/paths.mjs';
import { isFree } from './lib/ports.mjs';
import { alive } from './lib/run.mjs';
import { main, say, Stop } from './lib/say.mjs';
import { startWeb } from './lib/web.mjs';

const WEB_PORT = 4610;
const DATABASE_PORT = 4611;
const dir = join(stateDir, 'demo');

async function startOver() {
	if (!process.argv.includes('--yes')) {
		if (!process.stdin.isTTY)
			throw new Stop('--fresh throws away what was entered: add --yes when nobody can be asked.');
		const ask = createInterface({ input: process.stdin, output: process.stdout });
		const answer = await ask.question(
			'Throw away everything in the demo workshop and start over? Type yes: '
		);
		ask.close();
		if (answer.trim().toLowerCase() !== 'yes') throw new Stop('Nothing was thrown away.');
	}
	// a database left running by a killed start is found, stopped, and then its folder removed
	const database = await startDatabase(dir);
	await database.stop();
	rmSync(dir, { recursive: true, force: true });
	say('The demo workshop is empty again.');
}

main(async () => {
	const port = Number(process.env.PORT ?? WEB_PORT);
	if (!Number.isInteger(port) || port < 1 || port > 65_535)
		throw new Stop(`PORT=${process.env.PORT} is not a port: take a number such as ${WEB_PORT}.`);
	if (!(await isFree(port))) {
		throw new Stop(
			`Port ${port} is in use: Anthypos may be running already. Open http://127.0.0.1:${port}, stop the other program, or choose a port: PORT=${port + 10} npm run demo`
		);
	}
	await ensureNodePackages();
	if (process.argv.includes('--fresh')) await startOver();
	await ensureBuild();

	let stopping = false;
	let restarting = false;
	let database;
	let web;
	const stop = async (code) => {
		if (stopping) return;
		stopping = true;
		if (web) {
			say('\nStopping the web server …');
			await web.stop();
		}
		if (database) {
			say('Stopping the database …');
			await database.stop();
		}
		say('Stopped. What was entered is kept.');
		process.exit(code);
	};
	for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => void stop(0));

	say('Starting the database …');
	database = await startDatabase(dir, { port: DATABASE_PORT });
	if (stopping) return;
	say('Starting Anthypos (the first start loads the demo workshop) …');
	try {
		web = await startWeb({
			databaseUrl: database.url,
			port,
			demo: true,
			host: process.env.HOST ?? '127.0.0.1'
		});
	} catch (error) {
		await database.stop();
		throw error;
	}
	say(
		`\n  Anthypos is at ${web.url}\n  Ctrl-C stops it; what you enter is kept. npm run demo -- --fresh starts over.\n`
	);
	// a database that dies under a running workshop is started again on its port; the web server reconnects
	const watch = setInterval(async () => {
		if (stopping || restarting || alive(database.pid)) return;
		restarting = true;
		say('The database ended unexpectedly: starting it again …');
		try {
			database = await startDatabase(dir, { port: database.port });
			say('The database is back. Everything that was saved is there.');
		} catch (error) {
			say(error.message);
			await stop(1);
		}
		restarting = false;
	}, 1000);
	const code = await web.exited;
	clearInterval(watch);
	if (!stopping) {
		say('The web server ended by itself.');
		await stop(code === 0 ? 0 : 1);
	}
});
