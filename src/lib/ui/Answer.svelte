<script lang="ts">
	import type { Snippet } from 'svelte';
	/** The one answer of a screen, large; the reason stands right under it. */
	interface Props {
		label: string;
		value: string;
		note?: string;
		tone?: 'ink' | 'work' | 'hot' | 'harm';
		children?: Snippet;
	}
	let { label, value, note = '', tone = 'ink', children }: Props = $props();
</script>

<div>
	<p class="label">{label}</p>
	<p class="answer mt-1.5 text-[3rem] break-words" style:color="var(--{tone})">{value}</p>
	{#if note}<p class="soft mt-1">{note}</p>{/if}
	{@render children?.()}
</div>
