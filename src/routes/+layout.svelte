<script lang="ts">
	import '../app.css';
	import { onMount, untrack } from 'svelte';
	import { afterNavigate } from '$app/navigation';
	import { page } from '$app/state';
	import { ThemeProvider } from 'flowbite-svelte';
	import { setClockHours } from '$lib/ui/clockText';
	import ClockStrip from '$lib/ui/ClockStrip.svelte';
	import type DraftOffers from '$lib/ui/draft/DraftOffers.svelte';
	import { drafts } from '$lib/ui/draft/drafts.svelte';
	import DiskLine from '$lib/ui/DiskLine.svelte';
	import OutboxLine from '$lib/ui/OutboxLine.svelte';
	import { gloves } from '$lib/ui/gloves.svelte';
	import Island from '$lib/ui/island/Island.svelte';
	import { allAwake } from '$lib/ui/island/waking';
	import Rail from '$lib/ui/Rail.svelte';
	import Finder from '$lib/ui/search/Finder.svelte';
	import { followPrint } from '$lib/ui/print';
	import { followTheme } from '$lib/ui/theme';
	import { provideUnits } from '$lib/ui/units.svelte';
	import { catchUp } from '$lib/ui/watchBench';

	let { data, children } = $props();
	// a page that began on a sheet stays on it, wherever its form leads
	const framed = untrack(() => data.framed);
	provideUnits(
		() => data.settings.units,
		() => data.settings.scaleResolutionG
	);
	$effect.pre(() => setClockHours(data.settings.clockHours));
	untrack(() => setClockHours(data.settings.clockHours));
	$effect(() => followTheme(data.theme));
	/** On a sheet over another page: what is kept here is told to it. */
	afterNavigate(({ from, to }) => {
		const kept = /^\/shelf\/(\w+)s\/([\da-f-]{36})$/.exec(to?.url.pathname ?? '');
		if (framed && from && kept) window.parent.postMessage({ added: { kind: kept[1], id: kept[2] } }, location.origin);
	});
	catchUp();
	$effect(() => gloves.known(data.marks, data.person?.mark));
	let awake = $state(false);
	let finder: Finder | undefined = $state.raw();
	/** Fetched where something was left unfinished, or cannot be kept; whoever has no network then is asked when there is one. */
	let Offers: typeof DraftOffers | undefined = $state.raw();
	$effect(() => {
		if ((drafts.offers.length === 0 && !drafts.trouble) || Offers) return;
		import('$lib/ui/draft/DraftOffers.svelte').then(
			(m) => (Offers = m.default),
			() => {}
		);
	});
	onMount(() => {
		// all fields change at once: in a task of its own, not at the end of the one that brought the page to life
		let gone = false;
		void allAwake().then(() => setTimeout(() => (awake = !gone)));
		const quiet = followPrint(document.documentElement);
		return () => {
			gone = true;
			quiet();
		};
	});
	/** At the pour the bench has the whole screen; its own clock is on it. */
	const bare = $derived(framed || data.isStranger || /^\/(pour\/[^/]+|practice\/[^/]+|moulds\/[^/]+\/make)$/.test(page.url.pathname));
</script>

<a href="#main" class="absolute left-2 z-50 -translate-y-20 rounded-lg bg-(--work) px-4 py-2 text-(--work-ink) focus:translate-y-2"
	>Skip to the work</a>
{#if !bare}<Finder bind:this={finder} />{/if}
<div class="flex h-dvh flex-col print:block print:h-auto">
	{#if !framed && !data.isStranger}
		<ClockStrip clocks={data.clocks} nowMs={data.nowMs} />
		<OutboxLine />
		{#if data.disk}<DiskLine {...data.disk} />{/if}
	{/if}
	<div class="flex min-h-0 flex-1 flex-col sm:flex-row print:block">
		{#if !bare}<Island><Rail onfind={() => finder?.show()} /></Island>{/if}
		<main
			id="main"
			tabindex="-1"
			class={[
				'relative min-w-0 flex-1 overflow-y-auto focus:outline-none print:overflow-visible',
				bare && !framed && !data.isStranger ? '' : 'px-4 py-5 sm:px-7'
			]}>
			<!-- until the page listens nothing can be typed that it would then forget -->
			<fieldset class="waking contents" disabled={!awake}>
				<div class={bare && !framed && !data.isStranger ? 'h-full' : 'mx-auto max-w-[74rem]'}>
					{#if Offers && !framed && !data.isStranger}<Offers
							nowMs={data.nowMs} />{/if}<!-- without a theme every button and field of the library asks for one, and fails, by throwing an error -->
					<ThemeProvider theme={{}}><Island>{@render children()}</Island></ThemeProvider>
				</div>
			</fieldset>
		</main>
	</div>
</div>
