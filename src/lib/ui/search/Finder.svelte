<script lang="ts">
	import { tick } from 'svelte';
	import type Search from './Search.svelte';

	/** One key opens the search, and a press on the rail; it is fetched when it is wanted. */
	let Found = $state.raw<typeof Search>();
	let search = $state.raw<Search>();
	/** What is typed while it is fetched. */
	let typed = '';
	let fetching = false;

	export async function show(): Promise<void> {
		if (fetching) return;
		fetching = true;
		try {
			Found ??= (await import('./Search.svelte')).default;
			await tick();
			search?.show(typed);
		} catch {
			// the server is away: the next press asks again
		}
		fetching = false;
		typed = '';
	}
	/** Anywhere but in a field: a slash, or Ctrl and K. */
	function key(event: KeyboardEvent) {
		if (fetching && event.key.length === 1 && !event.ctrlKey && !event.metaKey) {
			event.preventDefault();
			typed += event.key;
			return;
		}
		const typing = (event.target as HTMLElement).closest('input:not([type=radio]):not([type=checkbox]), textarea, select');
		const wanted =
			(event.key === '/' && !typing && !event.ctrlKey && !event.metaKey) || (event.key === 'k' && (event.ctrlKey || event.metaKey));
		if (!wanted) return;
		event.preventDefault();
		void show();
	}
</script>

<svelte:window onkeydown={key} />
{#if Found}<Found bind:this={search} />{/if}
