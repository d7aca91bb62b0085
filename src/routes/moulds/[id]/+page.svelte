<script lang="ts">
	import { onMount, untrack } from 'svelte';
	import { enhance } from '$app/forms';
	import { invalidateAll } from '$app/navigation';
	import { Button } from 'flowbite-svelte';
	import FileDown from '@lucide/svelte/icons/file-down';
	import { inRubber, MOULD_WORDS, type MouldState } from '$lib/core/mould';
	import { CLOCKS_CHANGED, counted } from '$lib/ui/clockText';
	import { drafts } from '$lib/ui/draft/drafts.svelte';
	import Pictures from '$lib/ui/Pictures.svelte';
	import FirstLook from '$lib/ui/mould/FirstLook.svelte';
	import Folded from '$lib/ui/Folded.svelte';
	import Curing from '$lib/ui/mould/Curing.svelte';
	import InUse from '$lib/ui/mould/InUse.svelte';
	import SpareRubber from '$lib/ui/mould/SpareRubber.svelte';
	import PieceFace from '$lib/ui/PieceFace.svelte';
	import Island from '$lib/ui/island/Island.svelte';
	import { allAwake } from '$lib/ui/island/waking';
	import PageHead from '$lib/ui/PageHead.svelte';
	import PullTable from '$lib/ui/PullTable.svelte';
	import Tag from '$lib/ui/Tag.svelte';

	let { data, form } = $props();
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
	const words = $derived(MOULD_WORDS[kind]);
	const unmade = $derived(mould.state === 'new' && !mould.pouredAt && !mould.making);
	/** Poured, and in use nowhere yet. */
	const cures = $derived(
		mould.state === 'new' && mould.pouredAt && mould.readyAt ? { from: mould.pouredAt, until: mould.readyAt } : undefined
	);
	const isReady = $derived(mould.pouredAt !== null && !(cures && cures.until.getTime() > data.nowMs));
	const family = $derived(data.others.filter((o) => o.masterId === mould.masterId && o.id !== mould.id));
	const before = $derived(data.others.find((o) => o.id === mould.predecessorId));
	const waiting = $derived(
		data.others
			.filter((o) => !o.poured && o.state === 'new' && o.rubberId && o.id !== mould.id)
			.map((o) => ({ id: o.id, label: `M${o.number} ${o.label}`, massG: o.massG, rubberId: o.rubberId! }))
	);
	const paper =
		'inline-flex min-h-[2.75rem] items-center gap-2 rounded-lg border-[1.5px] border-(--line-strong) bg-(--paper) px-4 font-semibold hover:bg-(--work-soft)';
	/** The mould whose form was typed into and left: it waits on this device. */
	let leftOf = $state('');
	const isLeft = $derived(leftOf === mould.id);
	const isOffered = $derived(drafts.offers.length > 0);
	const isAnswered = $derived(Boolean(form && 'form' in form));
	/** What was typed and refused, or left unfinished, is not hidden; what was unfolded stays so until one of them changes. */
	let howOpen = $derived(isLeft || isOffered || isAnswered);
	let fetched = $state.raw<NonNullable<typeof data.HowMade>>();
	let unfetched = $state(false);
	const HowMade = $derived(data.HowMade ?? fetched);
	async function fetchHow() {
		unfetched = false;
		fetched ??= await import('$lib/ui/mould/HowMade.svelte').then(
			(m) => m.default,
			() => {
				unfetched = true;
				return undefined;
			}
		);
	}
	$effect(() => {
		if (howOpen && !untrack(() => HowMade)) void fetchHow();
	});
	const id = $derived(mould.id);
	const version = $derived(mould.version);
	$effect(() => {
		const here = id;
		// a press that moves it on may fold its form away with something typed in it
		void version;
		void drafts.all().then((all) => {
			if (all.some((d) => d.place === `/moulds/${here} form`)) leftOf = here;
		});
	});
	onMount(() => {
		// paper waits for nothing: it is here before anybody prints
		void allAwake().then(() => setTimeout(() => void fetchHow(), 1000));
	});
</script>

{#snippet making()}
	{#if unfetched}
		<p role="alert">It could not be fetched: fold and unfold it once the server answers again.</p>
	{:else if HowMade}
		<HowMade
			{mould}
			form={data.form}
			weighed={data.weighed}
			shelf={data.shelf}
			others={data.others}
			settings={data.settings}
			nowMs={data.nowMs} />
	{/if}
{/snippet}
{#snippet firstLook()}
	{#if mould.inspection}<FirstLook inspected={mould.inspection} masterVolumeMl={mould.making?.masterVolumeMl} cuts={data.cuts} />{/if}
{/snippet}
<PageHead title="M{mould.number} {mould.label}" about="{words.name} round {mould.masterName}, {counted(mould.pulls, 'pull')}">
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
				<Button type="submit" size="lg" color={state === 'active' && isReady ? 'primary' : 'alternative'}>{toState(state)}</Button>
			</form>
		{/each}
		{#if mould.pulls > 0 || mould.state === 'active'}<Button href="/moulds/{mould.id}/wear" size="lg" color="alternative">Wear</Button>{/if}
	{/snippet}
</PageHead>
{#if said('refused')}<p class="mb-3 font-semibold text-(--harm)" role="alert">{said('refused')}</p>{/if}
<div class="mb-4 flex flex-wrap items-center gap-3">
	<Tag word={mould.state} />
	{#if !data.wear && !mould.pouredAt}<span class="soft">{words.notMade}</span>{/if}
	<span class="flex-1"></span>
	<a class={paper} href="/moulds/{mould.id}/board.pdf" target="_blank" rel="noopener"
		><FileDown class="size-5" aria-hidden="true" />Base-board sheet</a>
	<a class={paper} href="/moulds/{mould.id}/drawing.svg" download><FileDown class="size-5" aria-hidden="true" />Drawing, SVG</a>
	<a class={paper} href="/moulds/labels.pdf?ids={mould.id}" target="_blank" rel="noopener"
		><FileDown class="size-5" aria-hidden="true" />Label</a>
</div>
<Island>
	{#if data.wear}
		<InUse {mould} wear={data.wear} pulls={data.pulls.pulls} pourable={data.pourable} refuses={data.refuses} nowMs={data.nowMs} />
	{:else if cures}
		<Curing
			pouredAtMs={cures.from.getTime()}
			readyAtMs={cures.until.getTime()}
			roomTempC={mould.inputs.roomTempC}
			made={words.made}
			finished={mould.making !== null}
			inRubber={inRubber(kind)}
			looked={words.looked}
			nowMs={data.nowMs} />
		{@render firstLook()}
	{/if}
	{#if data.wear || cures}
		{#key mould.id}
			<Folded class="mb-5" look="slab mb-3 px-4 py-3 text-[1.15rem] font-bold" summary="How it was made" bind:open={howOpen}>
				{#if data.wear}{@render firstLook()}{/if}
				{@render making()}
			</Folded>
		{/key}
	{:else}
		{@render making()}
	{/if}
</Island>
<Island>
	<div class="below mt-5 grid items-start gap-5 lg:grid-cols-2">
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
			<SpareRubber rubberId={mould.rubberId} rubberName={mould.rubberName} {waiting} usualG={data.wasteG} />
		{/if}
	</div>
</Island>
<Island>
	<div class="below mt-5"><Pictures photos={data.photos} problem={said('photoProblem')} /></div>
	{#if data.pulls.pulls.length > 0}
		<h2 class="mt-6 mb-2">Last pulls</h2>
		<div class="below"><PullTable pulls={data.pulls.pulls} nowMs={data.nowMs} showMould={false} /></div>
		<p class="mt-2">
			<a class="plain" href="/ledger?mould={mould.id}"
				>{data.pulls.total === 1 ? 'Its one pull' : `All ${data.pulls.total} pulls`} in the ledger</a>
		</p>
	{/if}
</Island>
