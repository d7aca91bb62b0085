<script lang="ts">
	import './board.css';
	import { flushSync, onMount, untrack } from 'svelte';
	import BoardSheet from './BoardSheet.svelte';
	import { daysOf, ZOOMS, type Row, type Stretch, type Zoom } from './board';
	import type { PinRun } from './pinRun.svelte';

	/** Hands, moulds and pots by the hour; what hands do is moved by finger, mouse or keys. Paper has a sheet for each day. */
	interface Props {
		rows: readonly Row[];
		run: PinRun;
		zoom: Zoom;
		startMs: number;
		days: number;
		openings: readonly Stretch[];
		orders: readonly { id: string; name: string; dueAtMs: number }[];
		nowMs: number;
	}
	let { rows, run, zoom, startMs, days, openings, orders, nowMs }: Props = $props();
	/** Room before what the board opens at. */
	const LEAD_PX = 60;
	/** How wide a day is on paper, lying. */
	const PAPER_PX = 820;
	const HOURS_EVERY = { hour: 1, day: 2, week: 6, month: undefined } as const;
	const pxPerMs = $derived(ZOOMS[zoom] / 3_600_000);
	const all = $derived<Stretch>({ fromMs: startMs, untilMs: startMs + days * 86_400_000 });
	const stepMs = $derived(zoom === 'hour' ? 60_000 : 5 * 60_000);
	/** What hands do, by the clock: what the keys go along. */
	const hands = $derived(rows[0]?.bars.map((b) => b.activity) ?? []);

	/** How much of it is seen; until the page is laid out, as much as a usual window shows. */
	let seenPx = $state(1100);
	const seenMs = $derived(seenPx / pxPerMs);
	// a night before the first thing to do is not what one came to see
	const opensAfterMs = untrack(() => {
		const afterMs = (hands[0]?.startMs ?? startMs) - startMs;
		return afterMs * pxPerMs > seenPx / 2 ? afterMs - LEAD_PX / pxPerMs : 0;
	});
	/** How long after its start its left edge stands: at each moment, and by larger steps what is drawn around. Its start moves on. */
	let leftAfterMs = opensAfterMs;
	let aroundAfterMs = $state(opensAfterMs);
	/** Whoever comes near it may scroll: half as much is drawn to either side. At a page's start only what is seen is. */
	let isNear = $state(false);
	const sideMs = $derived(isNear ? seenMs / 2 : 0);
	const drawn = $derived<Stretch>({
		fromMs: startMs + aroundAfterMs - sideMs,
		untilMs: startMs + aroundAfterMs + seenMs + sideMs
	});
	let region: HTMLElement;
	let isOpen = false;
	$effect(() => {
		// at another zoom the same moment stands at the edge; a hand that was there before it woke is not sent back
		const left = leftAfterMs * pxPerMs;
		if (!isOpen && region.scrollLeft > 0) untrack(scrolled);
		else region.scrollLeft = left;
		isOpen = true;
	});
	function scrolled(): void {
		leftAfterMs = region.scrollLeft / pxPerMs;
		const byMs = Math.abs(leftAfterMs - aroundAfterMs);
		// where it opens is no scrolling of anybody's
		if (byMs * pxPerMs > 2) isNear = true;
		if (byMs > seenMs / 4) aroundAfterMs = leftAfterMs;
	}

	let sheets = $state<readonly Stretch[]>();
	onMount(() => {
		const before = () =>
			flushSync(() => {
				sheets = daysOf(all, hands);
			});
		const after = () => (sheets = undefined);
		window.addEventListener('beforeprint', before);
		window.addEventListener('afterprint', after);
		return () => {
			window.removeEventListener('beforeprint', before);
			window.removeEventListener('afterprint', after);
		};
	});

	function key(event: KeyboardEvent): void {
		const at = hands.findIndex((a) => a.id === run.pickedId);
		const a = hands[at];
		const along =
			event.key === 'ArrowUp' ? -1 : event.key === 'ArrowDown' ? 1 : event.key === 'Home' ? -at : event.key === 'End' ? hands.length : 0;
		const steps = event.key === 'ArrowLeft' ? -1 : event.key === 'ArrowRight' ? 1 : 0;
		if (along !== 0 || event.key === 'Home') {
			const next = hands[Math.min(hands.length - 1, Math.max(0, at + along))];
			run.pick(next?.id);
			if (next) region.scrollLeft = Math.max(0, (next.startMs - startMs) * pxPerMs - region.clientWidth / 2);
		} else if (steps !== 0 && a) run.step(event.shiftKey ? steps * 4 : steps);
		else if (event.key === 'Enter' && a && run.byMs !== 0) void run.put(a.id, a.startMs + run.byMs);
		else if (event.key === 'Escape' && run.byMs !== 0) run.byMs = 0;
		else return;
		event.preventDefault();
	}
</script>

<p id="board-keys" class="sr-only">Up and down pick what hands do, left and right move it by a quarter of an hour, Enter puts it there.</p>
<div class="board">
	<!-- svelte-ignore a11y_no_noninteractive_tabindex, a11y_no_noninteractive_element_interactions (it is gone along by keys; what is picked is said beneath) -->
	<div
		bind:this={region}
		bind:clientWidth={seenPx}
		class="no-print slab overflow-x-auto"
		role="region"
		aria-label="Board by hour"
		aria-describedby="board-keys"
		tabindex="0"
		onpointerenter={() => (isNear = true)}
		onfocus={() => (isNear = true)}
		onscroll={scrolled}
		onkeydown={key}>
		<BoardSheet {rows} {run} shown={all} {drawn} {pxPerMs} hoursEvery={HOURS_EVERY[zoom]} {stepMs} {openings} {orders} {nowMs} />
	</div>
	{#each sheets ?? [] as day (day.fromMs)}
		<div class="mb-4 break-inside-avoid [page:wide]">
			<BoardSheet
				rows={rows.filter((r) => r.bars.some((b) => b.activity.endMs > day.fromMs && b.activity.startMs < day.untilMs))}
				{run}
				shown={day}
				drawn={day}
				pxPerMs={PAPER_PX / (day.untilMs - day.fromMs)}
				hoursEvery={1}
				{stepMs}
				{openings}
				{orders}
				{nowMs} />
		</div>
	{/each}
	<p class="soft mt-2 flex flex-wrap gap-x-5 gap-y-1 text-[0.93rem]" aria-label="What the bars mean">
		<span><span class="key cast"></span> cast</span><span><span class="key cure"></span> cures, or in the pot</span><span
			><span class="key demould"></span> taken out</span>
		<span><span class="key prep"></span> made ready, finished</span><span><span class="key nightkey"></span> nobody there</span><span
			><span class="line bg-(--hot)"></span> now</span
		><span><span class="line bg-(--ink)"></span> an order is wanted</span>
	</p>
</div>

<style>
	.nightkey {
		background: repeating-linear-gradient(135deg, var(--sunk) 0 6px, transparent 6px 9px);
		background-color: color-mix(in srgb, var(--sunk) 55%, transparent);
	}
	.key {
		display: inline-block;
		width: 1.4rem;
		height: 0.8rem;
		margin-right: 0.2rem;
		border: 1.5px solid var(--ink);
		border-radius: 3px;
		vertical-align: -0.05rem;
	}
	.line {
		display: inline-block;
		width: 2px;
		height: 1rem;
		margin-right: 0.3rem;
		vertical-align: -0.15rem;
	}
</style>
