<script lang="ts">
	import { Button } from 'flowbite-svelte';
	import { cupVolumeMl, flashOffS, isPaintable } from '$lib/core/shelf';
	import { digits } from '$lib/core/units';
	import PieceFace from '$lib/ui/PieceFace.svelte';
	import PageHead from '$lib/ui/PageHead.svelte';
	import { useUnits } from '$lib/ui/units.svelte';
	import Material from '$lib/ui/shelf/Material.svelte';
	import ShelfList from '$lib/ui/shelf/ShelfList.svelte';
	import type { Column } from '$lib/ui/table/tableView.svelte';

	let { data } = $props();
	const units = useUnits();
	const PARTS = {
		resins: 'Resins',
		tins: 'Tins',
		rubbers: 'Rubbers',
		fillers: 'Fillers',
		colours: 'Colours',
		releases: 'Releases',
		thermoplastics: 'Thermoplastics',
		castables: 'Plaster, wax, soap',
		cups: 'Cups'
	};
	const big = 'text-[1.15rem] font-bold';

	type Resin = (typeof data.resins)[number];
	type Tin = (typeof data.tins)[number];
	type Rubber = (typeof data.rubbers)[number];
	type Filler = (typeof data.fillers)[number];
	type Release = (typeof data.releases)[number];
	type Thermoplastic = (typeof data.thermoplastics)[number];
	type Castable = (typeof data.castables)[number];
	type Cup = (typeof data.cups)[number];
	type Colour = (typeof data.colours)[number] | (typeof data.recipes)[number];

	const ofResins: Column<Resin>[] = [
		{ key: 'name', label: 'Resin', value: (r) => `${r.record.name} ${r.record.family}`, always: true },
		{ key: 'pot', label: 'Pot life', value: (r) => r.record.potLifeS ?? r.record.referenceGelS ?? null, num: true },
		{ key: 'demould', label: 'Demould', value: (r) => r.record.demouldS, num: true },
		{ key: 'sets', label: 'Sets', value: (r) => r.record.character },
		{ key: 'weight', label: 'A : B by weight', value: (r) => r.ratios?.weightB ?? null, num: true },
		{ key: 'volume', label: 'A : B by volume', value: (r) => r.ratios?.volumeB ?? null, num: true },
		{ key: 'viscosity', label: 'Viscosity', value: (r) => r.record.viscosityMpaS, num: true }
	];
	const ofTins: Column<Tin>[] = [
		{ key: 'name', label: 'Tin', value: (t) => `${t.materialName} ${t.record.part}`, always: true },
		{ key: 'lot', label: 'Lot', value: (t) => t.record.lot },
		{ key: 'left', label: 'Left', value: (t) => (t.emptied ? 0 : t.remainingG), num: true },
		{ key: 'open', label: 'Open for', value: (t) => t.health.openDays ?? null, num: true },
		{ key: 'openings', label: 'Openings', value: (t) => t.openings, num: true },
		{ key: 'state', label: 'State', value: (t) => `${t.health.level} ${t.health.reasons.join(' ')}` }
	];
	const ofRubbers: Column<Rubber>[] = [
		{ key: 'name', label: 'Rubber', value: (r) => `${r.record.name} ${r.record.cureKind} ${r.record.use}`, always: true },
		{ key: 'work', label: 'Working time', value: (r) => r.record.workingTimeS, num: true },
		{ key: 'demould', label: 'Demould', value: (r) => r.record.cureTimeS, num: true },
		{ key: 'ratio', label: 'A : B', value: (r) => r.record.ratioB / r.record.ratioA, num: true },
		{ key: 'density', label: 'Density', value: (r) => r.record.densityGPerMl, num: true },
		{ key: 'viscosity', label: 'Viscosity', value: (r) => r.record.viscosityMpaS, num: true },
		{ key: 'shore', label: 'Shore A', value: (r) => r.record.shoreA ?? null, num: true }
	];
	const ofFillers: Column<Filler>[] = [
		{ key: 'name', label: 'Filler', value: (f) => `${f.record.name} ${f.record.family}`, always: true },
		{ key: 'solid', label: 'Solid', value: (f) => f.record.densityGPerMl, num: true },
		{ key: 'loose', label: 'Loose', value: (f) => f.record.bulkDensityGPerMl, num: true },
		{ key: 'grain', label: 'Grain', value: (f) => f.record.grainMm ?? null, num: true }
	];
	const into = (c: Colour) =>
		'doses' in c.record
			? (data.resins.find((r) => r.id === ('resinId' in c.record ? c.record.resinId : ''))?.record.name ?? '')
			: c.record.side;
	const ofColours: Column<Colour>[] = [
		{ key: 'name', label: 'Colour', value: (c) => `${c.record.name} ${'doses' in c.record ? 'recipe' : c.record.kind}`, always: true },
		{ key: 'into', label: 'Goes into', value: into },
		{ key: 'density', label: 'Density', value: (c) => ('doses' in c.record ? null : c.record.densityGPerMl), num: true },
		{ key: 'most', label: 'At most', value: (c) => ('doses' in c.record ? null : (c.record.mostPercent ?? null)), num: true }
	];
	const ofReleases: Column<Release>[] = [
		{ key: 'name', label: 'Release', value: (r) => `${r.record.name} ${r.record.kind}`, always: true },
		{ key: 'flash', label: 'Flashes off in', value: (r) => flashOffS(r.record), num: true },
		{ key: 'paint', label: 'Paint holds', value: (r) => (isPaintable(r.record) ? 'yes, once wiped' : 'no') }
	];
	const ofCastables: Column<Castable>[] = [
		{ key: 'name', label: 'Material', value: (c) => `${c.record.name} ${c.record.sort}`, always: true },
		{ key: 'takes', label: 'Water, or poured at', value: (c) => c.record.waterPerPowder ?? c.record.pourTempC ?? null, num: true },
		{ key: 'pours', label: 'Pours for', value: (c) => c.record.workS, num: true },
		{ key: 'out', label: 'Comes out after', value: (c) => c.record.demouldS, num: true }
	];
	const ofCups: Column<Cup>[] = [
		{ key: 'name', label: 'Cup', value: (c) => c.record.name, always: true },
		{ key: 'holds', label: 'Holds', value: (c) => cupVolumeMl(c.record, c.record.heightMm), num: true },
		{ key: 'scale', label: 'Its scale', value: (c) => c.record.graduated }
	];
	const ofThermoplastics: Column<Thermoplastic>[] = [
		{ key: 'name', label: 'Thermoplastic', value: (t) => t.record.name, always: true },
		{ key: 'softens', label: 'Softens at', value: (t) => t.record.softenTempC, num: true },
		{ key: 'cools', label: 'Cools for', value: (t) => t.record.coolS, num: true }
	];
</script>

<PageHead title="Shelf" about="What you work with, as the sheets describe it. The sheet of your own batch comes first.">
	{#snippet actions()}<Button href="/shelf/meets" color="alternative" size="lg">What may touch what</Button>{/snippet}
</PageHead>
<nav class="mb-5 flex flex-wrap gap-2" aria-label="Parts of the shelf">
	{#each Object.entries(PARTS) as [id, label] (id)}
		<a class="tag min-h-[2.4rem] px-4! no-underline" href="#{id}">{label}</a>
	{/each}
</nav>

<ShelfList
	id="resins"
	title="Resins"
	columns={ofResins}
	rows={data.resins}
	none="No resin yet."
	add={{ label: 'Add a resin', href: '/shelf/resins/new' }}>
	{#snippet cell({ id, record, ratios }, key)}
		{#if key === 'name'}<Material href="/shelf/resins/{id}" name={record.name} about={record.family} {record} />
		{:else if key === 'pot'}<span class={big}>{units.show(record.potLifeS ?? record.referenceGelS, 'time')}</span
			>{#if record.potLifeS === undefined}<span class="soft block text-[0.85rem]">gel at {record.referencePercent} %</span>{/if}
		{:else if key === 'demould'}<span class={big}>{units.show(record.demouldS, 'time')}</span>
		{:else if key === 'sets'}{record.character}
		{:else if key === 'weight'}{ratios ? `100 : ${digits(ratios.weightB, 1)}` : `${digits(record.catalystPercent ?? 0)} % catalyst`}
		{:else if key === 'volume'}{ratios ? `100 : ${digits(ratios.volumeB, 1)}` : '–'}
		{:else}<span class="soft">{units.show(record.viscosityMpaS, 'viscosity')}</span>{/if}
	{/snippet}
</ShelfList>

<ShelfList
	id="tins"
	title="Tins in use"
	columns={ofTins}
	rows={data.tins}
	none="No tin is entered. With tins, pours book out what they take, and age and moisture are watched."
	add={{ label: 'Add a tin', href: '/shelf/containers/new' }}>
	{#snippet cell(tin, key)}
		{#if key === 'name'}<span class="flex items-center gap-3"
				><PieceFace photoId={tin.photoId} rem={2.4} /><span
					><a class="plain font-semibold" href="/shelf/containers/{tin.id}">{tin.materialName}</a>
					<strong>{tin.record.part === 'whole' ? '' : tin.record.part}</strong></span
				></span>
		{:else if key === 'lot'}<span class="soft">{tin.record.lot}</span>
		{:else if key === 'left'}<span class={[big, tin.low && 'underline decoration-2 underline-offset-4']}
				>{tin.emptied ? 'empty' : units.show(tin.remainingG, 'mass')}{#if tin.low}<span class="block text-[0.85rem] font-normal"
						>running out</span
					>{/if}</span>
		{:else if key === 'open'}{tin.health.openDays === undefined ? '–' : `${Math.round(tin.health.openDays)} d`}
		{:else if key === 'openings'}{tin.openings}
		{:else}{#if tin.health.level === 'fine'}fine{:else}<strong>{tin.health.level}</strong>: {tin.health.reasons.join(
					'; '
				)}{/if}{#if tin.rateFactor !== null}<span class="soft block text-[0.85rem]">× {digits(tin.rateFactor)} of its sheet</span>{/if}{/if}
	{/snippet}
</ShelfList>

<ShelfList
	below
	id="rubbers"
	title="Mould rubbers"
	columns={ofRubbers}
	rows={data.rubbers}
	none="No rubber yet."
	add={{ label: 'Add a rubber', href: '/shelf/rubbers/new' }}>
	{#snippet cell({ id, record }, key)}
		{#if key === 'name'}<Material
				href="/shelf/rubbers/{id}"
				name={record.name}
				about="{record.cureKind === 'addition' ? 'platinum (addition)' : 'tin (condensation)'}{record.use === 'pour'
					? ''
					: `, ${record.use}`}"
				{record} />
		{:else if key === 'work'}<span class={big}>{units.show(record.workingTimeS, 'time')}</span>
		{:else if key === 'demould'}<span class={big}>{units.show(record.cureTimeS, 'time')}</span>
		{:else if key === 'ratio'}{digits(record.ratioA)} : {digits(record.ratioB)} {record.ratioBy}
		{:else if key === 'density'}{units.show(record.densityGPerMl, 'density')}
		{:else if key === 'viscosity'}<span class="soft">{units.show(record.viscosityMpaS, 'viscosity')}</span>
		{:else}{record.shoreA ?? '–'}{/if}
	{/snippet}
</ShelfList>

<ShelfList
	below
	id="fillers"
	title="Fillers"
	columns={ofFillers}
	rows={data.fillers}
	none="No filler yet."
	add={{ label: 'Add a filler', href: '/shelf/fillers/new' }}>
	{#snippet cell({ id, record }, key)}
		{#if key === 'name'}<Material href="/shelf/fillers/{id}" name={record.name} about={record.family} {record} />
		{:else if key === 'solid'}{units.show(record.densityGPerMl, 'density')}
		{:else if key === 'loose'}{units.show(record.bulkDensityGPerMl, 'density')}
		{:else}<span class="soft">{record.grainMm === undefined ? '–' : units.show(record.grainMm, 'length')}</span>{/if}
	{/snippet}
</ShelfList>

<ShelfList
	below
	id="colours"
	title="Colours and recipes"
	columns={ofColours}
	rows={[...data.recipes, ...data.colours]}
	none="No colour yet."
	add={{ label: 'Add a colour', href: '/shelf/colours/new' }}>
	{#snippet beside()}<Button href="/shelf/recipes/new" color="alternative">Build up a recipe</Button>{/snippet}
	{#snippet cell(c, key)}
		{#if key === 'name'}
			{#if 'doses' in c.record}<Material
					href="/shelf/recipes/{c.id}"
					name={c.record.name}
					about="recipe in {c.record.doses.length} doses" />
			{:else}<Material href="/shelf/colours/{c.id}" name={c.record.name} about={c.record.kind} record={c.record} />{/if}
		{:else if key === 'into'}{into(c)}
		{:else if 'doses' in c.record}–
		{:else if key === 'density'}{units.show(c.record.densityGPerMl, 'density')}
		{:else}{c.record.mostPercent === undefined ? '–' : `${digits(c.record.mostPercent)} %`}{/if}
	{/snippet}
</ShelfList>

<ShelfList
	below
	id="releases"
	title="Releases and barriers"
	columns={ofReleases}
	rows={data.releases}
	none="No release yet."
	add={{ label: 'Add a release', href: '/shelf/releases/new' }}>
	{#snippet cell({ id, record }, key)}
		{#if key === 'name'}<Material href="/shelf/releases/{id}" name={record.name} about={record.kind} />
		{:else if key === 'flash'}<span class={big}>{flashOffS(record) === 0 ? 'at once' : units.show(flashOffS(record), 'time')}</span
			>{#if record.flashOffS === undefined}<span class="soft block text-[0.85rem]">a default</span>{/if}
		{:else}{isPaintable(record) ? 'yes, once wiped' : 'no'}{/if}
	{/snippet}
</ShelfList>

<ShelfList
	below
	id="thermoplastics"
	title="Re-meltable thermoplastics"
	columns={ofThermoplastics}
	rows={data.thermoplastics}
	none="None yet."
	add={{ label: 'Add a thermoplastic', href: '/shelf/thermoplastics/new' }}>
	{#snippet cell({ id, record }, key)}
		{#if key === 'name'}<Material href="/shelf/thermoplastics/{id}" name={record.name} {record} />
		{:else if key === 'softens'}{units.show(record.softenTempC, 'temperature')}
		{:else}{units.show(record.coolS, 'time')}{/if}
	{/snippet}
</ShelfList>

<ShelfList
	below
	id="castables"
	title="Plaster, wax, soap"
	columns={ofCastables}
	rows={data.castables}
	none="None yet: what is cast besides resin stands here."
	add={{ label: 'Add one', href: '/shelf/castables/new' }}>
	{#snippet beside()}{#if data.castables.length > 0}<Button href="/shots/castable" color="alternative">Cast one</Button>{/if}{/snippet}
	{#snippet cell({ id, record }, key)}
		{#if key === 'name'}<Material href="/shelf/castables/{id}" name={record.name} about={record.sort} />
		{:else if key === 'takes'}{record.waterPerPowder === undefined
				? units.show(record.pourTempC, 'temperature')
				: `${digits(record.waterPerPowder)} to one`}
		{:else if key === 'pours'}<span class={big}>{units.show(record.workS, 'time')}</span>
		{:else}{units.show(record.demouldS, 'time')}{/if}
	{/snippet}
</ShelfList>

<ShelfList
	below
	id="cups"
	title="Cups with marks"
	columns={ofCups}
	rows={data.cups}
	none="None yet: marks are given for a straight cup."
	add={{ label: 'Add a cup', href: '/shelf/cups/new' }}>
	{#snippet cell({ id, record }, key)}
		{#if key === 'name'}<Material href="/shelf/cups/{id}" name={record.name} />
		{:else if key === 'holds'}{units.show(cupVolumeMl(record, record.heightMm), 'volume')}
		{:else}{record.graduated === 'none' ? 'none' : record.graduated === 'ml' ? 'ml' : 'fl oz'}{/if}
	{/snippet}
</ShelfList>
