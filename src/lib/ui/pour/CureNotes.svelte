<script lang="ts">
	import type { Snippet } from 'svelte';
	import type { BenchForecast, Seen } from '$lib/core/bench';
	import type { PourRun } from '../pourRun.svelte';
	import SeenPresses from './SeenPresses.svelte';

	/** While it cures: what the left-over cup and thin places do, one press each; a temperature or a remark, typed. */
	interface Props {
		run: PourRun;
		nowMs: number;
		forecast: BenchForecast | undefined;
		/** Where the step has its own fields: one line until it is opened. */
		folded?: boolean;
		/** What is typed there. */
		typed: Snippet;
	}
	let { run, nowMs, forecast, folded = false, typed }: Props = $props();
	const PRESSES: readonly Seen[] = ['middle-turned', 'drip-turned', 'left-over-soft', 'left-over-rigid', 'demould-soft'];
</script>

{#snippet presses()}<SeenPresses {run} {nowMs} {forecast} presses={PRESSES} />{/snippet}

<section class="mx-auto w-full max-w-[78rem]" aria-label="What is seen while it cures">
	{#if !folded}{@render presses()}{/if}
	<details class="mx-auto mt-2 max-w-[60rem]">
		<summary class="text-center font-semibold text-(--work)"
			>{folded ? 'Note what the left-over cup does' : 'Another note, or the left-over’s temperature'}</summary>
		{#if folded}{@render presses()}{/if}
		{@render typed()}
	</details>
</section>
