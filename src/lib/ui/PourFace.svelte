<script lang="ts">
	import { dewPointC, FACE_MARGIN_C } from '$lib/core/humidity';
	import type { BenchStep, PourPlan } from '$lib/core/pour';
	import { countdown } from './clockText';
	import Stepper from './Stepper.svelte';
	import { useUnits } from './units.svelte';

	/** What one step shows: its words, and the one number that matters, readable at two metres. */
	interface Props {
		step: BenchStep;
		plan: PourPlan;
		elapsedS: number | undefined;
		pouredAtMs: number | undefined;
		/** When the step before this one was done. */
		sinceMs: number | undefined;
		nowMs: number;
		air: { roomTempC: number; relativeHumidity: number; mouldTempC: number };
		gaugeKpa: number;
	}
	let { step, plan, elapsedS, pouredAtMs, sinceMs, nowMs, air = $bindable(), gaugeKpa = $bindable() }: Props = $props();
	const units = useUnits();

	const leftS = $derived.by(() => {
		if (step.deadlineS !== undefined && elapsedS !== undefined) return step.deadlineS - elapsedS;
		if (step.waitS !== undefined && sinceMs !== undefined) return step.waitS - (nowMs - sinceMs) / 1000;
		if (pouredAtMs === undefined) return undefined;
		if (step.kind === 'hold') return plan.holdUntilS - (nowMs - pouredAtMs) / 1000;
		if (step.kind === 'cure') return plan.demouldS - (nowMs - pouredAtMs) / 1000;
		return undefined;
	});
	const late = $derived(leftS !== undefined && leftS < 0);
	const counts = $derived(step.kind === 'hold' || step.kind === 'cure' || step.kind === 'dry');
	const potLifeS = $derived(step.layer ? plan.layers![step.layer]!.potLifeS : plan.potLifeS);
	const thickS = $derived(elapsedS === undefined ? undefined : potLifeS - elapsedS);
	const amount = $derived(step.amount ?? (step.part === 'A' ? plan.a : step.part === 'B' ? plan.b : undefined));
	const dew = $derived(dewPointC({ tempC: air.roomTempC, relativeHumidity: air.relativeHumidity }));
	const airWarning = $derived(
		air.mouldTempC < dew + FACE_MARGIN_C
			? `The mould is within ${FACE_MARGIN_C} °C of the dew point (${units.show(dew, 'temperature')}): its face will foam. Warm it first.`
			: air.relativeHumidity >= 50
				? 'From 50 % humidity many stop pouring urethane: keep A closed and the mould warm and dry.'
				: ''
	);
	const overRating = $derived(plan.pot !== undefined && gaugeKpa > plan.pot.ratedGaugeKpa);
	const fahrenheit = $derived(units.system === 'us');
</script>

<div class="text-center">
	<h1 class="text-[clamp(1.7rem,5vh,2.6rem)]!">{step.title}</h1>
	<p class="mx-auto mt-1 max-w-[52rem] text-[1.2rem] leading-snug">{step.detail}</p>
</div>

{#if amount}
	<p class="flex items-center justify-center gap-6">
		{#if step.part}<span
				class={[
					'grid size-28 place-items-center rounded-2xl text-[5rem] leading-none font-extrabold',
					step.part === 'A' ? 'bg-(--part-a) text-(--paper)' : 'hatch-b text-(--ink)'
				]}><span class={step.part === 'B' ? 'rounded-lg bg-(--paper) px-3' : ''}>{step.part}</span></span
			>{/if}
		<span class="answer text-[clamp(4.5rem,18vh,8.5rem)] whitespace-nowrap">{units.show(amount.massG, 'mass')}</span>
	</p>
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
	<p class="mx-auto min-h-[3.2rem] max-w-[46rem] text-center text-[1.15rem]" role="status">
		{#if airWarning}<strong class="text-(--hot)">{airWarning}</strong>{:else}<span class="soft"
				>Dew point {units.show(dew, 'temperature')}: the mould is safe from dew.</span
			>{/if}
	</p>
{:else if leftS !== undefined}
	<div class="text-center" style:color={late && !counts ? 'var(--hot)' : counts && late ? 'var(--work)' : 'inherit'}>
		<p class="answer text-[clamp(4.5rem,19vh,9rem)]" role="timer">
			{counts && late ? 'Ready' : countdown(leftS)}
		</p>
		<p class="mt-2 text-[1.2rem] font-semibold">
			{#if step.kind === 'hold'}{late ? 'Past gel with a quarter to spare: it may be released' : 'until it may be released'}
			{:else if step.id.startsWith('roll-')}{late ? 'By its time it stays where it is: look' : 'until it stays where it is'}
			{:else if step.id.startsWith('gelled-')}{late ? 'By its time it has gelled: touch the left-over' : 'until the next layer may follow'}
			{:else if step.kind === 'dry'}{late ? 'Dry by its time: look and touch the rim' : 'until it has flashed off'}
			{:else if step.kind === 'cure'}{late ? 'The slowest place has its strength' : 'until the slowest place is firm'}
			{:else if late}late by this much{#if thickS !== undefined}{thickS > 0
						? `, still liquid for ${countdown(thickS)}`
						: ', and past its pot life'}{/if}
			{:else}left for this step{#if thickS !== undefined}; too thick in {countdown(thickS)}{/if}{/if}
		</p>
	</div>
{/if}
{#if step.kind === 'pump' || step.kind === 'hold'}
	<Stepper
		label="Gauge reads"
		bind:value={gaugeKpa}
		step={units.system === 'us' ? 6.894757293168 : 5}
		min={0}
		max={2000}
		show={(v) => units.show(v, 'pressure')} />
	{#if overRating}<p class="text-center text-[1.2rem] font-bold text-(--harm)" role="alert">
			Past the rating of {units.show(plan.pot!.ratedGaugeKpa, 'pressure')}: stop the air and vent now.
		</p>{/if}
{/if}
