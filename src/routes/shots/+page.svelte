<script lang="ts">
	import { cards } from '$lib/ui/table/cards';
	import { Button } from 'flowbite-svelte';
	import { wallTime } from '$lib/ui/clockText';
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
	type Row = (typeof data.shots)[number];
	const COLUMNS: readonly Column<Row>[] = [
		{ key: 'shot', label: 'Shot', value: (s) => `S${s.number}`, always: true },
		{ key: 'piece', label: 'Piece', value: (s) => s.masterName },
		{ key: 'resin', label: 'Resin', value: (s) => s.resinName },
		{ key: 'copies', label: 'Copies', value: (s) => s.copies, num: true },
		{ key: 'cups', label: 'Cups', value: (s) => s.batches, num: true },
		{ key: 'mass', label: 'Each cup', value: (s) => s.cup.massG, num: true },
		{ key: 'slack', label: 'Slack', value: (s) => s.slackS, num: true },
		{ key: 'sized', label: 'Sized', value: (s) => s.createdAt.getTime() }
	];
	const view = new TableView<Row>('shots', COLUMNS);
	const groups = $derived(view.groups(data.shots));
	const found = $derived(groups.reduce((n, g) => n + g.rows.length, 0));
</script>

<PageHead title="Shots" about="How much to mix, and whether the time is enough.">
	{#snippet actions()}<Button href="/shots/castable" color="alternative" size="lg">Plaster, wax, soap</Button><Button
			href="/shots/new"
			size="lg">Size a shot</Button
		>{/snippet}
</PageHead>

{#if data.shots.length === 0}
	<p class="slab p-8 text-[1.15rem]">
		No shots yet. With an active mould and a resin on the shelf, <a class="plain" href="/shots/new">size the first one</a>.
	</p>
{:else}
	<Island>
		<TableBar {view} groups={['piece', 'resin']} {found} of={data.shots.length} />
	</Island><Island>
		<div class="slab overflow-x-auto">
			<table class="bench" {@attach cards}>
				<TableHead {view} />
				{#each groups as group (group.head)}
					<tbody>
						<GroupHead {view} {group} />
						{#each group.rows as shot (shot.id)}
							<tr>
								{#each view.shown as { key } (key)}
									{#if key === 'shot'}<td><a class="plain font-bold" href="/shots/{shot.id}">S{shot.number}</a></td>
									{:else if key === 'piece'}<td class="font-semibold"
											><span class="flex items-center gap-3"><PieceFace {...data.faces[shot.masterId]} rem={2.2} />{shot.masterName}</span
											></td>
									{:else if key === 'resin'}<td class="soft">{shot.resinName}</td>
									{:else if key === 'copies'}<td class="num">{shot.copies}</td>
									{:else if key === 'cups'}<td class="num">{shot.batches}</td>
									{:else if key === 'mass'}<td class="num font-bold">{units.inCup(shot.cup)}</td>
									{:else if key === 'slack'}<td class={['num font-bold', shot.slackS < 0 ? 'text-(--ink)' : 'text-(--work)']}
											>{units.show(shot.slackS, 'time')}</td>
									{:else}<td class="soft whitespace-nowrap">{wallTime(shot.createdAt.getTime(), data.nowMs)}</td>{/if}
								{/each}
							</tr>
						{/each}
					</tbody>
				{/each}
			</table>
			{#if found === 0}<p class="soft p-5">No shot has all of these words.</p>{/if}
		</div>
	</Island>
{/if}
