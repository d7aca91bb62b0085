<script lang="ts">
	import type { Writable } from 'svelte/store';
	import type { z } from 'zod';
	import { CURE_DEFAULTS } from '$lib/core/cure';
	import { chemistryOf, type resinSheet } from '$lib/core/shelf';
	import ChoiceField from '../ChoiceField.svelte';
	import QuantityField from '../QuantityField.svelte';

	/** What a sheet may say besides its two times: each narrows a band. */
	type Typed = Omit<z.input<typeof resinSheet>, 'usual'>;
	interface Props {
		form: Writable<z.input<typeof resinSheet>>;
		errors: Readonly<Partial<Record<keyof Typed, string[] | undefined>>>;
		catalysed: boolean;
	}
	let { form, errors, catalysed }: Props = $props();
</script>

<details class="mt-4">
	<summary class="font-semibold text-(--work)">What makes it surer</summary>
	<p class="soft my-2">As far as the sheet says it. Empty fields are not known, and the bands are wider for it.</p>
	<div class="grid gap-x-5 gap-y-1 sm:grid-cols-3">
		{#if !catalysed}
			<QuantityField
				label="Pot life, from"
				kind="time"
				name="potLifeLowS"
				bind:value={$form.potLifeLowS}
				error={errors.potLifeLowS}
				hint="where the sheet prints a range" />
			<QuantityField label="Pot life, to" kind="time" name="potLifeHighS" bind:value={$form.potLifeHighS} error={errors.potLifeHighS} />
			<ChoiceField
				label="That time is"
				name="statedAs"
				bind:value={$form.statedAs}
				options={[
					{ value: 'working', label: 'the end of working' },
					{ value: 'gel', label: 'the gel' }
				]}
				error={errors.statedAs} />
		{/if}
		<QuantityField
			label="Heat deflection temperature"
			kind="temperature"
			name="deflectionTempC"
			bind:value={$form.deflectionTempC}
			error={errors.deflectionTempC}
			inForce={CURE_DEFAULTS[chemistryOf($form.family)].deflectionTempC}
			hint="where the cured resin softens" />
		<QuantityField
			label="Peak exotherm"
			kind="temperature"
			name="peakExothermC"
			bind:value={$form.peakExothermC}
			error={errors.peakExothermC}
			hint="its heat of cure follows" />
		<QuantityField
			label="in a cup of"
			kind="mass"
			name="peakExothermMassG"
			bind:value={$form.peakExothermMassG}
			error={errors.peakExothermMassG}
			inForce={100} />
	</div>
</details>
