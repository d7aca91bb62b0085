<script lang="ts">
	import { Button } from 'flowbite-svelte';
	import { useUnits } from '../units.svelte';
	import type { Studio } from './studio.svelte';

	/** A file that does not say its unit: told by how large the piece would be. */
	let { studio }: { studio: Studio } = $props();
	const units = useUnits();
</script>

<section class="slab mb-4 border-l-[6px] border-l-(--hot)! p-4" aria-label="Unit of the file">
	<p class="mb-2 text-[1.15rem] font-bold">The file does not say its unit. How large is the piece, the longest way?</p>
	<div class="flex flex-wrap gap-3">
		{#each studio.guessesMm as g (g.unit)}
			<Button size="lg" color={g.unit === 'mm' ? 'primary' : 'alternative'} onclick={() => void studio.settleUnit(g.unit)}
				>{units.show(g.tallMm, 'length')} <span class="ml-2 font-normal opacity-80">drawn in {g.unit}</span></Button>
		{/each}
	</div>
</section>
