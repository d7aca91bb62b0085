<script lang="ts">
	import { cards } from '$lib/ui/table/cards';
	import { Button } from 'flowbite-svelte';
	import { untrack } from 'svelte';
	import { KIND_WORDS, STATE_WORDS } from '$lib/core/mould';
	import { wallTime } from '$lib/ui/clockText';
	import Island from '$lib/ui/island/Island.svelte';
	import PieceFace from '$lib/ui/PieceFace.svelte';
	import PageHead from '$lib/ui/PageHead.svelte';
	import GroupHead from '$lib/ui/table/GroupHead.svelte';
	import TableBar from '$lib/ui/table/TableBar.svelte';
	import TableHead from '$lib/ui/table/TableHead.svelte';
	import { TableView, type Column } from '$lib/ui/table/tableView.svelte';
	import Tag from '$lib/ui/Tag.svelte';
	import { useUnits } from '$lib/ui/units.svelte';

	let { data } = $props();
	const units = useUnits();
	type Row = (typeof data.moulds)[number];
	/** A list of so many is grouped by piece at first. */
	const MANY = 40;
	const ORDER = { active: 0, 'being-made': 1, new: 2, resting: 3, worn: 4, retired: 5 };
	const COLUMNS: readonly Column<Row>[] = [
		{ key: 'mould', label: 'Mould', value: (m) => `M${m.number} ${m.label}`, always: true },
		{ key: 'piece', label: 'Piece', value: (m) => m.masterName },
		{ key: 'state', label: 'State', value: (m) => STATE_WORDS[m.state] },
		{ key: 'pulls', label: 'Pulls', value: (m) => m.pulls, num: true },
		{ key: 'rubber', label: 'Rubber', value: (m) => m.rubberName || KIND_WORDS[m.kind] },
		{ key: 'place', label: 'Kept where', value: (m) => m.place }
	];
	const view = new TableView<Row>('moulds', COLUMNS, untrack(() => data.moulds.length) > MANY ? 'piece' : '');
	// its picture and its name say the piece already
	view.hidden = ['piece'];
	const usual = $derived([...data.moulds].sort((a, b) => ORDER[a.state] - ORDER[b.state] || b.number - a.number));
	const groups = $derived(view.groups(usual));
	const found = $derived(groups.reduce((n, g) => n + g.rows.length, 0));
	/** So many are drawn at once: of three hundred the first ones are what is looked for, or a word finds the others. */
	const MOST = 100;
	let all = $state(false);
	const drawn = $derived.by(() => {
		let room = all ? Infinity : MOST;
		return groups.flatMap((group) => {
			const rows = group.rows.slice(0, Math.max(0, room));
			room -= rows.length;
			return rows.length > 0 ? [{ group, rows }] : [];
		});
	});
	const left = $derived(found - drawn.reduce((n, g) => n + g.rows.length, 0));
</script>

<PageHead title="Moulds" about="Every mould with its rubber and how often it was pulled.">
	{#snippet actions()}
		{#if data.moulds.length > 0}<Button href="/moulds/labels.pdf" target="_blank" size="lg" color="alternative">Labels</Button>{/if}
		{#if data.moulds.some((m) => m.pulls > 0)}<Button href="/moulds/wear" size="lg" color="alternative">Wear</Button>{/if}
		<Button href="/moulds/choose" size="lg" color="alternative">Which way?</Button>
		<Button href="/moulds/new" size="lg">Plan a mould</Button>
	{/snippet}
</PageHead>

{#if data.moulds.length === 0}
	<p class="slab p-8 text-[1.15rem]">
		No moulds yet. A mould is planned <a class="plain" href="/moulds/new">round a master</a>.
	</p>
{:else}
	<Island>
		<TableBar {view} groups={['piece', 'state', 'rubber', 'place']} {found} of={data.moulds.length} />
	</Island><Island>
		<div class="slab overflow-x-auto">
			<table class="bench" {@attach cards}>
				<TableHead {view} />
				{#each drawn as { group, rows } (group.head)}
					<tbody>
						<GroupHead {view} {group} />
						{#each rows as mould (mould.id)}
							<tr class={mould.state === 'retired' ? 'soft' : ''}>
								{#each view.shown as { key } (key)}
									{#if key === 'mould'}<td>
											<a class="flex items-center gap-3" href="/moulds/{mould.id}">
												<PieceFace {...data.faces[mould.masterId]} />
												<span
													><span class="plain font-bold underline decoration-(--line-strong) underline-offset-3">M{mould.number}</span>
													<span class="font-semibold">{mould.label}</span></span>
											</a>
										</td>
									{:else if key === 'piece'}<td><a class="plain" href="/masters/{mould.masterId}">{mould.masterName}</a></td>
									{:else if key === 'state'}<td>
											<Tag word={mould.state} />
											{#if mould.state === 'new' && mould.readyAtMs !== null}<span class="soft ml-1 text-[0.93rem]"
													>ready {wallTime(mould.readyAtMs, data.nowMs)}</span>
											{:else if mould.state === 'new'}<span class="soft ml-1 text-[0.93rem]">not poured</span>{/if}
										</td>
									{:else if key === 'pulls'}<td class="num text-[1.15rem] font-bold">{mould.pulls}</td>
									{:else if key === 'rubber'}<td class="soft"
											>{mould.rubberName ? `${mould.rubberName}, ${units.weighed(mould.rubberMassG)}` : KIND_WORDS[mould.kind]}</td>
									{:else}<td class="soft">{mould.place}</td>{/if}
								{/each}
							</tr>
						{/each}
					</tbody>
				{/each}
			</table>
			{#if left > 0}<p class="p-4">
					<Button color="alternative" size="lg" onclick={() => (all = true)}>Show the other {left}</Button>
				</p>{/if}
			{#if found === 0}<p class="soft p-5">No mould has all of these words.</p>{/if}
		</div>
	</Island>
{/if}
