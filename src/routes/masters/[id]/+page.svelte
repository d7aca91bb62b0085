<script lang="ts">
	import { Button } from 'flowbite-svelte';
	import MasterForm from '$lib/ui/MasterForm.svelte';
	import PieceFace from '$lib/ui/PieceFace.svelte';
	import PageHead from '$lib/ui/PageHead.svelte';
	import Tag from '$lib/ui/Tag.svelte';
	import { digits } from '$lib/core/units';
	import { useUnits } from '$lib/ui/units.svelte';

	let { data } = $props();
	const units = useUnits();
	const shape = $derived(data.master.record.shape);
	const traps = $derived(data.master.record.traps);
	const active = $derived(data.moulds.some((m) => m.state === 'active'));
</script>

<PageHead title={data.master.record.name} about="Master">
	{#snippet face()}<PieceFace {...data.face} rem={5} alt={data.master.record.name} />{/snippet}
	{#snippet actions()}
		<Button href="/masters/{data.master.id}/shape" size="lg" color="alternative">{shape ? 'Its 3D file' : 'Add a 3D file'}</Button>
		<Button href="/masters/{data.master.id}/look" size="lg" color="alternative">Look it over</Button>
		<Button href="/moulds/new?master={data.master.id}" size="lg" color={active ? 'alternative' : 'primary'}>Plan a mould</Button>
		{#if active}<Button href="/shots/new?master={data.master.id}" size="lg">Size a shot</Button>{/if}
	{/snippet}
</PageHead>
{#if data.moulds.length > 0}
	<p class="mb-4 flex flex-wrap items-center gap-3">
		<span class="label">Moulds</span>
		{#each data.moulds as mould (mould.id)}
			<a class="plain font-semibold" href="/moulds/{mould.id}">M{mould.number} {mould.label}</a><Tag word={mould.state} />
		{/each}
	</p>
{/if}
{#if traps.length > 0 || shape}
	<section class="slab mb-5 grid gap-x-8 gap-y-3 p-5 sm:grid-cols-[auto_1fr]" aria-label="As it is poured">
		{#if shape}
			<dl class="grid h-fit grid-cols-2 gap-x-6 gap-y-2">
				<div>
					<dt class="soft text-[0.9rem]">Air that stays</dt>
					<dd class="text-[1.3rem] font-bold">{units.show(shape.findings.trappedMl, 'volume')}</dd>
				</div>
				<div>
					<dt class="soft text-[0.9rem]">Undercut</dt>
					<dd class="text-[1.3rem] font-bold">{digits(100 * shape.findings.undercutShare, 0)} %</dd>
				</div>
				<div>
					<dt class="soft text-[0.9rem]">Thickest</dt>
					<dd class="text-[1.3rem] font-bold">{units.show(shape.findings.thickestMm, 'length')}</dd>
				</div>
				<div>
					<dt class="soft text-[0.9rem]">Skin</dt>
					<dd class="text-[1.3rem] font-bold">{units.show(shape.findings.skinAreaMm2, 'area')}</dd>
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
{#key data.master.id}
	<MasterForm
		data={data.form}
		densities={data.densities}
		rubbers={data.rubbers}
		releases={data.releases}
		experiences={data.experiences}
		photoId={data.master.photoId}
		submit="Save changes" />
{/key}
