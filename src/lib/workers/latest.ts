/**
 * Runs one piece of work at a time and, while it runs, keeps only the newest question: a slider that is
 * dragged is answered all along, as fast as answers come, and never with an old one last.
 */
export function latest<Q, A>(
	work: (question: Q) => Promise<A>,
	answer: (a: A) => void
): (question: Q) => void {
	let waiting: { question: Q } | undefined;
	let busy = false;
	const run = async () => {
		busy = true;
		while (waiting) {
			const { question } = waiting;
			waiting = undefined;
			// one at a time, so answers come in order: each is newer than what stands on the screen
			answer(await work(question));
		}
		busy = false;
	};
	return (question) => {
		waiting = { question };
		if (!busy) void run();
	};
}
