const ASK_EVERY_MS = 700;

type Told = { state: 'waiting'; before: number } | { state: 'working'; share: number } | { state: 'unknown' };

/** How far heavy work is, in words; nothing where nobody knows. */
export function farWords(told: Told): string | undefined {
	if (told.state === 'waiting')
		return told.before === 1 ? 'Waits for one before it' : `Waits for ${told.before} before it`;
	return told.state === 'working' ? `Working it out, ${Math.round(100 * told.share)} %` : undefined;
}

/**
 * Asks how far the work with a ticket is, until it is told to stop.
 * @returns how to stop it
 */
export function followWork(ticket: string, say: (words: string) => void): () => void {
	let stopped = false;
	const ask = async () => {
		const told = await fetch(`/api/progress/${ticket}`)
			.then((r) => r.json() as Promise<Told>)
			.catch(() => ({ state: 'unknown' }) as Told);
		const words = farWords(told);
		if (!stopped && words) say(words);
	};
	const timer = setInterval(() => void ask(), ASK_EVERY_MS);
	return () => {
		stopped = true;
		clearInterval(timer);
	};
}
