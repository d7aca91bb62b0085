<script lang="ts">
	import X from '@lucide/svelte/icons/x';

	/** What a first visitor of the demo sees: what this is, how to leave it, and that it waits. */
	let shown = $state(true);
	const YEAR_S = 365 * 86_400;
	function read() {
		shown = false;
		// the server leaves it out from now on, so that nothing moves when the page comes
		document.cookie = `demo-line=read; path=/; max-age=${YEAR_S}; samesite=lax`;
	}
</script>

{#if shown}
	<aside
		class="no-print mb-4 flex items-start gap-3 rounded-lg border-[1.5px] border-(--line-strong) bg-(--work-soft) px-4 py-2.5"
		aria-label="About the demo">
		<p class="flex-1 text-[1rem]">
			<strong>Anthypos works out moulds and casts, keeps the clock while you pour, and remembers every pull.</strong>
			This is its demo: an invented workshop in which everything may be tried. <a class="plain" href="/practice">Practise a pour</a>, or
			<a class="plain" href="/workshop">begin your own</a>: both are kept apart, and the demo waits as you left it.
		</p>
		<button type="button" class="grid size-11 shrink-0 cursor-pointer place-items-center" aria-label="I know" onclick={read}
			><X class="size-5" aria-hidden="true" /></button>
	</aside>
{/if}
