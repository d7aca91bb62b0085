<script lang="ts">
	import { Button } from 'flowbite-svelte';
	import { SIGNS, worstSign } from '$lib/core/wear';
	import { counted, longDay } from '$lib/ui/clockText';
	import PageHead from '$lib/ui/PageHead.svelte';
	import QuantityField from '$lib/ui/QuantityField.svelte';
	import { useUnits } from '$lib/ui/units.svelte';
	import Warnings from '$lib/ui/Warnings.svelte';
	import InspectionForm from '$lib/ui/wear/InspectionForm.svelte';
	import WearBand from '$lib/ui/wear/WearBand.svelte';
	import Working from '$lib/ui/Working.svelte';

	let { data, form } = $props();
	const units = useUnits();
	const wear = $derived(data.wear);
	const mould = $derived(wear.mould);
	const f = $derived(wear.forecast);
	let wanted = $derived<number | undefined>(data.wanted ?? undefined);
</script>

<PageHead title="Wear of M{mould.number} {mould.label}" about="{counted(mould.pulls, 'pull')} so far, {wear.family}">
	{#snippet actions()}<Button href="/moulds/{mould.id}" size="lg" color="alternative">The mould</Button>{/snippet}
</PageHead>
<div class="grid items-start gap-5 lg:grid-cols-[1.35fr_1fr]">
	<div class="flex flex-col gap-5">
		<section class="slab p-5" aria-label="Forecast">
			<div class="flex flex-wrap items-end gap-x-8 gap-y-2">
				<div>
					<p class="label">Pulls left, as likely more as less</p>
					<p class="answer text-[4.6rem]" data-testid="pulls-left">{f.pullsLeftMedian}</p>
				</div>
				<p class="pb-2 text-[1.15rem]">
					four times in five <strong>{f.pullsLeftLow} to {f.pullsLeftHigh}</strong><br />
					<span class="soft"
						>{f.inspections === 0
							? 'never looked over'
							: `worst sign ${f.wear} of 5 at the last of ${counted(f.inspections, 'look')}`}</span>
				</p>
			</div>
			<WearBand pulls={mould.pulls} forecast={f} inspections={wear.inspections} />
			<form method="GET" class="mt-3 flex flex-wrap items-start gap-3">
				<div class="w-44"><QuantityField label="Pulls still wanted" kind="number" name="wanted" bind:value={wanted} /></div>
				<Button type="submit" color="alternative" class="mt-6 min-h-[2.75rem]">Will it last</Button>
				{#if f.chanceToFinish !== undefined}<p class="mt-[1.9rem] text-[1.15rem]" role="status">
						<strong class={f.chanceToFinish < 0.5 ? 'text-(--hot)' : 'text-(--work)'}>{Math.round(100 * f.chanceToFinish)} %</strong>
						to give {data.wanted} more
					</p>{/if}
			</form>
			{#if wear.successorByMs !== null}<p class="text-[1.15rem]">
					{#if wear.successorByMs < data.nowMs}<strong class="text-(--hot)">Pour its successor now</strong>{:else}Pour its successor by
						<strong>{longDay(wear.successorByMs)}</strong>{/if}:
					<span class="soft">at {wear.pullsPerDay.toFixed(2)} pulls a day of the last weeks, less the time that such a mould takes.</span>
				</p>{/if}
			<Warnings warnings={f.warnings} />
			<Working lines={f.working} />
		</section>
		{#if wear.advice.length > 0}
			<section class="slab p-5">
				<h2 class="mb-2">What would help</h2>
				<ul class="flex flex-col gap-2">
					{#each wear.advice as a (a.code)}<li><strong>{a.what}.</strong> {a.why}</li>{/each}
				</ul>
				<p class="soft mt-2 text-[0.93rem]">
					Release habit: {wear.release}.{wear.peakFaceC === null
						? ''
						: ` Its face peaks at ${units.show(wear.peakFaceC, 'temperature')} in the middle of its pulls, by the part model.`}
				</p>
			</section>
		{/if}
		{#if wear.inspections.length > 0}
			<section class="slab p-5">
				<h2 class="mb-2">Looks so far</h2>
				<ul class="divide-y divide-(--line)">
					{#each wear.inspections.toReversed() as inspection (inspection.id)}
						{@const worst = worstSign(inspection.inspection.scores)}
						<li class="flex flex-wrap gap-x-4 py-2">
							<span class="soft tabular-nums"
								>{longDay(inspection.at.getTime())}, pull {inspection.pulls}{inspection.inspection.by
									? `, ${inspection.inspection.by}`
									: ''}</span>
							<strong>{worst ? `${SIGNS[worst.sign].words} ${worst.score}: ${SIGNS[worst.sign].at[worst.score]}` : ''}</strong>
							<span class="soft"
								>{Object.entries(inspection.inspection.scores)
									.filter(([s]) => s !== worst?.sign)
									.map(([s, v]) => `${SIGNS[s as keyof typeof SIGNS].words.toLowerCase()} ${v}`)
									.join(', ')}</span>
							{#if inspection.forecast}<span class="soft">foretold {inspection.forecast.low}–{inspection.forecast.high} more</span>{/if}
							{#if inspection.inspection.note}<span class="w-full">{inspection.inspection.note}</span>{/if}
							{#if inspection.photoId}<a class="plain" href="/photos/{inspection.photoId}">the picture</a>{/if}
						</li>
					{/each}
				</ul>
			</section>
		{/if}
	</div>
	<InspectionForm
		signs={data.signs}
		before={wear.inspections.at(-1)?.inspection}
		problems={form && 'problems' in form ? (form.problems ?? []) : []}
		kept={Boolean(form && 'kept' in form && form.kept)} />
</div>
