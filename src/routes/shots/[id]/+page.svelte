<script lang="ts">
	import { enhance } from '$app/forms';
	import { Button } from 'flowbite-svelte';
	import FileDown from '@lucide/svelte/icons/file-down';
	import { CASTS, rankSpares, usuallyLeftMl } from '$lib/core/shot';
	import Fuse from '$lib/ui/Fuse.svelte';
	import Island from '$lib/ui/island/Island.svelte';
	import QuantityField from '$lib/ui/QuantityField.svelte';
	import PageHead from '$lib/ui/PageHead.svelte';
	import MovedPlan from '$lib/ui/shot/MovedPlan.svelte';
	import LayerStack from '$lib/ui/shot/LayerStack.svelte';
	import Trials from '$lib/ui/shot/Trials.svelte';
	import ShotResult from '$lib/ui/ShotResult.svelte';
	import Tag from '$lib/ui/Tag.svelte';
	import { useUnits } from '$lib/ui/units.svelte';

	let { data, form } = $props();
	const units = useUnits();
	const cast = $derived(CASTS[data.shot.planned.kind ?? 'solid']);
	const batches = $derived(data.shot.planned.shot.batches);
	const pourOf = (index: number) => data.pours.find((p) => p.batchIndex === index && p.status !== 'abandoned');
	let leftMl = $state<number>();
	/** Those that what is left fills, and the first that it does not. */
	const spares = $derived.by(() => {
		const ranked = rankSpares(leftMl ?? usuallyLeftMl(batches[0]?.volumeMl ?? 0), data.spares);
		const fitting = ranked.filter((m) => m.missingMl === 0).slice(0, 5);
		return [...fitting, ...ranked.filter((m) => m.missingMl > 0).slice(0, 1)];
	});
	const next = $derived(batches.findIndex((_, i) => !pourOf(i)));
</script>

<PageHead
	title="Shot S{data.shot.number}: {data.master.name}"
	about="{cast.words.name}: {data.shot.inputs.copies} {data.shot.inputs.copies === 1 ? 'copy' : 'copies'} in {data.resin.name}" />
<p class="no-print mb-3 flex flex-wrap gap-3">
	<a
		class="inline-flex min-h-[2.75rem] items-center gap-2 rounded-lg border-[1.5px] border-(--line-strong) bg-(--paper) px-4 font-semibold hover:bg-(--work-soft)"
		href="/shots/{data.shot.id}/card.pdf"
		target="_blank"
		rel="noopener"><FileDown class="size-5" aria-hidden="true" />Pour card</a>
	{#if data.pours.length === 0}<Button href="/shots/new?change={data.shot.id}" color="alternative">Change it</Button>{/if}
	<Button href="/shots/new?from={data.shot.id}" color="alternative">Size it anew</Button>
</p>
{#if form && 'refused' in form && form.refused}<p class="mb-3 font-semibold text-(--harm)" role="alert">{form.refused}</p>{/if}
{#if form && 'moved' in form && form.moved}<MovedPlan moved={form.moved} batch={form.batch} />
{:else if data.moved}<MovedPlan moved={data.moved} />{/if}
<Island>
	{#if batches[0]}
		<section class="slab mb-5 px-5 pt-4 pb-3" aria-label="Steps against pot life">
			<Fuse steps={batches[0].steps} potLifeS={batches[0].potLifeS} usableS={batches[0].budget.usableS} slackS={batches[0].slackS} />
		</section>
	{/if}
</Island>
<div class="grid items-start gap-5 lg:grid-cols-[1fr_27rem]">
	<section class="slab p-5">
		<Island>
			<h2 class="mb-2">
				{batches[0]?.layers
					? `${batches.length === 1 ? 'One pour' : `${batches.length} pours, one after another`}, a cup for each layer`
					: batches.length === 1
						? 'One cup'
						: `${batches.length} cups, one after another`}
			</h2>
			<ol>
				{#each batches as batch, i (i)}
					{@const pour = pourOf(i)}
					<li class="flex flex-wrap items-center gap-x-5 gap-y-2 border-t border-(--line) py-3">
						<span class="grid size-9 place-items-center rounded-full border-[1.5px] border-(--line-strong) font-bold">{i + 1}</span>
						<span class="text-[1.4rem] font-bold">{batch.layers ? `${batch.layers.length} × ` : ''}{units.inCup(batch)}</span>
						<span class="soft"
							>{batch.copies}
							{batch.copies === 1 ? 'copy' : 'copies'} · slack {units.show(batch.slackS, 'time')}</span>
						<span class="ml-auto flex items-center gap-3">
							{#if pour}
								<Tag word={pour.status} />
								<Button href="/pour/{pour.id}" color={pour.status === 'open' ? 'primary' : 'alternative'} size="lg"
									>{pour.status === 'open' ? 'Back to the pour' : 'See it'}</Button>
							{:else}
								<form method="POST" action="?/pour" use:enhance>
									<input type="hidden" name="batch" value={i} />
									<Button type="submit" size="lg" color={i === next ? 'primary' : 'alternative'}
										>{batch.layers ? 'Pour it' : 'Pour this cup'}</Button>
								</form>
							{/if}
						</span>
					</li>
				{/each}
			</ol>
		</Island><Island>
			{#if batches[0]?.layers}
				<h2 class="mt-5 mb-2">{cast.words.layers}</h2>
				<LayerStack layers={batches[0].layers} />
			{/if}
			<p class="mt-3 flex flex-wrap items-center gap-x-3 gap-y-1">
				<span class="label">Moulds</span>
				{#each data.moulds as mould (mould.id)}<a class="plain" href="/moulds/{mould.id}"><strong>M{mould.number}</strong> {mould.label}</a
					>{/each}
			</p>
			{#if data.also.length > 0}
				<p class="mt-1 flex flex-wrap items-center gap-x-3 gap-y-1">
					<span class="label">From the same cup</span>
					{#each data.also as a (a.id)}<a class="plain" href="/moulds/{a.id}"
							><strong>{a.name}</strong>{a.copies > 1 ? ` ×${a.copies}` : ''}, {units.show(a.copies * a.volumeMl, 'volume')}</a
						>{/each}
				</p>
			{/if}
			{#if data.spares.length > 0}
				<h2 class="mt-5 mb-1">Spare moulds for what is left</h2>
				<div class="max-w-[14rem]">
					<QuantityField
						label="Left over"
						kind="volume"
						name="leftMl"
						bind:value={leftMl}
						hint={leftMl === undefined
							? `a slip of a tenth would leave ${units.show(usuallyLeftMl(batches[0]?.volumeMl ?? 0), 'volume')}`
							: ''} />
				</div>
				<ol class="divide-y divide-(--line)">
					{#each spares as m (m.id)}
						<li class="flex flex-wrap justify-between gap-x-4 py-1.5">
							<a class="plain" href="/moulds/{m.id}"><strong>M{m.number}</strong> {m.label}</a>
							<span
								><strong>{units.show(m.volumeMl, 'volume')}</strong>
								{#if m.missingMl > 0}<span class="soft">{units.show(m.missingMl, 'volume')} short</span>{:else}<span class="text-(--work)"
										>is filled</span
									>{/if}</span>
						</li>
					{/each}
				</ol>
			{/if}
			<p class="soft mt-4">
				Resin {units.show(data.shot.inputs.startTempC, 'temperature')}, mould {units.show(data.shot.inputs.mouldTempC, 'temperature')}, room
				{units.show(data.shot.inputs.roomTempC, 'temperature')}, {data.shot.inputs.relativeHumidity} % humidity.
			</p>
		</Island>
		<div class="below">
			<Island>
				<Trials
					open={data.trials.length > 0 || (data.shot.inputs.inserts?.length ?? 0) > 0}
					form={data.trialForm}
					trials={data.trials}
					volumeMl={data.master.volumeMl} />
			</Island>
		</div>
	</section>
	<aside class="slab p-5"><Island><ShotResult planned={data.shot.planned} stack={false} /></Island></aside>
</div>
