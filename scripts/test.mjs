// npm test: sets up a fresh machine and runs every check. Parts: api, browser. The cluster alone: npm run test:cluster.
import { rmSync } from 'node:fs';
import { availableParallelism } from 'node:os';
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
	['photo', () => npx(['vitest', 'run', '--project', 'photo', '--reporter=default'])],
	['core', () => npx(['vitest', 'run', '--project', 'core', '--coverage', '--reporter=default'])],
	['ui', () => npx(['vitest', 'run', '--project', 'ui', '--reporter=default'])]
];

const script = (file, how) => run('node', [join('scripts', file), how], { show: 'both' });
/** What stands still, breaks or lies: short forms of `npm run test:cluster` and `npm run campaign`. */
const FAULTS = [
	['cluster', () => script('test-cluster.mjs', '--kills=3')],
	['campaign', () => script('campaign.mjs', '--short')]
];

const api = ['api', (env) => npx(['vitest', 'run', '--project', 'api', '--reporter=default'], env)];
const BROWSER_PARTS = 4;
const browser = Array.from({ length: BROWSER_PARTS }, (_, i) => {
	const part = `${i + 1}/${BROWSER_PARTS}`;
	const where = [
		'--config',
		'tests/browser/playwright.config.ts',
		'--output',
		join('test-results', String(i + 1))
	];
	return [`browser ${part}`, (env) => npx(['playwright', 'test', ...where, `--shard=${part}`], env)];
});
const SERVED = { api: [api], browser };

/** A browser that waits for its server leaves a core idle, and the other way round: two checks go on side by side. */
const LANES = Math.min(2, availableParallelism());

/**
 * Runs checks in their order, one in each lane at a time.
 * @template L
 * @param {[string, (lane: L) => Promise<{ code: number, output: string }>][]} checks
 * @param {L[]} lanes what a check is given
 * @returns {Promise<[string, number, string][]>} name, exit code and output of each, in the order of the checks
 */
async function inLanes(checks, lanes) {
	const results = [];
	let next = 0;
	await Promise.all(
		lanes.map(async (lane) => {
			while (next < checks.length) {
				const at = next++;
				const [name, check] = checks[at];
				say(`\n— ${name}`);
				const { code, output } = await check(lane);
				say(`\n— ${name} ${code === 0 ? 'is done' : 'failed'}`);
				results[at] = [name, code, output];
			}
		})
	);
	return results;
}

/** Checks against the built application; each lane has a server and a database of its own, filled with the demo workshop. */
async function served(checks) {
	const dir = join(stateDir, 'test');
	rmSync(dir, { recursive: true, force: true });
	await ensureBuild();
	const started = [];
	const start = async (lane) => {
		const database = await startDatabase(join(dir, String(lane)));
		started.push(database);
		const web = await startWeb({ databaseUrl: database.url, port: await freePort(), demo: true });
		started.push(web);
		return { ANTHYPOS_URL: web.url, DATABASE_URL: database.url };
	};
	try {
		const ways = Array.from({ length: Math.min(LANES, checks.length) }, (_, lane) => start(lane + 1));
		// all of them stand, or fell, before anything is taken down
		await Promise.allSettled(ways);
		return await inLanes(checks, await Promise.all(ways));
	} finally {
		for (const part of started.reverse()) await part.stop();
		rmSync(dir, { recursive: true, force: true });
	}
}

main(async () => {
	const only = process.argv.slice(2);
	const all = only.length === 0;
	for (const part of only) {
		if (!(part in SERVED))
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
		results.push(...(await inLanes(STATIC, Array.from({ length: LANES }))));
	}
	const parts = all ? Object.keys(SERVED) : only;
	results.push(...(await served(parts.flatMap((part) => SERVED[part]))));
	// what is killed and timed there has the machine to itself
	if (all) results.push(...(await inLanes(FAULTS, [undefined])));
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
