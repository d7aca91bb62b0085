<script lang="ts">
	import { onMount, untrack } from 'svelte';
	import { page } from '$app/state';
	import { mostPressingFirst, type Clock } from '$lib/core/bench';
	import Flame from '@lucide/svelte/icons/flame';
	import Gauge from '@lucide/svelte/icons/gauge';
	import Hourglass from '@lucide/svelte/icons/hourglass';
	import Layers from '@lucide/svelte/icons/layers-2';
	import { Alarms } from './alarms';
	import { CLOCKS_CHANGED, CLOCKS_MOVED, countdown, lateness, wallTime } from './clockText';
	import { Now } from './now.svelte';
	import { ownClocks } from './ownClocks.svelte';
	import { sound } from './sound.svelte';

	/** Everything that is running, on every screen. It asks the server again, so another device shows the same. */
	let { clocks, nowMs }: { clocks: readonly Clock[]; nowMs: number } = $props();

	const now = new Now(untrack(() => nowMs));
	let fresh = $state.raw<readonly Clock[]>();
	const known = $derived(ownClocks.over(fresh ?? clocks));
	/** A bench shows its own clocks large: they are not said twice. */
	const own = $derived.by(() => {
		const path = page.url.pathname;
		if (path.startsWith('/practice/')) return '/practice';
		return /^\/pour\/.|\/make$/.test(path) ? path : '';
	});
	const shown = $derived(mostPressingFirst(known, now.ms).filter((c) => !c.quiet && c.href !== own));
	const icons = { 'pot-life': Flame, hold: Gauge, cure: Hourglass, rubber: Layers, wait: Hourglass };
	const alarms = new Alarms((clock) => sound.tell(3, `${clock.label}: ${clock.then}`));
	$effect(() => alarms.look(known, now.ms));

	$effect(() => {
		void clocks;
		fresh = undefined;
	});

	onMount(() => {
		const ask = async () => {
			try {
				const response = await fetch('/api/clocks');
				if (!response.ok) return;
				const before = JSON.stringify(fresh ?? clocks);
				fresh = ((await response.json()) as { clocks: Clock[] }).clocks;
				if (JSON.stringify(fresh) !== before) window.dispatchEvent(new Event(CLOCKS_MOVED));
			} catch {
				// without a network the clocks that are known go on running
			}
		};
		const quiet = sound.start();
		const timer = setInterval(ask, 4000);
		window.addEventListener('focus', ask);
		window.addEventListener(CLOCKS_CHANGED, ask);
		return () => {
			quiet();
			clearInterval(timer);
			window.removeEventListener('focus', ask);
			window.removeEventListener(CLOCKS_CHANGED, ask);
		};
	});
</script>

<section
	class="strip no-print flex min-h-[3.1rem] items-stretch gap-px overflow-x-auto bg-(--strip) text-(--strip-ink)"
	aria-label="Running clocks">
	{#if shown.length === 0}
		<p class="self-center px-4 text-[0.93rem] opacity-80">Nothing is running.</p>
	{/if}
	{#if shown.length > 0 && sound.blocked && sound.way !== 'muted'}
		<button
			type="button"
			class="shrink-0 cursor-pointer bg-white/15 px-4 text-[0.93rem] font-semibold hover:bg-white/25 max-sm:max-w-[7rem] max-sm:px-3 max-sm:text-left max-sm:leading-tight"
			>Sound<span class="max-sm:sr-only">&nbsp;is blocked here</span>: press once</button>
	{/if}
	{#each shown as clock (clock.id)}
		{@const leftS = (clock.endsAtMs - now.ms) / 1000}
		{@const done = Math.min(1, Math.max(0, (now.ms - clock.startedAtMs) / (clock.endsAtMs - clock.startedAtMs)))}
		{@const late = lateness(leftS)}
		{@const Icon = icons[clock.kind]}
		<a
			href={clock.href}
			class={[
				'relative flex min-w-[15.5rem] shrink-0 items-center gap-3 px-4 py-1 max-sm:gap-2 max-sm:px-3',
				late ? 'late' : 'hover:bg-white/10',
				late === 'due' && 'bg-[#a33a06] text-white hover:bg-[#8c3205]',
				late === 'long' && 'long-late bg-[#8f1417] text-white hover:bg-[#761013]'
			]}>
			<Icon class="size-6 shrink-0" aria-hidden="true" />
			<!-- what to do comes first and whole; which piece and when may be cut -->
			<span class="shrink-0 leading-tight">
				<span class="block text-[1rem] font-bold whitespace-nowrap first-letter:uppercase">{clock.then}</span>
				<span class="block max-w-[14rem] truncate text-[0.85rem] max-sm:max-w-[9.6rem]">
					{clock.label}{late ? '' : `, at ${wallTime(clock.endsAtMs, now.ms)}`}
				</span>
			</span>
			<span class="ml-auto text-right leading-none whitespace-nowrap">
				{#if late === 'long'}<span class="block text-[0.85rem] leading-tight font-bold">late by</span>{/if}
				<span class="text-[1.4rem] font-bold">{late === 'long' ? countdown(-leftS) : countdown(leftS)}</span>
			</span>
			<span class="bar absolute inset-x-0 bottom-0 h-[3px] bg-white/15">
				<span class="block h-full bg-[#ff9257]" style:width="{done * 100}%"></span>
			</span>
		</a>
	{/each}
</section>

<style>
	/* late for long is told apart without its colour too */
	.long-late {
		background-image: repeating-linear-gradient(120deg, transparent 0 14px, rgb(0 0 0 / 0.22) 14px 20px);
	}
</style>
