<script lang="ts">
	import { onMount, type Snippet } from 'svelte';
	import { Button } from 'flowbite-svelte';
	import { FILE_UNIT_MM, MESH_LIMITS, type FileUnit, type Vec3 } from '$lib/core/mesh/types';
	import { dot } from '$lib/core/mesh/frame';
	import type { ShapeChoice } from '$lib/core/master';
	import { undercutAdvice } from '$lib/core/master/advice';
	import { digits } from '$lib/core/units';
	import Answer from '../Answer.svelte';
	import QuantityField from '../QuantityField.svelte';
	import Segments from '../Segments.svelte';
	import { useUnits } from '../units.svelte';
	import Warnings from '../Warnings.svelte';
	import DropZone from './DropZone.svelte';
	import ShapeView from './ShapeView.svelte';
	import type { ShapeScene } from './scene';
	import { Studio } from './studio.svelte';

	/** A master's 3D file: its volume, where air stays, how it is poured best, where it is parted. */
	interface Props {
		/** A file that is kept already, with what was chosen for it. */
		kept?: ShapeChoice | undefined;
		/** What stands under the findings: how to keep them. */
		keep: Snippet<[Studio, () => Promise<Blob | null>]>;
	}
	let { kept, keep }: Props = $props();
	const units = useUnits();
	const studio = new Studio();
	let scene = $state.raw<ShapeScene>();
	let mode = $state<'turn' | 'vent' | 'sprue' | 'pour' | 'skin'>('turn');
	let chosen = $state<number>();
	let show = $state<'pockets' | 'undercuts'>('pockets');
	let cutOn = $state(false);
	let cut = $state(0.5);
	let fillOn = $state(false);
	let fill = $state(0.5);
	let seeThrough = $state(true);
	let tallMm = $state<number>();
	let said = $state('');

	onMount(() => {
		if (kept) void fetchKept(kept);
		return () => studio.dispose();
	});
	async function fetchKept(choice: ShapeChoice) {
		studio.busy = { what: 'Fetching', share: 0 };
		const response = await fetch(`/api/meshes/${choice.sha256}`).catch(() => undefined);
		studio.busy = undefined;
		if (!response?.ok) {
			studio.problem = 'The kept file could not be fetched: try again, or take the file once more.';
			return;
		}
		await studio.open(await response.blob(), choice.fileName, choice.sha256, choice);
	}
	async function take(file: File) {
		if (file.size > MESH_LIMITS.bytes) {
			studio.problem = `This file has ${(file.size / 1024 ** 2).toFixed(0)} MB: at most ${MESH_LIMITS.bytes / 1024 ** 2} MB are taken.`;
			return;
		}
		chosen = undefined;
		await studio.open(file, file.name);
	}

	const report = $derived(studio.report);
	const sizes = $derived(studio.sizesMm);
	const traps = $derived(studio.traps?.traps ?? []);
	const heights = $derived<[number, number]>([studio.traps ? studio.traps.topMm - sizes[2] : 0, studio.traps?.topMm ?? 1]);
	const level = $derived(heights[0] + (heights[1] - heights[0]) * fill);
	const highlighted = $derived.by(() => {
		const open = studio.openFaces.map((f) => ({ triangles: f.triangles, colour: 'work' as const }));
		if (show === 'undercuts' && studio.undercuts) {
			return [...open, { triangles: studio.undercuts.faces, colour: 'harm' as const }];
		}
		return [...open, ...studio.ceilings.map((c) => ({ triangles: c.triangles, colour: 'hot' as const }))];
	});
	const advice = $derived(
		studio.undercuts && report ? undercutAdvice(studio.undercuts.share, studio.undercuts.depthMm, Math.min(...sizes)) : undefined
	);
	/** The file's height in words for each unit that it might mean. */
	const guesses = $derived(
		(['mm', 'cm', 'in', 'm'] as FileUnit[]).map((unit) => ({
			unit,
			tall: units.show((Math.max(...sizes) / (FILE_UNIT_MM[studio.unit] * studio.scale)) * FILE_UNIT_MM[unit], 'length')
		}))
	);
	async function settleUnit(unit: FileUnit) {
		studio.unit = unit;
		studio.scale = 1;
		studio.unitSettled = true;
		await studio.settle();
	}
	async function scaleTo() {
		if (!(tallMm !== undefined && tallMm > 0) || !(sizes[2] > 0)) return;
		studio.scale = (studio.scale * tallMm) / sizes[2];
		// openings were set on the old size
		studio.openings = [];
		tallMm = undefined;
		await studio.settle();
	}
	async function togglePart(i: number) {
		const next = studio.chosenParts.includes(i)
			? studio.chosenParts.filter((p) => p !== i)
			: [...studio.chosenParts, i].sort((a, b) => a - b);
		if (next.length === 0) return;
		studio.chosenParts = next;
		studio.openings = [];
		await studio.settle();
	}
	async function pressed(ray: Parameters<Studio['pick']>[0]) {
		if (mode === 'turn') return;
		const hit = await studio.pick(ray);
		if (!hit) return;
		if (mode === 'skin') await studio.addOpenFace(hit.triangle);
		else if (mode === 'pour') {
			await studio.turn(await studio.faceDirection(hit.triangle));
			mode = 'turn';
			said = 'The face that you pressed is the pour face now and points up.';
		} else {
			const before = traps.length;
			await studio.addOpening(mode, hit.point);
			const cured = before - (studio.traps?.traps.length ?? 0);
			said =
				cured > 0
					? `That cures ${cured === 1 ? 'one pocket' : `${cured} pockets`}.`
					: 'No pocket is cured by it: set it where the pocket is highest.';
		}
	}
	const same = (a: Vec3, b: Vec3) => dot(a, b) > 0.999;
	const AXES: { label: string; up: [number, number, number] }[] = [
		{ label: 'As drawn', up: [0, 0, 1] },
		{ label: 'Head down', up: [0, 0, -1] },
		{ label: 'Left side', up: [1, 0, 0] },
		{ label: 'Right side', up: [-1, 0, 0] },
		{ label: 'Back', up: [0, 1, 0] },
		{ label: 'Face', up: [0, -1, 0] }
	];
	const still = () => scene?.still() ?? Promise.resolve(null);
	const check = 'flex min-h-[2.5rem] cursor-pointer items-center gap-2 font-semibold';
</script>

{#if studio.problem}<p class="slab mb-4 border-[1.5px] border-(--harm)! p-4 text-[1.1rem] font-semibold text-(--harm)" role="alert">
		{studio.problem}
	</p>{/if}
{#if studio.busy}
	<div class="slab mb-4 flex flex-wrap items-center gap-4 p-4" role="status">
		<span class="font-semibold">{studio.busy.what}</span>
		<progress class="h-3 min-w-[10rem] flex-1 accent-(--work)" max="1" value={studio.busy.share} aria-label={studio.busy.what}></progress>
		<Button color="alternative" onclick={() => studio.cancel()}>Stop</Button>
	</div>
{/if}
{#if !studio.drawn || !report}
	{#if !studio.busy}<DropZone onfile={(f) => void take(f)} />{/if}
{:else}
	{#if !studio.unitSettled}
		<section class="slab mb-4 border-l-[6px] border-l-(--hot)! p-4" aria-label="Unit of the file">
			<p class="mb-2 text-[1.15rem] font-bold">The file does not say its unit. How large is the piece, the longest way?</p>
			<div class="flex flex-wrap gap-3">
				{#each guesses as g (g.unit)}
					<Button size="lg" color={g.unit === 'mm' ? 'primary' : 'alternative'} onclick={() => void settleUnit(g.unit)}
						>{g.tall} <span class="ml-2 font-normal opacity-80">drawn in {g.unit}</span></Button>
				{/each}
			</div>
		</section>
	{/if}
	<div class="grid items-start gap-5 lg:grid-cols-[1fr_23rem]">
		<div class="flex min-w-0 flex-col gap-4">
			<section class="slab p-3">
				<div class="flex flex-wrap items-center gap-2" role="group" aria-label="Pouring position">
					{#each AXES as a (a.label)}
						<button
							type="button"
							aria-pressed={same(studio.up, a.up)}
							class="min-h-[2.6rem] cursor-pointer rounded-lg border-[1.5px] border-(--line-strong) px-3 font-semibold aria-pressed:bg-(--work) aria-pressed:text-(--work-ink)"
							onclick={() => void studio.turn(a.up)}>{a.label}</button>
					{/each}
					<Button class="min-h-[2.6rem]" onclick={() => void studio.search()} disabled={!!studio.busy}>Find the best</Button>
				</div>
				{#if studio.candidates.length > 0}
					<div class="mt-3 grid gap-3 sm:grid-cols-3">
						{#each studio.candidates as c, i (i)}
							<button
								type="button"
								aria-pressed={same(studio.up, c.up)}
								class="cursor-pointer rounded-lg border-[1.5px] border-(--line-strong) p-3 text-left aria-pressed:border-(--work) aria-pressed:bg-(--work-soft)"
								onclick={() => void studio.turn(c.up)}>
								<span class="label">{['Best', 'Second', 'Third'][i]}</span>
								<span class="block text-[1.3rem] font-bold"
									>{c.vents === 0 ? 'no pocket' : `${c.vents} vent${c.vents === 1 ? '' : 's'}`}</span>
								<span class="soft block text-[0.95rem]"
									>{units.show(c.trappedMl, 'volume')} of air, undercut {digits(100 * c.undercutShare, 0)} %, {units.show(
										c.undercutDepthMm,
										'length'
									)} deep</span>
							</button>
						{/each}
					</div>
				{/if}
				<div class="mt-3 h-[min(54vh,34rem)]">
					<ShapeView
						bind:scene
						mesh={studio.drawn}
						up={studio.up}
						traps={show === 'pockets' ? traps : []}
						cellMm={studio.traps?.cellMm ?? 1}
						{heights}
						{chosen}
						openings={studio.openings}
						{highlighted}
						parting={show === 'undercuts' ? studio.parting : undefined}
						cut={cutOn ? cut : undefined}
						fill={fillOn ? fill : undefined}
						{seeThrough}
						onpick={(ray) => void pressed(ray)}
						label="{studio.fileName} in its pouring position, {traps.length} pockets of air. Arrow keys turn it, plus and minus zoom, Home shows the whole, Enter presses the middle." />
				</div>
				<div class="mt-3 flex flex-wrap items-end gap-x-5 gap-y-2">
					<Segments
						label="Show"
						name="show"
						bind:value={show}
						options={[
							{ value: 'pockets', label: 'Air' },
							{ value: 'undercuts', label: 'Undercuts' }
						]} />
					<Segments
						label="A press on the piece sets a"
						name="mode"
						bind:value={mode}
						options={[
							{ value: 'turn', label: '(only turns)' },
							{ value: 'vent', label: 'vent' },
							{ value: 'sprue', label: 'sprue' },
							{ value: 'pour', label: 'pour face' },
							{ value: 'skin', label: 'open face' }
						]} />
				</div>
				<div class="mt-2 grid gap-x-6 gap-y-1 sm:grid-cols-3">
					<div>
						<label class={check}><input type="checkbox" class="size-5 rounded text-(--work)" bind:checked={fillOn} /> Resin rising</label>
						<input
							type="range"
							class="w-full accent-(--work)"
							min="0"
							max="1"
							step="0.01"
							bind:value={fill}
							disabled={!fillOn}
							aria-label="Level of the resin" />
						<p class="soft min-h-[1.4rem] text-[0.9rem]">
							{fillOn
								? `${units.show(level - heights[0], 'length')} of ${units.show(sizes[2], 'length')} full; ${traps.filter((t) => t.spillMm < level).length} shut off`
								: ''}
						</p>
					</div>
					<div>
						<label class={check}><input type="checkbox" class="size-5 rounded text-(--work)" bind:checked={cutOn} /> Cut open</label>
						<input
							type="range"
							class="w-full accent-(--work)"
							min="0"
							max="1"
							step="0.01"
							bind:value={cut}
							disabled={!cutOn}
							aria-label="Place of the cut" />
					</div>
					<label class={check}
						><input type="checkbox" class="size-5 rounded text-(--work)" bind:checked={seeThrough} /> See through it</label>
				</div>
				<p class="min-h-[1.5rem] font-semibold text-(--work)" role="status">{said}</p>
			</section>

			<section class="slab p-5">
				<h2>Undercuts and parting</h2>
				<p class="soft mb-2">For a two-part mould; the dark line in the view under “Undercuts” is where it parts.</p>
				<div class="flex flex-wrap gap-2">
					{#each [{ label: 'Opens along up', pull: undefined }, { label: 'Left and right', pull: [1, 0, 0] as const }, { label: 'Front and back', pull: [0, 1, 0] as const }, { label: 'Along its own height', pull: [0, 0, 1] as const }] as o (o.label)}
						<button
							type="button"
							aria-pressed={o.pull ? !!studio.pull && same(studio.pull, o.pull) : !studio.pull}
							class="min-h-[2.6rem] cursor-pointer rounded-lg border-[1.5px] border-(--line-strong) px-4 font-semibold aria-pressed:bg-(--work) aria-pressed:text-(--work-ink)"
							onclick={() => void studio.setPull(o.pull)}>{o.label}</button>
					{/each}
				</div>
				{#if studio.undercuts && advice}
					<p class="mt-3 text-[1.3rem] font-bold">
						{digits(100 * studio.undercuts.share, 0)} % undercut, {units.show(studio.undercuts.depthMm, 'length')} deep
					</p>
					<p>{advice}</p>
				{/if}
			</section>
		</div>

		<aside class="flex flex-col gap-4">
			<section class="slab flex flex-col gap-3 p-5" aria-live="polite">
				<Answer
					label="Volume of one copy"
					value={units.show(report.volumeMl, 'volume')}
					note={`${units.other(report.volumeMl, 'volume')}${report.doubtShare ? ` · ± ${digits(100 * report.doubtShare, 0)} %` : ''}`} />
				<p class="min-h-[1.6rem]">
					{#if studio.traps}<strong>{units.show(sizes[2], 'length')} tall</strong> as it is poured, {units.show(sizes[0], 'length')} × {units.show(
							sizes[1],
							'length'
						)}{:else}<span class="soft">Looking at it in its pouring position.</span>{/if}
				</p>
				<p class="soft text-[0.95rem]">
					{report.triangles.toLocaleString('en-GB')} triangles, {report.watertight ? 'closed' : `${report.openEdges} open edges`}, {report.shells}
					{report.shells === 1 ? 'body' : 'bodies'}
				</p>
				<Warnings warnings={report.warnings} />
			</section>
			<section class="slab p-5">
				<h2>
					{!studio.traps
						? 'Looking for pockets of air'
						: traps.length === 0
							? 'No air stays'
							: `Air stays in ${traps.length === 1 ? 'one place' : `${traps.length} places`}`}
				</h2>
				{#if traps.length > 0}
					<table class="bench mt-1">
						<thead><tr><th>Pocket</th><th class="num">Air</th><th class="num">Deep</th><th></th></tr></thead>
						<tbody>
							{#each traps.slice(0, 12) as t, i (i)}
								<tr class={chosen === i ? 'bg-(--hot-soft)' : ''}>
									<td
										><button
											type="button"
											class="plain min-h-[2.2rem] cursor-pointer font-semibold"
											aria-pressed={chosen === i}
											onclick={() => (chosen = chosen === i ? undefined : i)}>{i + 1}</button
										></td>
									<td class="num font-bold">{units.show(t.volumeMl, 'volume')}</td>
									<td class="num">{units.show(t.depthMm, 'length')}</td>
									<td class="num"
										><Button
											size="xs"
											color="alternative"
											aria-label="Vent pocket {i + 1}"
											onclick={() => void studio.addOpening('vent', t.apex)}>Vent it</Button
										></td>
								</tr>
							{/each}
						</tbody>
					</table>
					{#if traps.length > 12}<p class="soft mt-1">and {traps.length - 12} smaller ones.</p>{/if}
					<p class="soft mt-1 text-[0.87rem]">
						To ± {units.show(
							traps.reduce((s, t) => s + t.errorMl, 0),
							'volume'
						)} on a grid of {units.show(studio.traps?.cellMm, 'length')}.
					</p>
				{:else if studio.traps}<p class="soft">Nothing sticks up away from the pour face in this position.</p>{/if}
				{#if studio.openings.length > 0}
					<h2 class="mt-4">Openings</h2>
					<ul>
						{#each studio.openings as o, i (i)}
							<li class="flex items-center justify-between gap-2 border-t border-(--line) py-1">
								<span>{o.kind} {i + 1}</span>
								<Button size="xs" color="alternative" aria-label="Remove {o.kind} {i + 1}" onclick={() => void studio.removeOpening(i)}
									>Remove</Button>
							</li>
						{/each}
					</ul>
				{/if}
				{#each studio.ceilings.slice(0, 3) as c, i (i)}
					<p class="mt-2 text-(--hot)">
						A nearly level ceiling of {units.show(c.areaMm2, 'area')} gathers bubbles: tilt it {digits(c.tiltDeg, 0)}° more.
					</p>
				{/each}
				{#if studio.ceilings.length > 3}<p class="soft">and {studio.ceilings.length - 3} smaller ceilings.</p>{/if}
			</section>
			<section class="slab p-5">
				<h2>Skin and sections</h2>
				<dl class="mt-1 grid grid-cols-2 gap-3">
					<div>
						<dt class="soft text-[0.9rem]">Skin to rotocast</dt>
						<dd class="text-[1.2rem] font-bold">{units.show(studio.skinMm2 ?? report.areaMm2, 'area')}</dd>
					</div>
					<div>
						<dt class="soft text-[0.9rem]">Left open</dt>
						<dd class="text-[1.2rem] font-bold">
							{studio.openFaces.length === 0
								? 'nothing'
								: units.show(
										studio.openFaces.reduce((s, f) => s + f.areaMm2, 0),
										'area'
									)}
						</dd>
					</div>
					{#if studio.sections}
						<div>
							<dt class="soft text-[0.9rem]">Thickest</dt>
							<dd class="text-[1.2rem] font-bold">{units.show(studio.sections.thickestMm, 'length')}</dd>
						</div>
						<div>
							<dt class="soft text-[0.9rem]">Thinnest</dt>
							<dd class="text-[1.2rem] font-bold">{units.show(studio.sections.thinnestMm, 'length')}</dd>
						</div>
					{/if}
				</dl>
				{#if studio.sections}<p class="soft mt-1 text-[0.87rem]">
						Estimates, good to about {units.show(2 * studio.sections.cellMm, 'length')}.
					</p>{/if}
			</section>
			<section class="slab p-5">
				<h2>The file</h2>
				<p class="soft break-words">{studio.fileName}, in {studio.unit}{studio.scale === 1 ? '' : ` × ${digits(studio.scale, 3)}`}</p>
				{#if studio.parts.length > 1}
					<fieldset class="mt-2 max-h-44 overflow-y-auto">
						<legend class="label">Parts that belong to the piece</legend>
						{#each studio.parts as part, i (i)}
							<label class={check}
								><input
									type="checkbox"
									class="size-5 accent-(--work)"
									checked={studio.chosenParts.includes(i)}
									onchange={() => void togglePart(i)} />
								{part.name} <span class="soft font-normal">{part.triangles.toLocaleString('en-GB')}</span></label>
						{/each}
					</fieldset>
				{/if}
				<div class="mt-2 grid grid-cols-[1fr_auto] items-start gap-3">
					<QuantityField label="Make it this tall" kind="length" name="tallMm" bind:value={tallMm} />
					<Button color="alternative" class="mt-[1.62rem] min-h-[2.75rem]" onclick={() => void scaleTo()}>Scale</Button>
				</div>
				<DropZone small onfile={(f) => void take(f)} />
			</section>
			{@render keep(studio, still)}
		</aside>
	</div>
{/if}
