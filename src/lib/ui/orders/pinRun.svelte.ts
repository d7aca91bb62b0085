import { deserialize } from '$app/forms';

/** Steps of the keys, ms. */
export const STEP_MS = 15 * 60_000;

/** What is picked on the board, where it is being moved to, and what the workshop says of it. */
export class PinRun {
	pickedId = $state<string>();
	/** It would begin so much later, ms. */
	byMs = $state(0);
	/** What a finger or the mouse holds, moved or not. */
	heldId = $state<string>();
	busy = $state(false);
	/** Why it cannot go there, or what else moved. */
	said = $state<{ refused: boolean; lines: string[] }>();
	readonly #done: () => Promise<unknown>;
	constructor(done: () => Promise<unknown>) {
		this.#done = done;
	}

	get isMoving(): boolean {
		return this.heldId !== undefined || this.byMs !== 0 || this.busy;
	}

	pick(id: string | undefined): void {
		this.heldId = undefined;
		if (this.pickedId === id) return;
		this.pickedId = id;
		this.byMs = 0;
		this.said = undefined;
	}

	step(steps: number): void {
		this.byMs += steps * STEP_MS;
	}

	/** @param startMs nothing: it is let go again */
	async put(id: string, startMs: number | null): Promise<void> {
		if (this.busy) return;
		this.busy = true;
		try {
			const body = new FormData();
			body.set('id', id);
			body.set('startMs', startMs === null ? '' : String(Math.round(startMs / 60_000) * 60_000));
			const answer = await fetch('?/pin', {
				method: 'POST',
				body,
				headers: { 'x-sveltekit-action': 'true' }
			});
			const result = deserialize<{ words: string[] }, { refused: string }>(await answer.text());
			if (result.type === 'success') {
				const words = result.data?.words ?? [];
				this.said = { refused: false, lines: words.length > 0 ? words : ['Nothing else moves.'] };
				await this.#done();
			} else {
				this.said = {
					refused: true,
					lines: [
						result.type === 'failure'
							? (result.data?.refused ?? 'It was refused.')
							: 'It was not kept: try again.'
					]
				};
			}
		} catch {
			this.said = { refused: true, lines: ['The workshop does not answer: nothing was moved.'] };
		} finally {
			this.busy = false;
			this.byMs = 0;
		}
	}
}
