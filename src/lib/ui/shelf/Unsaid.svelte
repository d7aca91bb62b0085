<script lang="ts">
	import { usualWords } from '$lib/core/shelf';

	/** What of a record is nobody's sheet, in the list of the shelf. */
	let { record }: { record: { typical: boolean; usual: string[] } } = $props();
	const usual = $derived(usualWords(record));
</script>

{#if record.typical}<span class="block text-[0.9rem] text-(--hot)">typical of its kind, nobody’s sheet</span>
{:else if usual}<span class="block text-[0.9rem] text-(--hot)">usual, not from its sheet: {usual}</span>{/if}
