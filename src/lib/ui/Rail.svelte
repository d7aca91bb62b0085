<script lang="ts">
	import { onMount } from 'svelte';
	import { page } from '$app/state';
	import Ellipsis from '@lucide/svelte/icons/ellipsis';
	import Magnifier from '@lucide/svelte/icons/search';
	import Settings from '@lucide/svelte/icons/settings';
	import RailLink from './RailLink.svelte';
	import { STATIONS } from './stations';

	let { onfind }: { onfind: () => void } = $props();

	const here = (href: string) => (href === '/' ? page.url.pathname === '/' : page.url.pathname.startsWith(href));
	const SETTINGS = { href: '/settings', name: 'Settings', icon: Settings };
	const far = STATIONS.filter((s) => !s.near);
	const elsewhere = $derived([...far, SETTINGS].find((s) => here(s.href)));
	let more: HTMLDialogElement;
	let list: HTMLElement;
	// on a low screen the list scrolls: where one is has to be in sight. A browser that is told to show an element lets the
	// first Tab go on from there, past the way to the work: so it is only scrolled
	onMount(() => {
		const current = list.querySelector('[aria-current]')?.getBoundingClientRect();
		if (!current) return;
		const { top, bottom } = list.getBoundingClientRect();
		list.scrollTop += Math.max(0, current.bottom - bottom) + Math.min(0, current.top - top);
	});
	const foot =
		'hidden shrink-0 cursor-pointer flex-col items-center gap-1 px-4 py-2.5 text-[0.85rem] font-semibold hover:text-(--work) sm:flex lg:flex-row lg:gap-3 lg:py-1.5 lg:pl-6 short:py-1.5';
</script>

<nav
	class="no-print order-last flex shrink-0 border-t border-(--line) bg-(--sunk) sm:order-none sm:w-[5.6rem] sm:flex-col sm:border-t-0 sm:border-r lg:w-[11rem]"
	aria-label="Stations in the order of the work">
	<a href="/" class="hidden shrink-0 items-center gap-2 px-5 pt-5 pb-4 lg:flex short:pt-2 short:pb-1" aria-label="Anthypos, the bench">
		<img src="/icon.svg" alt="" class="size-8" /><span class="text-[1.15rem] font-bold tracking-tight">Anthypos</span>
	</a>
	<ol bind:this={list} class="contents [scrollbar-width:thin] sm:block sm:min-h-0 sm:flex-1 sm:overflow-y-auto sm:pt-2 lg:pt-0">
		{#each STATIONS as station, i (station.href)}
			<li class={['relative min-w-0 flex-1', !station.near && 'hidden sm:block']}>
				{#if i > 1}
					<!-- the way of the work, from one station to the next -->
					<span class="absolute -top-2 left-[2.02rem] hidden h-4 w-[3px] bg-(--line-strong) opacity-50 lg:block"></span>
				{/if}
				<RailLink {...station} current={here(station.href)} />
			</li>
		{/each}
	</ol>
	<button
		type="button"
		onclick={() => more.showModal()}
		aria-haspopup="dialog"
		class={[
			'flex min-w-0 flex-1 cursor-pointer flex-col items-center gap-0.5 px-1 py-2 text-[0.85rem] font-semibold sm:hidden short:py-0.5',
			elsewhere && 'text-(--work)'
		]}>
		<span
			class={[
				'grid size-9 place-items-center rounded-full border-[1.5px]',
				elsewhere ? 'here border-(--work) bg-(--work) text-(--work-ink)' : 'border-(--line-strong) bg-(--paper)'
			]}><Ellipsis class="size-5" aria-hidden="true" /></span>
		{elsewhere?.name ?? 'More'}
	</button>
	<button type="button" onclick={onfind} title="Find anything ( / )" class="{foot} border-t border-(--line)">
		<Magnifier class="size-5" aria-hidden="true" /> Find
	</button>
	{#if page.data['person']}<a
			href="/me"
			aria-label="{page.data['person'].mark} {page.data['person'].name}"
			aria-current={here('/me') ? 'page' : undefined}
			class={[foot, here('/me') && 'text-(--work)']}>
			<span
				class="grid size-8 place-items-center rounded-full border-2 border-(--work) text-[0.85rem] font-bold text-(--work)"
				aria-hidden="true">{page.data['person'].mark}</span>
			<span class="truncate max-lg:hidden">{page.data['person'].name}</span>
		</a>{/if}
	<a href={SETTINGS.href} aria-current={here(SETTINGS.href) ? 'page' : undefined} class={[foot, here(SETTINGS.href) && 'text-(--work)']}>
		<Settings class="size-5" aria-hidden="true" />
		{SETTINGS.name}
	</a>
</nav>

<!-- a press beside it closes it, as Escape does -->
<dialog
	bind:this={more}
	aria-label="All stations"
	onclick={(event) => event.target === more && more.close()}
	class="no-print m-0 mt-auto w-full max-w-none rounded-t-xl border-t border-(--line) bg-(--paper) p-0 text-(--ink) backdrop:bg-black/45">
	<div class="p-4">
		<ul class="grid grid-cols-2 gap-x-3">
			{#each [...far, SETTINGS] as station (station.href)}
				<li><RailLink {...station} wide current={here(station.href)} onclick={() => more.close()} /></li>
			{/each}
			<li>
				<button
					type="button"
					class="flex min-h-[3.2rem] w-full cursor-pointer items-center gap-3 px-2 text-[1rem] font-semibold"
					onclick={() => {
						more.close();
						onfind();
					}}>
					<span class="grid size-9 place-items-center rounded-full border-[1.5px] border-(--line-strong)"
						><Magnifier class="size-5" aria-hidden="true" /></span>
					Find
				</button>
			</li>
		</ul>
		<button
			type="button"
			class="mt-2 min-h-[3rem] w-full cursor-pointer rounded-lg border-[1.5px] border-(--line-strong) font-semibold"
			onclick={() => more.close()}>Close</button>
	</div>
</dialog>
