<script lang="ts">
	import { Button } from 'flowbite-svelte';
	import PieceFace from '$lib/ui/PieceFace.svelte';
	import PageHead from '$lib/ui/PageHead.svelte';
	import { useUnits } from '$lib/ui/units.svelte';

	let { data } = $props();
	const units = useUnits();
</script>

<PageHead title="Masters" about="The pieces that are copied, and how much resin one copy takes.">
	{#snippet actions()}<Button href="/masters/from-file" size="lg" color="alternative">From a 3D file</Button><Button
			href="/masters/new"
			size="lg">New master</Button
		>{/snippet}
</PageHead>

{#if data.masters.length === 0}
	<p class="slab p-8 text-lg">
		Nothing here yet. Begin with the piece that you want to copy: <a class="plain" href="/masters/new">measure a master</a>.
	</p>
{:else}
	<div class="slab overflow-x-auto">
		<table class="bench">
			<thead><tr><th>Master</th><th>Made of</th><th class="num">Outer sizes</th><th class="num">One copy</th><th>Moulds</th></tr></thead>
			<tbody>
				{#each data.masters as master (master.id)}
					<tr>
						<td>
							<a class="flex items-center gap-3 font-semibold" href="/masters/{master.id}">
								<PieceFace {...data.faces[master.id]} rem={3.4} />
								<span class="plain underline decoration-(--line-strong) underline-offset-3">{master.record.name}</span>
							</a>
						</td>
						<td class="soft">{master.record.material}</td>
						<td class="num soft">
							{#if master.record.footprint === 'round'}⌀ {units.show(master.record.lengthMm, 'length')}{:else}{units.show(
									master.record.lengthMm,
									'length'
								)} × {units.show(master.record.widthMm, 'length')}{/if}
							× {units.show(master.record.heightMm, 'length')}
						</td>
						<td class="num text-[1.15rem] font-bold"
							>{#if master.volumeMl !== null}{units.show(master.volumeMl, 'volume')}{:else}<span class="soft text-[1rem] font-normal"
									>not known yet</span
								>{/if}</td>
						<td>
							{#each master.moulds as mould (mould.id)}
								<a class={['plain mr-2 font-semibold', mould.state === 'retired' && 'soft line-through']} href="/moulds/{mould.id}"
									>M{mould.number}</a>
							{:else}
								<a class="plain" href="/moulds/new?master={master.id}">plan a mould</a>
							{/each}
						</td>
					</tr>
				{/each}
			</tbody>
		</table>
	</div>
{/if}
