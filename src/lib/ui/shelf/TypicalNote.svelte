<script lang="ts">
	import { untrack } from 'svelte';
	import { Checkbox } from 'flowbite-svelte';

	/** Figures that are nobody's sheet say so until somebody replaces them. */
	let { typical = $bindable() }: { typical: boolean | undefined } = $props();
	/** It was typical when the page was opened: the box stays where it can be ticked again. */
	const was = untrack(() => typical);
</script>

{#if was}
	<div class="mb-3 rounded-lg border-[1.5px] border-(--line-strong) bg-(--sunk) px-4 py-2">
		<p>
			{#if typical}<strong>Typical of its kind, nobody’s sheet.</strong> Replace the figures by those of your own, and give it its name.{:else}Saved,
				it counts as taken from its sheet.{/if}
		</p>
		<label class="flex min-h-[2.4rem] cursor-pointer items-center gap-2 font-semibold">
			<Checkbox checked={!typical} onchange={(e) => (typical = !(e.target as HTMLInputElement).checked)} /> These figures are from its sheet
		</label>
	</div>
{/if}
