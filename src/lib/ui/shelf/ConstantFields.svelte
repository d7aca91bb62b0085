<script lang="ts" module>
	/** The constants of the cure model, each with its name at the field. */
	export const CONSTANTS = [
		['heatOfCureJPerG', 'Heat of cure, J/g'],
		['activationKjPerMol', 'Activation energy, kJ/mol'],
		['specificHeatJPerGK', 'Specific heat, J/g·K'],
		['potLifeConversion', 'Conversion, too thick'],
		['gelConversion', 'Conversion at gel'],
		['recoatConversion', 'Conversion, last recoat']
	] as const;
</script>

<script lang="ts">
	import type { Writable } from 'svelte/store';
	import type { z } from 'zod';
	import type { resinSheet } from '$lib/core/shelf';
	import QuantityField from '../QuantityField.svelte';

	type Typed = Omit<z.input<typeof resinSheet>, 'usual'>;
	interface Props {
		form: Writable<z.input<typeof resinSheet>>;
		errors: Readonly<Partial<Record<keyof Typed, string[] | undefined>>>;
		/** What holds where a field is empty. */
		defaults: Readonly<Record<(typeof CONSTANTS)[number][0], number>>;
	}
	let { form, errors, defaults }: Props = $props();
</script>

<details class="mt-4">
	<summary class="font-semibold text-(--work)">Constants of the cure model</summary>
	<p class="soft my-2">Empty fields keep the default, which is not from your sheet.</p>
	<div class="grid gap-x-5 gap-y-1 sm:grid-cols-3">
		{#each CONSTANTS as [field, label] (field)}
			<QuantityField
				{label}
				kind="number"
				name={field}
				bind:value={$form[field]}
				error={errors[field]}
				inForce={defaults[field]}
				hint={$form[field] === undefined ? `default ${defaults[field]}, not from your sheet` : ''} />
		{/each}
		<QuantityField
			label="Additives lengthen it by"
			kind="percent"
			name="lengtheningPercent"
			bind:value={$form.lengtheningPercent}
			error={errors.lengtheningPercent}
			hint="heavy pigment about a third" />
	</div>
</details>
