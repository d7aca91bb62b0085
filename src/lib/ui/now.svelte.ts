import { onMount } from 'svelte';

/** The present moment as reactive state, starting from the server's so that both draw the same page. */
export class Now {
	ms = $state(0);
	/** @param clock another clock than the wall's, such as one in practice that may be put forward */
	constructor(startMs: number, everyMs = 250, clock: () => number = () => Date.now()) {
		this.ms = startMs;
		onMount(() => {
			const tick = () => (this.ms = clock());
			tick();
			const timer = setInterval(tick, everyMs);
			return () => clearInterval(timer);
		});
	}
}
