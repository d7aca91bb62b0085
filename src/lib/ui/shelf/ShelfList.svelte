<script lang="ts" generics="R extends { id: string }">
	import { cards } from '$lib/ui/table/cards';
	import type { Snippet } from 'svelte';
	import { Button } from 'flowbite-svelte';
	import Island from '../island/Island.svelte';
	import TableBar from '../table/TableBar.svelte';
	import TableHead from '../table/TableHead.svelte';
	import { TableView, type Column } from '../table/tableView.svelte';

	/** One kind of thing on the shelf: its head with what adds one, and its list. */
	interface Props {
		id: string;
		title: string;
		columns: readonly Column<R>[];
		rows: readonly R[];
		/** What stands in one cell of one row. */
		cell: Snippet<[R, string]>;
		/** Said while there is none. */
		none: string;
		add: { label: string; href: string };
		/** Beside the button that adds one. */
		beside?: Snippet;
		/** It lies under the edge of every window at the page's start. */
		below?: boolean;
	}
	let { id, title, columns, rows, cell, none, add, beside, below = false }: Props = $props();
	/** So few are seen at a glance: what narrows a list would only be in the way. */
	const GLANCE = 8;
	// svelte-ignore state_referenced_locally
	const view = new TableView<R>(`shelf-${id}`, columns);
	const found = $derived(view.rows(rows));
</script>

<!-- until it comes near it has about the room that its rows will take, and no less: what is under it lies under it -->
<section
	class={['mb-7 scroll-mt-20', below && 'below']}
	style:contain-intrinsic-block-size={below ? `auto ${9 + 4.4 * Math.max(1, rows.length)}rem` : undefined}
	{id}>
	<Island>
		<div class="mb-2 flex flex-wrap items-end justify-between gap-2">
			<h2>{title}</h2>
			<span class="flex gap-2">{@render beside?.()}<Button href={add.href}>{add.label}</Button></span>
		</div>
		{#if rows.length > GLANCE}<TableBar {view} found={found.length} of={rows.length} />{/if}
		<div class="slab overflow-x-auto">
			<table class="bench" {@attach cards}>
				<TableHead {view} />
				<tbody>
					{#each found as row (row.id)}
						<tr>
							{#each view.shown as c (c.key)}<td class={c.num ? 'num' : ''}>{@render cell(row, c.key)}</td>{/each}
						</tr>
					{:else}<tr><td colspan={view.shown.length} class="soft py-6!">{rows.length ? 'None has all of these words.' : none}</td></tr
						>{/each}
				</tbody>
			</table>
		</div>
	</Island>
</section>
