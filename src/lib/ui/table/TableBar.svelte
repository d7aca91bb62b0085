<script lang="ts" generics="R">
	import { onMount } from 'svelte';
	import { Checkbox, Input, Label, Select } from 'flowbite-svelte';
	import { fieldClass } from '../fieldClass';
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
	let read = $state(false);
	onMount(() => {
		view.load(localStorage);
		read = true;
	});
	$effect(() => {
		// what is read here is what is kept
		void [view.sort, view.hidden, view.group];
		if (read) view.save(localStorage);
	});
</script>

<div class="mb-3 flex flex-wrap items-end gap-x-4 gap-y-2 print:hidden">
	<div class="min-w-[14rem] flex-1">
		<Label class="label text-(--ink)!" for="{uid}-text">Only those with</Label>
		<Input id="{uid}-text" class={fieldClass(false)} type="search" autocomplete="off" bind:value={view.text} />
	</div>
	{#if groups.length > 0}
		<div>
			<Label class="label text-(--ink)!" for="{uid}-group">Grouped by</Label>
			<Select id="{uid}-group" classes={{ select: fieldClass(false) }} placeholder="" bind:value={view.group}>
				<option value="">nothing</option>
				{#each view.columns.filter((c) => groups.includes(c.key)) as c (c.key)}<option value={c.key}>{c.label.toLowerCase()}</option>{/each}
			</Select>
		</div>
	{/if}
	<details class="relative">
		<summary class="flex min-h-[2.75rem] cursor-pointer items-center rounded-lg border-[1.5px] border-(--line-strong) px-4 font-semibold"
			>Columns</summary>
		<div class="absolute right-0 z-20 mt-1 w-max rounded-lg border-[1.5px] border-(--line-strong) bg-(--paper) p-3 shadow-lg">
			{#each view.columns.filter((c) => !c.always) as c (c.key)}
				<label class="flex min-h-[2.4rem] cursor-pointer items-center gap-2">
					<Checkbox checked={!view.hidden.includes(c.key)} onchange={() => view.toggle(c.key)} />
					{c.label}
				</label>
			{/each}
		</div>
	</details>
	<p class="soft pb-2.5" role="status">{found === of ? `${of} in all` : `${found} of ${of}`}</p>
</div>
