<script lang="ts">
	import { onMount } from 'svelte';
	import { invalidateAll } from '$app/navigation';
	import { Button } from 'flowbite-svelte';
	import Better from '$lib/ui/orders/Better.svelte';
	import Board from '$lib/ui/orders/Board.svelte';
	import Island from '$lib/ui/island/Island.svelte';
	import KeptOut from '$lib/ui/orders/KeptOut.svelte';
	import { PinRun } from '$lib/ui/orders/pinRun.svelte';
	import Picked from '$lib/ui/orders/Picked.svelte';
	import Proposal from '$lib/ui/orders/Proposal.svelte';
	import Tabs from '$lib/ui/orders/Tabs.svelte';
	import { watchBench } from '$lib/ui/watchBench';
	import PageHead from '$lib/ui/PageHead.svelte';
	import Segments from '$lib/ui/Segments.svelte';
	import { rowsOf, type Zoom } from '$lib/ui/orders/board';
	import { wallTime } from '$lib/ui/clockText';
	import { potMatesIn } from '$lib/core/orders/potMates';
	import { formatTime } from '$lib/core/units';

	let { data } = $props();
	let zoom = $state<Zoom>('day');
	const run = new PinRun(() => invalidateAll());
	const rows = $derived(rowsOf(data.activities, data.moulds, data.pots));
	const picked = $derived(data.activities.find((a) => a.id === run.pickedId));
	const matesOf = $derived(potMatesIn(data.activities));
	const at = (ms: number) => wallTime(ms, data.nowMs);
	const ZOOM_NAMES: readonly { value: Zoom; label: string }[] = [
		{ value: 'hour', label: 'Hour' },
		{ value: 'day', label: 'Day' },
		{ value: 'week', label: 'Week' },
		{ value: 'month', label: 'Month' }
	];
	// what is being moved is not asked for anew beneath the finger
	onMount(() => watchBench(() => !run.isMoving && void invalidateAll()));
</script>

<PageHead title="Board" about="Who and what is wanted when: hands, moulds, pots.">
	{#snippet actions()}
		<Button href="/orders/plan.csv" color="alternative">CSV</Button><Button href="/orders/plan.ics" color="alternative">Calendar</Button>
	{/snippet}
</PageHead>
<Tabs />
{#if data.moulds.length > 0}<KeptOut moulds={data.moulds} />{/if}
{#if data.proposed}<Proposal {...data.proposed} />{/if}
{#if data.activities.length === 0}
	<p class="slab p-8 text-[1.15rem]">
		{#if data.conflict.length > 0}There is no plan that keeps all rules: {data.conflict.join('; ')}.
		{:else}Nothing is planned. <a class="plain" href="/orders/new">Take an order</a>, and its pulls stand here by the hour.{/if}
	</p>
{:else}
	<div class="no-print mb-3 flex flex-wrap items-end justify-between gap-4">
		<Segments label="Shows" name="zoom" bind:value={zoom} options={ZOOM_NAMES} />
		{#if data.finishMs && data.boundMs}<p class="soft">
				Done {at(data.finishMs)}; no plan ends before {at(data.boundMs)}{#if data.finishMs - data.boundMs >= 60_000}, {formatTime(
						(data.finishMs - data.boundMs) / 1000
					)} sooner{/if}.
			</p>{/if}
	</div>
	<Island>
		<Board {rows} {run} {zoom} startMs={data.startMs} days={data.days} openings={data.openings} orders={data.orders} nowMs={data.nowMs} />
	</Island>
	<Island>
		{#if data.finishMs && data.boundMs && !data.proven}<Better
				boundMs={data.boundMs}
				nowMs={data.nowMs}
				ondone={() => invalidateAll()} />{/if}
		<Picked activity={picked} mates={picked ? matesOf(picked) : []} {run} orders={data.orders} nowMs={data.nowMs} />
	</Island>
{/if}
