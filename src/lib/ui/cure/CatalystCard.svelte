<script lang="ts">
	import type { CatalystPlan } from '$lib/core/cure';
	import { digits } from '$lib/core/units';
	import Answer from '../Answer.svelte';
	import QuantityField from '../QuantityField.svelte';
	import { useUnits } from '../units.svelte';
	import Warnings from '../Warnings.svelte';
	import Working from '../Working.svelte';

	/** The share of catalyst to take, the highest that neither cracks nor sets too soon, and the stages that it goes through. */
	interface Props {
		plan: CatalystPlan;
		crackLimitC: number | undefined;
		neededS: number | undefined;
		problem: (field: string) => string[] | undefined;
	}
	let { plan, crackLimitC = $bindable(), neededS = $bindable(), problem }: Props = $props();
	const units = useUnits();
</script>

<section class="slab p-5">
	<h2 class="mb-2">How much catalyst</h2>
	<div class="grid gap-x-5 sm:grid-cols-[auto_1fr_1fr]">
		<Answer
			label="Take"
			value={plan.percent === null ? 'none fits' : `${digits(plan.percent, 1)} %`}
			tone={plan.percent === null ? 'harm' : 'work'}
			note={plan.percent === null
				? ''
				: `${plan.lessThanUsual ? 'less than usual; ' : ''}at most ${digits(plan.highestPercent!, 1)} %: ${
						{ crack: 'more would crack it', time: 'more would set too soon', range: 'no more is planned', 'none-fits': '' }[plan.limitedBy]
					}`} />
		<QuantityField
			label="Middle may reach"
			kind="temperature"
			name="crackLimit"
			bind:value={crackLimitC}
			error={problem('crackLimitC')}
			hint="from the sheet or a trial block" />
		<QuantityField label="Stir and pour take" kind="time" name="needed" bind:value={neededS} error={problem('neededS')} />
	</div>
	{#if plan.stages}
		<dl class="mt-3 grid grid-cols-2 gap-3 sm:grid-cols-4">
			{#each [['Gel: next layer, embed', plan.stages.gelS], ['Soft, crumbles', plan.stages.softS], ['Firm', plan.stages.firmS], ['Hard', plan.stages.hardS]] as const as [word, atS] (word)}
				<div>
					<dt class="soft text-[0.93rem]">{word}</dt>
					<dd class="text-[1.15rem] font-bold">{units.show(atS, 'time')}</dd>
				</div>
			{/each}
		</dl>
	{/if}
	<Warnings warnings={plan.warnings} />
	<Working lines={plan.working} />
</section>
