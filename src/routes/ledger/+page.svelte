<script lang="ts">
	import { Button } from 'flowbite-svelte';
	import { GRADES } from '$lib/core/pour';
	import ChoiceField from '$lib/ui/ChoiceField.svelte';
	import PageHead from '$lib/ui/PageHead.svelte';
	import PullTable from '$lib/ui/PullTable.svelte';
	import TextField from '$lib/ui/TextField.svelte';

	let { data } = $props();
	const link = (page: number) => {
		const entries = Object.entries({ ...data.filter, page: String(page) }).filter(([, v]) => v !== '');
		return `/ledger?${new URLSearchParams(entries)}`;
	};
	let mould = $derived(data.filter.mould);
	let grade = $derived(data.filter.grade);
	let text = $derived(data.filter.text);
</script>

<PageHead
	title="Ledger"
	about="{data.total} pulls{data.filter.mould || data.filter.grade || data.filter.text ? ' found' : ''}, newest first" />
<form method="GET" class="grid items-start gap-x-4 sm:grid-cols-[2fr_2fr_1fr_auto]">
	<TextField label="Piece, resin or label" name="text" bind:value={text} />
	<ChoiceField
		label="Mould"
		name="mould"
		bind:value={mould}
		placeholder="All moulds"
		options={data.moulds.map((m) => ({ value: m.id, label: `M${m.number} ${m.label}` }))} />
	<ChoiceField
		label="Grade"
		name="grade"
		bind:value={grade}
		placeholder="All"
		options={GRADES.map((value) => ({ value: value as string, label: value }))} />
	<Button type="submit" color="alternative" class="mt-[1.62rem] min-h-[2.75rem]">Find</Button>
</form>

{#if data.pulls.length === 0}
	<p class="slab p-8 text-lg">
		{data.filter.mould || data.filter.grade || data.filter.text
			? 'No pull fits that.'
			: 'Nothing was pulled yet. Every finished pour is written here by itself.'}
	</p>
{:else}
	<PullTable pulls={data.pulls} nowMs={data.nowMs} />
	<nav class="mt-3 flex items-center gap-4" aria-label="Pages">
		{#if data.page > 1}<a class="plain font-semibold" href={link(data.page - 1)}>Newer</a>{/if}
		<span class="soft">Page {data.page} of {data.pages}</span>
		{#if data.page < data.pages}<a class="plain font-semibold" href={link(data.page + 1)}>Older</a>{/if}
	</nav>
{/if}
