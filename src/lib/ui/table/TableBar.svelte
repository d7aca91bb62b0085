<script lang="ts" generics="R">
	import { Input, Label, Select } from 'flowbite-svelte';
	import { fieldClass } from '../fieldClass';
	import ColumnChoice from './ColumnChoice.svelte';
	import type { TableView } from './tableView.svelte';

	/** Over a list: what is looked for, by what it is grouped, and which columns it has. */
	interface Props {
		view: TableView<R>;
		/** Keys by which it may be grouped. */
		groups?: readonly string[];
		/** Rows that are found, of all. */
		found: number;
		of: number;
	}
	let { view, groups = [], found, of }: Props = $props();
	const uid = $props.id();
</script>

<div class="mb-3 flex flex-wrap items-end gap-x-4 gap-y-2 print:hidden">
	<div class="min-w-[14rem] flex-1">
		<Label class="label text-(--ink)!" for="{uid}-text">Only those with</Label>
		<Input id="{uid}-text" class={fieldClass(false)} type="search" autocomplete="off" bind:value={view.text} />
	</div>
	{#if groups.length > 0}
		<div>
			<Label class="label text-(--ink)!" for="{uid}-group">Grouped by</Label>
			<Select id="{uid}-group" classes={{ select: `${fieldClass(false)} pr-9!` }} placeholder="" bind:value={view.group}>
				<option value="">nothing</option>
				{#each view.columns.filter((c) => groups.includes(c.key)) as c (c.key)}<option value={c.key}>{c.label.toLowerCase()}</option>{/each}
			</Select>
		</div>
	{/if}
	<ColumnChoice {view} />
	<p class="soft pb-2.5" role="status">{found === of ? `${of} in all` : `${found} of ${of}`}</p>
</div>
