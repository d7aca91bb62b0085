<script lang="ts">
	import { Button } from 'flowbite-svelte';
	import MasterForm from '$lib/ui/MasterForm.svelte';
	import PageHead from '$lib/ui/PageHead.svelte';
	import Tag from '$lib/ui/Tag.svelte';

	let { data } = $props();
	const active = $derived(data.moulds.some((m) => m.state === 'active'));
</script>

<PageHead title={data.master.record.name} about="Master">
	{#snippet actions()}
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
{#key data.master.id}
	<MasterForm data={data.form} photoId={data.master.photoId} submit="Save changes" />
{/key}
