// A cluster of three MariaDB servers on loopback, each with its folder and ports: for tests, and to try things out.
import { copyFileSync, existsSync, mkdirSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { ensureCommand, which } from './debian.mjs';
import { startDatabase } from './mariadb.mjs';
import { freePort } from './ports.mjs';
import { end, run, until } from './run.mjs';
import { say, Stop } from './say.mjs';

const NODES = 3;
const PROVIDERS = ['/usr/lib/galera/libgalera_smm.so', '/usr/lib64/galera-4/libgalera_smm.so'];

async function provider() {
	await ensureCommand({ command: 'mariadbd', packageName: 'mariadb-server', what: 'MariaDB' });
	await ensureCommand({ command: 'rsync', packageName: 'rsync', what: 'rsync' });
	const found = PROVIDERS.find((file) => existsSync(file));
	if (!found) throw new Stop('The cluster’s library is missing (Debian: apt-get install galera-4).');
	return found;
}

/**
 * How far a node was when it was killed: with it the others send only what it missed; without it they hand over everything,
 * and one of them stands still for that.
 */
async function position(dir, library) {
	const data = join(dir, 'data');
	if (!existsSync(join(data, 'grastate.dat'))) return [];
	const user = statSync(data).uid === 0 ? ['--user=root'] : process.getuid?.() === 0 ? ['--user=mysql'] : [];
	const { output } = await run(
		which('mariadbd'),
		[
			'--no-defaults',
			`--datadir=${data}`,
			`--socket=${join(dir, 'recover.sock')}`,
			'--skip-networking',
			'--wsrep-on=ON',
			`--wsrep-provider=${library}`,
			'--binlog-format=ROW',
			'--wsrep-cluster-address=gcomm://',
			'--wsrep-recover',
			...user
		],
		{ show: false }
	);
	const found = /Recovered position:?\s*([0-9a-f-]{36}:\d+)/.exec(output);
	if (!found) say(`Where the node stood is not known:\n${output.slice(-600)}`);
	return found ? [`--wsrep-start-position=${found[1]}`] : [];
}

/**
 * Starts the nodes one after another; each gets what the first one holds.
 * @returns {Promise<{ url: string, urls: string[], nodes: object[], kill: (i: number) => Promise<void>, start: (i: number) => Promise<void>, stop: () => Promise<void> }>}
 */
export async function startCluster(dir) {
	const library = await provider();
	mkdirSync(dir, { recursive: true });
	const ports = [];
	for (let i = 0; i < NODES; i++)
		ports.push({
			sql: await freePort(),
			group: await freePort(),
			catchUp: await freePort(),
			copy: await freePort()
		});
	const nodes = [];
	const folder = (i) => join(dir, `node${i + 1}`);
	const settings = (i, first) => [
		'--wsrep-on=ON',
		`--wsrep-provider=${library}`,
		'--wsrep-cluster-name=anthypos',
		`--wsrep-cluster-address=gcomm://${first ? '' : ports.map((p) => `127.0.0.1:${p.group}`).join(',')}`,
		`--wsrep-provider-options=gmcast.listen_addr=tcp://127.0.0.1:${ports[i].group};ist.recv_addr=127.0.0.1:${ports[i].catchUp};gcache.size=256M;evs.keepalive_period=PT0.5S;evs.suspect_timeout=PT2S`,
		`--wsrep-node-name=node${i + 1}`,
		'--wsrep-node-address=127.0.0.1',
		`--wsrep-node-incoming-address=127.0.0.1:${ports[i].sql}`,
		`--wsrep-sst-receive-address=127.0.0.1:${ports[i].copy}`,
		'--wsrep-sst-method=rsync',
		'--binlog-format=ROW',
		'--default-storage-engine=InnoDB',
		'--innodb-autoinc-lock-mode=2'
	];
	const start = async (i, first = false) => {
		if (i > 0) {
			// one application user for all: its password is the first one's
			mkdirSync(folder(i), { recursive: true });
			copyFileSync(join(folder(0), 'password'), join(folder(i), 'password'));
		}
		nodes[i] = await startDatabase(folder(i), {
			port: ports[i].sql,
			more: [...settings(i, first), ...(await position(folder(i), library))],
			joins: !first
		});
	};
	for (let i = 0; i < NODES; i++) await start(i, i === 0);
	const [, credentials, , database] = /^(mariadb:\/\/[^@]+@)([^/]+)(\/.*)$/.exec(nodes[0].url);
	/** The address of the cluster, with one node before the others. */
	const urlFrom = (i) =>
		credentials + ports.map((_, k) => `127.0.0.1:${ports[(i + k) % NODES].sql}`).join(',') + database;
	say(`A cluster of ${NODES} runs.`);
	return {
		urls: ports.map((_, i) => urlFrom(i)),
		nodes,
		start: (i) => start(i),
		kill: async (i) => {
			process.kill(nodes[i].pid, 'SIGKILL');
			await until(() => gone(nodes[i].pid), { withinMs: 10_000 });
		},
		stop: async () => {
			for (const node of [...nodes].reverse()) if (node) await end(node.pid, { withinMs: 20_000 });
		}
	};
}

function gone(pid) {
	try {
		process.kill(pid, 0);
		return false;
	} catch {
		return true;
	}
}
