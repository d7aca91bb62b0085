/** What a script is doing, one line a step. */
export function say(text) {
	process.stdout.write(`${text}\n`);
}

/** Ends the script with one sentence and no stack trace. */
export class Stop extends Error {}

/** Runs a script's main function; a `Stop` becomes its sentence, anything else is shown whole. */
export function main(work) {
	work().catch((error) => {
		process.stderr.write(error instanceof Stop ? `\n${error.message}\n` : `\n${error.stack}\n`);
		process.exit(1);
	});
}
