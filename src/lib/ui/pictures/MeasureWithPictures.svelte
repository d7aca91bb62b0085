<script lang="ts">
	import { onMount, type Snippet } from 'svelte';
	import { Button } from 'flowbite-svelte';
	import { contradictory } from '$lib/core/photo/contraryLimit';
	import { scaleToWater } from '$lib/core/photo/scaleToWater';
	import { digits } from '$lib/core/units';
	import { thinned } from '$lib/photo/strokes';
	import QuantityField from '../QuantityField.svelte';
	import type { Studio } from '../shape/studio.svelte';
	import ShapeStudio from '../shape/ShapeStudio.svelte';
	import { useUnits } from '../units.svelte';
	import Answer from '../Answer.svelte';
	import BodyAnswer from './BodyAnswer.svelte';
	import BodyView from './BodyView.svelte';
	import MatChoice from './MatChoice.svelte';
	import { nextWords } from './nextWords';
	import OutlineEditor from './OutlineEditor.svelte';
	import PictureGrid from './PictureGrid.svelte';
	import Round from './Round.svelte';
	import { fetchPictures, sendPictures } from './sendPictures';
	import { PictureSitting, type Before } from './sitting.svelte';
	import TakePictures from './TakePictures.svelte';

	/** From a printed mat and pictures to a body, and on to all that is done with a 3D file. */
	interface Props {
		/** A master by its id, or a new one. */
		piece: string;
		/** What water says of its volume, ml. */
		waterMl: number | undefined;
		/** How it was measured before. */
		before?: Before;
		/** How the body is kept: the stand, its still picture, what sends the pictures, and what is done afterwards. */
		keep: Snippet<[Studio, () => Promise<Blob | null>, (say: (words: string) => void) => Promise<string | undefined>, () => void]>;
	}
	let { piece, waterMl, before, keep }: Props = $props();
	/** A reading by water is good to this share (common practice, no source). */
	const WATER_SHARE = 0.02;
	/** A roof of less than this share is not asked about. */
	const ROOF_SHARE = 0.01;
	const units = useUnits();
	// svelte-ignore state_referenced_locally
	const sitting = new PictureSitting(piece, waterMl);
	let open = $state<string>();
	let onStand = $state(false);
	let byWater = $state(false);
	let studio: Studio | undefined;

	onMount(() => {
		void sitting.resume();
		return () => sitting.dispose();
	});

	const body = $derived(sitting.body);
	const scaled = $derived(
		body && sitting.waterMl !== undefined && sitting.waterMl > 0 ? scaleToWater(body, sitting.waterMl, WATER_SHARE) : undefined
	);
	const picture = $derived(sitting.pictures.find((p) => p.id === open));
	const count = $derived(sitting.pictures.length);
	let stlUrl = $state('');
	$effect(() => {
		if (!body) return;
		const url = (stlUrl = URL.createObjectURL(body.stl));
		return () => URL.revokeObjectURL(url);
	});

	async function stand(s: Studio): Promise<void> {
		studio = s;
		if (!body) return;
		const by = byWater && scaled && !scaled.apart ? scaled : undefined;
		await s.takePictured(new File([body.stl], 'from-pictures.stl'), 'from-pictures.stl', by?.lengthShare ?? 1, {
			pictures: body.ids.length,
			photoIds: [],
			rulerMm: sitting.rulerMm ?? 100,
			lowShare: by ? WATER_SHARE : 1 - body.lowMl / body.volumeMl,
			highShare: by ? WATER_SHARE : body.highMl / body.volumeMl - 1,
			flatTop: sitting.flatTop,
			byWater: by !== undefined
		});
	}
	/** Sends the pictures that the body was cut from, and notes them with it. */
	async function send(say: (words: string) => void): Promise<string | undefined> {
		if (!studio?.pictured || !body) return undefined;
		const cut = sitting.pictures.filter((p) => body.ids.includes(p.id));
		const sent = await sendPictures(cut, say);
		if ('why' in sent) return sent.why;
		const painted = cut.some((p) => p.strokes.length > 0) ? { painted: cut.map((p) => p.strokes.map(thinned)) } : {};
		studio.pictured = { ...studio.pictured, ...painted, photoIds: sent.ids };
		return undefined;
	}
	/** Brings back the pictures of the last time. */
	async function takeBefore(): Promise<void> {
		if (!before) return;
		const files = await fetchPictures(before.photos.map((p) => p.id));
		if ('why' in files) {
			sitting.problem = files.why;
			return;
		}
		[sitting.rulerMm, sitting.flatTop] = [before.rulerMm, before.flatTop];
		sitting.typed();
		await sitting.take(
			files.files,
			before.photos.map((p) => p.strokes)
		);
	}
	function closeEditor() {
		open = undefined;
		if (body && sitting.pictures.some((p) => !p.sight.fault && !p.outlined)) void sitting.workOut();
	}
	function retype() {
		sitting.typed();
		sitting.again();
	}
</script>

{#if onStand}
	<p class="mb-4"><button type="button" class="plain cursor-pointer" onclick={() => (onStand = false)}>Back to its pictures</button></p>
	<ShapeStudio first={stand}>
		{#snippet keep(s, still)}{@render keepBody(s, still)}{/snippet}
	</ShapeStudio>
{:else}
	{#if sitting.trouble}<p class="mb-3 font-semibold text-(--harm)" role="status">{sitting.trouble}</p>{/if}
	{#if sitting.busy}
		<div class="slab mb-4 flex flex-wrap items-center gap-4 p-4" role="status">
			<span class="font-semibold">{sitting.busy.what}</span>
			<progress class="h-3 min-w-[10rem] flex-1" max="1" value={sitting.busy.share} aria-label={sitting.busy.what}></progress>
			<Button color="alternative" onclick={() => void sitting.stop()}>Stop</Button>
		</div>
	{/if}
	<div class="grid items-start gap-5 lg:grid-cols-[1fr_23rem]">
		<div class="flex min-w-0 flex-col gap-5">
			{#if body}
				<section class={['slab p-3', !sitting.settled && 'opacity-60']} aria-label="The body">
					<div class="h-[min(48vh,30rem)]">
						<BodyView
							{body}
							label="The body from {body.ids.length} pictures. Arrow keys turn it, plus and minus zoom, Home shows the whole." />
					</div>
				</section>
			{/if}
			<section class="slab flex flex-col gap-4 p-5" aria-label="Pictures">
				<h2>{count === 0 ? '2. Take pictures all round' : `${count} ${count === 1 ? 'picture' : 'pictures'}`}</h2>
				{#if count === 0 && before && before.photos.length > 0}<Button
						color="alternative"
						size="lg"
						class="self-start"
						disabled={!!sitting.busy}
						onclick={() => void takeBefore()}>Take up its {before.photos.length} kept pictures</Button
					>{/if}
				<TakePictures ontake={(files) => void sitting.take(files)} disabled={!!sitting.busy} />
				{#if count === 0}<p class="soft">
						The piece stands in the middle of the mat and is not moved; you walk round it. Plain paper behind it helps, and light from all
						sides. Pictures are looked at in this browser; where they were taken is not kept.
					</p>{/if}
				{#if sitting.refused.length > 0}
					<ul role="alert">
						{#each sitting.refused as r (r.name + r.why)}<li class="font-semibold text-(--harm)">{r.name}: {r.why}</li>{/each}
					</ul>
				{/if}
				<PictureGrid pictures={sitting.pictures} onopen={(id) => (open = id)} ondrop={(id) => void sitting.drop(id)} />
			</section>
			<section class={['slab flex flex-col gap-4 p-5', count === 0 && 'order-first']} aria-label="Mat">
				<h2>{count === 0 ? '1. Print a mat and lay it flat' : 'The mat'}</h2>
				<MatChoice />
				<div class="max-w-[22rem]">
					<QuantityField
						label="Its 100 mm ruler measures"
						name="ruler"
						kind="length"
						bind:value={() => sitting.rulerMm, (v) => ((sitting.rulerMm = v), retype())}
						error={sitting.rulerFits
							? undefined
							: ['A printed ruler of 100 mm measures between 80 and 120 mm: measure it from end to end.']}
						hint="Measured with a real ruler or a caliper: printers scale." />
				</div>
			</section>
		</div>
		<aside
			class={[
				'slab flex flex-col gap-4 p-5 lg:sticky lg:top-0 lg:max-h-[calc(100dvh-4.6rem)] lg:overflow-y-auto',
				count > 0 && 'max-lg:order-first'
			]}
			aria-label="Body"
			tabindex="-1">
			{#if sitting.problem}<p class="font-semibold text-(--harm)" role="alert">{sitting.problem}</p>{/if}
			{#if body}
				<div class={['flex flex-col gap-4', !sitting.settled && 'opacity-60']} aria-live="polite"><BodyAnswer {body} {sitting} /></div>
				{#if sitting.settled && !contradictory(body.contraryShare)}
					{#if sitting.flatTop || body.doubts.roofMl > ROOF_SHARE * body.volumeMl}<label
							class="flex min-h-[2.5rem] cursor-pointer items-center gap-2 font-semibold"
							><input
								type="checkbox"
								class="size-5 rounded text-(--work)"
								bind:checked={() => sitting.flatTop, (v) => ((sitting.flatTop = v), sitting.typed(), void sitting.make())} />
							Flat on top, at {units.show(body.sureTopMm, 'length')}</label
						>{/if}
					<QuantityField
						label="What water says of it"
						name="water"
						kind="volume"
						bind:value={() => sitting.waterMl, (v) => ((sitting.waterMl = v), sitting.typed())}
						hint="It may stay empty." />
					{#if scaled?.apart}<p class="font-semibold text-(--harm)">
							Water and pictures contradict each other: it lies outside {units.show(body.lowMl, 'volume')} to {units.show(
								body.highMl,
								'volume'
							)}. Look for a hollow, air on the piece in the water, or the mat’s ruler.
						</p>
					{:else if scaled}<label class="flex min-h-[2.5rem] cursor-pointer items-center gap-2 font-semibold"
							><input type="checkbox" class="size-5 rounded text-(--work)" bind:checked={byWater} /> Scale the body to it, every length × {digits(
								scaled.lengthShare,
								3
							)}</label
						>{/if}
					<Button size="lg" onclick={() => (onStand = true)}>Go on with this body</Button>
					<a class="plain" href={stlUrl} download="from-pictures.stl">Save it as STL</a>
				{/if}
			{/if}
			{#if !sitting.settled || !body}
				{#if sitting.quick && !body}
					<Answer
						label="Quick answer of two pictures"
						value={units.show(sitting.quick.volumeMl, 'volume')}
						note={`between ${units.show(sitting.quick.lowMl, 'volume')} and ${units.show(sitting.quick.highMl, 'volume')}, ${units.show(sitting.quick.tallMm, 'length')} tall`} />
					<p>
						Every level is taken to be an ellipse: a box fills {units.show(sitting.quick.highMl, 'volume')}. More pictures say it better.
					</p>
				{/if}
				<div class="mx-auto w-full max-w-[15rem]"><Round taken={sitting.directions} coverage={sitting.coverage} /></div>
				<p class="text-[1.15rem] font-bold" role="status">{nextWords(sitting.coverage, count)}</p>
				<Button size="lg" disabled={sitting.sound.length < 4 || !!sitting.busy || !sitting.rulerFits} onclick={() => void sitting.workOut()}
					>Work out the body</Button>
				{#if sitting.sound.length < 4}<p class="soft">From four sound pictures on; fifteen make it good.</p>{/if}
				{#if sitting.sound.length >= 2 && !body}<Button
						color="alternative"
						size="lg"
						disabled={!!sitting.busy || !sitting.rulerFits}
						onclick={() => void sitting.quickly()}>Quick answer of two</Button
					>{/if}
			{/if}
		</aside>
	</div>
	{#if picture}
		{#key picture.id}<OutlineEditor {sitting} {picture} number={sitting.pictures.indexOf(picture) + 1} onclose={closeEditor} />{/key}
	{/if}
{/if}

{#snippet keepBody(s: Studio, still: () => Promise<Blob | null>)}{@render keep(s, still, send, () => void sitting.kept())}{/snippet}
