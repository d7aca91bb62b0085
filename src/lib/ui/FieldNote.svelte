<script lang="ts">
	import { Helper } from 'flowbite-svelte';
	/** The line under a field. It is always there, so that nothing jumps under a finger. */
	let { id, problem = '', note = '' }: { id: string; problem?: string; note?: string } = $props();
</script>

<Helper {id} class="mt-0.5 min-h-[1.35rem] text-[0.87rem]! leading-snug" aria-live="polite">
	{#if problem}<span class="font-semibold text-(--harm)">{problem}</span>{:else}<span
			class="text-(--ink-soft)">{note}</span
		>{/if}
</Helper>
