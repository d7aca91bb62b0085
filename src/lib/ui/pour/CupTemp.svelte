<script lang="ts">
	import type { PourPlan } from '$lib/core/plan';
	import { cupStep, type BenchForecast } from '$lib/core/bench';
	import { digits } from '$lib/core/units';
	import { countdown } from '../clockText';
	import type { PourRun } from '../pourRun.svelte';
	import type { Desk } from './desk.svelte';
	import Segments from '../Segments.svelte';
	import TempPad from './TempPad.svelte';
	import { useUnits } from '../units.svelte';

	/** The cup's temperature, noted by a press or by the gun itself, and what it makes of the time left. */
	interface Props {
		run: PourRun;
		plan: PourPlan;
		desk: Desk;
		forecast: BenchForecast | undefined;
		elapsedS: number | undefined;
		/** What a gun thermometer says now, °C. */
		gun?: number | undefined;
		/** What is seen may be noted too; not in practice, where nothing is seen. */
		eyes: boolean;
	}
	let { run, plan, desk, forecast, elapsedS, gun, eyes }: Props = $props();
	const units = useUnits();
	/** Colours are read each by itself; a layer's cup is the one that was combined last. */
	const cup = $derived(run.current?.layer ?? desk.cup);
	const mine = $derived(run.state.temps.filter((t) => t.cup === cup));
	/** Colours that stand combined: with several, which one was read is said. */
	const standing = $derived(
		(run.plan.cups ?? []).flatMap(({ name }, i) =>
			run.state.doneAtMs[cupStep('combine', i)] === undefined ? [] : [{ value: `${i}`, label: name }]
		)
	);
	const band = $derived(
		forecast?.potLifeLowS !== undefined && elapsedS !== undefined && (!plan.layers || mine.length > 0)
			? [Math.max(0, forecast.potLifeLowS - elapsedS), Math.max(0, forecast.potLifeHighS! - elapsedS)]
			: undefined
	);
	const count = $derived(run.state.temps.length);
	const until = $derived(run.current?.untilTempC);
	const cupC = $derived(gun ?? mine.at(-1)?.tempC);
</script>

<div class="mx-auto flex w-full max-w-[60rem] flex-wrap items-center justify-center gap-x-6 gap-y-2">
	{#if standing.length > 1}
		<Segments
			label={gun === undefined ? 'Which cup was read' : 'The gun is held at'}
			name="cupRead"
			options={standing}
			bind:value={() => `${desk.cup}`, (v) => (desk.cup = Number(v))} />
	{/if}
	{#if gun === undefined}
		<TempPad
			label="Cup reads"
			nearC={mine.at(-1)?.tempC ?? plan.startTempC}
			onread={(tempC) => run.record({ kind: 'temp-read', tempC, source: 'typed', ...(desk.cup > 0 ? { cup: desk.cup } : {}) })} />
	{:else}
		<p class="text-[1.15rem]">The gun notes the cup by itself: <strong class="tnum">{units.show(gun, 'temperature')}</strong></p>
	{/if}
	{#if eyes && !plan.layers && !plan.cups}
		{#each ['warm', 'strings'] as const as what (what)}
			{@const noted = run.state.seen.some((s) => s.what === what)}
			<button
				type="button"
				disabled={noted}
				class="min-h-[2.9rem] cursor-pointer rounded-lg border-[1.5px] border-(--line-strong) bg-(--paper) px-3 font-semibold disabled:cursor-default disabled:opacity-60"
				onclick={() => run.record({ kind: 'seen', what, source: 'typed' })}
				>{what === 'warm' ? 'It is warm' : 'It strings'}{noted ? ', noted' : ''}</button>
		{/each}
	{/if}
	<p class="sr-only" role="status">
		{until !== undefined && cupC !== undefined && cupC >= until ? 'Warm enough: pour now' : ''}
	</p>
	<p class="min-w-[13rem] flex-1 text-[1.15rem]">
		{#if until !== undefined && cupC !== undefined}
			<strong class={cupC >= until ? 'text-(--work)' : 'text-(--hot)'}
				>{cupC >= until ? 'Warm enough: pour now' : `Not yet: ${units.show(until, 'temperature')} wanted`}</strong>
		{/if}
		{#if band}<strong>Too thick in {countdown(band[0]!)} to {countdown(band[1]!)}</strong>
			<span class="soft">by {count} reading{count === 1 ? '' : 's'}, ×&nbsp;{digits(forecast!.rateFactor!)} of its sheet</span>
		{:else if forecast?.rateFactor !== undefined}<span class="soft"
				>By what you saw, ×&nbsp;{digits(forecast.rateFactor)} of its sheet.</span>
		{:else if forecast}<span class="soft">Corrected for the room and the mould as you read them.</span>
		{:else}<span class="soft">A thermometer, or what you see, corrects the forecast.</span>{/if}
	</p>
</div>
