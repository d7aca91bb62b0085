<script lang="ts">
	import { useUnits } from '../units.svelte';
	import type { Studio } from './studio.svelte';

	/** What a rotocast covers, and how thick and thin the piece is. */
	let { studio }: { studio: Studio } = $props();
	const units = useUnits();
</script>

<section class="slab p-5">
	<h2>Skin and sections</h2>
	<dl class="mt-1 grid grid-cols-2 gap-3">
		<div>
			<dt class="soft text-[0.93rem]">Skin to rotocast</dt>
			<dd class="text-[1.15rem] font-bold">{units.show(studio.skinMm2 ?? studio.report?.areaMm2, 'area')}</dd>
		</div>
		<div>
			<dt class="soft text-[0.93rem]">Left open</dt>
			<dd class="text-[1.15rem] font-bold">
				{studio.openFaces.length === 0
					? 'nothing'
					: units.show(
							studio.openFaces.reduce((s, f) => s + f.areaMm2, 0),
							'area'
						)}
			</dd>
		</div>
		{#if studio.sections}
			<div>
				<dt class="soft text-[0.93rem]">Thickest</dt>
				<dd class="text-[1.15rem] font-bold">{units.show(studio.sections.thickestMm, 'length')}</dd>
			</div>
			<div>
				<dt class="soft text-[0.93rem]">Thinnest</dt>
				<dd class="text-[1.15rem] font-bold">{units.show(studio.sections.thinnestMm, 'length')}</dd>
			</div>
		{/if}
	</dl>
	{#if studio.sections}<p class="soft mt-1 text-[0.85rem]">
			Estimates, good to about {units.show(2 * studio.sections.cellMm, 'length')}.
		</p>{/if}
</section>
