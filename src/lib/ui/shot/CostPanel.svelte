<script lang="ts">
	import { valueOf, type Outcome } from '$lib/core/outcome';
	import type { CopyCost } from '$lib/core/shot';
	import { digits } from '$lib/core/units';
	import QuantityField from '../QuantityField.svelte';
	import Working from '../Working.svelte';

	/** What one good copy costs: resin, the mould's share, labour, and what is thrown away. */
	interface Props {
		outcome: Outcome<CopyCost> | undefined;
		mouldPulls: number | undefined;
		scrapPercent: number | undefined;
		/** Whether the resin has a price. */
		priced: boolean;
		currency: string;
	}
	let { outcome, mouldPulls = $bindable(), scrapPercent = $bindable(), priced, currency }: Props = $props();
	const cost = $derived(outcome && valueOf(outcome));
	const at = (path: string) => (!outcome || outcome.ok ? undefined : outcome.errors.filter((p) => p.path === path).map((p) => p.message));
</script>

<details>
	<summary class="font-semibold text-(--work)"
		>What a good copy costs{cost && cost.good > 0 ? `: ${currency} ${digits(cost.good, 2)}` : ''}</summary>
	<div class="mt-1 grid grid-cols-2 gap-x-4">
		<QuantityField label="A mould gives, pulls" kind="number" name="mouldPulls" bind:value={mouldPulls} error={at('mouldPulls')} />
		<QuantityField label="Thrown away" kind="percent" name="scrapPercent" bind:value={scrapPercent} error={at('scrapPercent')} />
	</div>
	{#if !priced}<p class="soft">The resin has no price: give it one on the shelf.</p>{/if}
	{#if cost}<Working lines={cost.working} open />{/if}
</details>
