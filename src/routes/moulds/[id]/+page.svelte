<script lang="ts">
	import { enhance } from '$app/forms';
	import { Button } from 'flowbite-svelte';
	import { counted, wallTime } from '$lib/ui/clockText';
	import MouldForm from '$lib/ui/MouldForm.svelte';
	import PageHead from '$lib/ui/PageHead.svelte';
	import PullTable from '$lib/ui/PullTable.svelte';
	import Tag from '$lib/ui/Tag.svelte';

	let { data, form } = $props();
	const mould = $derived(data.mould);
	const KINDS = { 'one-piece': 'One-piece block', 'open-face': 'Open-face block', 'two-part': 'Two-part block' };
	const refused = $derived(form && 'refused' in form ? (form.refused as string) : '');
	const words = { active: 'Take it into use', retired: 'Retire it', new: '' };
	const backWords = { active: 'Take it back into use', retired: 'Retire it', new: '' };
</script>

<PageHead
	title="M{mould.number} {mould.label}"
	about="{KINDS[mould.inputs.kind ?? 'one-piece']} round {mould.masterName}, {counted(mould.pulls, 'pull')}">
	{#snippet actions()}
		{#if mould.state === 'new' && !mould.pouredAt}
			<form method="POST" action="?/pour" use:enhance>
				<input type="hidden" name="version" value={mould.version} /><Button type="submit" size="lg">Rubber is poured now</Button>
			</form>
		{/if}
		{#each data.next as state (state)}
			<form method="POST" action="?/state" use:enhance>
				<input type="hidden" name="version" value={mould.version} /><input type="hidden" name="state" value={state} />
				<Button type="submit" size="lg" color={state === 'active' && mould.pouredAt ? 'primary' : 'alternative'}
					>{mould.state === 'retired' ? backWords[state] : words[state]}</Button>
			</form>
		{/each}
		{#if mould.state === 'active'}<Button href="/shots/new?mould={mould.id}" size="lg">Size a shot</Button>{/if}
	{/snippet}
</PageHead>
{#if refused}<p class="mb-3 font-semibold text-(--harm)" role="alert">{refused}</p>{/if}
<p class="mb-4 flex flex-wrap items-center gap-3">
	<Tag word={mould.state} />
	{#if mould.pouredAt && mould.readyAt}
		<span>Poured {wallTime(mould.pouredAt.getTime(), data.nowMs)}, ready {wallTime(mould.readyAt.getTime(), data.nowMs)}</span>
	{:else}
		<span class="soft">The rubber is not poured yet.</span>
	{/if}
</p>
{#key mould.id}
	<MouldForm
		action="?/save&version={mould.version}"
		data={data.form}
		masters={data.masters}
		rubbers={data.rubbers}
		resins={data.resins}
		releases={data.releases}
		experiences={data.experiences}
		nowMs={data.nowMs}
		fixed={mould.pouredAt !== null}
		submit="Save changes" />
{/key}
{#if data.pulls.pulls.length > 0}
	<h2 class="mt-6 mb-2">Last pulls</h2>
	<PullTable pulls={data.pulls.pulls} nowMs={data.nowMs} showMould={false} />
	<p class="mt-2">
		<a class="plain" href="/ledger?mould={mould.id}"
			>{data.pulls.total === 1 ? 'Its one pull' : `All ${data.pulls.total} pulls`} in the ledger</a>
	</p>
{/if}
