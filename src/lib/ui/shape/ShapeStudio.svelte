<script lang="ts">
	import { onMount, type Snippet } from 'svelte';
	import { Button } from 'flowbite-svelte';
	import type { ShapeChoice } from '$lib/core/master';
	import { digits } from '$lib/core/units';
	import Answer from '../Answer.svelte';
	import { useUnits } from '../units.svelte';
	import Warnings from '../Warnings.svelte';
	import DropZone from './DropZone.svelte';
	import FilePanel from './FilePanel.svelte';
	import FileUnitAsked from './FileUnitAsked.svelte';
	import Pockets from './Pockets.svelte';
	import Position from './Position.svelte';
	import ShapeView from './ShapeView.svelte';
	import Skin from './Skin.svelte';
	import Undercuts from './Undercuts.svelte';
	import ViewTools from './ViewTools.svelte';
	import type { ShapeScene } from './scene';
	import { Studio } from './studio.svelte';
	import { View } from './view.svelte';

	/** A master's 3D file: its volume, where air stays, how it is poured best, where it is parted. */
	interface Props {
		/** A file that is kept already, with what was chosen for it. */
		kept?: ShapeChoice | undefined;
		/** What stands on the stand at first instead of a file to choose. */
		first?: ((studio: Studio) => Promise<void>) | undefined;
		/** What stands under the findings: how to keep them. */
		keep: Snippet<[Studio, () => Promise<Blob | null>]>;
	}
	let { kept, first, keep }: Props = $props();
	const units = useUnits();
	const studio = new Studio();
	const view = new View(studio);
	let scene = $state.raw<ShapeScene>();

	onMount(() => {
		if (first) void first(studio);
		else if (kept) void studio.openKept(kept);
		return () => studio.dispose();
	});
	function take(file: File) {
		view.chosen = undefined;
		void studio.take(file);
	}
	const report = $derived(studio.report);
	const still = () => scene?.still() ?? Promise.resolve(null);
</script>

{#if studio.problem}<p class="slab mb-4 border-[1.5px] border-(--harm)! p-4 text-[1.15rem] font-semibold text-(--harm)" role="alert">
		{studio.problem}
	</p>{/if}
{#if studio.busy}
	<div class="slab mb-4 flex flex-wrap items-center gap-4 p-4" role="status">
		<span class="font-semibold">{studio.busy.what}</span>
		<progress class="h-3 min-w-[10rem] flex-1" max="1" value={studio.busy.share} aria-label={studio.busy.what}></progress>
		<Button color="alternative" onclick={() => studio.cancel()}>Stop</Button>
	</div>
{/if}
{#if !studio.drawn || !report}
	{#if !studio.busy}<DropZone onfile={take} />{/if}
{:else}
	{#if !studio.unitSettled}<FileUnitAsked {studio} />{/if}
	<div class="grid items-start gap-5 lg:grid-cols-[1fr_23rem]">
		<div class="flex min-w-0 flex-col gap-4">
			<section class="slab p-3">
				<Position {studio} />
				<div class="mt-3 h-[min(54vh,34rem)]">
					<ShapeView
						bind:scene
						mesh={studio.drawn}
						up={studio.up}
						traps={view.show === 'pockets' ? view.traps : []}
						cellMm={studio.traps?.cellMm ?? 1}
						heights={view.heights}
						chosen={view.chosen}
						openings={studio.openings}
						highlighted={view.highlighted}
						parting={view.show === 'undercuts' ? studio.parting : undefined}
						cut={view.cutOn ? view.cut : undefined}
						fill={view.fillOn ? view.fill : undefined}
						seeThrough={view.seeThrough}
						onpick={(ray) => void view.pressed(ray)}
						label="{studio.fileName} in its pouring position, {view.traps
							.length} pockets of air. Arrow keys turn it, plus and minus zoom, Home shows the whole, Enter presses the middle." />
				</div>
				<ViewTools {studio} {view} />
			</section>
			<Undercuts {studio} />
		</div>

		<aside class="flex flex-col gap-4">
			<section class="slab flex flex-col gap-3 p-5" aria-live="polite">
				<Answer
					label="Volume of one copy"
					value={units.show(report.volumeMl, 'volume')}
					note={studio.pictured
						? `between ${units.show(report.volumeMl * (1 - studio.pictured.lowShare), 'volume')} and ${units.show(report.volumeMl * (1 + studio.pictured.highShare), 'volume')}, from ${studio.pictured.pictures} pictures`
						: `${units.other(report.volumeMl, 'volume')}${report.doubtShare ? ` · ± ${digits(100 * report.doubtShare, 0)} %` : ''}`} />
				<p class="min-h-[1.6rem]">
					{#if studio.traps}<strong>{units.show(studio.sizesMm[2], 'length')} tall</strong> as it is poured, {units.show(
							studio.sizesMm[0],
							'length'
						)} × {units.show(studio.sizesMm[1], 'length')}{:else}<span class="soft">Looking at it in its pouring position.</span>{/if}
				</p>
				<p class="soft text-[0.93rem]">
					{report.triangles.toLocaleString('en-GB')} triangles, {report.watertight ? 'closed' : `${report.openEdges} open edges`}, {report.shells}
					{report.shells === 1 ? 'body' : 'bodies'}
				</p>
				<Warnings warnings={report.warnings} />
			</section>
			<Pockets {studio} {view} />
			<Skin {studio} />
			<FilePanel {studio} ontake={take} />
			{@render keep(studio, still)}
		</aside>
	</div>
{/if}
