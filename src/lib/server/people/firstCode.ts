import { codeShown } from '$lib/core/people';
import { isAnybody } from '../repositories/people';
import { makeCode } from './codes';
import { wantsSignIn } from './gate';

/** Listening to a network for the first time, with nobody known: prints the code by which the first person is made. */
export async function sayFirstCode(): Promise<void> {
	if (!wantsSignIn() || (await isAnybody())) return;
	const code = await makeCode('first');
	process.stdout.write(
		`\n  Nobody can sign in yet. Open this workshop in a browser and type the code ${codeShown(code)}:\n  whoever does so within a day is its first keeper.\n\n`
	);
}
