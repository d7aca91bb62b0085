<script lang="ts">
	import type { Load, LoadPlan } from '$lib/core/pressurePot';
	import { useUnits } from '../units.svelte';

	/** One shelf from above, to scale, with what stands on it. */
	interface Props {
		shelf: LoadPlan['shelves'][number];
		title: string;
		diameterMm: number;
		loads: readonly Load[];
	}
	let { shelf, title, diameterMm, loads }: Props = $props();
	const units = useUnits();
	const r = $derived(diameterMm / 2);
	const name = (i: number) => loads[i]?.name ?? '';
</script>

<figure class="slab flex-1 p-4" style:min-width="17rem">
	<figcaption class="mb-2 flex justify-between gap-3">
		<strong>{title}</strong><span class="soft">{units.show(shelf.clearMm, 'length')} clear</span>
	</figcaption>
	<svg
		viewBox="{-r - 4} {-r - 4} {diameterMm + 8} {diameterMm + 8}"
		class="mx-auto h-auto w-full max-w-[22rem]"
		role="img"
		aria-label="{title}: {shelf.placed.map((p) => name(p.load)).join(', ') || 'empty'}">
		<circle {r} fill="var(--sunk)" stroke="var(--line-strong)" stroke-width={r / 60} />
		{#each shelf.placed as p (p.load)}
			{@const f = loads[p.load]!.footprint}
			{#if f.shape === 'round'}
				<circle cx={p.xMm} cy={p.yMm} r={f.diameterMm / 2} fill="var(--work-soft)" stroke="var(--work)" stroke-width={r / 50} />
			{:else}
				{@const w = p.turned ? f.widthMm : f.lengthMm}
				{@const h = p.turned ? f.lengthMm : f.widthMm}
				<rect x={p.xMm - w / 2} y={p.yMm - h / 2} width={w} height={h} fill="var(--work-soft)" stroke="var(--work)" stroke-width={r / 50} />
			{/if}
			<text x={p.xMm} y={p.yMm + r / 18} font-size={r / 6.5} font-weight="700" text-anchor="middle" fill="var(--ink)"
				>{name(p.load).split(' ')[0]}</text>
		{/each}
	</svg>
	<ul class="mt-2 text-[0.93rem]">
		{#each shelf.placed as p (p.load)}<li><strong>{name(p.load)}</strong></li>{:else}<li class="soft">Empty</li>{/each}
	</ul>
</figure>
