<script lang="ts" generics="R">
	import { Checkbox } from 'flowbite-svelte';
	import { onMount } from 'svelte';
	import { onceAwake } from '../island/waking';
	import type { TableView } from './tableView.svelte';

	/** Which columns a list has; kept on this device with the rest of its view. */
	let { view }: { view: TableView<R> } = $props();
	let read = $state(false);
	// the list may lie in a part that wakes after this one, and wakes as it was sent
	onMount(() =>
		onceAwake(() => {
			view.load(localStorage);
			read = true;
		})
	);
	$effect(() => {
		// what is read here is what is kept
		void [view.sort, view.hidden, view.group];
		if (read) view.save(localStorage);
	});
</script>

<details class="relative print:hidden">
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
