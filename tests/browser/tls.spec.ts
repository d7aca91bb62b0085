import { createHash } from 'node:crypto';
import { execFileSync } from 'node:child_process';
import { mkdirSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { get } from 'node:https';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, expect, test, type BrowserContext, type Page } from '@playwright/test';
import { onDatabase } from '../../scripts/lib/databaseUrl.mjs';
import { ensureCommand } from '../../scripts/lib/debian.mjs';
import { freePort } from '../../scripts/lib/ports.mjs';
import { alive, until } from '../../scripts/lib/run.mjs';
import { startWeb } from '../../scripts/lib/web.mjs';
import { heading, press } from './bench';

// a tablet on the workshop's network: this machine's own authority is trusted, the bench works over TLS, and without the server
const databaseUrl = process.env['DATABASE_URL'] ?? '';
test.skip(!databaseUrl, 'needs the database that npm test starts');
const NAME = 'bench.local';
const PASSPHRASE = 'seven wet gulls on a mast';
const home = mkdtempSync(join(tmpdir(), 'anthypos-tls-'));
const folder = join(home, 'tls');
let port = 0;
let web: Awaited<ReturnType<typeof startWeb>>;
let context: BrowserContext;
const serve = async () => {
	port ||= await freePort();
	web = await startWeb({
		databaseUrl,
		port,
		host: '0.0.0.0',
		quiet: true,
		tlsFolder: folder,
		env: { ALLOWED_HOSTS: NAME, LOG_LEVEL: 'silent' }
	});
};

/** The tables of people as they were, and a code of our own for the first of them. */
const withDatabase = <T>(
	work: (query: (sql: string, values?: unknown[]) => Promise<T>) => Promise<T>
): Promise<T> =>
	onDatabase(databaseUrl, (connection) => work((sql, values) => connection.query(sql, values)));
const wipe = () =>
	withDatabase(async (query) => {
		for (const table of ['sessions', 'access_codes', 'failed_tries', 'people'])
			await query(`DELETE FROM ${table}`);
	});

test.beforeAll(async () => {
	await wipe();
	await serve();
	const certutil = await ensureCommand({
		command: 'certutil',
		packageName: 'libnss3-tools',
		what: 'certutil'
	});
	const store = join(home, '.pki', 'nssdb');
	mkdirSync(store, { recursive: true });
	execFileSync(certutil!, ['-d', `sql:${store}`, '-N', '--empty-password']);
	execFileSync(certutil!, [
		'-d',
		`sql:${store}`,
		'-A',
		'-t',
		'C,,',
		'-n',
		'workshop',
		'-i',
		join(folder, 'authority.pem')
	]);
	context = await chromium.launchPersistentContext(join(home, 'profile'), {
		executablePath: '/usr/bin/chromium',
		viewport: { width: 1280, height: 800 },
		env: { ...(process.env as Record<string, string>), HOME: home },
		args: ['--no-sandbox', '--disable-gpu', '--no-first-run', `--host-resolver-rules=MAP ${NAME} 127.0.0.1`]
	});
});
test.afterAll(async () => {
	await context?.close();
	await web?.stop();
	await wipe();
	rmSync(home, { recursive: true, force: true });
});

const kept = (page: Page) =>
	page.evaluate(async () => {
		const ready = await navigator.serviceWorker.getRegistration();
		const files = await Promise.all(
			performance
				.getEntriesByType('resource')
				.filter((e) => e.name.includes('/_app/immutable/'))
				.map((e) => caches.match(e.name))
		);
		return !!ready?.active && !!(await caches.match(location.href)) && files.every(Boolean);
	});

test('signed in over https, the server is killed, the bench is opened offline, and all of it arrives once', async () => {
	const page = await context.newPage();
	const origin = `https://${NAME}:${port}`;
	// nobody is known yet: wrong input is said at its field, and the code makes the first keeper
	await page.goto(`${origin}/moulds`);
	await expect(heading(page)).toHaveText('The first keeper');
	expect(await page.evaluate(() => isSecureContext)).toBe(true);
	await page.getByLabel('Your name', { exact: true }).fill('Mara Quay');
	await page.getByLabel('Your mark', { exact: true }).fill('mq');
	await page.getByLabel('The code', { exact: true }).fill('NOPE-NOPE-NOPE');
	await page.getByLabel('A passphrase', { exact: true }).fill('short');
	await page.getByRole('button', { name: 'Begin' }).click();
	await expect(page.getByText(/At least 12 characters/)).toBeVisible();
	await expect(page.getByLabel('Your name', { exact: true })).toHaveValue('Mara Quay');
	const code = 'ABCD2345EFGH';
	await withDatabase((query) =>
		query('INSERT INTO access_codes (hash, kind, createdAt, expiresAt) VALUES (?, ?, ?, ?)', [
			createHash('sha256').update(code).digest('hex'),
			'first',
			new Date(),
			new Date(Date.now() + 3_600_000)
		])
	);
	await page.getByLabel('The code', { exact: true }).fill('abcd-2345-efgh');
	await page.getByLabel('A passphrase', { exact: true }).fill(PASSPHRASE);
	await page.getByRole('button', { name: 'Begin' }).click();
	await expect(page.getByRole('link', { name: /MQ Mara Quay/ })).toBeVisible();
	const session = (await context.cookies()).find((c) => c.name === '__Host-session')!;
	expect(session).toMatchObject({ httpOnly: true, secure: true, sameSite: 'Lax', path: '/' });

	await page.goto(`${origin}/shots/new`);
	await page.getByLabel('Piece').selectOption({ label: 'Rope fender' });
	await page.getByLabel('Resin', { exact: true }).first().selectOption({ label: 'Fender flexible' });
	await expect(page.getByRole('figure')).toHaveAttribute('aria-label', /seconds of slack/);
	await page.getByRole('button', { name: 'Keep this shot' }).click();
	await page.getByRole('button', { name: 'Pour this cup' }).click();
	await expect(heading(page)).toHaveText('Look the mould over');
	const id = page.url().split('/').pop()!;
	await press(page, /Clean and whole/);
	await expect.poll(() => kept(page), { timeout: 40_000 }).toBe(true);
	await expect(page.getByText('not yet on the server')).toBeHidden();

	const { pid } = web;
	process.kill(pid, 'SIGKILL');
	await until(() => !alive(pid), { withinMs: 10_000 });
	await press(page, /Closed and level/);
	const stood = (await heading(page).textContent())!;
	await page.close();
	// what plain http could not do: the page is opened anew without a server, and worked on
	const again = await context.newPage();
	await again.goto(`${origin}/pour/${id}`);
	await expect(heading(again)).toHaveText(stood);
	await press(again, /All within reach/);
	await expect(again.getByText('not yet on the server')).toBeVisible();

	await serve();
	const events = async () => {
		const answer = await again.evaluate(async (at) => (await fetch(at)).json(), `/api/pours/${id}/events`);
		return (answer as { events: { stepId?: string; kind: string; mark?: string }[] }).events;
	};
	await expect.poll(async () => (await events().catch(() => [])).length, { timeout: 30_000 }).toBe(3);
	expect((await events()).map((e) => e.stepId ?? e.kind)).toEqual(['look', 'seat', 'spares']);
	// what was noted without the server bears the mark of whoever was at the bench, too
	expect((await events()).map((e) => e.mark)).toEqual(['MQ', 'MQ', 'MQ']);
	await expect(again.getByText('not yet on the server')).toBeHidden();
	await again.getByRole('button', { name: 'Give up' }).click();
	await again.getByRole('button', { name: 'Give this pour up' }).click();
	await expect(heading(again)).toHaveText('Given up');
	await again.close();
});

test('what is smuggled into a page of somebody signed in does not run, and reads no session', async () => {
	const page = await context.newPage();
	const origin = `https://${NAME}:${port}`;
	await page.goto(`${origin}/find?q=${encodeURIComponent('<script>globalThis.smuggled = 0</script>')}`);
	await expect(page.getByRole('navigation', { name: /Stations/ })).toBeVisible();
	await page.evaluate(() => {
		document.addEventListener('securitypolicyviolation', (e) =>
			document.body.append(`held up: ${e.violatedDirective}`)
		);
		const script = document.createElement('script');
		script.textContent = 'globalThis.smuggled = 1';
		const picture = document.createElement('img');
		picture.setAttribute('onerror', 'globalThis.smuggled = 2');
		picture.src = '/nowhere.png';
		const far = document.createElement('script');
		far.src = 'https://127.0.0.2/evil.js';
		document.body.append(script, picture, far);
	});
	await expect(page.getByText('held up: script-src')).toHaveCount(1);
	expect(await page.evaluate(() => ['smuggled' in globalThis, document.cookie.includes('session')])).toEqual([
		false,
		false
	]);
	await page.close();
});

test('tricks with names and paths over TLS reach nothing', async () => {
	const ca = readFileSync(join(folder, 'authority.pem'));
	const ask = (path: string, headers: Record<string, string> = {}) =>
		new Promise<{ status: number; text: string; to: string }>((resolve, reject) =>
			get({ host: '127.0.0.1', port, path, ca, agent: false, servername: 'localhost', headers }, (answer) => {
				let text = '';
				answer.setEncoding('utf8').on('data', (piece: string) => (text += piece));
				answer.on('end', () =>
					resolve({ status: answer.statusCode!, text, to: answer.headers.location ?? '' })
				);
			}).on('error', reject)
		);
	expect((await ask('/', { host: 'evil.example' })).status).toBe(403);
	const html = { accept: 'text/html' };
	// what a proxy would say is believed of nobody
	for (const headers of [{ 'x-forwarded-host': 'evil.example' }, { forwarded: 'host=evil.example' }])
		expect((await ask('/moulds', { ...html, ...headers })).to).not.toContain('evil');
	for (const path of [
		'/../../etc/passwd',
		'/%2e%2e/%2e%2e/etc/passwd',
		'/_app/..%2f..%2fpackage.json',
		'/_app/immutable/%2e%2e/%2e%2e/%2e%2e/package.json',
		'/photos/..%2f..%2fpackage.json',
		'//evil.example/%2f..',
		'/%5cevil.example',
		'https://evil.example/moulds',
		'/moulds%00.png'
	]) {
		const { status, text, to } = await ask(path, html);
		expect.soft(status, path).not.toBe(500);
		expect.soft(text, path).not.toMatch(/root:|"anthypos"|Rope fender/);
		expect.soft(to, path).toMatch(/^($|\/(?![/\\]))/);
	}
});

test('signed out nothing of the workshop is seen, and one comes back to where one was', async () => {
	const page = await context.newPage();
	const origin = `https://${NAME}:${port}`;
	await page.goto(`${origin}/me`);
	await page.getByRole('button', { name: 'Sign out' }).click();
	await expect(heading(page)).toHaveText('Sign in');
	await page.goto(`${origin}/moulds/wear`);
	await expect(heading(page)).toHaveText('Sign in');
	await expect(page.getByRole('navigation')).toHaveCount(0);
	await page.getByLabel('Your name or mark', { exact: true }).fill('mq');
	await page.getByLabel('Your passphrase', { exact: true }).fill('not this one at all');
	await page.getByRole('button', { name: 'Sign in' }).click();
	await expect(page.getByText('Nobody is known by that name and passphrase.')).toBeVisible();
	await expect(page.getByLabel('Your name or mark', { exact: true })).toHaveValue('mq');
	await page.getByLabel('Your passphrase', { exact: true }).fill(PASSPHRASE);
	await page.getByRole('button', { name: 'Sign in' }).click();
	await expect(page).toHaveURL(`${origin}/moulds/wear`);
	await expect(page.getByRole('navigation', { name: /Stations/ })).toBeVisible();
	await page.close();
});
