<script lang="ts">
	import { onMount, untrack } from 'svelte';
	import { Button } from 'flowbite-svelte';
	import Hand from '@lucide/svelte/icons/hand';
	import Undo from '@lucide/svelte/icons/undo-2';
	import Volume2 from '@lucide/svelte/icons/volume-2';
	import VolumeX from '@lucide/svelte/icons/volume-x';
	import CloudOff from '@lucide/svelte/icons/cloud-off';
	import { enhance } from '$app/forms';
	import { correctedPlan, lateAdvice, type BenchForecast, type Grade, type PourPlan, type PourState } from '$lib/core/pour';
	import { digits } from '$lib/core/units';
	import { latest } from '$lib/workers/latest';
	import { usePlanner } from '$lib/workers/planner';
	import Caution from './Caution.svelte';
	import Fuse from './Fuse.svelte';
	import Grading from './Grading.svelte';
	import { HandLayout, letGo } from './hand.svelte';
	import { Now } from './now.svelte';
	import PourFace from './PourFace.svelte';
	import type { Happening, PourRun } from './pourRun.svelte';
	import { countdown, lowerFirst } from './clockText';
	import { keepAwake, keptSignalWay, nextSignalWay, signal, type SignalWay } from './signals';
	import Stepper from './Stepper.svelte';
	import { useUnits } from './units.svelte';
	import Warnings from './Warnings.svelte';

	/** Beside the maker while it is poured: one thing to do, one large action, space for the next step. */
	let { run, nowMs }: { run: PourRun; nowMs: number } = $props();

	const now = new Now(
		untrack(() => nowMs),
		100
	);
	const state_ = $derived(run.state);
	/** What readings at the bench made of the plan's times; asked of the worker, never in the way of a press. */
	let forecast = $state.raw<BenchForecast>();
	const plan = $derived(correctedPlan(run.plan, forecast));
	let ask: ((q: { plan: PourPlan; state: Pick<PourState, 'air' | 'temps'> }) => void) | undefined = $state.raw();
	$effect(() => {
		const { air, temps } = state_;
		ask?.({ plan: run.plan, state: { ...(air ? { air } : {}), temps } });
	});
	const step = $derived(run.current);
	/** A layer of a rotocast has its own cup, combined later than the first. */
	const cupMs = $derived(step?.layer ? state_.doneAtMs[`combine-${step.layer}`] : state_.combinedAtMs);
	const elapsedS = $derived(cupMs === undefined ? undefined : (now.ms - cupMs) / 1000);
	const lastDoneMs = $derived(
		step?.sinceStep ? state_.doneAtMs[step.sinceStep] : state_.current > 0 ? state_.doneAtMs[run.steps[state_.current - 1]!.id] : undefined
	);
	const burning = $derived(
		run.plan.layers ? step?.kind === 'timed' && cupMs !== undefined : cupMs !== undefined && state_.settledAtMs === undefined
	);
	const potLifeS = $derived(step?.layer ? plan.layers![step.layer]!.potLifeS : plan.potLifeS);
	const plannedS = $derived(plan.steps.reduce((sum, s) => sum + s.durationS, 0));

	/** Said while it is still of use: too late for the pot, for all moulds, past its life, running away. */
	const late = $derived.by(() => {
		const layer = step?.layer ?? -1;
		const below = step?.id.startsWith('gelled-') ? layer : layer - 1;
		const pouredMs = below >= 0 ? state_.doneAtMs[`pour-${below}`] : undefined;
		return lateAdvice(plan, run.steps, state_, elapsedS, pouredMs === undefined ? undefined : (now.ms - pouredMs) / 1000);
	});

	let air = $state(
		untrack(() => ({
			roomTempC: plan.roomTempC,
			relativeHumidity: plan.relativeHumidity,
			mouldTempC: plan.mouldTempC
		}))
	);
	let gaugeKpa = $state(untrack(() => plan.pot?.targetGaugeKpa ?? 0));
	let grades = $state(
		untrack(() =>
			plan.moulds.map((m) => ({
				id: m.id,
				number: m.number,
				grade: '' as Grade | '',
				faults: [] as string[],
				note: ''
			}))
		)
	);
	const units = useUnits();
	const layout = new HandLayout();
	let cupTempC = $state(untrack(() => Math.round(plan.startTempC) + 2));
	const bandNow = $derived(
		forecast?.potLifeLowS !== undefined && elapsedS !== undefined
			? [Math.max(0, forecast.potLifeLowS - elapsedS), Math.max(0, forecast.potLifeHighS! - elapsedS)]
			: undefined
	);
	let kept = $state('');
	let wanting = $state(false);
	let way = $state<SignalWay>('tones');
	let givingUp = $state(false);
	let reason = $state('');

	function done() {
		if (!step || state_.status !== 'open') return;
		const finishedStep: Happening = { kind: 'step-done', stepId: step.id };
		switch (step.kind) {
			case 'air':
				run.record({ kind: 'air-read', ...$state.snapshot(air) }, finishedStep);
				break;
			case 'pump':
				run.record({ kind: 'pressure-read', stepId: step.id, gaugeKpa }, finishedStep);
				break;
			case 'hold':
				run.record({ kind: 'pressure-read', stepId: 'release', gaugeKpa }, finishedStep);
				break;
			case 'inspect':
				finish(finishedStep);
				break;
			default:
				run.record(finishedStep);
		}
	}
	function finish(finishedStep: Happening) {
		if (grades.some((g) => !g.grade || g.note.length > 2000)) {
			wanting = true;
			lastPressMs = 0;
			return;
		}
		const graded = grades.map((g) => ({
			kind: 'graded' as const,
			mouldId: g.id,
			grade: g.grade as Grade,
			faults: g.grade === 'good' ? [] : ([...g.faults] as never[]),
			note: g.note
		}));
		run.record(...graded, finishedStep, { kind: 'finished' });
	}
	function back() {
		if (state_.lastUndoable) run.record({ kind: 'undone', eventId: state_.lastUndoable });
	}

	let lastPressMs = 0;
	/** A bounce of the key or a nervous second tap is not a second step. */
	function press() {
		const atMs = Date.now();
		if (atMs - lastPressMs < 350) return;
		lastPressMs = atMs;
		done();
	}
	function key(event: KeyboardEvent) {
		if (event.key !== ' ' || event.repeat || event.ctrlKey || event.metaKey) return;
		const target = event.target as HTMLElement;
		if (target.closest('input:not([type=radio]), textarea, select, button, a')) return;
		event.preventDefault();
		press();
	}

	// told ten seconds before a deadline and on it, and when a wait is over, each once
	let told = '';
	$effect(() => {
		if (!step || state_.status !== 'open') return;
		const deadline = burning && elapsedS !== undefined && step.deadlineS !== undefined;
		const left = deadline
			? step.deadlineS! - elapsedS!
			: step.waitS !== undefined && lastDoneMs !== undefined
				? step.waitS - (now.ms - lastDoneMs) / 1000
				: undefined;
		if (left === undefined) return;
		const mark = left <= 0 ? 'now' : left <= 10 && deadline ? 'soon' : '';
		if (!mark || told === `${step.id}-${mark}`) return;
		told = `${step.id}-${mark}`;
		signal(way, mark === 'now' ? 3 : 1, mark === 'now' ? (deadline ? 'Time is up' : step.action) : 'Ten seconds');
	});
	onMount(() => {
		way = keptSignalWay();
		layout.start();
		ask = latest(
			({ plan, state }) => usePlanner().benchForecast(plan, state),
			(answer) => (forecast = answer)
		);
		return keepAwake();
	});
	const small =
		'inline-flex min-h-[2.9rem] cursor-pointer items-center gap-2 rounded-lg border-[1.5px] border-(--line-strong) bg-(--paper) px-4 font-semibold';
</script>

<svelte:window onkeydown={key} onclick={letGo} />

<div class="flex h-full min-h-[34rem] flex-col px-4 pb-4 sm:px-6">
	<header class="flex flex-wrap items-center gap-x-3 gap-y-2 py-2">
		<p class="min-w-0 flex-1 truncate text-[1.05rem]">
			<strong>{plan.masterName}</strong>
			<span class="soft"
				>{plan.moulds.map((m) => `M${m.number}`).join(' ')} · {plan.resinName} · cup {plan.batchIndex + 1} of {plan.batchCount}</span>
		</p>
		{#if run.unsent > 0}<span class="inline-flex items-center gap-2 font-semibold text-(--hot)" role="status"
				><CloudOff class="size-5" aria-hidden="true" />{run.unsent} kept here, not yet on the server</span
			>{/if}
		{#if state_.lastUndoable && state_.status === 'open'}<button type="button" class={small} onclick={back}
				><Undo class="size-5" aria-hidden="true" />Back</button
			>{/if}
		<button type="button" class={small} onclick={() => (way = nextSignalWay(way))} aria-label="Deadlines are told by {way}: change it"
			>{#if way === 'muted'}<VolumeX class="size-5" aria-hidden="true" />Muted{:else}<Volume2 class="size-5" aria-hidden="true" />{way ===
				'voice'
					? 'Voice'
					: 'Tones'}{/if}</button>
		{#if state_.status === 'open'}<button
				type="button"
				class={small}
				onclick={() => layout.next()}
				aria-label="The large button is for {layout.hand === 'both' ? 'both hands' : `the ${layout.hand} hand`}: change it"
				><Hand class="size-5" aria-hidden="true" />{layout.hand}</button
			>{/if}
		{#if state_.status === 'open'}<button type="button" class={small} onclick={() => (givingUp = !givingUp)}>Give up</button>{/if}
		<a class={small} href="/">Leave</a>
	</header>
	{#if run.refused}<p class="mb-2 font-semibold text-(--harm)" role="alert">{run.refused}</p>{/if}
	{#if givingUp && state_.status === 'open'}
		<div class="slab mb-3 flex flex-wrap items-center gap-3 p-3">
			<label class="label" for="reason">Why is it given up?</label>
			<input
				id="reason"
				class="min-h-[2.75rem] flex-1 rounded-lg border-[1.5px] border-(--line-strong) bg-(--paper) px-3"
				bind:value={reason}
				maxlength="500"
				placeholder="kicked in the cup" />
			<Button color="red" size="lg" onclick={() => run.record({ kind: 'abandoned', reason: reason.trim() || 'no reason given' })}
				>Give this pour up</Button>
			<Button color="alternative" size="lg" onclick={() => (givingUp = false)}>Go on pouring</Button>
		</div>
	{/if}

	{#if state_.status !== 'open'}
		<div class="m-auto max-w-xl text-center">
			<h1>{state_.status === 'finished' ? 'It is in the ledger' : 'Given up'}</h1>
			<p class="mt-3 text-lg">
				{#if state_.status === 'finished'}Every step with its time, the readings and the grades are kept.{:else if state_.combinedAtMs}Resin
					was combined, so it counts as a scrapped pull of its mould.{:else}Nothing was combined, so no pull is counted.{/if}
			</p>
			{#if forecast?.rateFactor !== undefined}
				<form
					method="POST"
					action="?/keep"
					class="mt-4"
					use:enhance={() =>
						({ result }) => {
							kept =
								result.type === 'success'
									? 'Kept: shots from this tin go by it.'
									: result.type === 'failure'
										? String(result.data?.['refused'])
										: 'The server did not answer, so it is not kept yet: try again.';
						}}>
					<p class="mb-2">This batch went at <strong>× {digits(forecast.rateFactor)}</strong> of what was planned for it.</p>
					{#if plan.containers?.a}<Button type="submit" size="lg" color="alternative">Keep that as the tin’s own speed</Button>{/if}
					<span role="status" class="ml-2 font-semibold text-(--work)">{kept}</span>
				</form>
			{/if}
			<p class="mt-6 flex flex-wrap justify-center gap-3">
				{#if plan.batchCount > 1}<Button size="xl" href="/shots/{plan.shotId}">Next cup of this shot</Button>{/if}
				<Button size="xl" color={plan.batchCount > 1 ? 'alternative' : 'primary'} href="/ledger">See the ledger</Button>
			</p>
		</div>
	{:else if step}
		<div class={layout.frame}>
			<div class="flex min-h-0 flex-1 flex-col [justify-content:safe_center] gap-[clamp(0.6rem,2vh,1.25rem)] overflow-y-auto py-1">
				<PourFace {step} {plan} {elapsedS} pouredAtMs={state_.pouredAtMs} sinceMs={lastDoneMs} nowMs={now.ms} bind:air bind:gaugeKpa />
				{#if step.kind === 'inspect'}
					<div class="mx-auto flex w-full max-w-[60rem] flex-col gap-3">
						{#each grades as g, i (g.id)}
							<Grading
								title="Cast from M{g.number}"
								id={g.id}
								bind:grade={grades[i]!.grade}
								bind:faults={grades[i]!.faults}
								bind:note={grades[i]!.note}
								{wanting} />
						{/each}
					</div>
				{/if}
				{#if late}<div class="mx-auto w-full max-w-[60rem] text-[1.15rem]"><Warnings warnings={[late]} /></div>{/if}
				{#if burning}
					<Fuse
						steps={plan.steps}
						{potLifeS}
						usableS={(plan.usableS * potLifeS) / plan.potLifeS}
						slackS={(plan.usableS * potLifeS) / plan.potLifeS - plannedS}
						{...elapsedS === undefined ? {} : { elapsedS }}
						large />
				{/if}
				{#if burning}
					<div class="mx-auto flex w-full max-w-[60rem] flex-wrap items-center justify-center gap-x-6 gap-y-2">
						<Stepper
							label="Cup reads"
							bind:value={cupTempC}
							step={units.system === 'us' ? 5 / 9 : 1}
							min={-20}
							max={300}
							show={(v) => units.show(v, 'temperature')}
							small />
						<button type="button" class={small} onclick={() => run.record({ kind: 'temp-read', tempC: cupTempC })}>Note it</button>
						<p class="min-w-[15rem] flex-1 text-[1.1rem]" role="status">
							{#if bandNow}<strong>Too thick in {countdown(bandNow[0]!)} to {countdown(bandNow[1]!)}</strong>
								<span class="soft"
									>by {state_.temps.length} reading{state_.temps.length === 1 ? '' : 's'}, × {digits(forecast!.rateFactor!)} of its sheet</span>
							{:else if forecast}<span class="soft">Corrected for the room and the mould as you read them.</span>
							{:else}<span class="soft">A gun thermometer corrects the forecast: the same temperature is the same state.</span>{/if}
						</p>
					</div>
				{/if}
				{#if step.cautions.length > 0}<div class="mx-auto max-w-[60rem]">
						<Caution topics={step.cautions} order={!burning} />
					</div>{/if}
			</div>
			<button type="button" class={layout.action} onclick={press}>
				{step.action}<kbd class="rounded-md border-2 border-current px-3 py-0.5 text-[1rem] font-semibold opacity-80">space</kbd>
			</button>
		</div>
		<p class="soft mt-1 text-center text-[0.9rem]">
			Step {state_.current + 1} of {run.steps.length}
			{#if run.steps[state_.current + 1]}
				· then: {lowerFirst(run.steps[state_.current + 1]!.title)}{/if}
		</p>
	{/if}
</div>
