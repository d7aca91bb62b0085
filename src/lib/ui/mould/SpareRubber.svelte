<script lang="ts">
	import { jobsForSpare, type WaitingJob } from '$lib/core/mould';
	import QuantityField from '../QuantityField.svelte';
	import { useUnits } from '../units.svelte';

	/** Mixed rubber that is left, and the small jobs that it would still serve. */
	interface Props {
		rubberId: string;
		rubberName: string;
		waiting: readonly WaitingJob[];
		/** What this mould's mix leaves over anyhow, g. */
		usualG: number;
	}
	let { rubberId, rubberName, waiting, usualG }: Props = $props();
	const units = useUnits();
	let typedG = $state<number>();
	const spareG = $derived(typedG ?? usualG);
	const jobs = $derived(Number.isFinite(spareG) && spareG > 0 ? jobsForSpare(spareG, rubberId, waiting) : []);
	const smallest = $derived([...waiting].filter((j) => j.rubberId === rubberId).sort((a, b) => a.massG - b.massG)[0]);
</script>

<section class="slab p-5" aria-label="Left-over rubber">
	<h2 class="mb-2">Left-over rubber</h2>
	<div class="max-w-[14rem]">
		<QuantityField
			label="Mixed and left over"
			kind="mass"
			name="spareG"
			bind:value={typedG}
			hint={typedG === undefined ? `about ${units.show(usualG, 'mass')} stays in cups` : ''} />
	</div>
	{#if jobs.length > 0}
		<p class="font-semibold">It still fills, while it is liquid:</p>
		<ul class="mt-1 flex flex-col gap-1">
			{#each jobs as j (j.id)}
				<li><a class="plain font-semibold" href="/moulds/{j.id}">{j.label}</a>, {units.weighed(j.massG)}</li>
			{/each}
		</ul>
	{:else if smallest}
		<p class="soft">
			No waiting mould in {rubberName} is that small: the smallest, <a class="plain" href="/moulds/{smallest.id}">{smallest.label}</a>,
			takes {units.weighed(smallest.massG)}.
		</p>
	{:else}
		<p class="soft">No other mould waits for {rubberName}. Cast it flat: strips make keys and shims.</p>
	{/if}
</section>
