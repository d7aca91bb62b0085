<script lang="ts">
	import { onMount } from 'svelte';
	import { enhance } from '$app/forms';
	import { invalidateAll } from '$app/navigation';
	import { Button } from 'flowbite-svelte';
	import { GRADE_WORDS, GRADES } from '$lib/core/bench';
	import { FAULTS } from '$lib/core/faults';
	import { FAULT_WORDS } from '$lib/core/faults';
	import ChoiceField from '$lib/ui/ChoiceField.svelte';
	import DayField from '$lib/ui/DayField.svelte';
	import Island from '$lib/ui/island/Island.svelte';
	import PageHead from '$lib/ui/PageHead.svelte';
	import PullTable from '$lib/ui/PullTable.svelte';
	import { staysOpen } from '$lib/ui/staysOpen';
	import TextField from '$lib/ui/TextField.svelte';
	import { watchBench } from '$lib/ui/watchBench';

	let { data, form } = $props();
	const filtered = $derived(Object.values(data.filter).some((v) => v !== ''));
	const query = (more: Record<string, string>) => {
		const all = { ...data.filter, sort: data.order.by, way: data.order.down ? '' : 'up', ...more };
		const plain = Object.entries(all).filter(([k, v]) => v !== '' && !(k === 'sort' && v === 'when'));
		return new URLSearchParams(plain as [string, string][]).toString();
	};
	const link = (page: number) => `/ledger?${query({ page: String(page) })}`;
	const sort = (by: string) => {
		const here = data.order.by === by;
		return {
			href: `/ledger?${query({ sort: by, way: here && data.order.down ? 'up' : '' })}`,
			mark: here ? (data.order.down ? 'falling' : 'rising') : ''
		};
	};
	// what was written into the ledger a moment ago may arrive after its page; what is typed into the filter stays
	onMount(() => watchBench(() => void invalidateAll()));
	const asked = $derived(JSON.stringify(data.filter));
	let f = $derived(JSON.parse(asked) as Record<string, string>);
	let more = $derived(['fault', 'resin', 'from', 'to'].some((key) => f[key]));

	/** j and k walk the rows, Enter opens one, / goes to the search, n and p turn the pages. */
	function key(event: KeyboardEvent) {
		const target = event.target as HTMLElement;
		if (event.ctrlKey || event.metaKey || event.altKey || target.closest('input, select, textarea')) return;
		const rows = [...document.querySelectorAll<HTMLAnchorElement>('a[data-pull]')];
		const at = rows.indexOf(document.activeElement as HTMLAnchorElement);
		if (event.key === 'j') rows[Math.min(rows.length - 1, at + 1)]?.focus();
		else if (event.key === 'k') rows[Math.max(0, at - 1)]?.focus();
		else if (event.key === '/') document.querySelector<HTMLInputElement>('input[name=text]')?.focus();
		else if (event.key === 'n') document.querySelector<HTMLAnchorElement>('a[data-next]')?.click();
		else if (event.key === 'p') document.querySelector<HTMLAnchorElement>('a[data-before]')?.click();
		else return;
		event.preventDefault();
	}
	const paper =
		'inline-flex min-h-[2.75rem] items-center rounded-lg border-[1.5px] border-(--line-strong) bg-(--paper) px-4 font-semibold hover:bg-(--work-soft)';
</script>

<svelte:window onkeydown={key} />
<PageHead
	title="Ledger"
	about="{data.total}{data.more ? ' and more' : ''} pulls{filtered ? ' found' : ''}{data.order.by === 'when' && data.order.down
		? ', newest first'
		: ''}">
	{#snippet actions()}
		<a class={paper} href="/ledger/yield">Yields</a>
		<a class={paper} href="/ledger/faults">What changes with what</a>
		<a class={paper} href="/ledger/export.csv?{query({})}" download>CSV of this view</a>
		<a class={paper} href="/ledger/import">Old notebook in</a>
	{/snippet}
</PageHead>
{#if data.views.length > 0}
	<ul class="mb-3 flex flex-wrap items-center gap-2" aria-label="Kept views">
		{#each data.views as view (view.id)}
			<li class="flex items-center rounded-full border-[1.5px] border-(--line-strong) bg-(--paper) pl-4">
				<a class="plain py-1.5 font-semibold" href="/ledger?{view.query}">{view.name}</a>
				<form method="POST" action="?/forgetView" use:enhance>
					<input type="hidden" name="id" value={view.id} />
					<button type="submit" class="min-h-[2.4rem] cursor-pointer px-3 font-bold" aria-label="Forget the view {view.name}">×</button>
				</form>
			</li>
		{/each}
	</ul>
{/if}
<form method="GET" class="no-print">
	<Island>
		<div class="grid items-start gap-x-4 sm:grid-cols-[2fr_2fr_1fr_auto]">
			<TextField label="Piece, resin, label, lot or note" name="text" bind:value={f['text']} />
			<ChoiceField
				label="Mould"
				name="mould"
				bind:value={f['mould']}
				options={[{ value: '', label: 'All moulds' }, ...data.moulds.map((m) => ({ value: m.id, label: `M${m.number} ${m.label}` }))]} />
			<ChoiceField
				label="Grade"
				name="grade"
				bind:value={f['grade']}
				options={[{ value: '', label: 'All' }, ...GRADES.map((value) => ({ value: value as string, label: GRADE_WORDS[value] }))]} />
			<Button type="submit" color="alternative" class="min-h-[2.75rem] sm:mt-6">Show these</Button>
		</div>
	</Island><Island>
		<details bind:open={more} {@attach staysOpen}>
			<summary class="w-fit font-semibold">Fault, resin, days</summary>
			<div class="mt-1 grid items-start gap-x-4 sm:grid-cols-4">
				<ChoiceField
					label="Fault"
					name="fault"
					bind:value={f['fault']}
					options={[
						{ value: '', label: 'Any or none' },
						...FAULTS.map((value) => ({ value: value as string, label: FAULT_WORDS[value] }))
					]} />
				<ChoiceField
					label="Resin"
					name="resin"
					bind:value={f['resin']}
					options={[{ value: '', label: 'All resins' }, ...data.resins.map((value) => ({ value, label: value }))]} />
				<DayField label="From" name="from" bind:value={f['from']} />
				<DayField label="To" name="to" bind:value={f['to']} />
			</div>
		</details>
	</Island>
</form>
<div class="mt-3">
	<Island>
		{#if data.pulls.length === 0}
			<p class="slab p-8 text-[1.15rem]">
				{filtered ? 'No pull fits that.' : 'Nothing was pulled yet. Every finished pour is written here by itself.'}
			</p>
		{:else}
			<PullTable pulls={data.pulls} nowMs={data.nowMs} {sort} />
			<nav class="mt-3 flex flex-wrap items-center gap-4" aria-label="Pages">
				{#if data.page > 1}<a class="plain font-semibold" data-before href={link(data.page - 1)}>Newer</a>{/if}
				<span class="soft">Page {data.page} of {data.pages}{data.more ? ' and more' : ''}</span>
				{#if data.page < data.pages || (data.more && data.isFull)}<a class="plain font-semibold" data-next href={link(data.page + 1)}
						>Older</a
					>{/if}
				<span class="soft ml-auto text-[0.93rem]">Keys: j and k walk, Enter opens, / searches, n and p turn</span>
			</nav>
		{/if}
	</Island>
</div>
<form method="POST" action="?/keepView&{query({})}" use:enhance class="no-print mt-4 flex flex-wrap items-start gap-3">
	<div class="w-64">
		<TextField
			label="Keep this view as"
			name="name"
			value=""
			error={form && 'viewProblem' in form && form.viewProblem ? [String(form.viewProblem)] : undefined} />
	</div>
	<Button type="submit" color="alternative" class="mt-6 min-h-[2.75rem]">Keep it</Button>
	<span role="status" class="mt-[2rem] font-semibold text-(--work)">{form && 'viewKept' in form ? `Kept as ${form.viewKept}.` : ''}</span>
</form>
