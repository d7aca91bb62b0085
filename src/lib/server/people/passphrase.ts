import { hash, verify } from '@node-rs/argon2';
import zxcvbn from 'zxcvbn';
import { RefusedError } from '../errors';

/** Argon2id as OWASP's cheat sheet on storing passwords sets it: 19 MiB, two passes, one lane. */
const COST = { memoryCost: 19_456, timeCost: 2, parallelism: 1 };
/** Of 0 to 4: from 3 on it holds out against whoever has the hash for long (the package's own scale). */
const LEAST_SCORE = 3;
/** Characters besides names that everybody knows. */
const LEAST_OF_ITS_OWN = 8;
/** What is longer is judged by its beginning: the judge takes time with the square of the length. */
const JUDGED = 100;

/**
 * The hash of a new passphrase.
 * @param own what must not be in it: names of the person and of the workshop
 * @throws RefusedError where it is easily guessed
 */
export async function passphraseHash(passphrase: string, own: readonly string[]): Promise<string> {
	const words = [...own, 'anthypos', 'workshop', 'casting'].flatMap((w) => w.toLowerCase().split(/\s+/));
	// made of one's own name it is tried first, however often the name stands in it
	const rest = words.filter(Boolean).reduce((text, w) => text.replaceAll(w, ''), passphrase.toLowerCase());
	if (rest.replace(/\s/g, '').length < LEAST_OF_ITS_OWN)
		throw new RefusedError(
			'That is easily guessed (it is your name): take three or four other words.',
			'passphrase'
		);
	const { score, feedback } = zxcvbn(passphrase.slice(0, JUDGED), words);
	if (score < LEAST_SCORE)
		throw new RefusedError(
			`That is easily guessed${feedback.warning ? ` (${feedback.warning.toLowerCase().replace(/\.$/, '')})` : ''}: take three or four words that do not belong together.`,
			'passphrase'
		);
	return hash(passphrase, COST);
}

/** A hash that nothing opens: whoever tries a name that is not there waits as long as for one that is. */
let nobody: Promise<string> | undefined;

/** Whether it is the passphrase of that hash; without a hash it takes as long, and is not. */
export async function opens(passphraseHashed: string | null, passphrase: string): Promise<boolean> {
	nobody ??= hash('nobody has this passphrase', COST);
	const right = await verify(passphraseHashed ?? (await nobody), passphrase);
	return right && passphraseHashed !== null;
}
