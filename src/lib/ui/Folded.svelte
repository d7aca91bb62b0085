<script lang="ts">
	import { flushSync, onMount, type Snippet } from 'svelte';
	import { staysOpen } from './staysOpen';

	/** What is folded away is made once it is unfolded, or goes to paper: a page's start is spent on what is seen. */
	interface Props {
		open?: boolean;
		summary: string;
		/** Of the line that is pressed. */
		look: string;
		class: string;
		children: Snippet;
	}
	let { open = $bindable(false), summary, look, class: around, children }: Props = $props();
	let wasOpen = $state(false);
	$effect(() => {
		if (open) wasOpen = true;
	});
	onMount(() => {
		// paper does not wait for the next picture
		const onPaper = () => flushSync(() => (wasOpen = true));
		window.addEventListener('beforeprint', onPaper);
		return () => window.removeEventListener('beforeprint', onPaper);
	});
</script>

<details class={around} bind:open {@attach staysOpen}>
	<summary class={look}>{summary}</summary>
	{#if open || wasOpen}{@render children()}{/if}
</details>
