<script lang="ts">
	import type { PieceOutline } from '$lib/core/mould';
	import { onMount, untrack, type Snippet } from 'svelte';
	import { type PourPlan } from '$lib/core/plan';
	import {
		cupStep,
		isCastablePlan,
		layerStep,
		leftWords,
		retimed,
		stepName,
		clocksOf,
		correctedPlan,
		lateAdvice,
		type BenchForecast,
		type PourState,
		paceOf
	} from '$lib/core/bench';
	import type { castFindings } from '$lib/core/bench/events';
	import { latest } from '$lib/workers/latest';
	import { usePlanner } from '$lib/workers/planner';
	import Gauge from '@lucide/svelte/icons/gauge';
	import Frame from './bench/Frame.svelte';
	import Head from './bench/Head.svelte';
	import { SMALL_BUTTON } from './bench/smallButton';
	import { Devices, serverDevices, type DeviceSource } from './devices.svelte';
	import Fuse from './Fuse.svelte';
	import { HandLayout, letGo } from './hand.svelte';
	import { Now } from './now.svelte';
	import CupTemp from './pour/CupTemp.svelte';
	import { Desk } from './pour/desk.svelte';
	import DeviceStrip from './pour/DeviceStrip.svelte';
	import { watchDevices } from './pour/watch.svelte';
	import WeighFace from './pour/WeighFace.svelte';
	import PourFace from './PourFace.svelte';
	import type { PourRun } from './pourRun.svelte';
	import { ownClocks } from './ownClocks.svelte';
	import { keepAwake } from './signals';
	import PieceFace from './PieceFace.svelte';
	import { sound } from './sound.svelte';
	import { useUnits } from './units.svelte';
	import CupStarts from './pour/CupStarts.svelte';
	import DosePress from './pour/DosePress.svelte';
	import ThickenPress from './pour/ThickenPress.svelte';
	import Warnings from './Warnings.svelte';

	/** Beside the maker while it is poured: one thing to do, one large action, space for the next step. */
	interface Props {
		run: PourRun;
		nowMs: number;
		/** The workshop has instruments that can be listened to. */
		instruments?: boolean;
		/** What is cast, drawn. */
		outline?: PieceOutline | undefined;
		/** Other devices than the server's: a shop simulated in this page. */
		source?: DeviceSource;
		/** Stands where the pour ends, instead of what a real one says. */
		ended?: Snippet;
		/** What just happened to the maker. */
		happened?: Snippet;
		/** Stands beside a wait that may be shortened. */
		waiting?: Snippet<[number]>;
		/** What else goes into the pot; whether now is when that is poured. */
		mates?: Snippet<[boolean]>;
	}
	let { run, nowMs, source, instruments = false, outline, ended, happened, waiting, mates }: Props = $props();

	const units = useUnits();
	const layout = new HandLayout();
	const now = untrack(() => new Now(nowMs, 100, () => run.nowMs()));
	const state_ = $derived(run.state);
	/** What readings at the bench made of the plan's times; asked of the worker, never in the way of a press. */
	let forecast = $state.raw<BenchForecast>();
	const plan = $derived(correctedPlan(run.plan, forecast));
	let ask: ((q: { plan: PourPlan; state: Pick<PourState, 'air' | 'temps'> }) => void) | undefined = $state.raw();
	$effect(() => {
		const { air, temps } = state_;
		ask?.({ plan: run.plan, state: { ...(air ? { air } : {}), temps } });
	});
	// the steps are those that were kept with the pour; readings move their times alone
	const steps = $derived(retimed(run.steps, plan));
	const step = $derived(steps[state_.current]);
	/** A layer of a rotocast has its own cup, combined later than the first. */
	const cupMs = $derived(step?.layer ? state_.doneAtMs[cupStep('combine', step.layer)] : state_.combinedAtMs);
	const elapsedS = $derived(cupMs === undefined ? undefined : (now.ms - cupMs) / 1000);
	const lastDoneMs = $derived(
		step?.sinceStep ? state_.doneAtMs[step.sinceStep] : state_.current > 0 ? state_.doneAtMs[run.steps[state_.current - 1]!.id] : undefined
	);
	const burning = $derived(
		run.plan.layers
			? cupMs !== undefined &&
					(step?.kind === 'timed' || (step?.kind === 'measure' && step.part === 'A' && run.plan.measuring === 'one-cup'))
			: cupMs !== undefined && state_.settledAtMs === undefined
	);
	const potLifeS = $derived(step?.layer ? plan.layers![step.layer]!.potLifeS : plan.potLifeS);
	const usableS = $derived((plan.usableS * potLifeS) / plan.potLifeS);
	/** Deadline of this step and slack, from now and what is still to do. */
	const pace = $derived(burning && elapsedS !== undefined ? paceOf(plan, steps, state_, elapsedS, usableS) : undefined);
	const paced = $derived(step && pace ? { ...step, deadlineS: pace.deadlineS } : step);

	/** Said while it is still of use: too late for the pot, for all moulds, past its life, running away. */
	const late = $derived.by(() => {
		const layer = step?.layer ?? -1;
		const below = step && stepName(step.id) === 'gelled' ? layer : layer - 1;
		const pouredMs = below >= 0 ? state_.doneAtMs[layerStep('pour', below)] : undefined;
		return lateAdvice(plan, run.steps, state_, elapsedS, pouredMs === undefined ? undefined : (now.ms - pouredMs) / 1000);
	});

	const devices = untrack(
		() =>
			new Devices(source ?? serverDevices(run.id, () => now.ms), () => now.ms, {
				scale: run.plan.scaleCapacityG ?? 5000,
				...(run.plan.pot ? { gauge: run.plan.pot.ratedGaugeKpa } : {})
			})
	);
	const desk = untrack(() => new Desk(run, devices, () => units.system));
	desk.live = () => ({ plan, steps });
	watchDevices(
		untrack(() => run),
		devices,
		() => burning,
		() => desk.cup
	);

	/** What the big button says: what is wrong with the ratio comes before the step itself. */
	const action = $derived(
		desk.scale.mend ? `${desk.scale.mend.part} is added` : step?.kind === 'air' && !desk.airRead ? 'Not read: go on' : (step?.action ?? '')
	);
	const waitS = $derived(
		step?.waitS !== undefined && lastDoneMs !== undefined
			? step.waitS - (now.ms - lastDoneMs) / 1000
			: state_.pouredAtMs !== undefined && (step?.kind === 'hold' || step?.kind === 'cure')
				? (step.kind === 'hold' ? plan.holdUntilS : plan.demouldS) - (now.ms - state_.pouredAtMs) / 1000
				: 0
	);

	function key(event: KeyboardEvent) {
		const target = event.target as HTMLElement;
		if (event.ctrlKey || event.metaKey || event.altKey || target.closest('input:not([type=radio]), textarea, select')) return;
		const held = event.key.toLowerCase();
		if (held === 'p' || held === 't') {
			if (!event.repeat) desk.scale.stream(event.type === 'keydown', held === 't');
			return;
		}
		if (event.type !== 'keydown' || event.key !== ' ' || event.repeat || target.closest('button, a')) return;
		event.preventDefault();
		desk.press();
	}

	// told ten seconds before a deadline and on it, each once; the end of every wait is told by the strip of clocks
	let told = '';
	$effect(() => {
		if (!step || state_.status !== 'open') return;
		if (!burning || elapsedS === undefined || paced?.deadlineS === undefined) return;
		const left = paced.deadlineS - elapsedS;
		const mark = left <= 0 ? 'now' : left <= 10 ? 'soon' : '';
		if (!mark || told === `${step.id}-${mark}`) return;
		told = `${step.id}-${mark}`;
		sound.tell(mark === 'now' ? 3 : 1, mark === 'now' ? 'Time is up' : 'Ten seconds');
	});
	$effect(() => {
		const clocks = clocksOf(run.id, plan, state_);
		const practised = clocks.map((c) => ({ ...c, href: '/practice', label: `Practice: ${c.label}` }));
		untrack(() => ownClocks.show(`/pour/${run.id}`, source ? practised : clocks));
	});
	/** The mould of a grade: it says what is cast in it, where that is another piece than the pour's. */
	const castOf = (mouldId: string) => run.plan.moulds.find((m) => m.id === mouldId);
	/** So long after the pour the cup with what is left is at hand: it is asked first, ms. */
	const LEFT_AT_HAND_MS = 300_000;
	const asksLeft = $derived(
		!source &&
			run.plan.netG !== undefined &&
			state_.leftG === undefined &&
			state_.pouredAtMs !== undefined &&
			now.ms - state_.pouredAtMs < LEFT_AT_HAND_MS
	);
	/** Of a wall that is built up, all its layers together. */
	const wallMm = $derived(plan.layers?.some((l) => l.way !== 'flat') ? plan.layers.reduce((sum, l) => sum + l.thicknessMm, 0) : undefined);
	/** What a coat is thickened with, from its mixing until it is laid. */
	const thickener = $derived(
		step?.layer !== undefined && plan.layers?.[step.layer]?.way === 'brush' && ['mix', 'brush'].includes(stepName(step.id) ?? '')
			? plan.layers[step.layer]!.fillers?.[0]
			: undefined
	);
	/** What stands after the first step, and the rules of what is typed there: not sent with the page, here before it is wanted. */
	let after = $state.raw<typeof import('./pour/after')>();
	let curing = $state.raw<typeof import('./pour/curing')>();
	let weighed = $state.raw<typeof import('./pour/weighed')>();
	let rules = $state.raw<typeof castFindings>();
	/** So long a page may stand untouched; then all is fetched while there is a network, ms. */
	const UNTOUCHED_MS = 10_000;
	const fetchCuring = async () => (curing ??= await import('./pour/curing'));
	const fetchWeighed = async () => (weighed ??= await import('./pour/weighed'));
	async function fetchAll() {
		await fetchWeighed();
		await fetchCuring();
		after ??= await import('./pour/after');
		rules ??= (await import('$lib/core/bench/events')).castFindings;
		desk.rules = rules;
	}
	let fetching = false;
	async function fetchAfter(wanted: () => Promise<unknown> = fetchAll) {
		if (fetching || (after && rules)) return;
		fetching = true;
		// without a network the next press asks again
		await wanted().catch(() => {});
		fetching = false;
	}
	$effect(() => {
		const kind = state_.status === 'open' ? step?.kind : 'inspect';
		if (kind === 'inspect') void fetchAfter();
		if (kind === 'measure') void fetchAfter(fetchWeighed);
		if (kind === 'hold' || kind === 'cure') void fetchAfter(fetchCuring);
	});
	onMount(() => {
		layout.start();
		ask = latest(
			({ plan, state }) => usePlanner().benchForecast(plan, state),
			(answer) => (forecast = answer)
		);
		const quiet = instruments || source ? devices.start(source !== undefined) : () => {};
		const sleep = keepAwake();
		// nobody may press for a while, and then the network is gone
		const later = setTimeout(() => void fetchAfter(), UNTOUCHED_MS);
		return () => {
			clearTimeout(later);
			quiet();
			sleep();
			ownClocks.leave();
		};
	});
</script>

<svelte:window
	onpointerdown={() => void fetchAfter()}
	onkeydowncapture={() => void fetchAfter()}
	onkeydown={key}
	onkeyup={key}
	onblur={() => desk.scale.stream(false)}
	onclick={letGo} />

<div class="flex h-full min-h-[34rem] flex-col px-4 pb-4 sm:px-6">
	<Head
		open={state_.status === 'open'}
		unsent={run.unsent}
		refused={run.refused}
		clockOffMs={run.clockOffMs}
		onundo={state_.lastUndoable ? () => desk.back() : undefined}
		{layout}
		leave={source ? '/practice' : '/'}
		giveUp={{ giveUp: 'Give this pour up', goOn: 'Go on pouring', example: 'kicked in the cup' }}
		onend={(reason) => run.record({ kind: 'abandoned', reason })}>
		{#snippet title()}
			{#if source}<span class="mr-1 rounded-md border-2 border-(--line-strong) bg-(--sunk) px-2 py-0.5 font-bold text-(--ink)"
					>Practice</span
				>{/if}
			{#if outline}<span class="mr-1 inline-block align-middle"><PieceFace {outline} rem={2.2} /></span>{/if}
			<strong>{plan.masterName}</strong>
			<span class="soft"
				>{plan.moulds.map((m) => `M${m.number}`).join(' ')} · {plan.resinName} · {#if plan.series}pull {plan.series.number}{plan.series
						.wanted
						? ` of ${plan.series.wanted}`
						: ''}{:else}cup {plan.batchIndex + 1} of {plan.batchCount}{/if}</span>
		{/snippet}
		{#snippet extra()}
			{#if state_.status === 'open' && !source && instruments}<button
					type="button"
					class={SMALL_BUTTON}
					aria-pressed={devices.on}
					onclick={() => devices.toggle()}
					><Gauge class="size-5" aria-hidden="true" /><span class="max-sm:sr-only">Instruments: {devices.on ? 'on' : 'off'}</span></button
				>{/if}
		{/snippet}
	</Head>
	{#if state_.status !== 'open'}
		{#if ended}{@render ended()}{:else if after}<after.Ended {run} {forecast} />{/if}
	{:else if step}
		{#if devices.on}<div class="pb-2"><DeviceStrip {devices} /></div>{/if}
		<Frame
			{layout}
			cautions={step.cautions}
			order={!burning}
			asks={desk.asks}
			{action}
			onpress={() => desk.press()}
			at={state_.current}
			titles={run.steps.map((s) => s.title)}
			figure={desk.weighs ? units.weighed(desk.scale.targetG) : undefined}
			of={plan.masterName}>
			<PourFace
				step={paced ?? step}
				slackS={pace?.slackS}
				{plan}
				{elapsedS}
				pouredAtMs={state_.pouredAtMs}
				sinceMs={lastDoneMs}
				nowMs={now.ms}
				bind:air={desk.air}
				bind:gaugeKpa={desk.gaugeKpa}
				read={step.kind === 'air' ? desk.airRead : desk.gaugeRead}
				onread={() => (step.kind === 'air' ? (desk.confirmed.air = true) : (desk.confirmed.gauge = step.id))}
				gaugeLive={devices.live('gauge') !== undefined}
				worked={devices.simulated}
				onpot={(to) => desk.pot(to)}
				heading={desk.scale.mend ? `Add ${desk.scale.mend.part}` : step.title}
				detail={desk.scale.mend
					? desk.scale.mendWords
					: desk.weighs && Math.abs(desk.scale.factor - 1) > 0.0005
						? `${units.weighed(desk.scale.targetG)} now, and no other amount: what was weighed before moved it.`
						: step.detail}
				weighs={desk.weighs}>
				{#if curing && step.kind === 'hold' && !source}<curing.ReleasedBy {desk} />{/if}
			</PourFace>
			{#if desk.weighs}
				<WeighFace part={desk.scale.mend?.part ?? step.part} scale={desk.scale} {devices}>
					{#snippet typed()}{#if weighed}<weighed.WeighedField scale={desk.scale} />{/if}{/snippet}
				</WeighFace>
			{/if}
			{#if curing && (step.kind === 'cure' || step.kind === 'hold') && !source && !isCastablePlan(plan)}
				<curing.CureNotes {run} {forecast} nowMs={now.ms} folded={step.kind === 'hold'}>
					{#snippet typed()}{#if after}<after.CureTyped {run} />{/if}{/snippet}
				</curing.CureNotes>
				{#if asksLeft && step.kind === 'cure'}<curing.LeftOver {run} {devices} />{/if}
				{#if !asksLeft && step.kind === 'cure' && run.plan.netG !== undefined}<details class="mx-auto w-full max-w-[60rem]">
						<summary class="text-center font-semibold text-(--work)"
							>What was left of it{state_.leftG === undefined ? '' : `: ${leftWords(state_.leftG, units.system)}`}</summary>
						<curing.LeftOver {run} {devices} />
					</details>{/if}
			{/if}
			{#if mates && step.kind !== 'inspect'}{@render mates(step.role === 'others' || step.id === 'combine')}{/if}
			{#if step.id === 'cups-read'}<CupStarts {run} {plan} />{/if}
			{#if step.doses !== undefined}<DosePress {run} {step} />{/if}
			{#if thickener}<ThickenPress {run} layer={step.layer!} filler={thickener} />{/if}
			{#if after && step.kind === 'inspect'}
				{#if !source && !isCastablePlan(plan)}<after.OutPresses {run} />{/if}
				<div class="mx-auto flex w-full max-w-[60rem] flex-col gap-3">
					{#each desk.grades as g, i (g.id)}
						<after.Grading
							title="{castOf(g.id)?.masterName ?? 'Cast'} from M{g.number}"
							id={g.id}
							bind:grade={desk.grades[i]!.grade}
							bind:faults={desk.grades[i]!.faults}
							bind:note={desk.grades[i]!.note}
							bind:findings={desk.grades[i]!.findings}
							bind:pictures={() => (source ? undefined : desk.grades[i]!.pictures), (v) => (desk.grades[i]!.pictures = v ?? [])}
							references={castOf(g.id)?.masterName === undefined ? (run.plan.references ?? []) : []}
							{wallMm}
							rim={run.plan.rim}
							wanting={desk.wanting}
							{rules} />
					{/each}
				</div>
				{#if !source && run.plan.netG !== undefined && state_.leftG === undefined}<after.LeftOver {run} {devices} />{/if}
				{#if !source && plan.shotId && plan.moulds.length > 0}<after.NextOne {run} {desk} />{/if}
			{/if}
			{#if step.warnings?.length}<div class="mx-auto w-full max-w-[60rem] text-[1.15rem]">
					<Warnings warnings={step.warnings} />
				</div>{/if}
			{#if happened}{@render happened()}{/if}
			{#if late}<div class="mx-auto w-full max-w-[60rem] text-[1.15rem]"><Warnings warnings={[late]} live /></div>{/if}
			{#if burning}
				<Fuse
					steps={plan.steps}
					{potLifeS}
					{usableS}
					slackS={pace?.slackS ?? usableS - plan.steps.reduce((sum, s) => sum + s.durationS, 0)}
					{...elapsedS === undefined ? {} : { elapsedS }}
					large />
			{/if}
			{#if burning && !desk.weighs && !isCastablePlan(plan)}<CupTemp
					{run}
					{plan}
					{desk}
					{forecast}
					{elapsedS}
					gun={devices.live('infraredThermometer')?.value}
					eyes={!source} />{/if}
			{#if waiting && waitS > 20}{@render waiting(waitS)}{/if}
		</Frame>
	{/if}
</div>
