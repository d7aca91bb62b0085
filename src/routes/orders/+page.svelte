<script lang="ts">
	import { Button } from 'flowbite-svelte';
	import { OPEN_STATES } from '$lib/core/orders/states';
	import { formatTime } from '$lib/core/units';
	import { wallTime } from '$lib/ui/clockText';
	import { dueWords, percentOf, sureWords } from '$lib/ui/orders/sureWords';
	import PageHead from '$lib/ui/PageHead.svelte';
	import PieceFace from '$lib/ui/PieceFace.svelte';
	import Proposal from '$lib/ui/orders/Proposal.svelte';
	import Tabs from '$lib/ui/orders/Tabs.svelte';
	import Tag from '$lib/ui/Tag.svelte';
	import Takes from '$lib/ui/orders/Takes.svelte';

	let { data, form: answer } = $props();
	type Order = (typeof data.orders)[number];
	const isOpen = (o: Order) => OPEN_STATES.includes(o.record.state);
	const open = $derived(data.orders.filter(isOpen));
	const past = $derived(data.orders.filter((o) => !isOpen(o)));
	const at = (ms: number) => wallTime(ms, data.nowMs);
	const late = $derived(open.filter((o) => (o.outlook?.lateMs ?? 0) > 0 && o.hindrances.length === 0));
	const stuck = $derived(open.filter((o) => o.hindrances.length > 0));
	const got = (o: Order) => o.lines.reduce((sum, l) => sum + Math.min(l.good, l.copies), 0);
	const wanted = (o: Order) => o.lines.reduce((sum, l) => sum + l.copies, 0);
	/** The one thing to know of all orders. */
	const verdict = $derived.by(() => {
		if (data.plan?.status === 'infeasible') return 'They cannot all be planned';
		if (data.plan?.status === 'unknown') return 'No plan was found yet';
		const parts = [
			late.length > 0 ? `${late.length} ${late.length === 1 ? 'comes' : 'come'} late` : '',
			stuck.length > 0 ? `${stuck.length} ${stuck.length === 1 ? 'waits' : 'wait'} for something` : ''
		].filter(Boolean);
		if (parts.length > 0) return `Of ${open.length}: ${parts.join(', ')}`;
		return open.length === 1 ? 'It comes in time' : `All ${open.length} come in time`;
	});
</script>

<PageHead title="Orders" about="So many copies by a day, and whether the day holds.">
	{#snippet actions()}<Button href="/orders/new" size="lg">Take an order</Button>{/snippet}
</PageHead>
<Tabs />
{#if data.proposed}<Proposal {...data.proposed} refused={answer?.refused} />{/if}

{#if data.orders.length === 0}
	<p class="slab p-8 text-[1.15rem]">
		No orders yet. With a shot that was sized, <a class="plain" href="/orders/new">take the first one</a>: how many, by when. The plan, the
		list of today and how sure the day is follow from it.
	</p>
{:else}
	{#if open.length > 0 && data.plan}
		<section class="slab mb-5 p-5" aria-label="All orders together">
			<p class={['answer text-[2rem]', (late.length > 0 || stuck.length > 0) && 'text-(--hot)']}>{verdict}</p>
			{#if data.plan.status === 'feasible'}
				<p class="soft mt-1">
					The last is ready {at(data.plan.finishMs)}. {#if data.plan.finishMs - data.plan.boundMs < 60_000}Nothing ends sooner.{:else}No
						plan ends before {at(data.plan.boundMs)}: at most {formatTime((data.plan.finishMs - data.plan.boundMs) / 1000)} could be gained.{/if}
				</p>
			{/if}
			{#each data.plan.conflict as line (line)}<p class="mt-1">{line}</p>{/each}
		</section>
	{/if}
	<ul class="grid gap-4">
		{#each open as order (order.id)}
			{@const { outlook, sure } = order}
			<li class="slab grid gap-x-6 gap-y-3 p-5 md:grid-cols-[minmax(0,1fr)_17rem]">
				<div class="min-w-0">
					<div class="flex flex-wrap items-baseline gap-x-3">
						<h2 class="min-w-0 break-words"><a class="plain" href="/orders/{order.id}">{order.record.name}</a></h2>
						<Tag word={order.record.state} />
					</div>
					<p class="soft">Wanted {at(order.record.dueAtMs)}, {dueWords(order.record.dueAtMs, data.nowMs)}</p>
					<ul class="mt-3 grid gap-2">
						{#each order.lines as line (line.id)}
							<li class="flex items-center gap-3">
								<PieceFace {...data.faces[data.masterOf[line.shotId] ?? '']} rem={2.6} />
								<div class="min-w-0 flex-1">
									<p class="font-semibold">
										{line.copies} × {line.pieceName || 'piece'} <span class="soft font-normal">{line.resinName}</span>
									</p>
									<div class="mt-1 flex items-center gap-3">
										<div
											class="h-2.5 flex-1 overflow-hidden rounded-full border border-(--line-strong) bg-(--sunk)"
											role="img"
											aria-label="{Math.min(line.good, line.copies)} of {line.copies} good">
											<div class="h-full bg-(--work)" style:width="{Math.min(100, (100 * line.good) / line.copies)}%"></div>
										</div>
										<span class="num shrink-0 font-semibold">{Math.min(line.good, line.copies)} of {line.copies}</span>
									</div>
								</div>
							</li>
						{/each}
					</ul>
				</div>
				<div class="border-(--line) md:border-l md:pl-5">
					{#if order.hindrances.length > 0}
						<p class="answer text-[1.4rem] text-(--hot)">Not all of it can be planned</p>
						{#each order.hindrances as h (h.lineId + h.why)}<p class="mt-1 font-semibold">{h.why}</p>
							<p class="soft">{h.mend}</p>{/each}
					{:else if outlook?.readyAtMs && got(order) < wanted(order)}
						<p class={['answer text-[2rem]', outlook.lateMs > 0 && 'text-(--hot)']}>
							{sure ? percentOf(sure.chance) : at(outlook.readyAtMs)}
						</p>
						<p class="font-semibold">
							{#if outlook.lateMs > 0}{formatTime(outlook.lateMs / 1000)} late by the plan{:else if sure}{sureWords(sure.chance)} in time{/if}
						</p>
						<p class="soft mt-1">
							Ready {at(outlook.readyAtMs)} by the plan{#if sure?.ninetyMs}; nine times in ten by {at(sure.ninetyMs)}{/if}.
						</p>
						<p class="soft">{outlook.casts} casts for the {outlook.wanted} still wanted.</p>
						{#if order.isProposed}<p class="font-semibold">If the new plan is followed.</p>{/if}
					{:else if got(order) >= wanted(order)}
						<p class="answer text-[1.4rem] text-(--work)">All of it is cast</p>
						<p class="soft">Say “done” when it has gone out.</p>
					{:else}<p class="soft">Not planned yet.</p>{/if}
				</div>
			</li>
		{/each}
	</ul>
	{#if data.takes.length > 0}<div class="below"><Takes rows={data.takes} coats={data.coats} nowMs={data.nowMs} /></div>{/if}
	{#if past.length > 0}
		<details class="mt-5">
			<summary class="font-semibold">{past.length} done or called off</summary>
			<ul class="slab mt-2 divide-y divide-(--line)">
				{#each past as order (order.id)}
					<li class="flex flex-wrap items-baseline justify-between gap-3 px-5 py-3">
						<a class="plain font-semibold" href="/orders/{order.id}">{order.record.name}</a>
						<span class="soft">{at(order.record.dueAtMs)}</span><Tag word={order.record.state} />
					</li>
				{/each}
			</ul>
		</details>
	{/if}
{/if}
