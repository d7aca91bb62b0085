<script lang="ts">
	import { onMount, untrack } from 'svelte';
	import { Button } from 'flowbite-svelte';
	import GiveUp from '../GiveUp.svelte';
	import CloudOff from '@lucide/svelte/icons/cloud-off';
	import Hand from '@lucide/svelte/icons/hand';
	import Undo from '@lucide/svelte/icons/undo-2';
	import { makingCut, MOULD_FAULT_WORDS, MOULD_FAULTS, readyAtMs } from '$lib/core/making';
	import Caution from '../Caution.svelte';
	import { countdown, lowerFirst, wallTime } from '../clockText';
	import type { MakingRun } from '../makingRun.svelte';
	import { HandLayout, letGo } from '../hand.svelte';
	import { Now } from '../now.svelte';
	import QuantityField from '../QuantityField.svelte';
	import { keepAwake } from '../signals';
	import { sound } from '../sound.svelte';
	import { useUnits } from '../units.svelte';

	/** Beside the maker while a mould is made: one thing to do, one large action, the clock that counts. */
	let { run, nowMs }: { run: MakingRun; nowMs: number } = $props();
	const units = useUnits();
	const layout = new HandLayout();
	const now = new Now(
		untrack(() => nowMs),
		250
	);
	const state_ = $derived(run.state);
	const step = $derived(run.current);
	const before = $derived(state_.current > 0 ? run.steps[state_.current - 1] : undefined);
	const sinceMs = $derived(before && state_.doneAtMs[before.id]);
	/** Working time that is left of the pour at hand. */
	const workingS = $derived.by(() => {
		const pour = step?.pour === undefined ? undefined : state_.pours[step.pour];
		if (!pour?.combinedAtMs || pour.placedAtMs) return undefined;
		return run.plan.workingTimeS - (now.ms - pour.combinedAtMs) / 1000;
	});
	const waitS = $derived(step?.waitS !== undefined && sinceMs !== undefined ? step.waitS - (now.ms - sinceMs) / 1000 : undefined);
	const readyMs = $derived(readyAtMs(run.steps, state_, now.ms));

	let waterMl = $state<number>();
	let faults = $state<string[]>([]);
	let note = $state('');
	let wrong = $state('');
	let givingUp = $state(false);

	/** What is asked before a wait with much of it to go is ended, and of which step. */
	let asked = $state<{ stepId: string; words: string }>();
	const asks = $derived(asked?.stepId === step?.id ? asked?.words : undefined);
	function asksFirst(): boolean {
		const cut = makingCut(run.steps, state_, state_.current, run.nowMs());
		const again = asks !== undefined;
		asked = undefined;
		if (!cut || again || !step) return false;
		const words = `Only ${units.show(cut.waitedS, 'time')} of ${units.show(cut.wantedS, 'time')} have passed. Press once more to end it early; the mould’s page says so.`;
		asked = { stepId: step.id, words };
		return true;
	}

	function done() {
		if (!step || state_.status !== 'open' || asksFirst()) return;
		const finished = { kind: 'step-done' as const, stepId: step.id };
		if (step.kind !== 'inspect') return run.record(finished);
		if (waterMl !== undefined && !(waterMl > 0)) {
			wrong = 'Type what the cavity takes, such as 84 ml, or leave it empty.';
			return;
		}
		if (note.length > 2000) {
			wrong = 'Keep the note under 2000 characters.';
			return;
		}
		wrong = '';
		run.record(
			{
				kind: 'inspected',
				...(waterMl === undefined ? {} : { waterMl }),
				faults: $state.snapshot(faults) as never[],
				note
			},
			finished,
			{ kind: 'finished' }
		);
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
		if ((event.target as HTMLElement).closest('input, textarea, select, button, a')) return;
		event.preventDefault();
		press();
	}
	// told when the working time nears its end, once; the end of a wait is told by the strip of clocks
	let told = '';
	$effect(() => {
		if (!step || state_.status !== 'open') return;
		const late = workingS !== undefined && workingS <= 60;
		const mark = late ? `pour-${step.pour}-late` : '';
		if (!mark || told === mark) return;
		told = mark;
		sound.tell(1, 'One minute of working time');
	});
	onMount(() => {
		layout.start();
		return keepAwake();
	});
	const small =
		'inline-flex min-h-[2.9rem] cursor-pointer items-center gap-2 rounded-lg border-[1.5px] border-(--line-strong) bg-(--paper) px-4 font-semibold';
</script>

<svelte:window onkeydown={key} onclick={letGo} />

<div class="flex h-full min-h-[34rem] flex-col px-4 pb-4 sm:px-6">
	<header class="flex flex-wrap items-center gap-x-3 gap-y-2 py-2">
		<p class="min-w-0 flex-1 basis-full truncate text-[1.05rem] lg:basis-0">
			<strong>M{run.plan.number} {run.plan.label}</strong>
			<span class="soft"
				>{run.plan.materialName}&nbsp;{#if state_.status === 'open'}
					· ready about {wallTime(readyMs, now.ms)}{/if}</span>
		</p>
		{#if run.unsent > 0}<span class="inline-flex items-center gap-2 font-semibold text-(--hot)" role="status"
				><CloudOff class="size-5" aria-hidden="true" />{run.unsent} kept here, not yet on the server</span
			>{/if}
		{#if state_.lastUndoable}<button
				type="button"
				class={small}
				onclick={() => run.record({ kind: 'undone', eventId: state_.lastUndoable! })}><Undo class="size-5" aria-hidden="true" />Back</button
			>{/if}
		{#if state_.status === 'open'}<button
				type="button"
				class={small}
				onclick={() => layout.next()}
				aria-label="The large button is for {layout.hand === 'both' ? 'both hands' : `the ${layout.hand} hand`}: change it"
				><Hand class="size-5" aria-hidden="true" />{layout.hand}</button
			>{/if}
		{#if state_.status === 'open'}<button type="button" class={small} onclick={() => (givingUp = !givingUp)}>Give up</button>{/if}
		<a class={small} href="/moulds/{run.id}">Leave</a>
	</header>
	{#if run.refused}<p class="mb-2 font-semibold text-(--harm)" role="alert">{run.refused}</p>{/if}
	{#if givingUp && state_.status === 'open'}
		<GiveUp
			giveUp="Give this mould up"
			goOn="Go on making it"
			example="the box leaked"
			onend={(reason) => run.record({ kind: 'abandoned', reason })}
			onback={() => (givingUp = false)} />
	{/if}
	{#if state_.status !== 'open'}
		<div class="m-auto max-w-xl text-center">
			<h1>{state_.status === 'finished' ? 'The mould is made' : 'Given up'}</h1>
			<p class="mt-3 text-lg">
				{state_.status === 'finished'
					? 'Every step with its time and the first look at it are kept with the mould.'
					: 'It is kept as retired, with its steps.'}
			</p>
			<p class="mt-6"><Button size="xl" href="/moulds/{run.id}">To the mould</Button></p>
		</div>
	{:else if step}
		<div class={layout.frame}>
			<div class="flex min-h-0 flex-1 flex-col gap-2 py-1">
				<div class="flex min-h-0 flex-1 flex-col [justify-content:safe_center] gap-[clamp(0.6rem,2vh,1.25rem)] overflow-y-auto">
					<div class="text-center">
						<h1 class="text-[clamp(1.7rem,5vh,2.6rem)]!">{step.title}</h1>
						<p class="mx-auto mt-1 max-w-[52rem] text-[1.2rem] leading-snug">{step.detail}</p>
					</div>
					{#if step.amounts}
						<dl class="flex flex-wrap justify-center gap-x-14 gap-y-3">
							{#each step.amounts as amount, i (i)}
								<div class="text-center">
									<dt class="text-[1.3rem] font-bold">{amount.label}</dt>
									<dd class="answer text-[clamp(2.8rem,11vh,5.2rem)] whitespace-nowrap">{units.show(amount.massG, 'mass')}</dd>
								</div>
							{/each}
						</dl>
					{/if}
					{#if workingS !== undefined}
						<div class="text-center" style:color={workingS < 0 ? 'var(--hot)' : 'inherit'}>
							<p class="answer text-[clamp(2.6rem,min(17vh,20vw),8rem)]" role="timer">{countdown(workingS)}</p>
							<p class="mt-2 text-[1.2rem] font-semibold">{workingS < 0 ? 'past its working time' : 'left of its working time'}</p>
						</div>
					{:else if waitS !== undefined}
						<div class="text-center" style:color={waitS < 0 ? 'var(--work)' : 'inherit'}>
							<p class="answer text-[clamp(2.6rem,min(17vh,20vw),8rem)]" role="timer">{waitS < 0 ? 'Ready' : countdown(waitS)}</p>
							<p class="mt-2 text-[1.2rem] font-semibold">
								{waitS < 0 ? `by its time: ${step.then ?? 'look at it'}` : `until ${wallTime(sinceMs! + step.waitS! * 1000, now.ms)}`}
							</p>
						</div>
					{/if}
					{#if step.kind === 'inspect'}
						<div class="mx-auto flex w-full max-w-[44rem] flex-col gap-3">
							{#if !run.plan.wet}
								<div class="max-w-[18rem]">
									<QuantityField
										label="Water that one cavity takes"
										kind="volume"
										name="waterMl"
										bind:value={waterMl}
										error={wrong && waterMl !== undefined ? [wrong] : undefined}
										hint="its weight in grams is its volume in ml" />
								</div>
							{/if}
							<fieldset>
								<legend class="label mb-1">What is wrong with it</legend>
								<div class="flex flex-wrap gap-2">
									{#each MOULD_FAULTS as fault (fault)}
										<label
											class="flex min-h-[2.75rem] cursor-pointer items-center gap-2 rounded-lg border-[1.5px] border-(--line-strong) bg-(--paper) px-3 font-semibold has-checked:bg-(--work) has-checked:text-(--work-ink)"
											><input type="checkbox" class="size-5 rounded" value={fault} bind:group={faults} />{MOULD_FAULT_WORDS[fault]}</label>
									{/each}
								</div>
							</fieldset>
							<label class="label"
								>Note
								<input
									class="mt-1 block min-h-[2.75rem] w-full rounded-lg border-[1.5px] border-(--line-strong) bg-(--paper) px-3 font-normal"
									maxlength="2000"
									bind:value={note} /></label>
						</div>
					{/if}
				</div>
				<!-- never scrolled away: it belongs to the step -->
				{#if step.cautions.length > 0}<div class="mx-auto max-w-[60rem] shrink-0">
						<Caution topics={[...step.cautions]} order={workingS === undefined} />
					</div>{/if}
			</div>
			{#if asks}<p class="py-1 text-center text-[1.2rem] font-bold text-(--hot)" role="alert">{asks}</p>{/if}
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
