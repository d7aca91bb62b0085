import { backUp, listBackups } from './backup.mjs';
import { backupIsDue } from './generations.mjs';
import { say } from './say.mjs';

const LOOK_EVERY_MS = 600_000;
/** Not while the workshop is only just opened, ms. */
const FIRST_LOOK_MS = 300_000;

/**
 * Backs a running workshop up each night, and in the day when the machine was off at night. One that fails says so and
 * is tried again at the next look.
 * @returns how to stop it
 */
export function backUpNightly(webUrl, folder, ownToken) {
	let busy = false;
	const look = async () => {
		if (busy || !backupIsDue(listBackups(folder)[0]?.atMs, new Date())) return;
		busy = true;
		try {
			const made = await backUp(webUrl, folder, new Date(), ownToken);
			say(`Backed up: ${made.file}, ${made.rows} rows, read back and compared.`);
		} catch (error) {
			say(`The nightly backup failed: ${error.message}`);
		}
		busy = false;
	};
	const first = setTimeout(look, FIRST_LOOK_MS);
	const each = setInterval(look, LOOK_EVERY_MS);
	return () => {
		clearTimeout(first);
		clearInterval(each);
	};
}
