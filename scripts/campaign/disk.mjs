// A disk of its own that is filled to the brim, where a disk can be made: it wants root.
import { randomUUID } from 'node:crypto';
import { appendFileSync, mkdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { startDatabase } from '../lib/mariadb.mjs';
import { stateDir } from '../lib/paths.mjs';
import { freePort } from '../lib/ports.mjs';
import { run } from '../lib/run.mjs';
import { startWeb } from '../lib/web.mjs';
import { Tally } from './world.mjs';

const SIZE = '420m';

function fill(file) {
	const piece = Buffer.alloc(1024 * 1024, 1);
	try {
		for (let n = 0; n < 2000; n++) appendFileSync(file, piece);
	} catch (error) {
		if (error.code !== 'ENOSPC') throw error;
	}
}

/** Events go on until the disk is full, it is named then, and none that was confirmed is missing once there is room. */
export async function diskFull() {
	const tally = new Tally('disk full');
	const disk = join(stateDir, 'campaign-disk');
	rmSync(disk, { recursive: true, force: true });
	mkdirSync(disk, { recursive: true });
	const mounted = await run('mount', ['-t', 'tmpfs', '-o', `size=${SIZE},mode=755`, 'tmpfs', disk], {
		show: false
	}).catch(() => ({ code: 1 }));
	if (mounted.code !== 0) {
		tally.remark = 'left out: a disk of its own can be made by root only';
		return tally;
	}
	let database;
	let web;
	try {
		database = await startDatabase(join(disk, 'db'));
		web = await startWeb({
			databaseUrl: database.url,
			port: await freePort(),
			quiet: true,
			demo: true,
			env: { ANTHYPOS_DATA: join(disk, 'db', 'data'), LOG_LEVEL: 'silent' }
		});
		const { clocks } = await (await fetch(`${web.url}/api/clocks`)).json();
		const address = `${web.url}/api/pours/${clocks
			.find((c) => c.kind === 'cure')
			.href.split('/')
			.pop()}/events`;
		const confirmed = [];
		const send = async (rounds) => {
			let said = '';
			for (let i = 0; i < rounds; i++) {
				const events = Array.from({ length: 40 }, () => ({
					id: randomUUID(),
					atMs: Date.now(),
					kind: 'step-done',
					stepId: 'look'
				}));
				const { status, text } = await tally.send('events', address, {
					method: 'POST',
					headers: { 'content-type': 'application/json' },
					body: JSON.stringify({ events })
				});
				if (status === 200) confirmed.push(...events.map((e) => e.id));
				else said = text;
			}
			return said;
		};
		await send(3);
		fill(join(disk, 'junk'));
		const said = await send(60);
		if (said && !/disk .*is full/.test(said))
			tally.wrong.push(`a full disk was not named: ${said.slice(0, 160)}`);
		const upload = await tally.send('a file', `${web.url}/api/meshes?name=x.stl`, {
			method: 'POST',
			headers: { 'content-type': 'application/octet-stream' },
			body: new Uint8Array(500_000)
		});
		if (upload.status !== 507) tally.wrong.push(`a file was answered with ${upload.status} on a full disk`);
		rmSync(join(disk, 'junk'));
		await new Promise((done) => setTimeout(done, 2500));
		if (await send(3)) tally.wrong.push('with room again events are still refused');
		const { events } = await (await fetch(address)).json();
		const there = new Set(events.map((e) => e.id));
		const lost = confirmed.filter((id) => !there.has(id)).length;
		if (lost > 0) tally.wrong.push(`${lost} confirmed events are missing after the disk was full`);
		tally.remark = `${confirmed.length} events confirmed, ${lost} lost`;
	} finally {
		await web?.stop();
		await database?.stop();
		// whoever still looks at it is let finish
		await run('umount', ['-l', disk], { show: false });
		rmSync(disk, { recursive: true, force: true });
	}
	return tally;
}
