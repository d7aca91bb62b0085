// The web server's process: the built application, with the headers that every answer bears. Started by lib/web.mjs.
import { rmSync } from 'node:fs';
import { hostname, tmpdir } from 'node:os';
import { join } from 'node:path';
import { withHeaders } from './lib/headers.mjs';

const { TLS_FOLDER, TLS_CERT, TLS_KEY, HOST = '127.0.0.1', PORT = '3000' } = process.env;
/** TLS is in front: the application itself is called through a file that only this user reaches. */
const behind = TLS_FOLDER ? join(tmpdir(), `anthypos-${process.pid}.sock`) : undefined;
if (behind) {
	process.umask(0o077);
	process.env.SOCKET_PATH = behind;
	// a port would come before the file
	delete process.env.PORT;
	// it is called by its own name as well
	const own = hostname().toLowerCase();
	process.env.ALLOWED_HOSTS = [process.env.ALLOWED_HOSTS, own, `${own}.local`].filter(Boolean).join(',');
}
const { server } = await import('../build/index.js');
withHeaders(server.server);
if (behind) {
	const { listenTls } = await import('./tls/serve.mjs');
	try {
		const { print, close } = await listenTls({
			app: server.server,
			host: HOST,
			port: Number(PORT),
			folder: TLS_FOLDER,
			hosts: process.env.ALLOWED_HOSTS,
			certFile: TLS_CERT,
			keyFile: TLS_KEY
		});
		if (print)
			process.stdout.write(
				`\n  Over the network it is served encrypted. A device that comes for the first time is shown how to trust this machine;\n  the words to compare are: ${print.words}\n\n`
			);
		for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, close);
		process.on('exit', () => rmSync(behind, { force: true }));
	} catch (error) {
		process.stderr.write(`${error.message}\n`);
		process.exit(1);
	}
}
