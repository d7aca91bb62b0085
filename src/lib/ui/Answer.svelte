<script lang="ts">
	import type { Snippet } from 'svelte';
	import Explain from './Explain.svelte';
	/** The one answer of a screen, large; the reason stands right under it. */
	interface Props {
		label: string;
		value: string;
		note?: string;
		tone?: 'ink' | 'work' | 'hot' | 'harm';
		children?: Snippet;
	}
	let { label, value, note = '', tone = 'ink', children }: Props = $props();
	/** The unit stands smaller beside its number, so that the two stay on one line. */
	const parts = $derived(value.split('\u202f'));
</script>

<div>
	<p class="label flex items-center">{label}<Explain word={label} /></p>
	<p class="answer mt-1.5 text-[3.2rem] break-words" style:color="var(--{tone})">
		{#if parts.length === 2}<span class="whitespace-nowrap">{parts[0]}<span class="text-[0.62em]">&#x202f;{parts[1]}</span></span
			>{:else}{value}{/if}
	</p>
	{#if note}<p class="soft mt-1">{note}</p>{/if}
	{@render children?.()}
</div>
