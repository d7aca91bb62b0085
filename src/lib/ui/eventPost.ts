/** A request that is not answered within this is given up and made again, ms: a lost connection is not always told. */
export const GIVE_UP_MS = 15_000;
/** Events that go out together; the server takes a few times as many. */
export const BATCH = 100;

/** Pours and moulds whose page is open here: they send for themselves. */
export const atHand = new Set<string>();

interface Posted {
	/** Ids that the server has now. */
	taken: string[];
	/** Ids that it refused, with its sentence: sending them again would not mend that. */
	refused: Map<string, string>;
}

/**
 * Sends events; where they are refused together, each alone, so that one of them does not stop the others.
 * @throws when there is no network, or the server stumbles: the next round tries again
 */
export async function postEvents(url: string, events: readonly { id: string }[]): Promise<Posted> {
	const response = await fetch(url, {
		method: 'POST',
		headers: { 'content-type': 'application/json' },
		body: JSON.stringify({ events, sentAtMs: Date.now() }),
		signal: AbortSignal.timeout(GIVE_UP_MS)
	});
	if (response.ok) return { taken: events.map((e) => e.id), refused: new Map() };
	if (response.status !== 422 && response.status !== 404)
		throw new Error(`The server answered ${response.status}.`);
	if (events.length > 1 && response.status === 422) {
		const all: Posted = { taken: [], refused: new Map() };
		for (const e of events) {
			const one = await postEvents(url, [e]);
			all.taken.push(...one.taken);
			for (const [id, said] of one.refused) all.refused.set(id, said);
		}
		return all;
	}
	const { errors } = (await response.json()) as { errors: { message: string }[] };
	const said = errors[0]?.message ?? 'The server refused what was noted.';
	return { taken: [], refused: new Map(events.map((e) => [e.id, said])) };
}
