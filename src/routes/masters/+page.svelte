<script lang="ts">
	import { cards } from '$lib/ui/table/cards';
	import { Button } from 'flowbite-svelte';
	import Island from '$lib/ui/island/Island.svelte';
	import PieceFace from '$lib/ui/PieceFace.svelte';
	import GroupHead from '$lib/ui/table/GroupHead.svelte';
	import TableBar from '$lib/ui/table/TableBar.svelte';
	import TableHead from '$lib/ui/table/TableHead.svelte';
	import { TableView, type Column } from '$lib/ui/table/tableView.svelte';
	import PageHead from '$lib/ui/PageHead.svelte';
	import { useUnits } from '$lib/ui/units.svelte';

	let { data } = $props();
	const units = useUnits();
	type Row = (typeof data.masters)[number];
	const COLUMNS: readonly Column<Row>[] = [
		{ key: 'master', label: 'Master', value: (m) => m.record.name, always: true },
		{ key: 'material', label: 'Made of', value: (m) => m.record.material },
		{ key: 'sizes', label: 'Outer sizes', value: (m) => m.record.lengthMm * m.record.widthMm * m.record.heightMm, num: true },
		{ key: 'copy', label: 'One copy', value: (m) => m.volumeMl, num: true },
		{ key: 'moulds', label: 'Moulds', value: (m) => m.moulds.map((x) => `M${x.number}`).join(' ') }
	];
	const view = new TableView<Row>('masters', COLUMNS);
	const groups = $derived(view.groups(data.masters));
	const found = $derived(groups.reduce((n, g) => n + g.rows.length, 0));
</script>

<PageHead title="Masters" about="The pieces that are copied, and how much resin one copy takes.">
	{#snippet actions()}<Button href="/masters/from-pictures" size="lg" color="alternative">From pictures</Button><Button
			href="/masters/from-file"
			size="lg"
			color="alternative">From a 3D file</Button
		><Button href="/masters/new" size="lg">New master</Button>{/snippet}
</PageHead>

{#if data.masters.length === 0}
	<p class="slab p-8 text-[1.15rem]">
		Nothing here yet. Begin with the piece that you want to copy: <a class="plain" href="/masters/new">measure a master</a>.
	</p>
{:else}
	<Island>
		<TableBar {view} groups={['material']} {found} of={data.masters.length} />
	</Island><Island>
		<div class="slab overflow-x-auto">
			<table class="bench" {@attach cards}>
				<TableHead {view} />
				{#each groups as group (group.head)}
					<tbody>
						<GroupHead {view} {group} />
						{#each group.rows as master (master.id)}
							<tr>
								{#each view.shown as { key } (key)}
									{#if key === 'master'}<td>
											<a class="flex items-center gap-3 font-semibold" href="/masters/{master.id}">
												<PieceFace {...data.faces[master.id]} rem={3.4} />
												<span class="plain min-w-0 break-words underline decoration-(--line-strong) underline-offset-3"
													>{master.record.name}</span>
											</a>
										</td>
									{:else if key === 'material'}<td class="soft">{master.record.material}</td>
									{:else if key === 'sizes'}<td class="num soft">
											{#if master.record.footprint === 'round'}⌀ {units.show(master.record.lengthMm, 'length')}{:else}{units.show(
													master.record.lengthMm,
													'length'
												)} × {units.show(master.record.widthMm, 'length')}{/if}
											× {units.show(master.record.heightMm, 'length')}
										</td>
									{:else if key === 'copy'}<td class="num text-[1.15rem] font-bold"
											>{#if master.volumeMl !== null}{units.show(master.volumeMl, 'volume')}{:else}<span
													class="soft text-[1rem] font-normal">not known yet</span
												>{/if}</td>
									{:else}<td>
											{#each master.moulds as mould (mould.id)}
												<a
													class={[
														'plain mr-2 inline-flex min-h-7 items-center font-semibold',
														mould.state === 'retired' && 'soft line-through'
													]}
													href="/moulds/{mould.id}">M{mould.number}</a>
											{:else}
												<a class="plain" href="/moulds/new?master={master.id}">plan a mould</a>
											{/each}
										</td>{/if}
								{/each}
							</tr>
						{/each}
					</tbody>
				{/each}
			</table>
			{#if found === 0}<p class="soft p-5">No master has all of these words.</p>{/if}
		</div>
	</Island>
{/if}
