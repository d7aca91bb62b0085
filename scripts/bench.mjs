// npm run bench: medians on this machine. It prints; it never fails on a time.
import { spawn } from 'node:child_process';
import { rmSync } from 'node:fs';
import { join } from 'node:path';
import { drag, dragBoard, largeFile } from './bench-drag.mjs';
import { weigh } from './bench-weight.mjs';
import { load } from './bench-load.mjs';
import { ensureBuild } from './lib/build.mjs';
import { startDatabase } from './lib/mariadb.mjs';
import { ensureNodePackages } from './lib/packages.mjs';
import { root, stateDir } from './lib/paths.mjs';
import { freePort } from './lib/ports.mjs';
import { run } from './lib/run.mjs';
import { main, say } from './lib/say.mjs';
import { startWeb } from './lib/web.mjs';

const median = (list) => [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)];
const row = (what, value, aim) => say(`${what.padEnd(46)} ${value.padStart(12)}   aim ${aim}`);

async function pages(url) {
	const times = [];
	for (let i = 0; i < 41; i++) {
		const start = performance.now();
		await (await fetch(url)).text();
		times.push(performance.now() - start);
	}
	return median(times.slice(1));
}

/** From the command to the printed address, with everything installed and built. */
function secondStart(port) {
	return new Promise((resolve) => {
		const start = performance.now();
		const child = spawn(process.execPath, [join(root, 'scripts', 'demo.mjs')], {
			cwd: root,
			env: { ...process.env, PORT: String(port) },
			stdio: ['ignore', 'pipe', 'inherit']
		});
		let output = '';
		let tookS;
		child.stdout.on('data', (part) => {
			output += part;
			if (tookS === undefined && output.includes('Anthypos is at')) {
				tookS = (performance.now() - start) / 1000;
				child.kill('SIGINT');
			}
		});
		child.on('close', () => resolve(tookS ?? NaN));
	});
}

main(async () => {
	await ensureNodePackages();
	await ensureBuild();
	await run('npx', ['--no-install', 'tsx', join('scripts', 'bench-core.ts')]);
	await run('npx', ['--no-install', 'tsx', join('scripts', 'bench-orders.ts')]);
	await run('npx', ['--no-install', 'tsx', join('scripts', 'bench-pictures.ts')]);
	const million = join(stateDir, 'bench-million.stl');
	await run('npx', ['--no-install', 'tsx', join('scripts', 'bench-mesh.ts'), million]);

	const dir = join(stateDir, 'bench');
	rmSync(dir, { recursive: true, force: true });
	const database = await startDatabase(dir);
	try {
		const web = await startWeb({
			databaseUrl: database.url,
			port: await freePort(),
			demo: true,
			quiet: true
		});
		for (const path of ['/', '/moulds', '/ledger']) {
			row(`page ${path}, median of 40`, `${(await pages(web.url + path)).toFixed(1)} ms`, 'under 60 ms');
		}
		const felt = await drag(web.url);
		row('curves behind a dragged slider, median', `${felt.lagMs.toFixed(0)} ms`, 'under 100 ms');
		row('curves behind a dragged slider, 95 %', `${felt.lag95Ms.toFixed(0)} ms`, 'under 100 ms');
		row(
			'longest task of the main thread meanwhile',
			`${felt.longestTaskMs.toFixed(0)} ms`,
			'under 50 ms (0: none)'
		);
		row('longest task once it rests: drawn anew', `${felt.restTaskMs.toFixed(0)} ms`, '');
		const board = await dragBoard(web.url);
		row(
			`a frame of the board while one of ${board.bars} bars is dragged, 95 %`,
			`${board.frame95Ms.toFixed(0)} ms`,
			'under 50 ms'
		);
		for (const { name, kb, aimKb, longestTaskMs } of await weigh(web.url)) {
			row(`script of ${name}, compressed`, `${kb.toFixed(0)} kB`, `under ${aimKb} kB`);
			row('its longest task, processor slowed four times', `${longestTaskMs.toFixed(0)} ms`, 'under 200 ms');
		}
		const large = await largeFile(web.url, million);
		row('million triangles in the browser, figures after', `${large.shownS.toFixed(1)} s`, '');
		row('the same, pockets and undercuts after', `${large.studiedS.toFixed(1)} s`, '');
		row(
			'longest task of the main thread meanwhile',
			`${large.longestTaskMs.toFixed(0)} ms`,
			'under 50 ms (software GL: its context)'
		);
		await web.stop();
	} finally {
		await database.stop();
		rmSync(dir, { recursive: true, force: true });
		rmSync(million, { force: true });
	}
	await load();
	const starts = [];
	for (let i = 0; i < 3; i++) starts.push(await secondStart(await freePort()));
	row('second start of the demo, median of 3', `${median(starts).toFixed(1)} s`, 'under 8 s');
});
