<script lang="ts">
	import { digits } from '$lib/core/units';
	import type { ProposedShare } from '$lib/core/plan';
	import QuantityField from '../QuantityField.svelte';
	import { useUnits } from '../units.svelte';

	/** The share of catalyst of one shot: what its record says, and what is proposed for this mass, section and room. */
	interface Props {
		value: number | undefined;
		recordPercent: number | undefined;
		error: string[] | undefined;
		proposed: ProposedShare | undefined;
	}
	let { value = $bindable(), recordPercent, error, proposed }: Props = $props();
	const units = useUnits();
	const inForce = $derived(value ?? recordPercent);
</script>

<div>
	<QuantityField
		label="Catalyst"
		kind="percent"
		name="catalystPercent"
		bind:value
		{error}
		inForce={recordPercent}
		hint="by weight; its record says {digits(recordPercent ?? 0)} %" />
	<!-- its place is kept while it is worked out: nothing below it moves -->
	<p class="soft -mt-1 mb-1 min-h-[4.4rem] text-[0.93rem]">
		{#if proposed?.percent === null}
			For {units.show(proposed.massG, 'mass')}, {units.show(proposed.thickestMm, 'length')} thick, none from 1 to 2 % fits: in thinner layers.
		{:else if proposed}
			For {units.show(proposed.massG, 'mass')}, {units.show(proposed.thickestMm, 'length')} thick, in this room: {digits(proposed.percent)} %.
			{#if inForce === undefined || Math.abs(inForce - proposed.percent) > 0.04}<button
					type="button"
					class="min-h-[1.6rem] cursor-pointer font-semibold text-(--work) underline"
					onclick={() => (value = proposed.percent!)}>Take {digits(proposed.percent)} %</button
				>{/if}
		{/if}
	</p>
</div>
