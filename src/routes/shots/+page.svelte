<script lang="ts">
	import { Button } from 'flowbite-svelte';
	import { wallTime } from '$lib/ui/clockText';
	import PageHead from '$lib/ui/PageHead.svelte';
	import { useUnits } from '$lib/ui/units.svelte';

	let { data } = $props();
	const units = useUnits();
</script>

<PageHead title="Shots" about="How much to mix, and whether the time is enough.">
	{#snippet actions()}<Button href="/shots/new" size="lg">Size a shot</Button>{/snippet}
</PageHead>

{#if data.shots.length === 0}
	<p class="slab p-8 text-lg">
		No shots yet. With an active mould and a resin on the shelf, <a class="plain" href="/shots/new">size the first one</a>.
	</p>
{:else}
	<div class="slab overflow-x-auto">
		<table class="bench">
			<thead
				><tr
					><th>Shot</th><th>Piece</th><th>Resin</th><th class="num">Copies</th><th class="num">Cups</th><th class="num">Each cup</th><th
						class="num">Slack</th
					><th>Sized</th></tr
				></thead>
			<tbody>
				{#each data.shots as shot (shot.id)}
					<tr>
						<td><a class="plain font-bold" href="/shots/{shot.id}">S{shot.number}</a></td>
						<td class="font-semibold">{shot.masterName}</td>
						<td class="soft">{shot.resinName}</td>
						<td class="num">{shot.copies}</td>
						<td class="num">{shot.batches}</td>
						<td class="num font-bold">{units.show(shot.massG, 'mass')}</td>
						<td class={['num font-bold', shot.slackS < 0 ? 'text-(--hot)' : 'text-(--work)']}>{units.show(shot.slackS, 'time')}</td>
						<td class="soft whitespace-nowrap">{wallTime(shot.createdAt.getTime(), data.nowMs)}</td>
					</tr>
				{/each}
			</tbody>
		</table>
	</div>
{/if}
