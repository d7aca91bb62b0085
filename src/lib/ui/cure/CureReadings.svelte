<script lang="ts">
	import { enhance } from '$app/forms';
	import { page } from '$app/state';
	import { Button } from 'flowbite-svelte';
	import { SvelteMap } from 'svelte/reactivity';
	import type { CupFitResult } from '$lib/core/cure';
	import { digits } from '$lib/core/units';
	import type { Reading } from '../cureCharts';
	import Mark from '../Mark.svelte';
	import QuantityField from '../QuantityField.svelte';
	import { useUnits } from '../units.svelte';

	/** Readings of a cup, what they make of its batch, and keeping that for a tin: the server works it out again. */
	interface Props {
		readings: Reading[];
		fit: CupFitResult | undefined;
		tins: readonly { id: string; part: string; lot: string }[];
		/** The cup that was read. */
		asked: object;
	}
	let { readings = $bindable(), fit, tins, asked }: Props = $props();
	const units = useUnits();
	let newTimeS = $state<number | undefined>();
	let newTempC = $state<number | undefined>();
	const newProblem = new SvelteMap<string, string[]>();

	function addReading() {
		newProblem.clear();
		if (!(newTimeS !== undefined && newTimeS >= 0)) newProblem.set('time', ['Type when it was read, such as 1:20.']);
		if (!(newTempC !== undefined && newTempC > -20 && newTempC < 300)) newProblem.set('temp', ['Type what it showed, such as 31 C.']);
		if (newProblem.size > 0) return;
		readings = [...readings, { timeS: newTimeS!, tempC: newTempC! }].sort((a, b) => a.timeS - b.timeS);
		newTimeS = undefined;
		newTempC = undefined;
	}
</script>

<section class="slab p-5">
	<h2>Readings of a gun thermometer</h2>
	<p class="soft mb-2">Each one corrects the forecast at once: the same temperature means the same state in summer and winter.</p>
	<form
		class="grid items-start gap-x-4 sm:grid-cols-[1fr_1fr_auto]"
		onsubmit={(e) => {
			e.preventDefault();
			addReading();
		}}>
		<QuantityField label="After combining" kind="time" name="readingTime" bind:value={newTimeS} error={newProblem.get('time')} />
		<QuantityField label="It shows" kind="temperature" name="readingTemp" bind:value={newTempC} error={newProblem.get('temp')} />
		<Button type="submit" class="mt-6 min-h-[2.75rem]">Add it</Button>
	</form>
	{#if readings.length > 0}
		<ul class="flex flex-wrap gap-2">
			{#each readings as reading, i (i)}
				<li>
					<button
						type="button"
						class="tag min-h-[2.2rem] cursor-pointer"
						aria-label="{units.show(reading.timeS, 'time')} · {units.show(reading.tempC, 'temperature')}: remove the reading"
						onclick={() => (readings = readings.filter((_, k) => k !== i))}
						>{units.show(reading.timeS, 'time')} · {units.show(reading.tempC, 'temperature')} <Mark outline="cross" /></button>
				</li>
			{/each}
		</ul>
		{#if fit}
			<p class="mt-2">
				This batch goes at <strong>× {digits(fit.rateFactor)}</strong> of its sheet; the curve is {units.text(
					`${digits(fit.rmsC, 1)} °C off`
				)} the readings on average.
			</p>
			{#if tins.length > 0}
				<form
					method="POST"
					action="?/keep"
					use:enhance={() =>
						async ({ update }) =>
							update({ reset: false })}
					class="mt-2 flex flex-wrap items-center gap-3">
					<input type="hidden" name="asked" value={JSON.stringify({ ...asked, readings })} />
					{#each tins as tin (tin.id)}
						<Button type="submit" name="containerId" value={tin.id} color="alternative"
							>Keep it for {tin.part === 'whole' ? 'the tin' : `tin ${tin.part}`} {tin.lot}</Button>
					{/each}
					<span role="status" class="font-semibold text-(--work)"
						>{page.form?.kept ? 'Kept: shots from this tin go by it.' : ''}{page.form?.refused ?? ''}</span>
				</form>
			{/if}
		{/if}
	{/if}
</section>
