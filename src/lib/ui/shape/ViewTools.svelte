<script lang="ts">
	import Segments from '../Segments.svelte';
	import { useUnits } from '../units.svelte';
	import type { Studio } from './studio.svelte';
	import type { View } from './view.svelte';

	/** What is shown of the piece, and what a press on it sets. */
	let { studio, view }: { studio: Studio; view: View } = $props();
	const units = useUnits();
	const check = 'flex min-h-[2.5rem] cursor-pointer items-center gap-2 font-semibold';
</script>

{#snippet level(what: string, label: string, on: 'fillOn' | 'cutOn', at: 'fill' | 'cut')}
	<label class={check}><input type="checkbox" class="size-5 rounded text-(--work)" bind:checked={view[on]} /> {what}</label>
	<input
		type="range"
		class="w-full accent-(--work)"
		min="0"
		max="1"
		step="0.01"
		bind:value={view[at]}
		disabled={!view[on]}
		aria-label={label} />
{/snippet}

<div class="mt-3 flex flex-wrap items-end gap-x-5 gap-y-2">
	<Segments
		label="Show"
		name="show"
		bind:value={view.show}
		options={[
			{ value: 'pockets', label: 'Air' },
			{ value: 'undercuts', label: 'Undercuts' }
		]} />
	<Segments
		label="A press on the piece sets a"
		name="mode"
		bind:value={view.mode}
		options={[
			{ value: 'turn', label: '(only turns)' },
			{ value: 'vent', label: 'vent' },
			{ value: 'sprue', label: 'sprue' },
			{ value: 'pour', label: 'pour face' },
			{ value: 'skin', label: 'open face' }
		]} />
</div>
<div class="mt-2 grid gap-x-6 gap-y-1 sm:grid-cols-3">
	<div>
		{@render level('Resin rising', 'Level of the resin', 'fillOn', 'fill')}
		<p class="soft min-h-[1.4rem] text-[0.93rem]">
			{view.fillOn
				? `${units.show(view.levelMm - view.heights[0], 'length')} of ${units.show(studio.sizesMm[2], 'length')} full; ${view.traps.filter((t) => t.spillMm < view.levelMm).length} shut off`
				: ''}
		</p>
	</div>
	<div>{@render level('Cut open', 'Place of the cut', 'cutOn', 'cut')}</div>
	<label class={check}><input type="checkbox" class="size-5 rounded text-(--work)" bind:checked={view.seeThrough} /> See through it</label>
</div>
<p class="min-h-[1.5rem] font-semibold text-(--work)" role="status">{view.said}</p>
