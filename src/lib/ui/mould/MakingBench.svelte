<script lang="ts">
	import { onMount, untrack } from 'svelte';
	import { Button } from 'flowbite-svelte';
	import { makingCut, MOULD_FAULT_WORDS, MOULD_FAULTS, readyAtMs, weighedProblem } from '$lib/core/making';
	import Frame from '../bench/Frame.svelte';
	import Head from '../bench/Head.svelte';
	import { countdown, wallTime } from '../clockText';
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

	/** What was really weighed at this step, by the place of its amount. */
	let massesG = $state<(number | undefined)[]>([]);
	$effect(() => {
		void step?.id;
		massesG = [];
	});
	const typedG = $derived(step?.amounts ? step.amounts.map((_, i) => massesG[i]) : []);
	const ratioOff = $derived(step ? weighedProblem(step, typedG) : undefined);
	let waterMl = $state<number>();
	let faults = $state<string[]>([]);
	let note = $state('');
	let wrong = $state('');

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
		if (typedG.some((m) => m !== undefined)) {
			if (!typedG.every((m) => m !== undefined && m > 0)) {
				wrong = 'Type what each of them weighed, or leave all of them empty.';
				return;
			}
			wrong = '';
			return run.record({ kind: 'weighed', stepId: step.id, massesG: $state.snapshot(typedG) as number[] }, finished);
		}
		wrong = '';
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
</script>

<svelte:window onkeydown={key} onclick={letGo} />

<div class="flex h-full min-h-[34rem] flex-col px-4 pb-4 sm:px-6">
	<Head
		open={state_.status === 'open'}
		unsent={run.unsent}
		refused={run.refused}
		clockOffMs={run.clockOffMs}
		onundo={state_.lastUndoable ? () => run.record({ kind: 'undone', eventId: state_.lastUndoable! }) : undefined}
		{layout}
		leave="/moulds/{run.id}"
		giveUp={{ giveUp: 'Give this mould up', goOn: 'Go on making it', example: 'the box leaked' }}
		onend={(reason) => run.record({ kind: 'abandoned', reason })}>
		{#snippet title()}
			<strong>M{run.plan.number} {run.plan.label}</strong>
			<span class="soft"
				>{run.plan.materialName}&nbsp;{#if state_.status === 'open'}
					· ready about {wallTime(readyMs, now.ms)}{/if}</span>
		{/snippet}
	</Head>
	{#if state_.status !== 'open'}
		<div class="m-auto max-w-xl text-center">
			<h1>{state_.status === 'finished' ? 'The mould is made' : 'Given up'}</h1>
			<p class="mt-3 text-[1.15rem]">
				{state_.status === 'finished'
					? 'Every step with its time and the first look at it are kept with the mould.'
					: 'It is kept as retired, with its steps.'}
			</p>
			<p class="mt-6"><Button size="xl" href="/moulds/{run.id}">To the mould</Button></p>
		</div>
	{:else if step}
		<Frame
			{layout}
			cautions={step.cautions}
			order={workingS === undefined}
			{asks}
			action={step.action}
			onpress={press}
			at={state_.current}
			titles={run.steps.map((s) => s.title)}
			of="Making M{run.plan.number}">
			<div class="text-center">
				<h1 class="text-[clamp(1.7rem,5vh,2.6rem)]!">{step.title}</h1>
				<p class="mx-auto mt-1 max-w-[52rem] text-[1.15rem] leading-snug">{step.detail}</p>
			</div>
			{#if step.amounts}
				<dl class="flex flex-wrap justify-center gap-x-14 gap-y-3">
					{#each step.amounts as amount, i (i)}
						<div class="text-center">
							<dt class="text-[1.4rem] font-bold">{amount.label}</dt>
							<dd class="answer text-[clamp(2.8rem,11vh,5.2rem)] whitespace-nowrap">{units.weighed(amount.massG)}</dd>
						</div>
					{/each}
				</dl>
				<div class="mx-auto flex w-full max-w-[40rem] flex-wrap justify-center gap-x-5">
					{#each step.amounts as amount, i (i)}
						<div class="w-[15rem]">
							<QuantityField
								label="{amount.label}, really weighed"
								kind="mass"
								name="weighed-{i}"
								bind:value={() => massesG[i], (v) => (massesG = step!.amounts!.map((_, k) => (k === i ? v : massesG[k])))}
								error={wrong && massesG[i] === undefined ? [wrong] : undefined}
								hint="if you like it kept" />
						</div>
					{/each}
				</div>
				{#if ratioOff}<p class="text-center text-[1.15rem] font-semibold text-(--hot)" role="alert">{ratioOff}</p>{/if}
			{/if}
			{#if workingS !== undefined}
				<div class="text-center" style:color={workingS < 0 ? 'var(--hot)' : 'inherit'}>
					<p class="answer text-[clamp(2.6rem,min(17vh,20vw),8rem)]" role="timer">{countdown(workingS)}</p>
					<p class="mt-2 text-[1.15rem] font-semibold">{workingS < 0 ? 'past its working time' : 'left of its working time'}</p>
				</div>
			{:else if waitS !== undefined}
				<div class="text-center" style:color={waitS < 0 ? 'var(--work)' : 'inherit'}>
					<p class="answer text-[clamp(2.6rem,min(17vh,20vw),8rem)]" role="timer">{waitS < 0 ? 'Ready' : countdown(waitS)}</p>
					<p class="mt-2 text-[1.15rem] font-semibold">
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
		</Frame>
	{/if}
</div>
