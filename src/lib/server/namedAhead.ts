import { existsSync, statSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

/**
 * A smaller script is found in time by those that import it; each that is named ahead costs a slow processor some
 * milliseconds before the page begins: with all sixty of a mould's page that was its longest task.
 */
const WORTH_BYTES = 4000;
/** How far the built server lies below what is sent, at most. */
const FOLDERS_UP = 5;

/** Folder of what browsers are sent; none while the sources are served. */
function sentFolder(): string | undefined {
	let folder = dirname(fileURLToPath(import.meta.url));
	for (let up = 0; up < FOLDERS_UP; up++, folder = dirname(folder)) {
		const sent = join(folder, 'client');
		if (existsSync(join(sent, '_app'))) return sent;
	}
	return undefined;
}

const sent = sentFolder();
const known = new Map<string, boolean>();

/**
 * Whether a page's head names a script, so that it is fetched before anything asks for it. One of unknown size is named.
 * @param path as the framework has it, such as `/_app/immutable/chunks/x.js`
 */
export function isNamedAhead(path: string): boolean {
	// those that begin a page are always named: all others hang on them
	const file = /_app\/immutable\/chunks\/.*$/.exec(path)?.[0];
	if (!sent || !file) return true;
	let worth = known.get(file);
	if (worth === undefined) {
		const size = statSync(join(sent, file), { throwIfNoEntry: false })?.size;
		worth = size === undefined || size >= WORTH_BYTES;
		known.set(file, worth);
	}
	return worth;
}
