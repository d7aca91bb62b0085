<script lang="ts">
	import type { Snippet } from 'svelte';
	import type { CautionTopic } from '$lib/core/cautions';
	import Caution from '../Caution.svelte';
	import { lowerFirst } from '../clockText';
	import type { HandLayout } from '../hand.svelte';

	/** One thing to do, its cautions, one large action, and what comes next. */
	interface Props {
		layout: HandLayout;
		cautions: readonly CautionTopic[];
		/** Nothing counts down: the order of cautions may be said at length. */
		order: boolean;
		/** What is asked before something is ended early. */
		asks: string | undefined;
		action: string;
		onpress: () => void;
		/** Which of the steps this is, counted from nothing. */
		at: number;
		titles: readonly string[];
		/** The number of this step, as it is said: an amount, a time. */
		figure?: string | undefined;
		/** What it is of, for the page's title. */
		of: string;
		children: Snippet;
	}
	let { layout, cautions, order, asks, action, onpress, at, titles, figure, of, children }: Props = $props();
	const next = $derived(titles[at + 1]);
	const said = $derived(`${titles[at] ?? ''}${figure ? `, ${figure}` : ''}`);
</script>

<svelte:head><title>{said} · {of} · Anthypos</title></svelte:head>
<!-- each step is said once, as it comes -->
<p class="sr-only" aria-live="assertive" aria-atomic="true" data-testid="step-said">{said}. Step {at + 1} of {titles.length}.</p>

<div class={layout.frame}>
	<div class="flex min-h-0 flex-1 flex-col gap-2 py-1">
		<div class="flex min-h-0 flex-1 flex-col [justify-content:safe_center] gap-[clamp(0.6rem,2vh,1.25rem)] overflow-y-auto">
			{@render children()}
		</div>
		<!-- never scrolled away: it belongs to the step -->
		{#if cautions.length > 0}<div class="mx-auto max-w-[60rem] shrink-0"><Caution topics={[...cautions]} {order} /></div>{/if}
	</div>
	{#if asks}<p class="py-1 text-center text-[1.15rem] font-bold text-(--hot)" role="alert">{asks}</p>{/if}
	<button type="button" class={layout.action} onclick={onpress}>
		{action}<kbd class="rounded-md border-2 border-current px-3 py-0.5 text-[1rem] font-semibold opacity-80 max-sm:hidden">space</kbd>
	</button>
</div>
<p class="soft mt-1 text-center text-[0.93rem]">
	Step {at + 1} of {titles.length}
	{#if next}· then: {lowerFirst(next)}{/if}
</p>
