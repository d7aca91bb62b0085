<script lang="ts">
	import { Button } from 'flowbite-svelte';
	import { digits } from '$lib/core/units';
	import { useUnits } from '../units.svelte';
	import type { Studio } from './studio.svelte';
	import type { View } from './view.svelte';

	/** Where air stays in this position, and the openings that let it out. */
	let { studio, view }: { studio: Studio; view: View } = $props();
	const units = useUnits();
	const traps = $derived(view.traps);
</script>

<section class="slab p-5">
	<h2>
		{!studio.traps
			? 'Looking for pockets of air'
			: traps.length === 0
				? 'No air stays'
				: `Air stays in ${traps.length === 1 ? 'one place' : `${traps.length} places`}`}
	</h2>
	{#if traps.length > 0}
		<table class="bench mt-1">
			<thead><tr><th>Pocket</th><th class="num">Air</th><th class="num">Deep</th><th></th></tr></thead>
			<tbody>
				{#each traps.slice(0, 12) as t, i (i)}
					<tr class={view.chosen === i ? 'bg-(--hot-soft)' : ''}>
						<!-- a number, not a name: it wants no room of its own -->
						<td class="num text-left!"
							><button
								type="button"
								class="plain min-h-[2.2rem] cursor-pointer font-semibold"
								aria-pressed={view.chosen === i}
								onclick={() => (view.chosen = view.chosen === i ? undefined : i)}>{i + 1}</button
							></td>
						<td class="num font-bold">{units.show(t.volumeMl, 'volume')}</td>
						<td class="num">{units.show(t.depthMm, 'length')}</td>
						<td class="num pr-0"
							><Button size="xs" color="alternative" aria-label="Vent pocket {i + 1}" onclick={() => void studio.addOpening('vent', t.apex)}
								>Vent</Button
							></td>
					</tr>
				{/each}
			</tbody>
		</table>
		{#if traps.length > 12}<p class="soft mt-1">and {traps.length - 12} smaller ones.</p>{/if}
		<p class="soft mt-1 text-[0.85rem]">
			To ± {units.show(
				traps.reduce((s, t) => s + t.errorMl, 0),
				'volume'
			)} on a grid of {units.show(studio.traps?.cellMm, 'length')}.
		</p>
	{:else if studio.traps}<p class="soft">Nothing sticks up away from the pour face in this position.</p>{/if}
	{#if studio.openings.length > 0}
		<h2 class="mt-4">Openings</h2>
		<ul>
			{#each studio.openings as o, i (i)}
				<li class="flex items-center justify-between gap-2 border-t border-(--line) py-1">
					<span>{o.kind} {i + 1}</span>
					<Button size="xs" color="alternative" aria-label="Remove {o.kind} {i + 1}" onclick={() => void studio.removeOpening(i)}
						>Remove</Button>
				</li>
			{/each}
		</ul>
	{/if}
	{#each studio.ceilings.slice(0, 3) as c, i (i)}
		<p class="mt-2 text-(--hot)">
			A nearly level ceiling of {units.show(c.areaMm2, 'area')} gathers bubbles: tilt it {digits(c.tiltDeg, 0)}° more.
		</p>
	{/each}
	{#if studio.ceilings.length > 3}<p class="soft">and {studio.ceilings.length - 3} smaller ceilings.</p>{/if}
</section>
