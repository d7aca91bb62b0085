import { X509Certificate } from 'node:crypto';
import { mkdtempSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { createServer, request as plainRequest, type IncomingMessage } from 'node:http';
import { Agent, request as tlsRequest } from 'node:https';
import { connect } from 'node:net';
import { networkInterfaces, tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { freePort } from '../../scripts/lib/ports.mjs';
import { certificateIn, fingerprint, namesOf } from '../../scripts/tls/authority.mjs';
import { listenTls } from '../../scripts/tls/serve.mjs';

const folder = mkdtempSync(join(tmpdir(), 'anthypos-authority-'));
const NAMES = namesOf('bench.local');
const DAY_MS = 86_400_000;
const served = mkdtempSync(join(tmpdir(), 'anthypos-served-'));
afterAll(() => [folder, served].forEach((f) => rmSync(f, { recursive: true, force: true })));

describe('the authority of a machine', () => {
	it('signs a certificate for every name and address of it, as RFC 5280 wants it', async () => {
		const made = await certificateIn(folder, NAMES);
		const [cert, authority] = [new X509Certificate(made.cert), new X509Certificate(made.authority)];
		expect(authority.ca).toBe(true);
		expect(cert.ca).toBe(false);
		expect(cert.verify(authority.publicKey)).toBe(true);
		expect(cert.checkIssued(authority)).toBe(true);
		for (const name of ['localhost', 'bench.local']) expect(cert.checkHost(name), name).toBe(name);
		expect(cert.checkIP('127.0.0.1')).toBe('127.0.0.1');
		expect(cert.checkHost('evil.example')).toBeUndefined();
		// telephones take none that holds over 825 days
		const days = (Date.parse(cert.validTo) - Date.parse(cert.validFrom)) / DAY_MS;
		expect(days).toBeLessThan(825);
		// and a tablet whose clock is most of a year slow takes both
		for (const { validFrom } of [cert, authority])
			expect(Date.parse(validFrom)).toBeLessThan(Date.now() - 350 * DAY_MS);
	});
	it('keeps its keys for its owner alone, and makes nothing anew while it holds', async () => {
		for (const file of ['authority.key', 'server.key'])
			expect(statSync(join(folder, file)).mode & 0o077).toBe(0);
		const [one, two] = [await certificateIn(folder, NAMES), await certificateIn(folder, NAMES)];
		expect(one.renewed).toBe(false);
		expect(two.cert).toBe(one.cert);
	});
	it('renews in time and for a new name, and stays the authority that was trusted', async () => {
		const before = readFileSync(join(folder, 'authority.pem'), 'utf8');
		expect((await certificateIn(folder, [...NAMES, 'second.local'])).renewed).toBe(true);
		const later = new Date(Date.now() + 350 * DAY_MS);
		const renewed = await certificateIn(folder, [...NAMES, 'second.local'], later);
		expect(renewed.renewed).toBe(true);
		expect(Date.parse(new X509Certificate(renewed.cert).validTo)).toBeGreaterThan(
			later.getTime() + 300 * DAY_MS
		);
		expect(renewed.authority.trim()).toBe(before.trim());
	});
	it('of two processes that start at once both serve the same', async () => {
		const fresh = mkdtempSync(join(tmpdir(), 'anthypos-both-'));
		const both = await Promise.all([certificateIn(fresh, NAMES), certificateIn(fresh, NAMES)]);
		expect(both[0].cert).toBe(both[1].cert);
		rmSync(fresh, { recursive: true, force: true });
	});
	it('its fingerprint is that of the standard library, and twelve words say it', () => {
		const pem = readFileSync(join(folder, 'authority.pem'), 'utf8');
		const { figures, words } = fingerprint(pem);
		expect(figures).toBe(new X509Certificate(pem).fingerprint256);
		expect(words.split(' ')).toHaveLength(12);
	});
});

describe('one port for both', () => {
	const app = createServer((request, response) => {
		const encrypted = Boolean((request.socket as { encrypted?: boolean }).encrypted);
		response.end(JSON.stringify({ path: request.url, encrypted, from: request.socket.remoteAddress }));
	});
	/** An address of this machine that is not its loopback: there plain lines leave it. */
	const outside = Object.values(networkInterfaces())
		.flat()
		.find((a) => a && !a.internal && a.family === 'IPv4')?.address;
	let port = 0;
	let close = () => {};
	beforeAll(async () => {
		port = await freePort();
		app.keepAliveTimeout = 65_000;
		({ close } = await listenTls({ app, host: '0.0.0.0', port, folder: served, hosts: 'bench.local' }));
	});
	afterAll(() => close());

	const ask = (
		host: string,
		path: string,
		{
			tls = false,
			method = 'GET',
			headers = {}
		}: { tls?: boolean; method?: string; headers?: Record<string, string> } = {}
	) =>
		new Promise<{ status: number; text: string; headers: IncomingMessage['headers'] }>((resolve, reject) => {
			const ca = readFileSync(join(served, 'authority.pem'));
			const send = tls ? tlsRequest : plainRequest;
			send({ host, port, path, method, headers, agent: false, ...(tls ? { ca } : {}) }, (answer) => {
				let text = '';
				answer.setEncoding('utf8');
				answer.on('data', (piece: string) => (text += piece));
				answer.on('end', () => resolve({ status: answer.statusCode!, text, headers: answer.headers }));
			})
				.on('error', reject)
				.end();
		});

	it('TLS reaches the application, and so does a plain line from this machine itself', async () => {
		expect(JSON.parse((await ask('127.0.0.1', '/x', { tls: true })).text)).toMatchObject({
			path: '/x',
			encrypted: true
		});
		const plain = JSON.parse((await ask('127.0.0.1', '/x')).text) as { encrypted: boolean; from: string };
		expect(plain.encrypted).toBe(false);
		expect(plain.from).toContain('127.0.0.1');
		expect((await ask('127.0.0.1', '/workshop-trusted', { tls: true })).status).toBe(204);
	});
	it('a line over TLS is held as long as one of the application', async () => {
		const agent = new Agent({ keepAlive: true, ca: readFileSync(join(served, 'authority.pem')) });
		const held = await new Promise<string | undefined>((resolve, reject) =>
			tlsRequest({ host: '127.0.0.1', port, path: '/x', agent }, (answer) => {
				answer.resume().on('end', () => resolve(answer.headers['keep-alive']?.toString()));
			})
				.on('error', reject)
				.end()
		);
		agent.destroy();
		expect(held).toBe('timeout=65');
	});
	it('a plain line from the network is told how to come with TLS, and reaches nothing', async (t) => {
		if (!outside) return t.skip('this machine has no address but its own');
		const led = await ask(outside, '/api/clocks');
		expect([led.status, led.headers.location]).toEqual([308, `https://${outside}:${port}/api/clocks`]);
		const page = await ask(outside, '/ledger?q=%22%3E%3Cscript%3E', { headers: { accept: 'text/html' } });
		expect(page.status).toBe(200);
		expect(page.text).toContain(fingerprint(readFileSync(join(served, 'authority.pem'), 'utf8')).words);
		expect(page.text).not.toContain('"><script>');
		expect(page.headers['content-security-policy']).toMatch(/default-src 'none'/);
		expect(page.headers['strict-transport-security']).toBeUndefined();
		const file = await ask(outside, '/workshop-authority.crt');
		expect(file.headers['content-type']).toBe('application/x-x509-ca-cert');
		expect((await ask(outside, '/api/calc/mix', { method: 'POST' })).status).toBe(403);
		expect((await ask(outside, '/', { headers: { host: 'evil.example/<b>' } })).status).toBe(400);
	});
	it('what is neither ends, and harms nobody', async () => {
		const socket = connect(port, '127.0.0.1').resume();
		socket.write(Buffer.from([22, 3, 1, 255, 255, 1, 2, 3]));
		await new Promise((ended) => socket.once('close', ended).on('error', ended));
		expect((await ask('127.0.0.1', '/still', { tls: true })).status).toBe(200);
	});
	it('a certificate of one’s own is served; half of one, or another’s key, is said', async () => {
		const other = mkdtempSync(join(tmpdir(), 'anthypos-own-'));
		const own = await certificateIn(other, ['localhost', '127.0.0.1']);
		const [certFile, keyFile] = [join(other, 'own.pem'), join(other, 'own.key')];
		writeFileSync(certFile, own.cert);
		writeFileSync(keyFile, own.key);
		const at = { app, host: '127.0.0.1', port: await freePort(), folder: other };
		const opened = await listenTls({ ...at, certFile, keyFile });
		expect(opened.print).toBeUndefined();
		opened.close();
		await expect(listenTls({ ...at, certFile })).rejects.toThrow(/go together/);
		await expect(listenTls({ ...at, certFile, keyFile: join(served, 'server.key') })).rejects.toThrow(
			/not the key/
		);
		rmSync(other, { recursive: true, force: true });
	});
});
