import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { root } from './paths.mjs';
import { alive, end, until } from './run.mjs';
import { Stop } from './say.mjs';

/** What is read at all. The application's own, smaller limits answer in words; past this the line is cut. */
const BODY_LIMIT = '256M';

/**
 * How long an idle connection is held, s: longer than programs in front hold theirs (a minute is usual), so that none sends
 * into one that is being closed; and a device at the bench that was quiet for a moment need not connect again.
 */
const HELD_S = 65;

// pages are short-lived objects: more room for them means a fraction of the collecting
const YOUNG = '--max-semi-space-size=64';

/**
 * Serves the built application. It listens on 127.0.0.1 unless HOST says otherwise.
 * @returns {Promise<{ url: string, pid: number, exited: Promise<number>, stop: () => Promise<void> }>}
 */
export async function startWeb({
	databaseUrl,
	port,
	host = '127.0.0.1',
	demo = false,
	quiet = false,
	env = {},
	/** Where this machine's own certificates lie: the network is served over TLS, this machine itself as it likes. */
	tlsFolder = '',
	/** Told the process at once: whoever is stopped while it starts can end it. */
	spawned = () => {}
}) {
	const child = spawn(process.execPath, [YOUNG, join(root, 'scripts', 'web.mjs')], {
		cwd: root,
		detached: true,
		stdio: quiet ? 'ignore' : ['ignore', 'inherit', 'inherit'],
		env: {
			...process.env,
			NODE_ENV: 'production',
			BODY_SIZE_LIMIT: BODY_LIMIT,
			SHUTDOWN_TIMEOUT: '3',
			KEEP_ALIVE_TIMEOUT: String(HELD_S),
			LOG_LEVEL: process.env.LOG_LEVEL ?? 'warn',
			// only who serves people asks them who they are
			SIGN_IN: '0',
			DATABASE_URL: databaseUrl,
			HOST: host,
			PORT: String(port),
			...(demo ? { ANTHYPOS_DEMO: '1' } : {}),
			...(tlsFolder ? { TLS_FOLDER: tlsFolder } : {}),
			...env
		}
	});
	spawned(child.pid);
	const exited = new Promise((resolve) => child.once('exit', (code) => resolve(code ?? 1)));
	const url = `http://${host === '0.0.0.0' ? '127.0.0.1' : host.includes(':') ? `[${host}]` : host}:${port}`;
	const up = await until(
		async () => {
			if (!alive(child.pid) || child.exitCode !== null) return 'gone';
			try {
				// it answers; who may see what is another matter
				return (await fetch(`${url}/api/clocks`, { signal: AbortSignal.timeout(2000) })).status < 500;
			} catch {
				return false;
			}
		},
		// the first start of the demo works out months of pulls: on a busy machine that takes its time
		{ withinMs: 240_000 }
	);
	if (up !== true) {
		await end(child.pid);
		throw new Stop('The web server did not start: see above.');
	}
	return { url, pid: child.pid, exited, stop: () => end(child.pid, { withinMs: 8000 }) };
}
