<script lang="ts">
	import { Button } from 'flowbite-svelte';
	import type { Planned, PotMate } from '$lib/core/orders';
	import { mateWords } from '$lib/core/orders/potMates';
	import { PART_WORDS } from '$lib/core/orders/words';
	import { formatTime } from '$lib/core/units';
	import { wallTime } from '$lib/ui/clockText';
	import type { PinRun } from './pinRun.svelte';

	/** What is picked on the board: when it is, where it goes, and why it cannot. */
	interface Props {
		activity: Planned | undefined;
		/** What goes into the pot with the same closing. */
		mates: readonly PotMate[];
		run: PinRun;
		orders: readonly { id: string; name: string }[];
		nowMs: number;
	}
	let { activity, mates, run, orders, nowMs }: Props = $props();
	const startMs = $derived((activity?.startMs ?? 0) + run.byMs);
	const order = $derived(orders.find((o) => o.id === activity?.orderId)?.name);
</script>

<section class="slab mt-4 min-h-[8.5rem] p-5" aria-label="What is picked">
	{#if !activity}
		<p class="soft">
			Pick a bar to see what it is. What hands do is dragged; or by the keys of the board: up and down pick, left and right move by a
			quarter of an hour, Enter puts it there, and the rest goes round it.
		</p>
	{:else}
		<div class="flex flex-wrap items-center justify-between gap-x-6 gap-y-3">
			<div class="min-w-0">
				<p class="font-bold">
					{PART_WORDS[activity.part].does}
					{activity.pieceName ?? ''}{#if activity.number}, pull {activity.number}{/if}
				</p>
				<p class="soft">
					{activity.moulds?.join(', ') ?? ''}{#if order}, for {order}{/if}{#if mates.length > 0}, goes into the pot with {mateWords(
							mates
						)}{/if}, {formatTime((activity.endMs - activity.startMs) / 1000)}
				</p>
				<p class="num text-[1.4rem] font-bold">
					{wallTime(startMs, nowMs)} to {wallTime(startMs + activity.endMs - activity.startMs, nowMs)
						.split(', ')
						.at(-1)}
				</p>
			</div>
			{#if activity.hands > 0}
				<div class="flex flex-wrap gap-2">
					<Button color="alternative" disabled={run.busy} onclick={() => run.step(-1)}>15 min sooner</Button>
					<Button color="alternative" disabled={run.busy} onclick={() => run.step(1)}>15 min later</Button>
					<Button disabled={run.busy || run.byMs === 0} onclick={() => run.put(activity.id, startMs)}
						>{run.busy ? 'Planning' : 'Put it there'}</Button>
					{#if activity.pinned}<Button color="alternative" disabled={run.busy} onclick={() => run.put(activity.id, null)}>Let it go</Button>
					{:else if run.byMs === 0}<Button color="alternative" disabled={run.busy} onclick={() => run.put(activity.id, activity.startMs)}
							>Pin it here</Button
						>{/if}
				</div>
			{/if}
		</div>
	{/if}
	<div role="status" class="mt-2">
		{#if run.said}{#each run.said.lines.slice(0, 5) as line (line)}<p class={run.said.refused ? 'font-semibold text-(--harm)' : ''}>
					{line}
				</p>{/each}{/if}
	</div>
</section>
