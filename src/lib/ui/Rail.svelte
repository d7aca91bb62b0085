<script lang="ts">
	import { page } from '$app/state';
	import Settings from '@lucide/svelte/icons/settings';
	import Magnifier from '@lucide/svelte/icons/search';
	import { STATIONS } from './stations';

	let { onfind }: { onfind: () => void } = $props();

	const here = (href: string) => (href === '/' ? page.url.pathname === '/' : page.url.pathname.startsWith(href));
</script>

<nav
	class="no-print order-last flex shrink-0 justify-around border-t border-(--line) bg-(--sunk) sm:order-none sm:w-[5.6rem] sm:flex-col sm:justify-start sm:border-t-0 sm:border-r lg:w-[11rem]"
	aria-label="Stations in the order of the work">
	<a href="/" class="hidden items-center gap-2 px-5 pt-5 pb-4 lg:flex" aria-label="Anthypos, the bench">
		<img src="/icon.svg" alt="" class="size-8" /><span class="text-[1.15rem] font-bold tracking-tight">Anthypos</span>
	</a>
	<ol class="contents sm:block sm:pt-3 lg:pt-0">
		{#each STATIONS as station, i (station.href)}
			{@const current = here(station.href)}
			<li class="relative">
				{#if i > 1}
					<!-- the way of the work, from one station to the next -->
					<span class="absolute -top-2 left-[2.02rem] hidden h-4 w-[3px] bg-(--line-strong) opacity-50 lg:block"></span>
				{/if}
				<a
					href={station.href}
					aria-current={current ? 'page' : undefined}
					class={[
						'flex flex-col items-center gap-0.5 px-1 py-2.5 text-[0.82rem] font-semibold lg:flex-row lg:gap-3 lg:px-4 lg:py-1.5 lg:text-[1.02rem]',
						current ? 'text-(--work)' : 'text-(--ink) hover:text-(--work)'
					]}>
					<span
						class={[
							'grid size-9 place-items-center rounded-full border-[1.5px]',
							current ? 'border-(--work) bg-(--work) text-(--work-ink)' : 'border-(--line-strong) bg-(--paper)'
						]}><station.icon class="size-5" /></span>
					{station.name}
				</a>
			</li>
		{/each}
	</ol>
	<button
		type="button"
		onclick={onfind}
		title="Find anything ( / )"
		class="hidden cursor-pointer flex-col items-center gap-1 px-4 py-3 text-[0.85rem] font-semibold hover:text-(--work) sm:mt-auto sm:flex lg:flex-row lg:gap-3 lg:pl-6">
		<Magnifier class="size-5" aria-hidden="true" /> Find
	</button>
	<a
		href="/settings"
		aria-current={here('/settings') ? 'page' : undefined}
		class="hidden flex-col items-center gap-1 px-4 py-4 text-[0.85rem] font-semibold hover:text-(--work) sm:flex lg:flex-row lg:gap-3 lg:pl-6">
		<Settings class="size-5" aria-hidden="true" /> Workshop
	</a>
</nav>
