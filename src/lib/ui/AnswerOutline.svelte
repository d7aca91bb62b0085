<script lang="ts">
	/** The outline of an answer that is still to come: its boxes, and what stands under them. */
	let { boxes, lines }: { boxes: readonly string[]; lines: string } = $props();
</script>

<div class="soft flex flex-col gap-3" aria-hidden="true">
	<div class={['grid gap-3', boxes.length > 1 && 'grid-cols-2']}>
		{#each boxes as box (box)}<div class="rounded-lg border border-dashed border-(--line-strong) px-3 py-6 text-[1.4rem] font-bold">
				{box} …
			</div>{/each}
	</div>
	<p>{lines}</p>
</div>
