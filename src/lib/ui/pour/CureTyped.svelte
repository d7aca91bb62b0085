<script lang="ts">
	import { Button } from 'flowbite-svelte';
	import QuantityField from '../QuantityField.svelte';
	import type { PourRun } from '../pourRun.svelte';
	import TextField from '../TextField.svelte';
	import { useUnits } from '../units.svelte';

	/** While it cures: a temperature or a remark, typed. */
	let { run }: { run: PourRun } = $props();
	const units = useUnits();
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

<div class="mt-1 grid items-start gap-x-4 sm:grid-cols-[10rem_1fr_auto]">
	<QuantityField
		label="Left-over cup reads"
		kind="temperature"
		name="leftOverC"
		bind:value={tempC}
		error={tempC === undefined ? undefined : problem} />
	<TextField label="What you saw" name="cureNote" bind:value={text} error={text.length > 400 ? problem : undefined} />
	<Button class="mt-6 min-h-[2.75rem]" onclick={keep}>Note it</Button>
</div>
<p class="min-h-[1.6rem] text-center font-semibold text-(--work)" role="status">{said}</p>
