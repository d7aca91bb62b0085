<script lang="ts">
	import { Button } from 'flowbite-svelte';
	import { enhance } from '$app/forms';
	import type { BenchForecast } from '$lib/core/bench';
	import { digits } from '$lib/core/units';
	import type { PourRun } from '../pourRun.svelte';
	import LateEntry from './LateEntry.svelte';
	import LeftOver from './LeftOver.svelte';

	/** A pour that is over: what was kept of it, what it taught, and what was forgotten to note. */
	let { run, forecast }: { run: PourRun; forecast: BenchForecast | undefined } = $props();
	const plan = $derived(run.plan);
	const state_ = $derived(run.state);
	/** Poured before anything of it was in the books. */
	const loose = $derived(plan.moulds.length === 0);
	let kept = $state('');
	/** Kept as a shot: it can be poured again as it is. */
	const again = $derived(!loose && state_.status === 'finished' && plan.shotId !== '');
	const number = $derived((plan.series?.number ?? 1) + 1);
</script>

<div class="m-auto max-w-xl text-center">
	<h1>{state_.status !== 'finished' ? 'Given up' : loose ? 'It is poured' : 'It is in the ledger'}</h1>
	<p class="mt-3 text-[1.15rem]">
		{#if loose}Every step with its time is kept. No mould of it is in the books, so no pull is counted.{:else if state_.status === 'finished'}Every
			step with its time, the readings and the grades are kept.{:else if state_.combinedAtMs}Resin was combined, so it counts as a scrapped
			pull of its mould.{:else}Nothing was combined, so no pull is counted.{/if}
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
	{#if again}
		<form method="POST" action="?/again" class="mt-6" use:enhance={({ cancel }) => run.next.begin(cancel)}>
			<!-- focused: it is what a hand in a glove wants next -->
			<Button type="submit" size="xl" disabled={run.next.beginning} autofocus>Pour the next one</Button>
			<p class="soft mt-2">
				{run.next.beginning ? 'It is being begun. ' : ''}Pull {number}{plan.series?.wanted ? ` of ${plan.series.wanted}` : ''} of the same cast.
				The mould looked over, tins stirred and the room read are not asked again while they hold.
			</p>
			{#if plan.series?.wanted === undefined}
				<label class="mt-3 inline-flex items-center gap-2"
					>How many in all? <input
						name="wanted"
						inputmode="numeric"
						autocomplete="off"
						maxlength="4"
						class="w-32 rounded-lg border-[1.5px] border-(--line-strong) bg-(--paper) px-3 py-2"
						placeholder="such as 40" /></label>
			{/if}
			<p class="min-h-[1.5rem] font-semibold text-(--harm)" role="alert">{run.next.refused}</p>
		</form>
	{/if}
	{#if state_.status === 'finished' && plan.netG !== undefined}<div class="mt-6"><LeftOver {run} /></div>{/if}
	{#if again}<p class="mt-4"><a class="plain" href="/pour/{run.id}/tally.pdf">Print the tally of this run</a></p>{/if}
	<p class="mt-4 flex flex-wrap justify-center gap-3">
		{#if plan.batchCount > 1 && !again}<Button size="xl" href="/shots/{plan.shotId}">Next cup of this shot</Button>{/if}
		{#if loose}<Button size="xl" href="/quick">What do I mix next?</Button>{:else}<Button
				size="xl"
				color={again || plan.batchCount > 1 ? 'alternative' : 'primary'}
				href="/ledger">See the ledger</Button
			>{/if}
	</p>
	{#if state_.combinedAtMs !== undefined}<LateEntry {run} />{/if}
</div>
