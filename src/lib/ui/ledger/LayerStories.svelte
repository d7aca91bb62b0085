<script lang="ts">
	import type { LayerStory } from '$lib/core/bench';
	import { useUnits } from '../units.svelte';

	/** The layers of a cast as they went, against what was planned for each. */
	let { layers }: { layers: readonly LayerStory[] } = $props();
	const units = useUnits();
	const time = (s: number | undefined) => (s === undefined ? '–' : units.show(s, 'time'));
	const brushed = $derived(layers.some((l) => l.layS !== undefined));
	const rolls = $derived(layers.some((l) => l.rolledS !== undefined));
</script>

<h2 class="mt-5">Layer on layer</h2>
<p class="soft mb-1">Real, with what was planned in brackets; a dash was not noted.</p>
<div class="overflow-x-auto">
	<table class="bench">
		<thead
			><tr
				><th>Layer</th><th class="num">Cup</th><th class="num">In the mould after</th>{#if rolls}<th class="num">Rolled</th
					>{/if}{#if brushed}<th class="num">Spread</th>{/if}<th class="num">Gel planned</th><th class="num">Next after</th></tr
			></thead>
		<tbody>
			{#each layers as l, i (i)}
				<tr>
					<td class="font-semibold"
						>{i + 1}{#if l.with.length > 0}<span class="soft block font-normal">{l.with.join(', ')}</span>{/if}</td>
					<td class="num"
						>{l.realG === undefined ? '–' : units.show(l.realG, 'mass')}
						<span class="soft">({units.show(l.plannedG, 'mass')})</span></td>
					<td class={['num', (l.pouredAfterS ?? 0) > l.potLifeS && 'font-bold']}
						>{time(l.pouredAfterS)} <span class="soft">(life {time(l.potLifeS)})</span></td>
					{#if rolls}<td class="num">{time(l.rolledS)} <span class="soft">({time(l.lockS)})</span></td>{/if}
					{#if brushed}<td class="num">{time(l.laidS)} <span class="soft">({time(l.layS)})</span></td>{/if}
					<td class="num">{time(l.gelS)}</td>
					<td class={['num', l.missed && 'font-bold']}>
						{#if i === layers.length - 1}–{:else}{time(l.nextAfterS)}
							<span class="soft">({time(l.recoatFromS)} to {time(l.recoatUntilS)})</span>{/if}
					</td>
				</tr>
			{/each}
		</tbody>
	</table>
</div>
