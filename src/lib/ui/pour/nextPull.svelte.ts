import type { SubmitFunction } from '@sveltejs/kit';

/** So long what was noted last may take to reach the server, ms: it may be busy, or the network slow. */
const SENT_WITHIN_MS = 45_000;
const LOOK_MS = 100;

/** What is done with the answer. */
export type Answered = Exclude<Awaited<ReturnType<SubmitFunction>>, void>;

/** Beginning the next pull of a pour: asked at its last step or once it is over, one way and one answer for both. */
export class NextPull {
	/** On its way: nobody asks a second time. */
	beginning = $state(false);
	/** Why there is none. */
	refused = $state('');
	readonly #unsent: () => number;

	/** @param unsent how many of the pour's events have not reached the server */
	constructor(unsent: () => number) {
		this.#unsent = unsent;
	}

	/**
	 * Waits until the server knows the end of this pour, and says what comes of the next one.
	 * @param cancel asks for nothing
	 */
	async begin(cancel: () => void): Promise<Answered | undefined> {
		[this.refused, this.beginning] = ['', true];
		for (let waitedMs = 0; waitedMs < SENT_WITHIN_MS && this.#unsent() > 0; waitedMs += LOOK_MS)
			await new Promise((go) => setTimeout(go, LOOK_MS));
		if (this.#unsent() > 0) {
			[this.refused, this.beginning] = [
				'The end of this pour is kept on this device and has not reached the server yet: try again once it has.',
				false
			];
			cancel();
			return undefined;
		}
		return async ({ result, update }) => {
			this.beginning = false;
			if (result.type === 'failure') this.refused = String(result.data?.['refused']);
			else if (result.type === 'error')
				this.refused = 'The server did not answer, so nothing was begun: try again.';
			else await update();
		};
	}
}
