<script lang="ts">
	import { Button } from 'flowbite-svelte';
	import type { PullLine } from '$lib/core/ledger';
	import { worstSign, type WearForecast } from '$lib/core/wear';
	import { counted, longDay, shortTime } from '../clockText';
	import Tag from '../Tag.svelte';
	import WearBand from '../wear/WearBand.svelte';
	import type { ComponentProps } from 'svelte';

	/** Resins that this mould may take: how often it took each, and what speaks against one. */
	interface Pourable {
		id: string;
		name: string;
		poured: number;
		harm: string;
	}
	interface Props {
		mould: { id: string; pulls: number; place: string; state: string };
		wear: {
			forecast: WearForecast;
			inspections: ComponentProps<typeof WearBand>['inspections'];
			advice: readonly { code: string; what: string; why: string }[];
			successorByMs: number | null;
		};
		pulls: readonly PullLine[];
		pourable: readonly Pourable[];
		/** Why no resin goes into it at all. */
		refuses: string;
		nowMs: number;
	}
	let { mould, wear, pulls, pourable, refuses, nowMs }: Props = $props();
	const f = $derived(wear.forecast);
	const over = $derived(mould.state === 'retired');
	const fine = $derived(pourable.filter((p) => !p.harm));
	const harms = $derived([...new Set(pourable.filter((p) => p.harm).map((p) => p.harm))]);
	const namesOf = (harm: string) =>
		pourable
			.filter((p) => p.harm === harm)
			.map((p) => p.name)
			.join(', ');
	const last = $derived(wear.inspections.at(-1));
	const worst = $derived(last && worstSign(last.inspection.scores)?.score);
</script>

<div class="mb-5 grid items-start gap-5 lg:grid-cols-[1.35fr_1fr]">
	<section class="slab p-5" aria-label="Pulls left">
		{#if over}
			<p class="label">It gave</p>
			<p class="answer text-[4.6rem]">{mould.pulls} <span class="text-[1.4rem]">{mould.pulls === 1 ? 'pull' : 'pulls'}</span></p>
		{:else}
			<div class="flex flex-wrap items-end gap-x-6 gap-y-1">
				<div>
					<p class="label">Pulls left, as likely more as less</p>
					<p class="answer text-[4.6rem]" data-testid="pulls-left">{f.pullsLeftMedian}</p>
				</div>
				<p class="pb-2 text-[1.15rem] leading-snug">
					four times in five <strong>{f.pullsLeftLow} to {f.pullsLeftHigh}</strong><br />
					<a class="plain" href="/moulds/{mould.id}/wear">{worst === undefined ? 'never looked over' : `worst sign ${worst} of 5`}</a>
				</p>
			</div>
			<WearBand pulls={mould.pulls} forecast={f} inspections={wear.inspections} />
			{#if wear.successorByMs !== null}
				<p class="mt-2 text-[1.15rem]">
					{#if wear.successorByMs < nowMs}<strong class="text-(--hot)">Pour its successor now.</strong>{:else}Pour its successor by <strong
							>{longDay(wear.successorByMs)}</strong
						>.{/if}
				</p>
			{/if}
			{#if wear.advice[0]}<p class="mt-2"><strong>{wear.advice[0].what}.</strong> {wear.advice[0].why}</p>{/if}
		{/if}
	</section>
	<section class="slab flex flex-col gap-4 p-5" aria-label="As it stands">
		{#if mould.state === 'active' && !refuses}
			<Button href="/shots/new?mould={mould.id}" size="xl" class="w-full">Size a shot</Button>
		{:else if mould.state === 'active'}
			<Button href="/shots/castable?mould={mould.id}" size="xl" class="w-full">Cast plaster or wax</Button>
		{/if}
		<div>
			<p class="label">It lies</p>
			<p class="text-[1.4rem] font-bold break-words">{mould.place || 'nowhere that is noted'}</p>
		</div>
		{#if pulls.length > 0}
			<div>
				<p class="label mb-1">Last grades, newest first</p>
				<ul class="flex flex-wrap gap-1.5">
					{#each pulls.slice(0, 6) as pull (pull.id)}
						<li>
							<a href="/ledger/{pull.id}" title="pull {pull.pullNumber}, {shortTime(pull.combinedAtMs, nowMs)}"
								><Tag word={pull.grade} /></a>
						</li>
					{/each}
				</ul>
				<p class="soft mt-1 text-[0.93rem]">The last on {shortTime(pulls[0]!.combinedAtMs, nowMs)}.</p>
			</div>
		{/if}
		<div>
			<p class="label">It may be poured with</p>
			{#if refuses}
				<p>{refuses}</p>
			{:else if fine.length === 0}
				<p>No resin of the shelf.</p>
			{:else}
				<ul class="text-[1rem]">
					{#each fine.slice(0, 4) as p (p.id)}
						<li>
							<a class="plain font-semibold" href="/shots/new?mould={mould.id}&resin={p.id}">{p.name}</a>{#if p.poured}<span class="soft"
									>, {counted(p.poured, 'pull')}</span
								>{/if}
						</li>
					{/each}
				</ul>
				{#if fine.length > 4}<details>
						<summary class="w-fit text-[0.93rem]">{fine.length - 4} more</summary>
						<p>
							{fine
								.slice(4)
								.map((p) => p.name)
								.join(', ')}
						</p>
					</details>{/if}
			{/if}
			{#each harms as harm (harm)}<p class="mt-1 text-[0.93rem]">
					<strong class="text-(--harm)">Not {namesOf(harm)}:</strong>
					{harm}
				</p>{/each}
		</div>
	</section>
</div>
