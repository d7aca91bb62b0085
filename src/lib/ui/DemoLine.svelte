<script lang="ts">
	import { onMount } from 'svelte';
	import X from '@lucide/svelte/icons/x';

	/** What a first visitor of the demo sees: what this is, how to leave it, and that it waits. */
	const KEY = 'demo-line';
	let shown = $state(false);
	onMount(() => {
		try {
			shown = localStorage.getItem(KEY) !== 'read';
		} catch {
			shown = true;
		}
	});
	function read() {
		shown = false;
		try {
			localStorage.setItem(KEY, 'read');
		} catch {
			// where nothing is kept it is said again next time
		}
	}
</script>

{#if shown}
	<aside
		class="no-print mb-4 flex items-start gap-3 rounded-lg border-[1.5px] border-(--line-strong) bg-(--work-soft) px-4 py-2.5"
		aria-label="About the demo">
		<p class="flex-1 text-[1.02rem]">
			<strong>Anthypos works out moulds and casts, keeps the clock while you pour, and remembers every pull.</strong>
			This is its demo: an invented workshop in which everything may be tried. <a class="plain" href="/practice">Practise a pour</a>, or
			begin your own with <code class="font-semibold">npm run workshop</code>; both are kept apart, and
			<code class="font-semibold">npm run demo</code> brings you back here.
		</p>
		<button type="button" class="grid size-11 shrink-0 cursor-pointer place-items-center" aria-label="I know" onclick={read}
			><X class="size-5" aria-hidden="true" /></button>
	</aside>
{/if}
