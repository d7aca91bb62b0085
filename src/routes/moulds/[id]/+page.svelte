<script lang="ts">
	import { MOULD_FAULT_WORDS, waterOffPercent } from '$lib/core/making';
	import { onMount } from 'svelte';
	import { enhance } from '$app/forms';
	import { invalidateAll } from '$app/navigation';
	import { Button } from 'flowbite-svelte';
	import FileDown from '@lucide/svelte/icons/file-down';
	import { costOf, inRubber, KIND_WORDS, MOULD_MODULES, type MouldState } from '$lib/core/mould';
	import { CLOCKS_CHANGED, counted, wallTime } from '$lib/ui/clockText';
	import { drafts } from '$lib/ui/draft/drafts.svelte';
	import Pictures from '$lib/ui/Pictures.svelte';
	import InUse from '$lib/ui/mould/InUse.svelte';
	import SpareRubber from '$lib/ui/mould/SpareRubber.svelte';
	import MouldForm from '$lib/ui/MouldForm.svelte';
	import PieceFace from '$lib/ui/PieceFace.svelte';
	import Island from '$lib/ui/island/Island.svelte';
	import PageHead from '$lib/ui/PageHead.svelte';
	import PullTable from '$lib/ui/PullTable.svelte';
	import Tag from '$lib/ui/Tag.svelte';
	import { useUnits } from '$lib/ui/units.svelte';

	let { data, form } = $props();
	const units = useUnits();
	const mould = $derived(data.mould);
	// who comes from its bench may be here before the last press has arrived
	onMount(() => {
		const arrived = () => void invalidateAll();
		window.addEventListener(CLOCKS_CHANGED, arrived);
		return () => window.removeEventListener(CLOCKS_CHANGED, arrived);
	});
	const said = (key: 'refused' | 'photoProblem') => (form && key in form ? String(form[key as keyof typeof form]) : '');
	/** What the button for each state says, by where the mould is. */
	function toState(to: MouldState): string {
		if (to === 'active') return mould.state === 'new' ? 'Take it into use' : 'Take it back into use';
		return { 'being-made': '', new: 'It is made', resting: 'Rest it', worn: 'It is worn', retired: 'Retire it' }[to];
	}
	const kind = $derived(mould.inputs.kind);
	const words = $derived(MOULD_MODULES[kind].words);
	const unmade = $derived(mould.state === 'new' && !mould.pouredAt && !mould.making);
	const family = $derived(data.others.filter((o) => o.masterId === mould.masterId && o.id !== mould.id));
	const before = $derived(data.others.find((o) => o.id === mould.predecessorId));
	const waiting = $derived(
		data.others
			.filter((o) => !o.poured && o.state === 'new' && o.rubberId && o.id !== mould.id)
			.map((o) => ({ id: o.id, label: `M${o.number} ${o.label}`, massG: o.massG, rubberId: o.rubberId! }))
	);
	const wasteG = $derived(costOf(mould.plan, {}, mould.inputs.lossPercent).wasteG);
	const paper =
		'inline-flex min-h-[2.75rem] items-center gap-2 rounded-lg border-[1.5px] border-(--line-strong) bg-(--paper) px-4 font-semibold hover:bg-(--work-soft)';
	/** What was typed and refused, or left unfinished, is not hidden. */
	let howOpen = $derived(drafts.offers.length > 0 || Boolean(form && 'form' in form));
	const inspected = $derived(mould.inspection);
	const off = $derived(
		inspected?.waterMl && mould.making?.masterVolumeMl ? waterOffPercent(inspected.waterMl, mould.making.masterVolumeMl) : undefined
	);
</script>

{#snippet making()}
	{#if mould.pouredAt && mould.readyAt}
		<p class="mb-3">
			{words.made}
			{wallTime(mould.pouredAt.getTime(), data.nowMs)}, ready {wallTime(mould.readyAt.getTime(), data.nowMs)}.
		</p>
	{/if}
	{#if data.weighed.length > 0}
		<section class="slab mb-4 p-4" aria-label="Really weighed">
			<h2 class="mb-1">Really weighed</h2>
			<ul>
				{#each data.weighed as w, i (i)}
					<li class="text-[1.15rem]">
						{w.title}: <strong>{units.show(w.weighedG, 'mass')}</strong> of {units.weighed(w.plannedG)} planned{w.ratioOffPercent !==
							undefined && Math.abs(w.ratioOffPercent) > 1
							? `, its ratio ${Math.abs(w.ratioOffPercent).toFixed(0)} % off`
							: ''}.
					</li>
				{/each}
			</ul>
		</section>
	{/if}
	{#if inspected}
		<section class="slab mb-4 p-4" aria-label="First look">
			<h2 class="mb-1">First look at it</h2>
			<p class="text-[1.15rem]">
				{#if inspected.waterMl}<strong>{units.show(inspected.waterMl, 'volume')} of water</strong>{#if off !== undefined}, {Math.abs(off) <
						0.5
							? 'as the master'
							: `${Math.abs(off).toFixed(1)} % ${off < 0 ? 'less' : 'more'} than the master`}{/if}.{/if}
				{inspected.faults.length > 0 ? `Found: ${inspected.faults.map((f) => MOULD_FAULT_WORDS[f]).join(', ')}.` : 'Nothing wrong with it.'}
				{inspected.note}
			</p>
			{#each data.cuts as cut, i (i)}
				<p class="font-semibold text-(--hot)">
					{cut.title}: cut short, {units.show(cut.waitedS, 'time')} of {units.show(cut.wantedS, 'time')}.
				</p>
			{/each}
		</section>
	{/if}
	{#key `${mould.id}-${mould.version}`}
		<MouldForm
			action="?/save&version={mould.version}"
			data={data.form}
			shelf={data.shelf}
			others={data.others}
			settings={data.settings}
			nowMs={data.nowMs}
			fixed={mould.pouredAt !== null || mould.making !== null}
			own={mould.id}
			submit="Keep the changes" />
	{/key}
{/snippet}
<PageHead title="M{mould.number} {mould.label}" about="{KIND_WORDS[kind]} round {mould.masterName}, {counted(mould.pulls, 'pull')}">
	{#snippet face()}<PieceFace {...data.face} rem={5} alt={mould.masterName} />{/snippet}
	{#snippet actions()}
		{#if unmade}
			<form method="POST" action="?/make" use:enhance><Button type="submit" size="lg">Make it, step by step</Button></form>
			{#if words.madeNow}
				<form method="POST" action="?/pour" use:enhance>
					<input type="hidden" name="version" value={mould.version} /><Button type="submit" size="lg" color="alternative"
						>{words.madeNow}</Button>
				</form>
			{/if}
		{/if}
		{#if mould.state === 'being-made'}<Button href="/moulds/{mould.id}/make" size="lg">Go on making it</Button>{/if}
		{#each data.next as state (state)}
			<form method="POST" action="?/state" use:enhance>
				<input type="hidden" name="version" value={mould.version} /><input type="hidden" name="state" value={state} />
				<Button type="submit" size="lg" color={state === 'active' && mould.pouredAt ? 'primary' : 'alternative'}>{toState(state)}</Button>
			</form>
		{/each}
		{#if mould.pulls > 0 || mould.state === 'active'}<Button href="/moulds/{mould.id}/wear" size="lg" color="alternative">Wear</Button>{/if}
	{/snippet}
</PageHead>
{#if said('refused')}<p class="mb-3 font-semibold text-(--harm)" role="alert">{said('refused')}</p>{/if}
<div class="mb-4 flex flex-wrap items-center gap-3">
	<Tag word={mould.state} />
	{#if !data.wear}<span class="soft">{words.notMade}</span>{/if}
	<span class="flex-1"></span>
	<a class={paper} href="/moulds/{mould.id}/board.pdf" target="_blank" rel="noopener"
		><FileDown class="size-5" aria-hidden="true" />Base-board sheet</a>
	<a class={paper} href="/moulds/{mould.id}/drawing.svg" download><FileDown class="size-5" aria-hidden="true" />Drawing, SVG</a>
	<a class={paper} href="/moulds/labels.pdf?ids={mould.id}" target="_blank" rel="noopener"
		><FileDown class="size-5" aria-hidden="true" />Label</a>
</div>
<Island>
	{#if data.wear}
		<InUse
			{mould}
			wear={data.wear}
			pulls={data.pulls.pulls}
			pourable={data.pourable}
			refuses={MOULD_MODULES[kind].refusesResin}
			nowMs={data.nowMs} />
		<details class="mb-5" bind:open={howOpen}>
			<summary class="slab mb-3 px-4 py-3 text-[1.15rem] font-bold">How it was made</summary>
			{@render making()}
		</details>
	{:else}
		{@render making()}
	{/if}
</Island>
<Island>
	<div class="mt-5 grid items-start gap-5 lg:grid-cols-2">
		<section class="slab p-5" aria-label="Family">
			<h2 class="mb-2">From the same master</h2>
			{#if before}<p class="mb-2">
					It follows <a class="plain font-semibold" href="/moulds/{before.id}">M{before.number} {before.label}</a>.
				</p>{/if}
			{#if family.length === 0}<p class="soft">It is the only mould of {mould.masterName}.</p>{/if}
			<ul class="flex flex-col gap-1">
				{#each family as o (o.id)}
					<li class="flex flex-wrap items-center gap-2">
						<a class="plain font-semibold" href="/moulds/{o.id}">M{o.number} {o.label}</a><Tag word={o.state} />
					</li>
				{/each}
			</ul>
			<p class="mt-3">
				<a class={paper} href="/moulds/new?after={mould.id}&kind={kind}&rubber={mould.rubberId ?? ''}">Plan its successor</a>
			</p>
		</section>
		{#if mould.rubberId && inRubber(kind)}
			<SpareRubber rubberId={mould.rubberId} rubberName={mould.rubberName} {waiting} usualG={wasteG} />
		{/if}
	</div>
</Island>
<Island>
	<div class="mt-5"><Pictures photos={data.photos} problem={said('photoProblem')} /></div>
	{#if data.pulls.pulls.length > 0}
		<h2 class="mt-6 mb-2">Last pulls</h2>
		<PullTable pulls={data.pulls.pulls} nowMs={data.nowMs} showMould={false} />
		<p class="mt-2">
			<a class="plain" href="/ledger?mould={mould.id}"
				>{data.pulls.total === 1 ? 'Its one pull' : `All ${data.pulls.total} pulls`} in the ledger</a>
		</p>
	{/if}
</Island>
