<script lang="ts">
	import { valueOf } from '$lib/core/outcome';
	import { outcomeOf } from '$lib/core/outcomeOf';
	import { copyCost, costInput, type PlannedShot } from '$lib/core/shot';
	import { digits } from '$lib/core/units';
	import QuantityField from '../QuantityField.svelte';
	import Working from '../Working.svelte';

	/** What one good copy costs: resin, the mould's share, labour, and what is thrown away. */
	interface Props {
		planned: PlannedShot;
		copies: number;
		resinPerKg: number | undefined;
		mouldCost: number;
		handsS: number;
		hourly: number;
		currency: string;
	}
	let { planned, copies, resinPerKg, mouldCost, handsS, hourly, currency }: Props = $props();
	let mouldPulls = $state<number | undefined>(30);
	let scrapPercent = $state<number | undefined>(10);
	const outcome = $derived(
		outcomeOf(() =>
			copyCost(
				costInput.parse({
					resinG: planned.shot.massG / Math.max(1, copies),
					resinPerKg: resinPerKg ?? 0,
					mouldCost,
					mouldPulls,
					handsS,
					hourly,
					scrapPercent
				})
			)
		)
	);
	const cost = $derived(valueOf(outcome));
	const at = (path: string) => (outcome.ok ? undefined : outcome.errors.filter((p) => p.path === path).map((p) => p.message));
</script>

<details>
	<summary class="font-semibold text-(--work)"
		>What a good copy costs{cost && cost.good > 0 ? `: ${currency} ${digits(cost.good, 2)}` : ''}</summary>
	<div class="mt-1 grid grid-cols-2 gap-x-4">
		<QuantityField label="A mould gives, pulls" kind="number" name="mouldPulls" bind:value={mouldPulls} error={at('mouldPulls')} />
		<QuantityField label="Thrown away" kind="percent" name="scrapPercent" bind:value={scrapPercent} error={at('scrapPercent')} />
	</div>
	{#if resinPerKg === undefined}<p class="soft">The resin has no price: give it one on the shelf.</p>{/if}
	{#if cost}<Working lines={cost.working} open />{/if}
</details>
