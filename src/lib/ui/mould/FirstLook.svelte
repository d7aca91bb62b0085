<script lang="ts">
	import { MOULD_FAULT_WORDS, waterOffPercent, type Inspection } from '$lib/core/making';
	import { useUnits } from '../units.svelte';

	/** The first look at a mould once it was made. */
	interface Props {
		inspected: Inspection;
		/** Of the master that it was made round, ml. */
		masterVolumeMl: number | undefined;
		/** Waits that were cut short. */
		cuts: readonly { title: string; waitedS: number; wantedS: number }[];
	}
	let { inspected, masterVolumeMl, cuts }: Props = $props();
	const units = useUnits();
	const off = $derived(inspected.waterMl && masterVolumeMl ? waterOffPercent(inspected.waterMl, masterVolumeMl) : undefined);
</script>

<section class="slab mb-4 p-4" aria-label="First look">
	<h2 class="mb-1">First look at it</h2>
	<p class="text-[1.15rem]">
		{#if inspected.waterMl}<strong>{units.show(inspected.waterMl, 'volume')} of water</strong>{#if off !== undefined}, {Math.abs(off) < 0.5
					? 'as the master'
					: `${Math.abs(off).toFixed(1)} % ${off < 0 ? 'less' : 'more'} than the master`}{/if}.{/if}
		{inspected.faults.length > 0 ? `Found: ${inspected.faults.map((f) => MOULD_FAULT_WORDS[f]).join(', ')}.` : 'Nothing wrong with it.'}
		{inspected.note}
	</p>
	{#each cuts as cut, i (i)}
		<p class="font-semibold text-(--hot)">
			{cut.title}: cut short, {units.show(cut.waitedS, 'time')} of {units.show(cut.wantedS, 'time')}.
		</p>
	{/each}
</section>
