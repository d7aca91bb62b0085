<script lang="ts" generics="R">
	import ArrowDown from '@lucide/svelte/icons/arrow-down';
	import ArrowUp from '@lucide/svelte/icons/arrow-up';
	import type { TableView } from './tableView.svelte';

	/** The heads of a list; a press sorts by it. */
	let { view }: { view: TableView<R> } = $props();
</script>

<thead>
	<tr>
		{#each view.shown as c (c.key)}
			{@const down = view.sort?.by === c.key ? view.sort.down : undefined}
			<th class={c.num ? 'num' : ''} aria-sort={down === undefined ? undefined : down ? 'descending' : 'ascending'}>
				<button
					type="button"
					class="inline-flex min-h-[2rem] cursor-pointer items-center gap-1 font-[inherit] hover:underline"
					onclick={() => view.sortBy(c.key)}>
					{c.label}{#if down === true}<ArrowDown class="size-4" aria-hidden="true" />{:else if down === false}<ArrowUp
							class="size-4"
							aria-hidden="true" />{/if}
				</button>
			</th>
		{/each}
	</tr>
</thead>
