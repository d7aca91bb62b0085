<script lang="ts">
	import { Button } from 'flowbite-svelte';
	import type { BenchForecast, Seen } from '$lib/core/bench';
	import QuantityField from '../QuantityField.svelte';
	import type { PourRun } from '../pourRun.svelte';
	import SeenPresses from './SeenPresses.svelte';
	import TextField from '../TextField.svelte';
	import { useUnits } from '../units.svelte';

	/** While it cures: what the left-over cup and thin places do, one press each; a temperature or a remark, typed. */
	interface Props {
		run: PourRun;
		nowMs: number;
		forecast: BenchForecast | undefined;
		/** Where the step has its own fields: one line until it is opened. */
		folded?: boolean;
	}
	let { run, nowMs, forecast, folded = false }: Props = $props();
	const units = useUnits();
	const PRESSES: readonly Seen[] = ['middle-turned', 'drip-turned', 'left-over-soft', 'left-over-rigid', 'demould-soft'];
	let text = $state('');
	let tempC = $state<number>();
	let said = $state('');
	const problem = $derived(
		tempC !== undefined && !(tempC >= -20 && tempC <= 300)
			? ['Between −20 and 300 °C: check the reading.']
			: text.length > 400
				? ['Keep it under 400 characters.']
				: undefined
	);
	function keep() {
		if (problem || (!text.trim() && tempC === undefined)) return;
		const words = [tempC === undefined ? '' : `Left-over cup reads ${units.show(tempC, 'temperature')}`, text.trim()];
		run.record({ kind: 'remark', text: words.filter(Boolean).join('. '), source: 'typed' });
		[text, tempC] = ['', undefined];
		said = 'Noted with its time.';
	}
</script>

{#snippet presses()}<SeenPresses {run} {nowMs} {forecast} presses={PRESSES} />{/snippet}

{#snippet typed()}
	<div class="mt-1 grid items-start gap-x-4 sm:grid-cols-[10rem_1fr_auto]">
		<QuantityField
			label="Left-over cup reads"
			kind="temperature"
			name="leftOverC"
			bind:value={tempC}
			error={tempC === undefined ? undefined : problem} />
		<TextField label="What you saw" name="cureNote" bind:value={text} error={text.length > 400 ? problem : undefined} />
		<Button class="mt-[1.62rem] min-h-[2.75rem]" onclick={keep}>Note it</Button>
	</div>
{/snippet}

<section class="mx-auto w-full max-w-[78rem]" aria-label="What is seen while it cures">
	{#if !folded}{@render presses()}{/if}
	<details class="mx-auto mt-2 max-w-[60rem]">
		<summary class="text-center font-semibold text-(--work)"
			>{folded ? 'Note what the left-over cup does' : 'Another note, or the left-over’s temperature'}</summary>
		{#if folded}{@render presses()}{/if}
		{@render typed()}
	</details>
	<p class="min-h-[1.6rem] text-center font-semibold text-(--work)" role="status">{said}</p>
</section>
