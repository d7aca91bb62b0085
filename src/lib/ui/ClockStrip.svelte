<script lang="ts">
	import { onMount, untrack } from 'svelte';
	import { mostPressingFirst, type Clock } from '$lib/core/bench';
	import Flame from '@lucide/svelte/icons/flame';
	import Gauge from '@lucide/svelte/icons/gauge';
	import Hourglass from '@lucide/svelte/icons/hourglass';
	import Layers from '@lucide/svelte/icons/layers-2';
	import { Alarms } from './alarms';
	import { CLOCKS_CHANGED, countdown, wallTime } from './clockText';
	import { Now } from './now.svelte';
	import { ownClocks } from './ownClocks.svelte';
	import { sound } from './sound.svelte';

	/** Everything that is running, on every screen. It asks the server again, so another device shows the same. */
	let { clocks, nowMs }: { clocks: readonly Clock[]; nowMs: number } = $props();

	const now = new Now(untrack(() => nowMs));
	let fresh = $state.raw<readonly Clock[]>();
	const known = $derived(ownClocks.over(fresh ?? clocks));
	const shown = $derived(mostPressingFirst(known, now.ms).filter((c) => !c.quiet));
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
				if (response.ok) fresh = ((await response.json()) as { clocks: Clock[] }).clocks;
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
	class="no-print flex min-h-[3.1rem] items-stretch gap-px overflow-x-auto bg-(--strip) text-(--strip-ink)"
	aria-label="Running clocks">
	{#if shown.length === 0}
		<p class="self-center px-4 text-[0.95rem] opacity-80">Nothing is running.</p>
	{/if}
	{#if shown.length > 0 && sound.blocked && sound.way !== 'muted'}
		<button type="button" class="shrink-0 cursor-pointer bg-[#a33a06] px-4 text-[0.95rem] font-semibold text-white hover:bg-[#8c3205]"
			>Sound is blocked here: press once</button>
	{/if}
	{#each shown as clock (clock.id)}
		{@const leftS = (clock.endsAtMs - now.ms) / 1000}
		{@const done = Math.min(1, Math.max(0, (now.ms - clock.startedAtMs) / (clock.endsAtMs - clock.startedAtMs)))}
		{@const Icon = icons[clock.kind]}
		<a
			href={clock.href}
			class={[
				'relative flex min-w-[15.5rem] shrink-0 items-center gap-3 px-4 py-1 hover:bg-white/10',
				leftS <= 0 && 'bg-[#a33a06] text-white hover:bg-[#8c3205]'
			]}>
			<Icon class="size-6 shrink-0" aria-hidden="true" />
			<span class="text-[1.5rem] leading-none font-bold whitespace-nowrap">{countdown(leftS)}</span>
			<span class="shrink-0 leading-tight">
				<!-- what to do comes first and whole; which piece and when may be cut -->
				<span class="block text-[0.95rem] font-bold whitespace-nowrap first-letter:uppercase">{clock.then}</span>
				<span class="block max-w-[14rem] truncate text-[0.85rem]">
					{leftS <= 0 ? 'now' : wallTime(clock.endsAtMs, now.ms)}, {clock.label}
				</span>
			</span>
			<span class="absolute inset-x-0 bottom-0 h-[3px] bg-white/15">
				<span class="block h-full bg-[#ff9257]" style:width="{done * 100}%"></span>
			</span>
		</a>
	{/each}
</section>
