<script lang="ts">
	import { usualWords } from '$lib/core/shelf';

	/** What of a record is nobody's sheet, in the list of the shelf. */
	let { record }: { record: { typical: boolean; usual: string[] } } = $props();
	const usual = $derived(usualWords(record));
</script>

{#if record.typical}<span class="soft block text-[0.93rem]">typical of its kind, nobody’s sheet</span>
{:else if usual}<span class="soft block text-[0.93rem]">usual, not from its sheet: {usual}</span>{/if}
