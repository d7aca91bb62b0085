<script lang="ts">
	import type { SuperValidated } from 'sveltekit-superforms';
	import Save from '../Save.svelte';
	import { benchForm } from '../form';
	import FormErrors from '../FormErrors.svelte';
	import { newId } from '../newId';
	import QuantityField from '../QuantityField.svelte';
	import TextField from '../TextField.svelte';

	/** A cycle that no pour of ours noted, such as a mould cured in the pot. */
	type Cycle = {
		load: string;
		targetGaugeKpa: number;
		lowestGaugeKpa?: number | undefined;
		timeToPressureS?: number | undefined;
		holdS?: number | undefined;
		by: string;
	};
	let { form: given }: { form: SuperValidated<Cycle> } = $props();
	let entry = $state(newId());
	const { form, errors, enhance, submitting, message } = benchForm<Cycle>(() => given, {
		id: 'cycle',
		onUpdated: ({ form }) => {
			if (form.valid) entry = newId();
		}
	});
</script>

<details class="slab mt-4 p-4">
	<summary class="text-[1rem] font-bold">Write a cycle down by hand</summary>
	<form method="POST" action="?/cycle&entry={entry}" use:enhance class="mt-2">
		<FormErrors errors={$errors._errors} />
		<div class="grid gap-x-4 gap-y-1 sm:grid-cols-3">
			<TextField label="What was in it" name="load" bind:value={$form.load} error={$errors.load} hint="such as mould M9" />
			<QuantityField label="Target" kind="pressure" name="cycleTarget" bind:value={$form.targetGaugeKpa} error={$errors.targetGaugeKpa} />
			<QuantityField
				label="Time to pressure"
				kind="time"
				name="timeToPressureS"
				bind:value={$form.timeToPressureS}
				error={$errors.timeToPressureS} />
			<QuantityField
				label="Lowest in the hold"
				kind="pressure"
				name="lowestGaugeKpa"
				bind:value={$form.lowestGaugeKpa}
				error={$errors.lowestGaugeKpa} />
			<QuantityField label="Held for" kind="time" name="holdS" bind:value={$form.holdS} error={$errors.holdS} />
			<TextField label="Who" name="cycleBy" bind:value={$form.by} error={$errors.by} />
		</div>
		<Save label="Keep this cycle" submitting={$submitting} color="alternative" size="md" />
		<span role="status" class="ml-2 font-semibold text-(--work)">{$message ?? ''}</span>
	</form>
</details>
