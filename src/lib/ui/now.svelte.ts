import { onMount } from 'svelte';

/** The present moment as reactive state, starting from the server's so that both draw the same page. */
export class Now {
	ms = $state(0);
	constructor(startMs: number, everyMs = 250) {
		this.ms = startMs;
		onMount(() => {
			const tick = () => (this.ms = Date.now());
			tick();
			const timer = setInterval(tick, everyMs);
			return () => clearInterval(timer);
		});
	}
}
