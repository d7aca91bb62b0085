// npm run campaign: faults of every kind against a workshop of its own on loopback, and one table at the end.
// On loopback first; then a fiftieth of it as somebody who is signed in. --short: that alone, as npm test runs it.
// --seed=7: another run.
import { join } from 'node:path';
import { rmSync } from 'node:fs';
import { fuzzAddresses, fuzzCalculations, fuzzForms } from './campaign/fuzz.mjs';
import { hostileBooks, hostileFiles } from './campaign/files.mjs';
import { diskFull } from './campaign/disk.mjs';
import { doublesAndSlow, kills } from './campaign/kills.mjs';
import { memoryMb, openWorld, Tally } from './campaign/world.mjs';
import { backUp } from './lib/backup.mjs';
import { ensureBuild } from './lib/build.mjs';
import { ensureCommand } from './lib/debian.mjs';
import { ensureNodePackages } from './lib/packages.mjs';
import { stateDir } from './lib/paths.mjs';
import { main, say } from './lib/say.mjs';

const short = process.argv.includes('--short');
const seed = Number(/--seed=(\d+)/.exec(process.argv.join(' '))?.[1] ?? 1);
const SHORT = { kills: 1, calculations: 150, forms: 150, addresses: 150, files: 32, books: 10, doubles: 2 };
const LONG = {
	kills: 20,
	calculations: 4000,
	forms: 2000,
	addresses: 1500,
	files: 304,
	books: 50,
	doubles: 10
};
/** Memory may grow by so much between the warm-up and the end. */
const GROWTH = 0.15;

/** A book of it all, read back into another database and compared table by table. */
async function restored(world) {
	const tally = new Tally('backup and restore');
	const folder = join(stateDir, 'campaign-backups');
	try {
		const { rows, sizeBytes } = await backUp(world.urls[0], folder, new Date(), world.ownToken);
		tally.tried = 1;
		tally.remark = `${rows} rows, ${(sizeBytes / 1024 ** 2).toFixed(1)} MB, every table compared`;
	} catch (error) {
		tally.wrong.push(error.message);
	} finally {
		rmSync(folder, { recursive: true, force: true });
	}
	return tally;
}

/**
 * The least that a process has in use while it works, MB: what it holds for good. What lies above it is let go of when
 * the collector comes round, at any moment.
 */
async function heldMb(world, seed) {
	const pid = world.pids()[0];
	let least = Infinity;
	const look = setInterval(() => (least = Math.min(least, memoryMb(pid))), 100);
	await fuzzForms(world, LONG.forms, seed);
	clearInterval(look);
	return least;
}

/** Memory of a process that went through all of it, against what it had once it was warm. */
async function memory(world, warmMb) {
	const tally = new Tally('memory');
	const nowMb = await heldMb(world, seed + 200);
	tally.tried = 1;
	tally.remark = `${warmMb.toFixed(0)} MB warm, ${nowMb.toFixed(0)} MB at the end`;
	if (nowMb > warmMb * (1 + GROWTH))
		tally.wrong.push(`it grew by ${Math.round((nowMb / warmMb - 1) * 100)} %`);
	return tally;
}

/** One run of it: its world, and each of its parts in turn. */
async function campaign(counts, { chromium, part, signedIn = false }) {
	const whole = counts === LONG;
	const world = await openWorld({ signedIn });
	try {
		// the kills first: who is killed begins anew, and memory is measured over what follows
		await part(() => kills(world, counts.kills, chromium, seed));
		await fuzzCalculations(world, whole ? 600 : 100, seed + 100);
		await hostileFiles(world, 16, seed + 100);
		if (whole) await fuzzAddresses(world, counts.addresses / 5, seed + 100);
		if (whole) await hostileBooks(world, counts.books / 5, seed + 100);
		const warmMb = whole ? await heldMb(world, seed + 100) : 0;
		await part(() => doublesAndSlow(world, counts.doubles, seed));
		await part(() => fuzzCalculations(world, counts.calculations, seed));
		await part(() => fuzzForms(world, counts.forms, seed));
		await part(() => fuzzAddresses(world, counts.addresses, seed));
		await part(() => hostileFiles(world, counts.files, seed));
		await part(() => hostileBooks(world, counts.books, seed));
		await part(() => restored(world));
		if (whole) await part(() => memory(world, warmMb));
	} finally {
		await world.close();
	}
}

main(async () => {
	await ensureNodePackages();
	const chromium = await ensureCommand({ command: 'chromium', packageName: 'chromium', what: 'Chromium' });
	await ensureBuild();
	const tallies = [];
	let as = '';
	const part = async (work) => {
		const from = Date.now();
		const tally = await work();
		tally.name += as;
		tallies.push(tally);
		for (const sentence of tally.wrong.slice(0, 5)) say(`wrong: ${sentence}`);
		say(
			`${tally.name}: ${tally.wrong.length === 0 ? 'as it should' : `${tally.wrong.length} wrong`}, ${Math.round((Date.now() - from) / 1000)} s`
		);
	};
	if (!short) await campaign(LONG, { chromium, part });
	as = ', signed in';
	await campaign(SHORT, { chromium, part, signedIn: true });
	as = '';
	await part(() => diskFull());
	const line = (cells) => say(cells.map((c, i) => String(c).padEnd([36, 8, 8, 10][i] ?? 0)).join(' '));
	say('');
	line(['part', 'tried', 'wrong', 'longest', 'answers, and what else']);
	for (const t of tallies)
		line([
			t.name,
			t.tried,
			t.wrong.length,
			`${(t.longestMs / 1000).toFixed(1)} s`,
			[
				Object.entries(t.answers)
					.map(([status, n]) => `${n} × ${status}`)
					.join(', '),
				t.remark,
				t.longestMs > 3000 ? `longest: ${t.slowest}` : ''
			]
				.filter(Boolean)
				.join('; ')
		]);
	const wrong = tallies.flatMap((t) => t.wrong);
	for (const sentence of wrong.slice(0, 40)) say(`wrong: ${sentence}`);
	say(
		wrong.length === 0 ? 'Nothing lost, nothing twice, no breakdown.' : `${wrong.length} things are wrong.`
	);
	process.exit(wrong.length === 0 ? 0 : 1);
});
