<script lang="ts">
	import { Button } from 'flowbite-svelte';
	import Answer from '$lib/ui/Answer.svelte';
	import { counted } from '$lib/ui/clockText';
	import { drafts } from '$lib/ui/draft/drafts.svelte';
	import MasterForm from '$lib/ui/MasterForm.svelte';
	import PieceFace from '$lib/ui/PieceFace.svelte';
	import PageHead from '$lib/ui/PageHead.svelte';
	import { staysOpen } from '$lib/ui/staysOpen';
	import Tag from '$lib/ui/Tag.svelte';
	import { digits } from '$lib/core/units';
	import { useUnits } from '$lib/ui/units.svelte';

	let { data, form } = $props();
	const units = useUnits();
	const record = $derived(data.master.record);
	const isUnmeasured = $derived(data.master.volumeMl === null);
	const isOffered = $derived(drafts.offers.length > 0);
	const isAnswered = $derived(form !== null);
	/** Not hidden: a piece that nobody measured, what was refused or left unfinished. What was unfolded stays so until one of them changes. */
	let recordOpen = $derived(isUnmeasured || isOffered || isAnswered);
	const shape = $derived(data.master.record.shape);
	const used = $derived(data.master.record.readings[data.master.record.used]);
	const band = $derived(used?.method === 'mesh' ? used.pictured : undefined);
	const traps = $derived(data.master.record.traps);
	const active = $derived(data.moulds.some((m) => m.state === 'active'));
</script>

<PageHead title={data.master.record.name} about="Master">
	{#snippet actions()}
		<Button href="/masters/{data.master.id}/shape" size="lg" color="alternative">{shape ? 'Its 3D file' : 'Add a 3D file'}</Button>
		{#if !shape}<Button href="/masters/{data.master.id}/pictures" size="lg" color="alternative">Measure with pictures</Button>{/if}
		<Button href="/masters/{data.master.id}/look" size="lg" color="alternative">Look it over</Button>
		<Button href="/moulds/new?master={data.master.id}" size="lg" color={active ? 'alternative' : 'primary'}>Plan a mould</Button>
		{#if active}<Button href="/shots/new?master={data.master.id}" size="lg">Size a shot</Button>{/if}
	{/snippet}
</PageHead>
<div class="mb-5 grid items-start gap-5 lg:grid-cols-[1fr_1fr]">
	<section class="slab flex flex-wrap items-center gap-6 p-5 sm:flex-nowrap" aria-label="One copy">
		<PieceFace {...data.face} rem={9} alt={record.name} />
		<div>
			{#if data.master.volumeMl === null}
				<Answer label="Volume of one copy" value="not known" note="Its mould is planned for the most rubber; water tells it." />
			{:else}
				<Answer
					label="Volume of one copy"
					value={units.show(data.master.volumeMl, 'volume')}
					note={band
						? `between ${units.show(data.master.volumeMl * (1 - band.lowShare), 'volume')} and ${units.show(data.master.volumeMl * (1 + band.highShare), 'volume')}, from ${band.pictures} pictures`
						: units.other(data.master.volumeMl, 'volume')} />
			{/if}
			<p class="mt-2">
				{record.footprint === 'round' ? '⌀ ' : ''}{units.show(record.lengthMm, 'length')}{record.footprint === 'round'
					? ''
					: ` × ${units.show(record.widthMm, 'length')}`} × {units.show(record.heightMm, 'length')} high, {record.material}
			</p>
		</div>
	</section>
	<section class="slab p-5" aria-label="Its moulds">
		<h2 class="mb-2">Its moulds</h2>
		<ul class="flex flex-col">
			{#each data.moulds as mould (mould.id)}
				<li class="flex flex-wrap items-center gap-3 border-t border-(--line) py-2 first:border-t-0">
					<a class="plain font-semibold break-words" href="/moulds/{mould.id}">M{mould.number} {mould.label}</a>
					<Tag word={mould.state} />
					<span class="soft ml-auto">{counted(mould.pulls, 'pull')}</span>
				</li>
			{:else}<li class="soft">None yet.</li>{/each}
		</ul>
	</section>
</div>
{#if traps.length > 0 || shape}
	<section class="slab mb-5 grid gap-x-8 gap-y-3 p-5 sm:grid-cols-[auto_1fr]" aria-label="As it is poured">
		{#if shape}
			<dl class="grid h-fit grid-cols-2 gap-x-6 gap-y-2">
				<div>
					<dt class="soft text-[0.93rem]">Air that stays</dt>
					<dd class="text-[1.4rem] font-bold">{units.show(shape.findings.trappedMl, 'volume')}</dd>
				</div>
				<div>
					<dt class="soft text-[0.93rem]">Undercut</dt>
					<dd class="text-[1.4rem] font-bold">{digits(100 * shape.findings.undercutShare, 0)} %</dd>
				</div>
				<div>
					<dt class="soft text-[0.93rem]">Thickest</dt>
					<dd class="text-[1.4rem] font-bold">{units.show(shape.findings.thickestMm, 'length')}</dd>
				</div>
				<div>
					<dt class="soft text-[0.93rem]">Skin</dt>
					<dd class="text-[1.4rem] font-bold">{units.show(shape.findings.skinAreaMm2, 'area')}</dd>
				</div>
			</dl>
		{/if}
		<div>
			<h2>{traps.length === 0 ? 'No air stays as it is poured' : 'Where air stays, and what helps'}</h2>
			<ul class="mt-1 grid gap-x-6 sm:grid-cols-2">
				{#each traps.slice(0, 8) as t, i (i)}
					<li class="flex items-baseline justify-between gap-3 border-t border-(--line) py-1">
						<span
							>{t.place}{#if t.volumeMl !== undefined}<span class="soft">, {units.show(t.volumeMl, 'volume')}</span>{/if}</span>
						<strong>{t.cure}</strong>
					</li>
				{/each}
			</ul>
			{#if traps.length > 8}<p class="soft">and {traps.length - 8} smaller ones.</p>{/if}
		</div>
	</section>
{/if}
{#if shape?.pictured && data.pictures.length > 0}
	<section class="slab mb-5 p-5" aria-label="Pictures that it was measured with">
		<h2 class="mb-2">Measured with {shape.pictured.pictures} pictures</h2>
		<ul class="flex gap-2 overflow-x-auto pb-1">
			{#each data.pictures as id, i (id)}<li class="shrink-0">
					<a href="/photos/{id}" target="_blank" rel="noopener"
						><img src="/photos/{id}" alt="Picture {i + 1}" loading="lazy" class="h-20 rounded-md" /></a>
				</li>{/each}
		</ul>
		<p class="mt-2"><a class="plain" href="/masters/{data.master.id}/pictures">Look at their outlines, or measure it again</a></p>
	</section>
{/if}
<details bind:open={recordOpen} {@attach staysOpen}>
	<summary class="slab mb-3 px-4 py-3 text-[1.15rem] font-bold">How it was measured, and its record</summary>
	{#key data.master.id}
		<MasterForm
			data={data.form}
			densities={data.densities}
			rubbers={data.rubbers}
			releases={data.releases}
			experiences={data.experiences}
			submit="Keep the changes" />
	{/key}
</details>
