<script lang="ts" generics="R">
	import type { TableView } from './tableView.svelte';

	/** The head over rows that share a value; nothing while the list is not grouped. */
	let { view, group }: { view: TableView<R>; group: { head: string; rows: readonly R[] } } = $props();
</script>

{#if view.group}
	<tr>
		<th colspan={view.shown.length} scope="rowgroup" class="bg-(--work-soft) text-left!"
			>{group.head || '–'} <span class="soft font-normal">{group.rows.length}</span></th>
	</tr>
{/if}
