<script lang="ts">
	import type { Planned } from '$lib/core/orders';
	import { PART_WORDS } from '$lib/core/orders/words';
	import { dayName, wallTime } from '$lib/ui/clockText';
	import { hoursBetween, isWithin, midnights, type Row, type Stretch } from './board';
	import Mark from '../Mark.svelte';
	import type { PinRun } from './pinRun.svelte';

	/** A stretch of the board by the hour: what hands do on it is moved by finger or mouse. */
	interface Props {
		rows: readonly Row[];
		run: PinRun;
		/** What it shows. */
		shown: Stretch;
		/** What is drawn of that: who sees a day does not wait for a fortnight. */
		drawn: Stretch;
		pxPerMs: number;
		/** Each so many hours are named; none without. */
		hoursEvery: number | undefined;
		/** A bar is moved by so much, ms. */
		stepMs: number;
		openings: readonly Stretch[];
		orders: readonly { id: string; name: string; dueAtMs: number }[];
		nowMs: number;
	}
	let { rows, run, shown, drawn, pxPerMs, hoursEvery, stepMs, openings, orders, nowMs }: Props = $props();
	const LANE = 30;
	const x = (ms: number) => (ms - shown.fromMs) * pxPerMs;
	const isDrawn = $derived(isWithin(drawn));
	/** Each day from where it begins here. */
	const days = $derived(
		[shown.fromMs, ...midnights(shown.fromMs, shown.untilMs)]
			.map((fromMs, i, all) => ({ fromMs, untilMs: all[i + 1] ?? shown.untilMs }))
			.filter(({ fromMs, untilMs }) => isDrawn({ startMs: fromMs, endMs: untilMs }))
	);
	const hours = $derived(
		hoursEvery === undefined ? [] : hoursBetween(Math.max(shown.fromMs, drawn.fromMs), Math.min(shown.untilMs, drawn.untilMs), hoursEvery)
	);
	/** Times when nobody is there. */
	const nights = $derived.by(() => {
		const out: Stretch[] = [];
		let t = shown.fromMs;
		for (const o of openings) {
			if (o.fromMs > t) out.push({ fromMs: t, untilMs: Math.min(o.fromMs, shown.untilMs) });
			t = Math.max(t, o.untilMs);
		}
		if (t < shown.untilMs) out.push({ fromMs: t, untilMs: shown.untilMs });
		return out.filter((n) => isDrawn({ startMs: n.fromMs, endMs: n.untilMs }));
	});
	const near = $derived(
		rows.map((row) => ({
			...row,
			bars: row.bars.filter(({ activity: a }) => a.id === run.pickedId || isDrawn(a))
		}))
	);
	const due = $derived(orders.filter((o) => o.dueAtMs > shown.fromMs && o.dueAtMs < shown.untilMs));
	const label = (a: Planned) =>
		`${PART_WORDS[a.part].is}${a.pieceName ? `: ${a.pieceName}` : ''}${a.number ? `, pull ${a.number}` : ''}, ${wallTime(a.startMs, nowMs)} to ${wallTime(a.endMs, nowMs)}${a.pinned ? ', pinned' : ''}`;
	const short = (a: Planned) => (a.part === 'cast' || a.part === 'layer' ? (a.pieceName ?? '') : PART_WORDS[a.part].is);

	/** Of a bar that something happens to: what it stands for. One listens for all: there are hundreds. */
	const over = (event: PointerEvent): Planned | undefined => {
		const id = (event.target as Element).closest<HTMLElement>('[data-id]')?.dataset['id'];
		return id === undefined ? undefined : rows.flatMap((r) => r.bars).find((b) => b.activity.id === id)?.activity;
	};
	let from = 0;
	let held: Planned | undefined;
	function down(event: PointerEvent): void {
		const a = event.button === 0 ? over(event) : undefined;
		if (!a) return;
		run.pick(a.id);
		if (a.hands === 0) return;
		from = event.clientX;
		held = a;
		run.heldId = a.id;
		(event.target as Element).closest('[data-id]')!.setPointerCapture(event.pointerId);
	}
	function move(event: PointerEvent): void {
		if (held) run.byMs = Math.round((event.clientX - from) / pxPerMs / stepMs) * stepMs;
	}
	function up(): void {
		const a = held;
		letGo();
		if (a && run.byMs !== 0) void run.put(a.id, a.startMs + run.byMs);
	}
	function letGo(): void {
		held = undefined;
		run.heldId = undefined;
	}
</script>

<!-- svelte-ignore a11y_no_static_element_interactions (the keys of the board do the same) -->
<div
	class="relative"
	onpointerdown={down}
	onpointermove={move}
	onpointerup={up}
	onpointercancel={() => {
		letGo();
		run.byMs = 0;
	}}
	style:width="calc({x(shown.untilMs)}px + 9rem)">
	<div class="sticky top-0 z-20 flex h-12 border-b border-(--line) bg-(--paper)">
		<div class="sticky left-0 z-20 w-36 shrink-0 border-r border-(--line) bg-(--paper)"></div>
		<div class="relative flex-1">
			{#each days as day (day.fromMs)}<span
					class="absolute top-0 border-l border-(--line-strong) text-[0.93rem] font-bold whitespace-nowrap"
					style:left="{x(day.fromMs)}px"
					style:width="{(day.untilMs - day.fromMs) * pxPerMs}px"
					><!-- which day it is stays in sight -->
					<span class="sticky left-36 inline-block px-1">{dayName(day.fromMs)}</span></span
				>{/each}
			{#each hours as hour (hour)}<span class="soft num absolute bottom-0 -translate-x-1/2 text-[0.85rem]" style:left="{x(hour)}px"
					>{new Date(hour).getHours()}</span
				>{/each}
			{#each due as o (o.id)}<span
					class="absolute bottom-0 z-10 max-w-40 truncate rounded-t bg-(--ink) px-1.5 text-[0.85rem] font-semibold text-(--paper)"
					style:left="{x(o.dueAtMs)}px"
					title="{o.name}, wanted {wallTime(o.dueAtMs, nowMs)}"><Mark outline="flag" /> {o.name}</span
				>{/each}
		</div>
	</div>
	{#each near as row (row.key)}
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
				{#if nowMs >= shown.fromMs && nowMs < shown.untilMs}<div
						class="pointer-events-none absolute inset-y-0 z-[1] w-0.5 bg-(--hot)"
						style:left="{x(nowMs)}px">
					</div>{/if}
				{#each due as o (o.id)}<div class="absolute inset-y-0 w-0.5 bg-(--ink)" style:left="{x(o.dueAtMs)}px"></div>{/each}
				{#each row.bars as { activity: a, lane } (a.id)}
					{@const moves = run.pickedId === a.id}
					{@const fromMs = Math.max(a.startMs, shown.fromMs)}
					{@const untilMs = Math.min(a.endMs, shown.untilMs)}
					<div
						class={['bar', a.part, moves && 'picked', a.pinned && 'pinned', a.hands > 0 && 'movable']}
						style:left="{x(fromMs)}px"
						style:width="{Math.max(3, (untilMs - fromMs) * pxPerMs)}px"
						style:top="{lane * LANE + 3}px"
						style:transform={moves && run.byMs !== 0 ? `translateX(${run.byMs * pxPerMs}px)` : undefined}
						title={label(a)}
						data-id={a.id}>
						{#if (untilMs - fromMs) * pxPerMs > 44}<span class="block truncate px-1">{short(a)}</span>{/if}
					</div>
				{/each}
			</div>
		</div>
	{/each}
</div>
