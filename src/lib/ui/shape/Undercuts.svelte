<script lang="ts">
	import { undercutAdvice } from '$lib/core/master/advice';
	import { digits } from '$lib/core/units';
	import { useUnits } from '../units.svelte';
	import type { Studio } from './studio.svelte';
	import { same } from './view.svelte';

	/** For a mould in two parts: which way it opens, and what holds it. */
	let { studio }: { studio: Studio } = $props();
	const units = useUnits();
	const WAYS = [
		{ label: 'Opens along up', pull: undefined },
		{ label: 'Left and right', pull: [1, 0, 0] },
		{ label: 'Front and back', pull: [0, 1, 0] },
		{ label: 'Along its own height', pull: [0, 0, 1] }
	] as const;
	const advice = $derived(
		studio.undercuts && studio.report
			? undercutAdvice(studio.undercuts.share, studio.undercuts.depthMm, Math.min(...studio.sizesMm))
			: undefined
	);
</script>

<section class="slab p-5">
	<h2>Undercuts and parting</h2>
	<p class="soft mb-2">For a two-part mould; the dark line in the view under “Undercuts” is where it parts.</p>
	<div class="flex flex-wrap gap-2">
		{#each WAYS as o (o.label)}
			<button
				type="button"
				aria-pressed={o.pull ? !!studio.pull && same(studio.pull, o.pull) : !studio.pull}
				class="min-h-[2.6rem] cursor-pointer rounded-lg border-[1.5px] border-(--line-strong) px-4 font-semibold aria-pressed:bg-(--work) aria-pressed:text-(--work-ink)"
				onclick={() => void studio.setPull(o.pull)}>{o.label}</button>
		{/each}
	</div>
	{#if studio.undercuts && advice}
		<p class="mt-3 text-[1.4rem] font-bold">
			{digits(100 * studio.undercuts.share, 0)} % undercut, {units.show(studio.undercuts.depthMm, 'length')} deep
		</p>
		<p>{advice}</p>
	{/if}
</section>
