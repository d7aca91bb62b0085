<script lang="ts">
	import { onMount } from 'svelte';
	import { enhance } from '$app/forms';
	import { invalidateAll } from '$app/navigation';
	import { Button } from 'flowbite-svelte';
	import { PART_WORDS } from '$lib/core/orders/words';
	import { formatTime } from '$lib/core/units';
	import { wallTime } from '$lib/ui/clockText';
	import PageHead from '$lib/ui/PageHead.svelte';
	import PieceFace from '$lib/ui/PieceFace.svelte';
	import Proposal from '$lib/ui/orders/Proposal.svelte';
	import { watchBench } from '$lib/ui/watchBench';
	import Tabs from '$lib/ui/orders/Tabs.svelte';

	let { data, form: answer } = $props();
	type Line = (typeof data.lines)[number];
	const at = (ms: number) => wallTime(ms, data.nowMs);
	const today = $derived(data.lines.filter((l) => l.startMs < data.todayUntilMs));
	const tomorrow = $derived(data.lines.filter((l) => l.startMs >= data.todayUntilMs));
	const first = $derived(data.lines[0]);
	const isTomorrow = $derived((tomorrow[0]?.startMs ?? 0) < data.todayUntilMs + 86_400_000);
	const minutes = (l: Line) => formatTime((l.endMs - l.startMs) / 1000);
	/** What hands do, of what, in which mould. */
	const says = (l: Line) => {
		if (l.part === 'make') return `${PART_WORDS.make.does} M${data.mouldNumbers[l.mouldId ?? ''] ?? '?'}`;
		const does = [PART_WORDS[l.part].does, ...l.then.map((p) => PART_WORDS[p].does.toLowerCase())].join(', ');
		if (l.part === 'finish' && l.begun)
			return `${does} ${(l.copies ?? 1) > 1 ? `${l.copies} ` : ''}${l.pieceName ?? ''} from ${(l.moulds ?? []).join(', ')}`;
		return l.part === 'prep' && l.then.length === 0
			? `${does} ${(l.moulds ?? []).join(', ')} for the next ${l.pieceName ?? 'cast'}`
			: `${does} ${l.pieceName ?? ''} in ${(l.moulds ?? []).join(', ')}${isCast(l) ? l.potMates.map((m) => `, then ${m.pieceName} in ${m.moulds}`).join('') : ''}`;
	};
	const isCast = (l: Line) => [l.part, ...l.then].includes('cast');
	/** What is cast for the same closing is said where it is poured, and before that of whatever is prepared for it. */
	const closing = (l: Line) => {
		if (l.potMates.length === 0) return '';
		if (isCast(l)) return 'one closing of the pot';
		return l.part === 'prep' ? `goes into the pot with ${l.potMates.map((m) => m.moulds).join(', ')}` : '';
	};
	const details = (l: Line) =>
		[
			minutes(l),
			closing(l),
			l.number ? `pull ${l.number}` : '',
			l.orderName ? `for ${l.orderName}` : '',
			isLate(l) ? 'should have begun' : ''
		]
			.filter(Boolean)
			.join(', ');
	const begins = (l: Line) => l.part === 'prep';
	const isLate = (l: Line) => l.startMs < data.nowMs - 60_000;
	/** Free for so long it is worth saying, s. */
	const FREE_S = 8 * 60;
	const OPEN_SHOWN = 4;
	onMount(() => watchBench(() => void invalidateAll()));
</script>

{#snippet line(l: Line)}
	{#if l.freeBeforeS >= FREE_S}
		<li class="soft grid grid-cols-[5.2rem_1fr] gap-4 px-5 py-2 sm:grid-cols-[6.5rem_1fr]">
			<span></span><span>hands are free for {formatTime(l.freeBeforeS)}</span>
		</li>
	{/if}
	<li
		class={[
			'grid grid-cols-[5.2rem_minmax(0,1fr)] items-center gap-x-4 gap-y-1 px-5 py-3 sm:grid-cols-[6.5rem_minmax(0,1fr)_auto]',
			isLate(l) && 'bg-(--hot-soft)'
		]}>
		<span class={['num text-[1.4rem] font-bold', isLate(l) && 'text-(--hot)']}>{at(l.startMs).split(', ').at(-1)}</span>
		<span class="flex min-w-0 items-center gap-3">
			{#if l.shotId}<PieceFace {...data.faces[data.masterOf[l.shotId] ?? '']} rem={2.6} />{/if}
			<span class="min-w-0">
				<span class="block font-semibold">{says(l)}</span>
				<span class="soft block">{details(l)}</span>
			</span>
		</span>
		<span class="col-start-2 sm:col-start-3">
			{#if begins(l)}
				<form method="POST" action="?/begin" use:enhance>
					<input type="hidden" name="id" value={l.id} />
					<Button
						type="submit"
						size={l === first ? 'lg' : 'md'}
						color={l === first ? 'primary' : 'alternative'}
						aria-label="Begin {l.pieceName} in {(l.moulds ?? []).join(', ')}">Begin</Button>
				</form>
			{:else if l.part === 'finish' && l.begun}
				<form method="POST" action="?/finished" use:enhance>
					<input type="hidden" name="id" value={l.id} />
					<Button
						type="submit"
						size={l === first ? 'lg' : 'md'}
						color="alternative"
						aria-label="Finished: {l.pieceName} from {(l.moulds ?? []).join(', ')}">Finished</Button>
				</form>
			{:else if l.part === 'make' && l.mouldId}<Button href="/moulds/{l.mouldId}" color="alternative">Its mould</Button>{/if}
		</span>
	</li>
	{#if answer?.at === l.id}<li class="px-5 pb-3 font-semibold text-(--harm)" role="alert">{answer.refused}</li>{/if}
{/snippet}

<PageHead title="Today" about="What hands are wanted for, by the clock." />
<Tabs />
{#if data.proposed}<Proposal {...data.proposed} />{/if}
{#if answer?.refused && !data.lines.some((l) => l.id === answer.at)}<p class="mb-3 font-semibold text-(--harm)" role="alert">
		{answer.refused}
	</p>{/if}

{#if !data.hasOrders}
	<p class="slab p-8 text-[1.15rem]">
		No orders are open. <a class="plain" href="/orders/new">Take one</a>, and this says what to do at which hour.
	</p>
{:else if data.status !== 'feasible'}
	<section class="slab p-5">
		<p class="answer text-[1.4rem] text-(--hot)">There is no plan that keeps all rules</p>
		{#each data.conflict as c (c)}<p class="mt-1">{c}</p>{/each}
		<p class="soft mt-2">
			<a class="plain" href="/orders/hours">When you work</a>, or <a class="plain" href="/orders">the orders</a> can mend it.
		</p>
	</section>
{:else if data.lines.length === 0}
	<p class="slab p-8 text-[1.15rem]">
		Nothing today or tomorrow.{#if data.nextMs}&nbsp;The next is at {at(data.nextMs)}.{/if}
	</p>
{:else}
	<ol class="slab divide-y divide-(--line)" aria-label="Today">
		{#each today as l (l.id)}{@render line(l)}{:else}<li class="p-5">
				Nothing more today{#if data.opensMs && data.opensMs > data.nowMs}: somebody is there again from {at(data.opensMs)}{/if}.
			</li>{/each}
	</ol>
	{#if tomorrow.length > 0}
		<h2 class="mt-6 mb-2">{isTomorrow ? 'Tomorrow' : at(tomorrow[0]!.startMs).split(', ')[0]}</h2>
		<ol class="slab divide-y divide-(--line)" aria-label="The next day">
			{#each tomorrow as l (l.id)}{@render line(l)}{/each}
		</ol>
	{/if}
	{#if data.more > 0}<p class="soft mt-3">{data.more} more stand on <a class="plain" href="/orders/board">the board</a>.</p>{/if}
{/if}

{#if data.open.length > 0}
	<section class="slab mt-6 p-5" aria-labelledby="bench-now">
		<h2 id="bench-now">At the bench now</h2>
		<ul class="mt-2 divide-y divide-(--line)">
			{#each data.open.slice(0, OPEN_SHOWN) as pour (pour.id)}
				<li class="flex flex-wrap items-center justify-between gap-3 py-2">
					<span
						><strong>{pour.masterName}</strong>
						<span class="soft">in {pour.moulds.map((m) => `M${m.number}`).join(', ')}: {pour.wants}</span></span>
					<Button href="/pour/{pour.id}" color="alternative">Go to it</Button>
				</li>
			{/each}
		</ul>
		{#if data.open.length > OPEN_SHOWN}<p class="soft mt-2">
				{data.open.length - OPEN_SHOWN} more at <a class="plain" href="/">the bench</a>.
			</p>{/if}
	</section>
{/if}
