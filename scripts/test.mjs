// npm test: sets up a fresh machine and runs every check. Parts: api, browser. The cluster alone: npm run test:cluster.
import { rmSync } from 'node:fs';
import { join } from 'node:path';
import { stripVTControlCharacters } from 'node:util';
import { ensureBuild } from './lib/build.mjs';
import { ensureCommand } from './lib/debian.mjs';
import { startDatabase } from './lib/mariadb.mjs';
import { ensureNodePackages } from './lib/packages.mjs';
import { stateDir } from './lib/paths.mjs';
import { freePort } from './lib/ports.mjs';
import { run } from './lib/run.mjs';
import { main, say, Stop } from './lib/say.mjs';
import { startWeb } from './lib/web.mjs';

const npx = (args, env = {}) => run('npx', ['--no-install', ...args], { env, show: 'both' });
/** Lines of a failed part that are said once more at the very end, where the reader of a long log looks. */
const REPEATED_LINES = 60;
/** Lines that say which check failed, of what, and where: the shortest word about a failure, said last of all. */
const TELLING =
	/^\s*(\d+\) |FAIL |× |(\w*Error|Expected|Received|Locator|Timeout)\b.*: |(❯|at) \S.*:\d+:\d+\)?$|> ?\d+ \|)/;
const TELLING_LINES = 16;
// colours are for a screen
const plain = (text) => stripVTControlCharacters(text).trimEnd().split('\n');

/** Checks that need nothing but the sources. */
const STATIC = [
	['format', () => npx(['prettier', '--check', '--log-level', 'warn', '.'])],
	['lint', () => npx(['eslint', '.'])],
	['types', () => run('npm', ['run', '--silent', 'test:types'], { show: 'both' })],
	['core', () => npx(['vitest', 'run', '--project', 'core', '--coverage', '--reporter=default'])],
	['ui', () => npx(['vitest', 'run', '--project', 'ui', '--reporter=default'])]
];

/** What stands still, breaks or lies: short forms of `npm run test:cluster` and `npm run campaign`. */
const FAULTS = [
	['cluster', 'test-cluster.mjs', '--kills=3'],
	['campaign', 'campaign.mjs', '--short']
];

/** Checks against the built application on a database of its own, filled with the demo workshop. */
async function served(parts) {
	const dir = join(stateDir, 'test');
	rmSync(dir, { recursive: true, force: true });
	const database = await startDatabase(dir);
	let web;
	try {
		await ensureBuild();
		web = await startWeb({ databaseUrl: database.url, port: await freePort(), demo: true });
		const env = { ANTHYPOS_URL: web.url, DATABASE_URL: database.url };
		const results = [];
		for (const part of parts) {
			say(`\n— ${part}`);
			const { code, output } =
				part === 'api'
					? await npx(['vitest', 'run', '--project', 'api', '--reporter=default'], env)
					: await npx(['playwright', 'test', '--config', 'tests/browser/playwright.config.ts'], env);
			results.push([part, code, output]);
		}
		return results;
	} finally {
		await web?.stop();
		await database.stop();
		rmSync(dir, { recursive: true, force: true });
	}
}

main(async () => {
	const only = process.argv.slice(2);
	const all = only.length === 0;
	for (const part of only) {
		if (part !== 'api' && part !== 'browser')
			throw new Stop(`There is no part "${part}": api or browser, or none for everything.`);
	}
	await ensureNodePackages();
	await ensureCommand({ command: 'mariadbd', packageName: 'mariadb-server', what: 'MariaDB' });
	if (all || only.includes('browser')) {
		await ensureCommand({ command: 'chromium', packageName: 'chromium', what: 'Chromium' });
		// what a browser trusts is told by it
		await ensureCommand({ command: 'certutil', packageName: 'libnss3-tools', what: 'certutil' });
	}
	const results = [];
	if (all) {
		await npx(['svelte-kit', 'sync']);
		for (const [name, check] of STATIC) {
			say(`\n— ${name}`);
			const { code, output } = await check();
			results.push([name, code, output]);
		}
	}
	results.push(...(await served(all ? ['api', 'browser'] : only)));
	if (all)
		for (const [name, file, how] of FAULTS) {
			say(`\n— ${name}`);
			const { code, output } = await run('node', [join('scripts', file), how], { show: 'both' });
			results.push([name, code, output]);
		}
	const broken = results.filter(([, code]) => code !== 0);
	for (const [name, , output] of broken) {
		say(`\n— ${name} failed; its last lines once more:`);
		say(plain(output).slice(-REPEATED_LINES).join('\n'));
	}
	for (const [name, , output] of broken) {
		const telling = [...new Set(plain(output).filter((line) => TELLING.test(line)))];
		say(`\n— ${name} in short:`);
		say(telling.slice(0, TELLING_LINES).join('\n'));
	}
	say('');
	for (const [name, code] of results) say(`${code === 0 ? 'ok    ' : 'FAILED'} ${name}`);
	const failed = broken.length;
	say(`${results.length - failed} passed, ${failed} failed`);
	process.exit(failed === 0 ? 0 : 1);
});
