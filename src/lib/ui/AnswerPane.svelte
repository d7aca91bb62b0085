<script lang="ts">
	import type { Snippet } from 'svelte';
	import Spoken from './Spoken.svelte';

	/**
	 * The answer of a calculating page: it stays beside its form, and under 1024 px as a slim bar at the foot with the
	 * figure and what is done with it. A screen reader hears one short sentence once the typing rests.
	 */
	interface Props {
		/** What the figure is, and the figure; left out while there is none. */
		label: string;
		value?: string | undefined;
		/** The second figure, in a few words. */
		note?: string | undefined;
		/** What is wrong; the answer before it stays, faded. */
		problem?: string | undefined;
		children: Snippet;
		/** What will stand here, while there is nothing yet. */
		empty?: Snippet;
		/** In the slim bar: a drawing, and what is done. */
		bar?: Snippet;
		action?: Snippet;
		class?: string;
	}
	let { label, value, note = '', problem, children, empty, bar, action, class: extra = '' }: Props = $props();
	const uid = $props.id();
	const summary = $derived(problem ? problem : value === undefined ? '' : `${label}: ${value}${note ? `, ${note}` : ''}`);
</script>

<!-- it scrolls by itself when it is higher than the screen: the keys reach it -->
<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
<aside
	tabindex="0"
	aria-label={label}
	id="{uid}-answer"
	class={[
		'slab flex min-w-0 flex-col gap-4 p-5 lg:sticky lg:top-0 lg:max-h-[calc(100dvh-4.6rem)] lg:overflow-y-auto print:max-h-none',
		extra
	]}>
	<Spoken text={summary} />
	{#if value !== undefined}
		{#if problem}<p class="-mb-2 font-semibold text-(--harm)">
				{problem} <span class="soft font-normal">Below: as it was before.</span>
			</p>{/if}
		<div class={['flex flex-col gap-4 transition-opacity', problem && 'opacity-45']}>{@render children()}</div>
	{:else if problem}
		<p class="font-semibold text-(--harm)">{problem}</p>
	{:else}
		{@render empty?.()}
	{/if}
</aside>
{#if value !== undefined || problem}
	<div
		class="no-print sticky -bottom-5 z-10 col-span-full -mx-4 -mb-5 flex min-h-[3.6rem] items-center gap-3 border-t border-(--line-strong) bg-(--strip) px-4 py-1.5 text-(--strip-ink) sm:-mx-7 sm:px-7 lg:hidden"
		data-testid="slim-answer">
		<a href="#{uid}-answer" class="min-w-0 flex-1 leading-tight">
			{#if problem}<span class="line-clamp-2 text-[0.93rem] font-semibold">{problem}</span>
			{:else}
				<span class="block truncate text-[0.85rem]">{label}{note ? `, ${note}` : ''}</span>
				<strong class="text-[1.4rem] leading-none whitespace-nowrap">{value}</strong>
			{/if}
			{@render bar?.()}
		</a>
		{@render action?.()}
	</div>
{/if}
