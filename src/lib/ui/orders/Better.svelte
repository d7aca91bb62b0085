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
		boundMs: number;
		nowMs: number;
		ondone: () => Promise<unknown>;
	}
	let { boundMs, nowMs, ondone }: Props = $props();
	/** The plan that is followed, and what it rests on. */
	type Base = {
		workshop: Workshop;
		startsMs: Record<string, number>;
		lateWeightedS: number;
		finishMs: number;
	};
	const search = new PlanSearch();
	let base = $state.raw<Base>();
	let said = $state('');
	let busy = $state(false);
	onDestroy(() => search.stop());
	const known = $derived(search.known);
	const sooner = $derived(known && base ? base.finishMs - known.finishMs : 0);
	const isLessLate = $derived(known !== undefined && base !== undefined && known.lateWeightedS < base.lateWeightedS);
	const isBetter = $derived(isLessLate || (known?.lateWeightedS === base?.lateWeightedS && sooner > 0));
	const at = (ms: number) => wallTime(ms, nowMs);

	/** @returns what the server answers to an action of this page; it throws where there is none */
	async function ask<T extends Record<string, unknown>>(action: string, fields: Record<string, string>) {
		const body = new FormData();
		for (const [key, value] of Object.entries(fields)) body.set(key, value);
		const answer = await fetch(`?/${action}`, { method: 'POST', body, headers: { 'x-sveltekit-action': 'true' } });
		return deserialize<T, { refused: string }>(await answer.text());
	}

	async function look(): Promise<void> {
		said = '';
		busy = true;
		try {
			const result = await ask<Base>('workshop', {});
			if (result.type === 'success' && result.data) {
				base = result.data;
				search.start(base.workshop, base.startsMs);
			} else said = 'The workshop could not be read: try again.';
		} catch {
			said = 'The workshop does not answer: try again.';
		} finally {
			busy = false;
		}
	}

	async function take(): Promise<void> {
		if (!known) return;
		busy = true;
		try {
			const result = await ask<{ words: string[] }>('improved', {
				starts: JSON.stringify(known.startsMs),
				asOfMs: String(search.asOfMs)
			});
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
		<Button color="alternative" disabled={busy} onclick={() => void look()}>Look for a better plan</Button>
	{/if}
	{#if known}
		<p role="status">
			{known.looked} orders of work looked at:
			{#if isBetter}
				<strong>{isLessLate ? 'less is late' : `${formatTime(sooner / 1000)} sooner`}</strong>, done {at(known.finishMs)}.
			{:else}none is better.{/if}
			<span class="soft">No plan ends before {at(boundMs)}.</span>
		</p>
		{#if isBetter && !search.running}<Button onclick={() => void take()} disabled={busy}>Follow it</Button>{/if}
	{/if}
	{#if said}<p role="status" class="font-semibold">{said}</p>{/if}
</section>
