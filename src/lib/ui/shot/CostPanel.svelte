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
		currency: string;
	}
	let { outcome, mouldPulls = $bindable(), scrapPercent = $bindable(), currency }: Props = $props();
	const cost = $derived(outcome && valueOf(outcome));
	const unpriced = $derived(cost ? cost.unpriced.map((what) => `the ${what}`).join(' and ') : '');
	const at = (path: string) => (!outcome || outcome.ok ? undefined : outcome.errors.filter((p) => p.path === path).map((p) => p.message));
</script>

<details>
	<summary class="font-semibold text-(--work)"
		>What a good copy costs{cost && cost.good > 0
			? `: ${currency} ${digits(cost.good, 2)}${unpriced && `, and ${unpriced}`}`
			: ''}</summary>
	<div class="mt-1 grid grid-cols-2 gap-x-4">
		<QuantityField label="A mould gives, pulls" kind="number" name="mouldPulls" bind:value={mouldPulls} error={at('mouldPulls')} />
		<QuantityField label="Thrown away" kind="percent" name="scrapPercent" bind:value={scrapPercent} error={at('scrapPercent')} />
	</div>
	{#if unpriced}<p class="soft">Without {unpriced}: no price of it is on the shelf.</p>{/if}
	{#if cost}<Working lines={cost.working} open />{/if}
</details>
