import { createHash } from 'node:crypto';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { root } from './paths.mjs';
import { run } from './run.mjs';
import { say, Stop } from './say.mjs';

const STAMP = join(root, 'node_modules', '.anthypos-installed');

function wanted() {
	const hash = createHash('sha256');
	for (const file of ['package.json', 'package-lock.json']) {
		if (existsSync(join(root, file))) hash.update(readFileSync(join(root, file)));
	}
	return hash.digest('hex');
}

/** Installs the node packages unless those of this very lock file are there. */
export async function ensureNodePackages() {
	const [major, minor] = process.versions.node.split('.').map(Number);
	if (major < 20 || (major === 20 && minor < 11)) {
		throw new Stop(`This is Node ${process.versions.node}; Anthypos needs Node 20.11 or newer.`);
	}
	if (existsSync(STAMP) && readFileSync(STAMP, 'utf8') === wanted()) return;
	say('Installing node packages (a minute or two the first time) …');
	const { code } = await run('npm', ['install', '--no-audit', '--no-fund', '--loglevel=error']);
	if (code !== 0) throw new Stop('npm install failed: see above. Is the npm registry reachable?');
	writeFileSync(STAMP, wanted());
}
