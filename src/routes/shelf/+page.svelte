<script lang="ts">
	import { Button } from 'flowbite-svelte';
	import { flashOffS, isPaintable } from '$lib/core/shelf';
	import { digits } from '$lib/core/units';
	import PieceFace from '$lib/ui/PieceFace.svelte';
	import PageHead from '$lib/ui/PageHead.svelte';
	import { useUnits } from '$lib/ui/units.svelte';
	import Unsaid from '$lib/ui/shelf/Unsaid.svelte';

	let { data } = $props();
	const units = useUnits();
</script>

<PageHead title="Shelf" about="What you work with, as the sheets describe it. The sheet of your own batch comes first.">
	{#snippet actions()}<Button href="/shelf/meets" color="alternative" size="lg">What may touch what</Button>{/snippet}
</PageHead>
<nav class="mb-5 flex flex-wrap gap-2" aria-label="Parts of the shelf">
	{#each [['resins', 'Resins'], ['tins', 'Tins'], ['rubbers', 'Rubbers'], ['fillers', 'Fillers'], ['colours', 'Colours'], ['releases', 'Releases'], ['thermoplastics', 'Thermoplastics']] as [id, label] (id)}
		<a class="tag min-h-[2.4rem] px-4! no-underline" href="#{id}">{label}</a>
	{/each}
</nav>

<section class="mb-7 scroll-mt-20" id="resins">
	<div class="mb-2 flex items-end justify-between">
		<h2>Resins</h2>
		<Button href="/shelf/resins/new">Add a resin</Button>
	</div>
	<div class="slab overflow-x-auto">
		<table class="bench">
			<thead
				><tr
					><th>Resin</th><th class="num">Pot life</th><th class="num">Demould</th><th>Sets</th><th class="num">A : B by weight</th><th
						class="num">A : B by volume</th
					><th class="num">Viscosity</th></tr
				></thead>
			<tbody>
				{#each data.resins as { id, record, ratios } (id)}
					<tr>
						<td
							><a class="plain font-semibold" href="/shelf/resins/{id}">{record.name}</a><br /><span class="soft text-[0.9rem]"
								>{record.family}</span
							><Unsaid {record} /></td>
						<td class="num text-[1.15rem] font-bold"
							>{units.show(record.potLifeS ?? record.referenceGelS, 'time')}{#if record.potLifeS === undefined}<span
									class="soft block text-[0.85rem] font-normal">gel at {record.referencePercent} %</span
								>{/if}</td>
						<td class="num text-[1.15rem] font-bold">{units.show(record.demouldS, 'time')}</td>
						<td>{record.character}</td>
						<td class="num">{ratios ? `100 : ${digits(ratios.weightB, 1)}` : `${digits(record.catalystPercent ?? 0)} % catalyst`}</td>
						<td class="num">{ratios ? `100 : ${digits(ratios.volumeB, 1)}` : '–'}</td>
						<td class="num soft">{units.show(record.viscosityMpaS, 'viscosity')}</td>
					</tr>
				{:else}<tr><td colspan="7" class="soft py-6!">No resin yet.</td></tr>{/each}
			</tbody>
		</table>
	</div>
</section>
<section class="mb-7 scroll-mt-20" id="tins">
	<div class="mb-2 flex items-end justify-between">
		<h2>Tins in use</h2>
		<Button href="/shelf/containers/new">Add a tin</Button>
	</div>
	<div class="slab overflow-x-auto">
		<table class="bench">
			<thead
				><tr><th>Tin</th><th>Lot</th><th class="num">Left</th><th class="num">Open for</th><th class="num">Openings</th><th>State</th></tr
				></thead>
			<tbody>
				{#each data.tins as tin (tin.id)}
					<tr>
						<td
							><span class="flex items-center gap-3"
								><PieceFace photoId={tin.photoId} rem={2.4} /><span
									><a class="plain font-semibold" href="/shelf/containers/{tin.id}">{tin.materialName}</a>
									<strong>{tin.record.part === 'whole' ? '' : tin.record.part}</strong></span
								></span
							></td>
						<td class="soft">{tin.record.lot}</td>
						<td class={['num text-[1.15rem] font-bold', tin.low && 'text-(--hot)']}
							>{tin.emptied ? 'empty' : units.show(tin.remainingG, 'mass')}{#if tin.low}<span class="block text-[0.85rem] font-normal"
									>running out</span
								>{/if}</td>
						<td class="num">{tin.health.openDays === undefined ? '–' : `${Math.round(tin.health.openDays)} d`}</td>
						<td class="num">{tin.openings}</td>
						<td
							>{#if tin.health.level === 'fine'}fine{:else}<strong class="text-(--hot)">{tin.health.level}</strong>: {tin.health.reasons.join(
									'; '
								)}{/if}{#if tin.rateFactor !== null}<span class="soft block text-[0.87rem]">× {digits(tin.rateFactor)} of its sheet</span
								>{/if}</td>
					</tr>
				{:else}<tr
						><td colspan="6" class="soft py-6!"
							>No tin is entered. With tins, pours book out what they take, and age and moisture are watched.</td
						></tr
					>{/each}
			</tbody>
		</table>
	</div>
</section>
<section class="scroll-mt-20" id="rubbers">
	<div class="mb-2 flex items-end justify-between">
		<h2>Mould rubbers</h2>
		<Button href="/shelf/rubbers/new">Add a rubber</Button>
	</div>
	<div class="slab overflow-x-auto">
		<table class="bench">
			<thead
				><tr
					><th>Rubber</th><th class="num">Working time</th><th class="num">Demould</th><th class="num">A : B</th><th class="num">Density</th
					><th class="num">Viscosity</th><th class="num">Shore A</th></tr
				></thead>
			<tbody>
				{#each data.rubbers as { id, record } (id)}
					<tr>
						<td
							><a class="plain font-semibold" href="/shelf/rubbers/{id}">{record.name}</a><br /><span class="soft text-[0.9rem]"
								>{record.cureKind === 'addition' ? 'platinum (addition)' : 'tin (condensation)'}{record.use === 'pour'
									? ''
									: `, ${record.use}`}</span
							><Unsaid {record} /></td>
						<td class="num text-[1.15rem] font-bold">{units.show(record.workingTimeS, 'time')}</td>
						<td class="num text-[1.15rem] font-bold">{units.show(record.cureTimeS, 'time')}</td>
						<td class="num">{digits(record.ratioA)} : {digits(record.ratioB)} {record.ratioBy}</td>
						<td class="num">{units.show(record.densityGPerMl, 'density')}</td>
						<td class="num soft">{units.show(record.viscosityMpaS, 'viscosity')}</td>
						<td class="num">{record.shoreA ?? '–'}</td>
					</tr>
				{:else}<tr><td colspan="7" class="soft py-6!">No rubber yet.</td></tr>{/each}
			</tbody>
		</table>
	</div>
</section>
<section class="mt-7 scroll-mt-20" id="fillers">
	<div class="mb-2 flex items-end justify-between">
		<h2>Fillers</h2>
		<Button href="/shelf/fillers/new">Add a filler</Button>
	</div>
	<div class="slab overflow-x-auto">
		<table class="bench">
			<thead><tr><th>Filler</th><th class="num">Solid</th><th class="num">Loose</th><th class="num">Grain</th></tr></thead>
			<tbody>
				{#each data.fillers as { id, record } (id)}
					<tr>
						<td
							><a class="plain font-semibold" href="/shelf/fillers/{id}">{record.name}</a><br /><span class="soft text-[0.9rem]"
								>{record.family}</span
							><Unsaid {record} /></td>
						<td class="num">{units.show(record.densityGPerMl, 'density')}</td>
						<td class="num">{units.show(record.bulkDensityGPerMl, 'density')}</td>
						<td class="num soft">{record.grainMm === undefined ? '–' : units.show(record.grainMm, 'length')}</td>
					</tr>
				{:else}<tr><td colspan="4" class="soft py-6!">No filler yet.</td></tr>{/each}
			</tbody>
		</table>
	</div>
</section>
<section class="mt-7 scroll-mt-20" id="colours">
	<div class="mb-2 flex flex-wrap items-end justify-between gap-2">
		<h2>Colours and recipes</h2>
		<span class="flex gap-2"
			><Button href="/shelf/recipes/new" color="alternative">Build up a recipe</Button><Button href="/shelf/colours/new"
				>Add a colour</Button
			></span>
	</div>
	<div class="slab overflow-x-auto">
		<table class="bench">
			<thead><tr><th>Colour</th><th>Goes into</th><th class="num">Density</th><th class="num">At most</th></tr></thead>
			<tbody>
				{#each data.recipes as { id, record } (id)}
					<tr>
						<td
							><a class="plain font-semibold" href="/shelf/recipes/{id}">{record.name}</a><br /><span class="soft text-[0.9rem]"
								>recipe in {record.doses.length} doses</span
							></td>
						<td colspan="3" class="soft">{data.resins.find((r) => r.id === record.resinId)?.record.name ?? ''}</td>
					</tr>
				{/each}
				{#each data.colours as { id, record } (id)}
					<tr>
						<td
							><a class="plain font-semibold" href="/shelf/colours/{id}">{record.name}</a><br /><span class="soft text-[0.9rem]"
								>{record.kind}</span
							><Unsaid {record} /></td>
						<td>{record.side}</td>
						<td class="num">{units.show(record.densityGPerMl, 'density')}</td>
						<td class="num">{record.mostPercent === undefined ? '–' : `${digits(record.mostPercent)} %`}</td>
					</tr>
				{:else}<tr><td colspan="4" class="soft py-6!">No colour yet.</td></tr>{/each}
			</tbody>
		</table>
	</div>
</section>
<section class="mt-7 scroll-mt-20" id="releases">
	<div class="mb-2 flex items-end justify-between">
		<h2>Releases and barriers</h2>
		<Button href="/shelf/releases/new">Add a release</Button>
	</div>
	<div class="slab overflow-x-auto">
		<table class="bench">
			<thead><tr><th>Release</th><th class="num">Flashes off in</th><th>Paint holds</th></tr></thead>
			<tbody>
				{#each data.releases as { id, record } (id)}
					<tr>
						<td
							><a class="plain font-semibold" href="/shelf/releases/{id}">{record.name}</a><br /><span class="soft text-[0.9rem]"
								>{record.kind}</span
							></td>
						<td class="num text-[1.15rem] font-bold"
							>{flashOffS(record) === 0 ? 'at once' : units.show(flashOffS(record), 'time')}{#if record.flashOffS === undefined}<span
									class="soft block text-[0.85rem] font-normal">a default</span
								>{/if}</td>
						<td>{isPaintable(record) ? 'yes, once wiped' : 'no'}</td>
					</tr>
				{:else}<tr><td colspan="3" class="soft py-6!">No release yet.</td></tr>{/each}
			</tbody>
		</table>
	</div>
</section>
<section class="mt-7 scroll-mt-20" id="thermoplastics">
	<div class="mb-2 flex items-end justify-between">
		<h2>Re-meltable thermoplastics</h2>
		<Button href="/shelf/thermoplastics/new">Add a thermoplastic</Button>
	</div>
	<div class="slab overflow-x-auto">
		<table class="bench">
			<thead><tr><th>Thermoplastic</th><th class="num">Softens at</th><th class="num">Cools for</th></tr></thead>
			<tbody>
				{#each data.thermoplastics as { id, record } (id)}
					<tr>
						<td><a class="plain font-semibold" href="/shelf/thermoplastics/{id}">{record.name}</a><Unsaid {record} /></td>
						<td class="num">{units.show(record.softenTempC, 'temperature')}</td>
						<td class="num">{units.show(record.coolS, 'time')}</td>
					</tr>
				{:else}<tr><td colspan="3" class="soft py-6!">None yet.</td></tr>{/each}
			</tbody>
		</table>
	</div>
</section>
