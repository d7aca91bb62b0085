<script lang="ts">
	import { SEEN_WORDS, type BenchForecast, type Seen } from '$lib/core/bench';
	import { digits } from '$lib/core/units';
	import { wallTime } from '../clockText';
	import type { PourRun } from '../pourRun.svelte';

	/** What the resin is seen to do, one press each; the clocks go by it. */
	interface Props {
		run: PourRun;
		nowMs: number;
		presses: readonly Seen[];
		forecast: BenchForecast | undefined;
	}
	let { run, nowMs, presses, forecast }: Props = $props();
	let said = $state('');
	const speed = $derived(forecast?.rateFactor);
	function see(what: Seen) {
		run.record({ kind: 'seen', what, source: 'typed' });
		said = `${SEEN_WORDS[what]}: noted at ${wallTime(nowMs, nowMs)}.`;
	}
</script>

<div class="w-full">
	<div class="flex flex-wrap justify-center gap-2">
		{#each presses as what (what)}
			<button
				type="button"
				class="min-h-[3.2rem] cursor-pointer rounded-xl border-2 border-(--line-strong) bg-(--paper) px-3.5 text-[1rem] font-semibold active:bg-(--work-soft)"
				onclick={() => see(what)}>{SEEN_WORDS[what]}</button>
		{/each}
	</div>
	<p class="min-h-[1.6rem] text-center font-semibold text-(--work)" role="status">
		{said}{#if said && speed !== undefined && Math.abs(speed - 1) > 0.02}
			The clocks go {digits(speed)} times as fast as the sheet.{/if}
	</p>
</div>
