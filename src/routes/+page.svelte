<script lang="ts">
	import { Button } from 'flowbite-svelte';
	import { onMount, untrack } from 'svelte';
	import { invalidateAll } from '$app/navigation';
	import { PART_WORDS } from '$lib/core/orders/words';
	import { countdown, counted, wallTime } from '$lib/ui/clockText';
	import { Now } from '$lib/ui/now.svelte';
	import Island from '$lib/ui/island/Island.svelte';
	import AtBench from '$lib/ui/AtBench.svelte';
	import DemoLine from '$lib/ui/DemoLine.svelte';
	import PieceFace from '$lib/ui/PieceFace.svelte';
	import Unfinished from '$lib/ui/draft/Unfinished.svelte';
	import Tag from '$lib/ui/Tag.svelte';
	import { useUnits } from '$lib/ui/units.svelte';
	import { watchBench } from '$lib/ui/watchBench';

	let { data } = $props();
	const units = useUnits();
	const now = new Now(
		untrack(() => data.nowMs),
		1000
	);
	// what another device does, or what was pressed at the bench a moment ago, is seen without looking twice
	onMount(() => watchBench(() => void invalidateAll()));
	/** Whoever is asked for a first amount goes on being asked, also when another device puts something into the books. */
	const first = untrack(() => (data.fresh && data.WhatToMix ? { Form: data.WhatToMix, resins: data.fresh.resins } : undefined));
	const bench = $derived(data.bench);
	const settings = $derived(data.settings);
	/** The soonest thing that wants hands. */
	const next = $derived(data.clocks.find((c) => !c.quiet));
	const nextLeftS = $derived(next ? (next.endsAtMs - now.ms) / 1000 : 0);
	const left = $derived(countdown(nextLeftS));
	const planWords = (l: (typeof data.planned)[number]) =>
		`${[PART_WORDS[l.part].does, ...l.then.map((p) => PART_WORDS[p].does.toLowerCase())].join(', ')} ${l.pieceName ?? ''}${l.moulds ? ` in ${l.moulds.join(', ')}` : ''}`;
</script>

<svelte:head><title>The bench · Anthypos</title></svelte:head>

{#if data.greets}<DemoLine />{/if}
{#if data.fresh && !next}
	<section class="mb-5 flex flex-wrap items-end gap-x-6 gap-y-3">
		<div class="min-w-[16rem] flex-1">
			<h1>What do I mix?</h1>
			<p class="mt-1 max-w-[46rem] text-[1.15rem]">
				Anthypos works out moulds and casts, keeps the clock while you pour, and remembers every pull. Begin with one amount; nothing has to
				be entered before.
			</p>
		</div>
		<Button href="/practice" color="alternative" size="lg">Practise a pour</Button>
		{#if !data.fresh.asked}<Button href="/first" color="alternative" size="lg">Set up your workshop</Button>{:else}<Button
				href="/masters/new"
				color="alternative"
				size="lg">New master</Button
			>{/if}
	</section>
{:else}
	<section class="mb-6 grid gap-5 lg:grid-cols-[1.5fr_1fr]">
		<div
			class={[
				'slab flex flex-wrap items-center gap-x-6 gap-y-3 p-5 md:flex-nowrap',
				next && nextLeftS <= 0 && 'border-2! border-(--hot)!'
			]}>
			{#if next}
				<p
					class={[
						'answer whitespace-nowrap',
						left.length > 6 ? 'text-[3.2rem]' : left.length > 5 ? 'text-[3.2rem]' : 'text-[4.6rem]',
						nextLeftS <= 0 && 'text-(--hot)'
					]}
					role="timer">
					{left}
				</p>
				<div class="min-w-[11rem] flex-1">
					<p class="soft">{nextLeftS <= 0 ? 'Hands are wanted now' : 'Hands are wanted next'}</p>
					<h1 class="text-[1.4rem]!">{next.then.slice(0, 1).toUpperCase()}{next.then.slice(1)}</h1>
					<p>{next.label}</p>
				</div>
				<Button href={next.href} size="xl" class="shrink-0">Go to it</Button>
			{:else}
				<div class="flex-1">
					<p class="soft">Nothing is running</p>
					<h1>{bench.free.length > 0 ? 'The bench is free' : 'Begin with a master'}</h1>
					<p class="soft mt-1">
						{bench.free.length > 0 ? 'Any mould below can be poured.' : 'Measure the piece, plan its mould, and the shot follows.'}
					</p>
				</div>
				<Button href={bench.free.length > 0 ? '/shots/new' : '/masters/new'} size="xl"
					>{bench.free.length > 0 ? 'Size a shot' : 'New master'}</Button>
			{/if}
		</div>
		<div class="slab flex flex-col justify-center gap-2 p-5">
			<dl class="grid grid-cols-3 gap-3">
				<div>
					<dt class="soft text-[0.93rem]">Room</dt>
					<dd class="text-[2rem] font-bold">{units.show(settings.roomTempC, 'temperature')}</dd>
				</div>
				<div>
					<dt class="soft text-[0.93rem]">Humidity</dt>
					<dd class={['text-[2rem] font-bold', data.air.tooDamp && 'text-(--hot)']}>
						{Math.round(settings.relativeHumidity)} %
					</dd>
				</div>
				<div>
					<dt class="soft text-[0.93rem]">Dew point</dt>
					<dd class="text-[2rem] font-bold">{units.show(data.air.dewPointC, 'temperature')}</dd>
				</div>
			</dl>
			<p class="soft text-[0.93rem]">
				{data.air.tooDamp
					? `From ${Math.round(settings.stopHumidityPercent)} % this workshop stops pouring urethane: keep A closed.`
					: `Keep mould faces above ${units.show(data.air.faceAboveC, 'temperature')}.`}
				<a class="plain" href="/settings">Change</a>
			</p>
		</div>
	</section>
{/if}

<Unfinished nowMs={data.nowMs} />
{#if bench.open.length > 0}
	<section class="mb-6">
		<h2 class="mb-2">At the bench</h2>
		<AtBench pours={bench.open} clocks={data.clocks} nowMs={now.ms} most={4} />
	</section>
{/if}
{#if data.planned.length > 0}
	<section class="mb-6" aria-labelledby="by-plan">
		<div class="mb-2 flex items-baseline justify-between gap-4">
			<h2 id="by-plan">Next by the plan</h2>
			<a class="plain" href="/orders/today">Today</a>
		</div>
		<ol class="slab divide-y divide-(--line)">
			{#each data.planned as line (line.id)}
				<li class="flex flex-wrap items-baseline gap-x-4 px-5 py-2.5">
					<span class={['num font-bold', line.startMs < now.ms && 'text-(--hot)']}>{wallTime(line.startMs, now.ms)}</span>
					<span class="font-semibold">{planWords(line)}</span>
				</li>
			{/each}
		</ol>
	</section>
{/if}

{#if first}
	<first.Form resins={data.fresh?.resins ?? first.resins} settings={data.settings} />
{:else}
	<Island>
		<section class="grid items-start gap-6 lg:grid-cols-[1.5fr_1fr]">
			<div>
				<h2 class="mb-2 flow-root">
					<Button href="/quick" color="alternative" class="float-right">What do I mix?</Button>
					Can be poured next
					<span class="soft text-[0.93rem] font-normal"
						>with what they were poured with, at {units.show(settings.roomTempC, 'temperature')}{bench.freeCount > bench.free.length
							? `; ${bench.free.length} of ${bench.freeCount}`
							: ''}</span>
				</h2>
				<ul class="slab divide-y divide-(--line)">
					{#each bench.free as mould (mould.id)}
						{@const now = data.today[mould.id]}
						<!-- the button stands at the right at every width -->
						<li class="grid grid-cols-[minmax(0,1fr)_auto] items-center gap-x-4 px-5 py-1.5 xl:flex">
							<a class="flex min-w-0 flex-1 items-center gap-3 xl:min-w-[13rem]" href="/moulds/{mould.id}"
								><PieceFace {...data.faces[mould.masterId]} rem={2.4} /><span
									class="plain min-w-0 underline decoration-(--line-strong) underline-offset-3"
									><strong class="text-[1.15rem]">M{mould.number}</strong> {mould.label}</span
								></a>
							<span class={['col-start-1 min-w-0 text-[0.93rem]', now?.wait ? 'font-semibold' : 'soft']}
								>{#if now}{now.resinName}
									{units.weighed(now.massG)}{now.potLifeS === null ? '' : `, ${units.show(now.potLifeS, 'time')} to pour`}{now.wait
										? `; ${now.wait}`
										: now.enoughFor === null
											? ''
											: `; ${now.enoughFor} on the shelf`}{:else}{counted(mould.pulls, 'pull')}{mould.lastResin
										? ` · ${mould.lastResin}`
										: ''}{/if}</span>
							<Button
								href="/shots/new?mould={mould.id}"
								color="alternative"
								size="sm"
								class="col-start-2 row-span-2 row-start-1 min-h-[2.4rem] shrink-0">Size a shot</Button>
						</li>
					{:else}
						<li class="soft p-5">No mould stands ready. <a class="plain" href="/moulds">See the moulds</a>.</li>
					{/each}
				</ul>
			</div>
			<div class="flex flex-col gap-6">
				{#each [{ title: 'Due', list: data.due }, { title: 'Running out', list: data.out }] as part (part.title)}
					{#if part.list.length > 0}
						<div>
							<h2 class="mb-2">{part.title}</h2>
							<ul class="slab divide-y divide-(--line)">
								{#each part.list.slice(0, 5) as item, i (i)}
									<li class="px-5 py-2"><a class={['plain', item.late && 'font-semibold']} href={item.href}>{item.what}</a></li>
								{/each}
								{#if part.list.length > 5}<li class="soft px-5 py-2">and {part.list.length - 5} more</li>{/if}
							</ul>
						</div>
					{/if}
				{/each}
				{#if bench.coming.length > 0}
					<div>
						<h2 class="mb-2">Moulds on the way</h2>
						<ul class="slab divide-y divide-(--line)">
							{#each bench.coming as mould (mould.id)}
								<li class="px-5 py-2.5">
									<a class="plain" href="/moulds/{mould.id}"><strong>M{mould.number}</strong> {mould.label}</a>
									<span class="soft block text-[0.93rem]">
										{#if mould.state === 'being-made'}<a class="plain" href="/moulds/{mould.id}/make">being made: go on</a>
										{:else if mould.readyAtMs === null && mould.rubberMassG === 0}planned
										{:else if mould.readyAtMs === null}planned, {units.weighed(mould.rubberMassG)} to {mould.verb}
										{:else if mould.readyAtMs > now.ms}rubber cures until {wallTime(mould.readyAtMs, now.ms)}
										{:else}cured: open it and take it into use{/if}
									</span>
								</li>
							{/each}
						</ul>
					</div>
				{/if}
				<div>
					<h2 class="mb-2">Last pulls</h2>
					<ul class="slab divide-y divide-(--line)">
						{#each bench.lastPulls as pull (pull.id)}
							<li class="flex items-center gap-3 px-5 py-2.5">
								<a class="plain min-w-0 flex-1" href="/ledger/{pull.id}"
									><strong>M{pull.mouldNumber}</strong>
									{pull.masterName}<span class="soft block text-[0.93rem]">{wallTime(pull.combinedAtMs, now.ms)}</span></a>
								<Tag word={pull.grade} />
							</li>
						{:else}<li class="soft p-5">Nothing was pulled yet.</li>{/each}
					</ul>
				</div>
			</div>
		</section>
	</Island>
{/if}
