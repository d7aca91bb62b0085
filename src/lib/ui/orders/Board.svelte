<script lang="ts">
	import { onMount } from 'svelte';
	import type { Planned } from '$lib/core/orders';
	import { PART_WORDS } from '$lib/core/orders/words';
	import { dayName, wallTime } from '$lib/ui/clockText';
	import { hoursBetween, midnights, ZOOMS, type Row, type Zoom } from './board';
	import type { PinRun } from './pinRun.svelte';

	/** Hands, moulds and pots by the hour; what hands do is moved by finger, mouse or keys. */
	interface Props {
		rows: readonly Row[];
		run: PinRun;
		zoom: Zoom;
		startMs: number;
		days: number;
		openings: readonly { fromMs: number; untilMs: number }[];
		orders: readonly { id: string; name: string; dueAtMs: number }[];
		nowMs: number;
	}
	let { rows, run, zoom, startMs, days, openings, orders, nowMs }: Props = $props();
	const LANE = 30;
	/** Room before what the board opens at. */
	const LEAD_PX = 60;
	const pxPerMs = $derived(ZOOMS[zoom] / 3_600_000);
	const untilMs = $derived(startMs + days * 86_400_000);
	const x = (ms: number) => (ms - startMs) * pxPerMs;
	const width = $derived(x(untilMs));
	const days0 = $derived(midnights(startMs, untilMs));
	const hours = $derived(zoom === 'month' ? [] : hoursBetween(startMs, untilMs, zoom === 'hour' ? 1 : zoom === 'day' ? 2 : 6));
	/** Times when nobody is there. */
	const nights = $derived.by(() => {
		const out: { fromMs: number; untilMs: number }[] = [];
		let t = startMs;
		for (const o of openings) {
			if (o.fromMs > t) out.push({ fromMs: t, untilMs: o.fromMs });
			t = Math.max(t, o.untilMs);
		}
		if (t < untilMs) out.push({ fromMs: t, untilMs });
		return out;
	});
	const label = (a: Planned) =>
		`${PART_WORDS[a.part].is}${a.pieceName ? `: ${a.pieceName}` : ''}${a.number ? `, pull ${a.number}` : ''}, ${wallTime(a.startMs, nowMs)} to ${wallTime(a.endMs, nowMs)}${a.pinned ? ', pinned' : ''}`;
	const short = (a: Planned) => (a.part === 'cast' || a.part === 'layer' ? (a.pieceName ?? '') : PART_WORDS[a.part].is);

	let from = 0;
	function down(event: PointerEvent, a: Planned): void {
		if (event.button !== 0) return;
		run.pick(a.id);
		if (a.hands === 0) return;
		from = event.clientX;
		run.heldId = a.id;
		(event.currentTarget as HTMLElement).setPointerCapture(event.pointerId);
	}
	function move(event: PointerEvent, a: Planned): void {
		if (run.heldId !== a.id) return;
		const step = zoom === 'hour' ? 60_000 : 5 * 60_000;
		run.byMs = Math.round((event.clientX - from) / pxPerMs / step) * step;
	}
	function up(a: Planned): void {
		if (run.heldId !== a.id) return;
		run.heldId = undefined;
		if (run.byMs !== 0) void run.put(a.id, a.startMs + run.byMs);
	}
	/** What hands do, by the clock: what the keys go along. */
	const hands = $derived(rows[0]?.bars.map((b) => b.activity) ?? []);
	let region: HTMLElement;
	// a night before the first thing to do is not what one came to see
	onMount(() => {
		const first = hands[0];
		if (first && x(first.startMs) > region.clientWidth / 2) region.scrollLeft = x(first.startMs) - LEAD_PX;
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
			if (next) region.scrollLeft = Math.max(0, x(next.startMs) - region.clientWidth / 2);
		} else if (steps !== 0 && a) run.step(event.shiftKey ? steps * 4 : steps);
		else if (event.key === 'Enter' && a && run.byMs !== 0) void run.put(a.id, a.startMs + run.byMs);
		else if (event.key === 'Escape' && run.byMs !== 0) run.byMs = 0;
		else return;
		event.preventDefault();
	}
</script>

<p id="board-keys" class="sr-only">Up and down pick what hands do, left and right move it by a quarter of an hour, Enter puts it there.</p>
<!-- svelte-ignore a11y_no_noninteractive_tabindex, a11y_no_noninteractive_element_interactions (it is gone along by keys; what is picked is said beneath) -->
<div
	bind:this={region}
	class="slab overflow-x-auto"
	role="region"
	aria-label="Board by hour"
	aria-describedby="board-keys"
	tabindex="0"
	onkeydown={key}>
	<div class="board relative" style:width="calc({width}px + 9rem)">
		<div class="sticky top-0 z-20 flex h-12 border-b border-(--line) bg-(--paper)">
			<div class="sticky left-0 z-10 w-36 shrink-0 border-r border-(--line) bg-(--paper)"></div>
			<div class="relative flex-1">
				{#each days0 as day (day)}<span
						class="absolute top-0 border-l border-(--line-strong) text-[0.93rem] font-bold whitespace-nowrap"
						style:left="{x(day)}px"
						style:width="{24 * 3_600_000 * pxPerMs}px"
						><!-- which day it is stays in sight -->
						<span class="sticky left-36 inline-block px-1">{dayName(day)}</span></span
					>{/each}
				{#each hours as hour (hour)}<span class="soft num absolute bottom-0 -translate-x-1/2 text-[0.85rem]" style:left="{x(hour)}px"
						>{new Date(hour).getHours()}</span
					>{/each}
				{#each orders as o (o.id)}
					{#if o.dueAtMs > startMs && o.dueAtMs < untilMs}<span
							class="absolute bottom-0 z-10 max-w-40 truncate rounded-t bg-(--ink) px-1.5 text-[0.85rem] font-semibold text-(--paper)"
							style:left="{x(o.dueAtMs)}px"
							title="{o.name}, wanted {wallTime(o.dueAtMs, nowMs)}">⚑ {o.name}</span
						>{/if}
				{/each}
			</div>
		</div>
		{#each rows as row (row.key)}
			<div class="flex border-b border-(--line)" role="group" aria-label={row.name}>
				<div
					class="sticky left-0 z-10 flex w-36 shrink-0 items-center border-r border-(--line) bg-(--paper) px-2 leading-tight font-semibold">
					<span class="line-clamp-2">{row.name}</span>
				</div>
				<div class="relative flex-1" style:min-height="{row.lanes * LANE + 6}px">
					{#each nights as night (night.fromMs)}<div
							class="night absolute inset-y-0"
							style:left="{x(night.fromMs)}px"
							style:width="{x(night.untilMs) - x(night.fromMs)}px">
						</div>{/each}
					{#each orders as o (o.id)}{#if o.dueAtMs > startMs && o.dueAtMs < untilMs}<div
								class="absolute inset-y-0 w-0.5 bg-(--ink)"
								style:left="{x(o.dueAtMs)}px">
							</div>{/if}{/each}
					{#each row.bars as { activity: a, lane } (a.id)}
						{@const moves = run.pickedId === a.id}
						<!-- svelte-ignore a11y_no_static_element_interactions (the keys of the board do the same) -->
						<div
							class={['bar', a.part, moves && 'picked', a.pinned && 'pinned', a.hands > 0 && 'movable']}
							style:left="{x(a.startMs)}px"
							style:width="{Math.max(3, (a.endMs - a.startMs) * pxPerMs)}px"
							style:top="{lane * LANE + 3}px"
							style:transform={moves && run.byMs !== 0 ? `translateX(${run.byMs * pxPerMs}px)` : undefined}
							title={label(a)}
							data-id={a.id}
							onpointerdown={(e) => down(e, a)}
							onpointermove={(e) => move(e, a)}
							onpointerup={() => up(a)}
							onpointercancel={() => {
								run.heldId = undefined;
								run.byMs = 0;
							}}>
							{#if (a.endMs - a.startMs) * pxPerMs > 44}<span class="block truncate px-1">{short(a)}</span>{/if}
						</div>
					{/each}
				</div>
			</div>
		{/each}
		<div class="pointer-events-none absolute inset-y-0 z-10 w-0.5 bg-(--hot)" style:left="calc(9rem + {x(nowMs)}px)">
			<span class="absolute top-0 left-1 text-[0.85rem] font-bold text-(--hot)">now</span>
		</div>
	</div>
</div>
<p class="soft mt-2 flex flex-wrap gap-x-5 gap-y-1 text-[0.93rem]" aria-label="What the bars mean">
	<span><span class="key cast"></span> cast</span><span><span class="key cure"></span> cures, or in the pot</span><span
		><span class="key demould"></span> taken out</span>
	<span><span class="key prep"></span> made ready, finished</span><span><span class="key nightkey"></span> nobody there</span>
</p>

<style>
	.night,
	.nightkey {
		background: repeating-linear-gradient(135deg, var(--sunk) 0 6px, transparent 6px 9px);
		background-color: color-mix(in srgb, var(--sunk) 55%, transparent);
	}
	.bar {
		position: absolute;
		height: 27px;
		overflow: hidden;
		border: 1.5px solid var(--ink);
		border-radius: 4px;
		background: var(--paper);
		color: var(--ink);
		font-size: 0.85rem;
		font-weight: 600;
		text-align: left;
	}
	.movable {
		cursor: grab;
		touch-action: pan-y;
	}
	.cast,
	.layer {
		background: var(--work);
		color: var(--work-ink);
		border-color: var(--work);
	}
	.cure,
	.hold,
	.set {
		background: repeating-linear-gradient(45deg, var(--resin) 0 5px, color-mix(in srgb, var(--resin) 60%, var(--paper)) 5px 10px);
		color: var(--ink);
		border-color: var(--line-strong);
	}
	.demould {
		background: var(--ink);
		color: var(--paper);
	}
	.dry {
		border-style: dashed;
	}
	.pinned {
		border-width: 3px;
		border-color: var(--hot);
	}
	.picked {
		z-index: 5;
		outline: 3px solid var(--hot);
		outline-offset: 1px;
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
</style>
