// One port for both: TLS is served, and who comes without it is told how to come with it. From this machine itself plain
// lines are taken: they never leave it.
import { createServer as plainServer } from 'node:http';
import { createServer as tlsServer } from 'node:https';
import { createServer as netServer } from 'node:net';
import { readFileSync } from 'node:fs';
import { X509Certificate } from 'node:crypto';
import { HEADERS } from '../lib/headers.mjs';
import { certificateIn, fingerprint, namesOf } from './authority.mjs';
import { plainPage } from './plainPage.mjs';

/** The first byte of a TLS hello (RFC 8446, 5.1: handshake records are of type 22). */
const HANDSHAKE = 22;
const LOOKED_AT_EVERY_MS = 6 * 3_600_000;
const FIRST_BYTE_MS = 10_000;
const LOOPBACK = /^(::ffff:)?127\.|^::1$/;

/** The certificate that is served: the one that was given, or one by this machine's own authority. */
async function material({ folder, hosts, certFile, keyFile }) {
	if (certFile || keyFile) {
		if (!certFile || !keyFile) throw new Error('TLS_CERT and TLS_KEY go together: give both, or neither.');
		const cert = readFileSync(certFile, 'utf8');
		const key = readFileSync(keyFile, 'utf8');
		if (!new X509Certificate(cert).checkPrivateKey((await import('node:crypto')).createPrivateKey(key)))
			throw new Error('TLS_KEY is not the key of the certificate in TLS_CERT.');
		return { cert, key };
	}
	return certificateIn(folder, namesOf(hosts));
}

/**
 * Listens in place of a server of the application.
 * @param {object} of
 * @param {import('node:http').Server} of.app answers whatever comes over TLS, and what comes from this machine
 * @param {string} of.host @param {number} of.port where it listens
 * @param {string} of.folder where the authority lives
 * @param {string} [of.hosts] names besides, divided by commas
 * @param {string} [of.certFile] @param {string} [of.keyFile] a certificate of one's own
 * @returns {Promise<{ print?: { words: string, figures: string }, close: () => void }>}
 */
export async function listenTls({ app, host, port, folder, hosts, certFile, keyFile }) {
	const options = { folder, hosts, certFile, keyFile };
	let { authority, ...pair } = await material(options);
	const secure = tlsServer(
		{ ...pair, minVersion: 'TLSv1.2', handshakeTimeout: FIRST_BYTE_MS },
		(request, response) => {
			// a plain page asks whether this machine is trusted by now
			if (request.url === '/workshop-trusted') return void response.writeHead(204).end();
			app.emit('request', request, response);
		}
	);
	secure.keepAliveTimeout = app.keepAliveTimeout;
	secure.on('tlsClientError', (_error, socket) => socket.destroy());
	const plain = plainServer((request, response) => toTls(request, response, () => authority));
	const outer = netServer((socket) => {
		socket.setTimeout(FIRST_BYTE_MS, () => socket.destroy());
		socket.on('error', () => socket.destroy());
		socket.once('data', (first) => {
			socket.pause();
			socket.setTimeout(0);
			socket.unshift(first);
			const own = LOOPBACK.test(socket.remoteAddress ?? '');
			(first[0] === HANDSHAKE ? secure : own ? app : plain).emit('connection', socket);
			process.nextTick(() => socket.resume());
		});
	});
	// its days run out, or the machine is called otherwise: renewed while it serves
	const look = setInterval(async () => {
		try {
			({ authority, ...pair } = await material(options));
			secure.setSecureContext(pair);
		} catch (error) {
			process.stderr.write(`The certificate could not be renewed: ${error.message}\n`);
		}
	}, LOOKED_AT_EVERY_MS);
	look.unref();
	await new Promise((resolve, reject) => outer.once('error', reject).listen(port, host, resolve));
	return {
		...(authority ? { print: fingerprint(authority) } : {}),
		close() {
			clearInterval(look);
			outer.close();
			plain.close();
			plain.closeAllConnections();
			secure.close();
			secure.closeIdleConnections();
			setTimeout(() => secure.closeAllConnections(), 2500).unref();
		}
	};
}

/** Answers a request that came without TLS: the file to trust, the page that explains it, or the same address with TLS. */
function toTls(request, response, authorityNow) {
	for (const [name, value] of Object.entries(HEADERS)) response.setHeader(name, value);
	const authority = authorityNow();
	const host = request.headers.host ?? '';
	if (!/^[\w.:[\]-]{1,260}$/.test(host)) return void response.writeHead(400).end();
	if (authority && request.url === '/workshop-authority.crt') {
		const der = new X509Certificate(authority).raw;
		return void response
			.writeHead(200, {
				'content-type': 'application/x-x509-ca-cert',
				'content-disposition': 'attachment; filename="workshop-authority.crt"',
				'content-length': der.length
			})
			.end(der);
	}
	const path = (request.url ?? '/').startsWith('/') ? request.url : '/';
	const to = `https://${host}${path}`;
	const reads = request.method === 'GET' || request.method === 'HEAD';
	if (authority && reads && (request.headers.accept ?? '').includes('text/html')) {
		const { html, policy } = plainPage({ to, print: fingerprint(authority) });
		return void response
			.writeHead(200, {
				'content-type': 'text/html; charset=utf-8',
				'content-security-policy': policy,
				'cache-control': 'no-store'
			})
			.end(request.method === 'HEAD' ? '' : html);
	}
	// what was sent in the open is not taken; a script is told where to go
	if (!reads)
		return void response
			.writeHead(403, { 'content-type': 'application/json' })
			.end(JSON.stringify({ message: `Only over TLS: ${to}` }));
	response.writeHead(308, { location: to }).end();
}
