import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { root } from './paths.mjs';
import { run } from './run.mjs';
import { say, Stop } from './say.mjs';

const STAMP = join(root, 'build', '.source');
const INPUTS = [
	'src',
	'static',
	'package.json',
	'package-lock.json',
	'svelte.config.js',
	'vite.config.ts',
	'tsconfig.json'
];

function hashInto(hash, path) {
	for (const entry of readdirSync(path, { withFileTypes: true }).sort((a, b) => (a.name < b.name ? -1 : 1))) {
		const full = join(path, entry.name);
		if (entry.isDirectory()) hashInto(hash, full);
		else if (!entry.name.endsWith('.test.ts')) hash.update(full).update(readFileSync(full));
	}
}

/** A number for everything that the build is made from. */
function sourceHash() {
	const hash = createHash('sha256');
	for (const input of INPUTS) {
		const full = join(root, input);
		if (input.includes('.')) hash.update(existsSync(full) ? readFileSync(full) : '');
		else hashInto(hash, full);
	}
	return hash.digest('hex');
}

/** Builds the application unless the build is of these very sources. */
export async function ensureBuild() {
	const wanted = sourceHash();
	if (existsSync(STAMP) && readFileSync(STAMP, 'utf8') === wanted) return;
	say('Building the application (half a minute) …');
	const { code, output } = await run('npx', ['--no-install', 'vite', 'build', '--logLevel', 'warn'], {
		show: false
	});
	if (code !== 0) throw new Stop(`The build failed:\n${output.trim().slice(-4000)}`);
	writeFileSync(STAMP, wanted);
}
