<script lang="ts">
	import { CONTRARY, contradictory } from '$lib/core/photo/contraryLimit';
	import { digits } from '$lib/core/units';
	import type { Drawing } from '$lib/workers/pictures.worker';
	import Answer from '../Answer.svelte';
	import { useUnits } from '../units.svelte';
	import type { PictureSitting } from './sitting.svelte';

	/** The volume with its band, and what makes it unsure, the largest first. */
	let { body, sitting }: { body: Drawing; sitting: PictureSitting } = $props();
	const units = useUnits();
	const doubts = $derived(
		[
			{ words: 'no picture looked between', ml: body.doubts.betweenMl, way: 'less' },
			{ words: `above ${units.show(body.sureTopMm, 'length')}, seen from above only`, ml: body.doubts.roofMl, way: 'less' },
			{ words: 'rims of the outlines, and where the camera stood', ml: body.doubts.rimMl, way: 'either way' },
			{ words: 'outlines that contradict each other', ml: body.doubts.contraryMl, way: 'more' },
			{ words: 'the grid', ml: body.doubts.gridMl, way: 'either way' }
		]
			.filter((d) => d.ml > 0.002 * body.volumeMl)
			.sort((a, b) => b.ml - a.ml)
	);
	const span = $derived(body.highMl - body.lowMl);
	const share = $derived((100 * (body.volumeMl - body.lowMl)) / span);
	/** Numbers of pictures whose outlines deny what others show. */
	const liars = $derived(
		body.ids
			.flatMap((id, i) => (body.contraryShare[i]! < CONTRARY ? [] : [sitting.pictures.findIndex((p) => p.id === id) + 1]))
			.sort((a, b) => a - b)
	);
	const denied = $derived(
		liars.length === 1
			? `Picture ${liars[0]} leaves out what others show of the piece, so the body is too small there: look at its outline.`
			: `Pictures ${liars.join(', ')} leave out what others show of the piece, so the body is too small there: look at their outlines.`
	);
	const pale = $derived(sitting.pictures.filter(({ sight }) => sight.fault === 'pale' || sight.fault === 'no-outline').length);
	const unknown = $derived(contradictory(body.contraryShare));
	/** A picture that alone takes far more than the others is likely wrong, or the only one from its side. */
	const odd = $derived.by(() => {
		if (liars.length > 0) return undefined;
		const sorted = [...body.onlyByMl].sort((a, b) => b - a);
		const most = sorted[0] ?? 0;
		if (most < 0.03 * body.volumeMl || most < 4 * (sorted[1] ?? 0)) return undefined;
		const id = body.ids[body.onlyByMl.indexOf(most)];
		return { number: sitting.pictures.findIndex((p) => p.id === id) + 1, ml: most };
	});
</script>

{#if unknown && !sitting.settled}
	<Answer label="Volume of one copy" value="not known yet" note="more outlines are being cut" />
{:else if unknown}
	<Answer label="Volume of one copy" value="not known" tone="harm" />
	<p class="font-semibold">
		Outlines contradict each other in {liars.length} of {body.ids.length} pictures: {liars.join(', ')}.
		{pale > 0
			? `In ${pale} more the piece is as pale as what lies behind it. Colour it (dark powder, washable paint) and take them again, or paint its outlines by hand.`
			: 'Correct their outlines or leave them out.'}
	</p>
{:else}
	{@render known()}
{/if}

{#snippet known()}
	<Answer
		label="Volume of one copy"
		value={units.show(body.volumeMl, 'volume')}
		note={`between ${units.show(body.lowMl, 'volume')} and ${units.show(body.highMl, 'volume')}`} />
	<div class="relative h-3 rounded-full bg-(--work-soft)" aria-hidden="true">
		<span class="absolute inset-y-0 left-0 rounded-full bg-(--work) opacity-35" style:width="{share}%"></span>
		<span class="absolute -inset-y-1 w-1 rounded bg-(--ink)" style:left="calc({share}% - 2px)"></span>
	</div>
	<p>
		<strong>{units.show(body.max[2] - Math.max(0, body.min[2]), 'length')} tall</strong>, {units.show(body.max[0] - body.min[0], 'length')} ×
		{units.show(body.max[1] - body.min[1], 'length')}; skin {units.show(body.areaMm2, 'area')}, between {units.show(
			body.areaLowMm2,
			'area'
		)} and {units.show(body.areaHighMm2, 'area')}, from {body.ids.length} pictures
	</p>
	<p class="font-semibold">
		It stands flat on the mat. The body is never smaller than the piece, and hollows are not seen{body.unsure.length > 0
			? ': where one wider than '
			: '.'}{#if body.unsure.length > 0}{units.show(body.hollowMm, 'length')} could hide it is orange.{/if}
	</p>
	<div>
		<h3 class="text-[1rem] font-bold">What makes it unsure</h3>
		<ul class="mt-1">
			{#each doubts as d (d.words)}
				<li class="flex items-baseline justify-between gap-3 border-t border-(--line) py-1">
					<span class="min-w-0">{d.words}</span>
					<strong class="whitespace-nowrap">{d.way === 'less' ? '−' : d.way === 'more' ? '+' : '±'} {units.show(d.ml, 'volume')}</strong>
				</li>
			{/each}
		</ul>
	</div>
	{#if liars.length > 0}<p class="font-semibold text-(--harm)">{denied}</p>{/if}
	{#if odd}<p class="font-semibold text-(--hot)">
			Picture {odd.number} alone takes away {units.show(odd.ml, 'volume')} ({digits((100 * odd.ml) / body.volumeMl, 0)} %): look at its outline,
			or take another from its side.
		</p>{/if}
{/snippet}
