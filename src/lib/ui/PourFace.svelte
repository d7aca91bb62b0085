<script lang="ts">
	import type { Snippet } from 'svelte';
	import { dewPointC, FACE_MARGIN_C } from '$lib/core/humidity';
	import { holdFloorKpa, type PourPlan } from '$lib/core/plan';
	import { isCastablePlan, parseStepId, stepName, type BenchStep } from '$lib/core/bench';
	import { countdown } from './clockText';
	import Stepper from './Stepper.svelte';
	import { useUnits } from './units.svelte';

	/** What one step shows: its words, and the one number that matters, readable at two metres. */
	interface Props {
		step: BenchStep;
		/** What is left of the usable pot life once all is done; less than nothing is too late. */
		slackS?: number | undefined;
		plan: PourPlan;
		elapsedS: number | undefined;
		pouredAtMs: number | undefined;
		/** When the step before this one was done. */
		sinceMs: number | undefined;
		nowMs: number;
		air: { roomTempC: number; relativeHumidity: number; mouldTempC: number };
		gaugeKpa: number;
		/** Whether the figures to be kept were read by anybody; else they are the plan's. */
		read: boolean;
		/** They were read, and are just as they stand. */
		onread: () => void;
		/** A gauge speaks for itself. */
		gaugeLive: boolean;
		/** The pot is simulated: its compressor is worked from here. */
		worked: boolean;
		onpot: (to: 'pump' | 'hold' | 'release') => void;
		heading: string;
		detail: string;
		/** The amount is drawn by the scale's own face. */
		weighs: boolean;
		/** Beside the gauge. */
		children?: Snippet;
	}
	let {
		step,
		slackS,
		plan,
		elapsedS,
		pouredAtMs,
		sinceMs,
		nowMs,
		air = $bindable(),
		gaugeKpa = $bindable(),
		read,
		onread,
		gaugeLive,
		worked,
		onpot,
		heading,
		detail,
		weighs,
		children
	}: Props = $props();
	const units = useUnits();
	const name = $derived(stepName(step.id));

	const leftS = $derived.by(() => {
		if (step.deadlineS !== undefined && elapsedS !== undefined) return step.deadlineS - elapsedS;
		if (step.waitS !== undefined && sinceMs !== undefined) return step.waitS - (nowMs - sinceMs) / 1000;
		if (pouredAtMs === undefined) return undefined;
		if (step.kind === 'hold') return plan.holdUntilS - (nowMs - pouredAtMs) / 1000;
		if (step.kind === 'cure') return plan.demouldS - (nowMs - pouredAtMs) / 1000;
		return undefined;
	});
	/** Until when what lies in the mould bonds, as readings have it now. */
	const bondsS = $derived.by(() => {
		const ref = parseStepId(step.id);
		if (ref?.name !== 'gelled' || sinceMs === undefined) return undefined;
		return plan.layers![ref.cup]!.recoatUntilS - (nowMs - sinceMs) / 1000;
	});
	const late = $derived(leftS !== undefined && leftS < 0);
	const gauged = $derived(step.kind === 'pump' || step.kind === 'hold');
	const counts = $derived(step.kind === 'hold' || step.kind === 'cure' || step.kind === 'dry');
	const potLifeS = $derived(step.layer ? plan.layers![step.layer]!.potLifeS : plan.potLifeS);
	const thickS = $derived(elapsedS === undefined ? undefined : potLifeS - elapsedS);
	const dew = $derived(dewPointC({ tempC: air.roomTempC, relativeHumidity: air.relativeHumidity }));
	const airWarning = $derived(
		air.mouldTempC < dew + FACE_MARGIN_C
			? `${units.text(`The mould is within ${FACE_MARGIN_C} °C of the dew point`)} (${units.show(dew, 'temperature')}): its face will foam. Warm it first.`
			: plan.chemistry === 'urethane' && air.relativeHumidity >= (plan.stopHumidityPercent ?? 50)
				? `From ${plan.stopHumidityPercent ?? 50} % humidity this workshop stops pouring urethane: dry the room, or keep A closed and the mould warm and dry.`
				: ''
	);
	const overRating = $derived(plan.pot !== undefined && gaugeKpa > plan.pot.ratedGaugeKpa);
	const potWords = $derived<['pump' | 'hold', string][]>(
		step.kind === 'pump'
			? [
					['pump', 'Open the air'],
					['hold', 'Shut the air']
				]
			: [['pump', 'Top the pressure up']]
	);
	const fahrenheit = $derived(units.system === 'us');
</script>

{#snippet unread(words: string)}
	<p class="flex min-h-[3rem] flex-wrap items-center justify-center gap-3 text-[1.15rem]">
		{#if read}<span class="soft">Kept as read.</span>{:else}<span>{words}</span>
			<button
				type="button"
				class="min-h-[2.9rem] cursor-pointer rounded-lg border-[1.5px] border-(--line-strong) bg-(--paper) px-4 font-semibold"
				onclick={onread}>I read just that</button
			>{/if}
	</p>
{/snippet}

<div class="text-center">
	<h1 class="text-[clamp(1.7rem,5vh,2.6rem)]!">{heading}</h1>
	<p class="mx-auto mt-1 max-w-[52rem] text-[1.15rem] leading-snug">{detail}</p>
</div>

{#if weighs}<!-- the scale's face stands below -->
{:else if step.kind === 'air'}
	<div class="flex flex-wrap justify-center gap-x-12 gap-y-4">
		<Stepper
			label="Room"
			bind:value={air.roomTempC}
			step={fahrenheit ? 5 / 9 : 1}
			min={-10}
			max={60}
			show={(v) => units.show(v, 'temperature')} />
		<Stepper label="Humidity" bind:value={air.relativeHumidity} step={1} min={1} max={100} show={(v) => `${Math.round(v)} %`} />
		<Stepper
			label="Mould"
			bind:value={air.mouldTempC}
			step={fahrenheit ? 5 / 9 : 1}
			min={-10}
			max={120}
			show={(v) => units.show(v, 'temperature')} />
	</div>
	{@render unread('Planned figures. Set what you read, or:')}
	<p class="sr-only" role="status">{airWarning ? 'Too near the dew point: leave the mould closed' : ''}</p>
	<p class="mx-auto min-h-[3.2rem] max-w-[46rem] text-center text-[1.15rem]">
		{#if airWarning}<strong class="text-(--hot)">{airWarning}</strong>{:else}<span class="soft"
				>Dew point {units.show(dew, 'temperature')}: the mould is safe from dew.</span
			>{/if}
	</p>
{:else if leftS !== undefined}
	<div class="text-center" style:color={late && !counts && (slackS ?? -1) < 0 ? 'var(--hot)' : counts && late ? 'var(--work)' : 'inherit'}>
		<p
			class="answer {gauged || step.kind === 'timed'
				? 'text-[clamp(2.6rem,min(13vh,20vw),9rem)]'
				: 'text-[clamp(2.6rem,min(19vh,20vw),9rem)]'}"
			role="timer">
			{counts && late ? 'Ready' : countdown(leftS)}
		</p>
		<p class="mt-2 text-[1.15rem] font-semibold">
			{#if step.kind === 'hold'}{late ? 'Past gel with a quarter to spare: it may be released' : 'until it may be released'}
			{:else if name === 'roll'}{late ? 'By its time it stays where it is: look' : 'until it stays where it is'}
			{:else if name === 'brush'}{late ? 'By its time it is laid: look at the corners' : 'to spread it into every corner'}
			{:else if name === 'gelled'}{late
					? 'By its time it has gelled: touch the left-over'
					: 'until the next layer may follow'}{#if bondsS !== undefined}
					<br /><span class={bondsS < 60 ? 'text-(--hot)' : 'soft'}
						>{bondsS > 0 ? `it bonds for ${countdown(bondsS)}` : 'past its time to bond'}</span
					>{/if}
			{:else if name === 'cooled'}{late ? 'By its time it is cool: feel the mould' : 'until it is cool enough for the next'}
			{:else if name === 'fill'}{late ? 'By its time the shell is firm: press a thumb into it' : 'until the shell is firm enough to fill'}
			{:else if name === 'support'}{late ? 'By its time it is stiff: press where it is thickest' : 'until it is stiff'}
			{:else if step.kind === 'dry'}{late ? 'Dry by its time: look and touch the rim' : 'until it has flashed off'}
			{:else if step.kind === 'cure' && isCastablePlan(plan)}{late
					? 'Ready by its time: feel it, its middle too'
					: 'until it comes out, as its record says'}
			{:else if step.kind === 'cure'}{late ? 'The slowest place has its strength' : 'until the slowest place is firm'}{#if plan.demouldBand}
					<br /><span class="soft"
						>{plan.flexibleS === undefined ? '' : `gives when bent from ${units.show(plan.flexibleS, 'time')} after the pour, `}four of five
						are ready after {units.band(plan.demouldBand)}</span
					>{/if}
				{#if plan.ownDemould}<br />yours: {units.band(plan.ownDemould)} after the pour, in {plan.ownDemould.pulls} pulls{/if}
			{:else if late}longer than planned{#if slackS !== undefined && slackS >= 0}, {countdown(slackS)} of slack left{:else}, and too late
					for what is to do{/if}{#if thickS !== undefined}{thickS > 0
						? `, still liquid for ${countdown(thickS)}`
						: ', and past its pot life'}{/if}
			{:else}left for this step{#if thickS !== undefined}; too thick in {countdown(thickS)}{/if}{/if}
		</p>
	</div>
{/if}
{#if gauged}
	<div class="flex flex-wrap items-start justify-center gap-x-10 gap-y-2">
		<Stepper
			label="Gauge reads"
			bind:value={gaugeKpa}
			step={units.system === 'us' ? 6.894757293168 : 5}
			min={0}
			max={2000}
			show={(v) => units.show(v, 'pressure')} />
		<div class="max-w-[15rem] pt-1">{@render unread('Planned, not read yet:')}</div>
		{@render children?.()}
	</div>
	{#if gaugeLive && plan.pot}
		{#if worked}<div class="flex flex-wrap justify-center gap-3">
				{#each potWords as [to, words] (to)}
					<button
						type="button"
						class="min-h-[3.2rem] rounded-xl border-2 border-(--line-strong) bg-(--paper) px-5 text-[1.15rem] font-semibold"
						onclick={() => onpot(to)}>{words}</button>
				{/each}
			</div>{/if}
		{#if step.kind === 'pump' && gaugeKpa < holdFloorKpa(plan.pot.targetGaugeKpa)}<p class="text-center text-[1.15rem]" role="status">
				{units.show(Math.max(0, plan.pot.targetGaugeKpa - gaugeKpa), 'pressure')} to go
			</p>{/if}
		{#if step.kind === 'hold' && gaugeKpa < holdFloorKpa(plan.pot.targetGaugeKpa)}<p
				class="text-center text-[1.15rem] font-bold text-(--hot)"
				role="alert">
				It is losing pressure: under {units.show(holdFloorKpa(plan.pot.targetGaugeKpa), 'pressure')}. Top it up while the resin is liquid,
				within the rating; look for the leak afterwards.
			</p>{/if}
	{/if}
	{#if overRating}<p class="text-center text-[1.15rem] font-bold text-(--harm)" role="alert">
			Past the rating of {units.show(plan.pot!.ratedGaugeKpa, 'pressure')}: stop the air and vent now.
		</p>{/if}
{/if}
