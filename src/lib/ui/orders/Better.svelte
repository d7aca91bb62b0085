<script lang="ts">
	import { onDestroy } from 'svelte';
	import { deserialize } from '$app/forms';
	import { Button } from 'flowbite-svelte';
	import type { Workshop } from '$lib/core/orders';
	import { formatTime } from '$lib/core/units';
	import { wallTime } from '$lib/ui/clockText';
	import { PlanSearch } from './search.svelte';

	/** Looks for a better plan while one watches: how much is gained, how much could be at most, and stop. */
	interface Props {
		workshop: Workshop;
		startsMs: Record<string, number>;
		lateWeightedS: number;
		finishMs: number;
		boundMs: number;
		nowMs: number;
		ondone: () => Promise<unknown>;
	}
	let { workshop, startsMs, lateWeightedS, finishMs, boundMs, nowMs, ondone }: Props = $props();
	const search = new PlanSearch();
	let said = $state('');
	let busy = $state(false);
	onDestroy(() => search.stop());
	const known = $derived(search.known);
	const sooner = $derived(known ? finishMs - known.finishMs : 0);
	const isBetter = $derived(
		known !== undefined && (known.lateWeightedS < lateWeightedS || (known.lateWeightedS === lateWeightedS && sooner > 0))
	);
	const at = (ms: number) => wallTime(ms, nowMs);

	async function take(): Promise<void> {
		if (!known) return;
		busy = true;
		try {
			const body = new FormData();
			body.set('starts', JSON.stringify(known.startsMs));
			body.set('asOfMs', String(search.asOfMs));
			const answer = await fetch('?/improved', { method: 'POST', body, headers: { 'x-sveltekit-action': 'true' } });
			const result = deserialize<{ words: string[] }, { refused: string }>(await answer.text());
			said =
				result.type === 'success'
					? 'It is followed now.'
					: result.type === 'failure'
						? (result.data?.refused ?? 'It was refused.')
						: 'It was not kept: try again.';
			if (result.type === 'success') {
				search.known = undefined;
				await ondone();
			}
		} catch {
			said = 'The workshop does not answer: the plan stays as it is.';
		} finally {
			busy = false;
		}
	}
</script>

<section class="no-print mt-4 flex flex-wrap items-center gap-x-5 gap-y-2" aria-label="A better plan">
	{#if search.running}
		<Button color="alternative" onclick={() => search.stop()}>Stop</Button>
	{:else}
		<Button
			color="alternative"
			onclick={() => {
				said = '';
				search.start(workshop, startsMs);
			}}>Look for a better plan</Button>
	{/if}
	{#if known}
		<p role="status">
			{known.looked} orders of work looked at:
			{#if isBetter}
				<strong>{known.lateWeightedS < lateWeightedS ? 'less is late' : `${formatTime(sooner / 1000)} sooner`}</strong>, done {at(
					known.finishMs
				)}.
			{:else}none is better.{/if}
			<span class="soft">No plan ends before {at(boundMs)}.</span>
		</p>
		{#if isBetter && !search.running}<Button onclick={() => void take()} disabled={busy}>Follow it</Button>{/if}
	{/if}
	{#if said}<p role="status" class="font-semibold">{said}</p>{/if}
</section>
