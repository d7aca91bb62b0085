<script lang="ts">
	import { Helper } from 'flowbite-svelte';
	/** The line under a field. It is always there, so that nothing jumps under a finger. */
	let { id, problem = '', note = '', bare = false }: { id: string; problem?: string; note?: string; bare?: boolean } = $props();
</script>

<Helper {id} class="text-[0.85rem]! leading-snug {bare ? 'mt-0!' : 'mt-0.5 min-h-[1.35rem]'}" aria-live="polite">
	{#if problem}<span class="font-semibold text-(--harm)">{problem}</span>{:else}<span class="text-(--ink-soft)">{note}</span>{/if}
</Helper>
