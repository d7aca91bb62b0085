<script lang="ts">
	import { Button } from 'flowbite-svelte';
	import { enhance } from '$app/forms';
	import type { Help } from '$lib/core/orders';
	import { digits, formatTime } from '$lib/core/units';

	/** What would bring an order forward, each with what it gains and takes. */
	interface Props {
		numbers: Readonly<Record<string, number>>;
		hourly: number;
		currency: string;
	}
	let { numbers, hourly, currency }: Props = $props();
	let helps = $state.raw<readonly Help[]>();
	let said = $state('');
	let asking = $state(false);
	const names = ({ kind, mouldId }: Help) =>
		kind === 'hands'
			? 'Another pair of hands'
			: kind === 'warmth'
				? 'A room as warm by night as by day'
				: `Another mould like M${numbers[mouldId ?? ''] ?? '?'}`;
	const takes = ({ kind, handsHours }: Help) =>
		kind === 'hands'
			? `${digits(handsHours, 0)} hours of somebody${hourly > 0 ? `, ${currency} ${digits(handsHours * hourly, 0)}` : ''}`
			: kind === 'mould'
				? 'its rubber and an hour of hands; it cures before it helps'
				: 'heat through the night';
</script>

<form
	method="POST"
	action="?/helps"
	class="no-print mt-4"
	use:enhance={() => {
		[asking, said] = [true, ''];
		return ({ result }) => {
			asking = false;
			if (result.type === 'success') helps = result.data?.['helps'] as Help[];
			else said = result.type === 'failure' ? String(result.data?.['refused']) : 'The server did not answer: try again.';
		};
	}}>
	<Button type="submit" color="alternative" disabled={asking}>{asking ? 'Planning' : 'What helps most?'}</Button>
</form>
<div role="status">
	{#if helps}
		<ul class="mt-3 grid gap-2">
			{#each helps as help (names(help))}
				<li>
					<strong>{names(help)}</strong>: {formatTime(help.gainMs / 1000)} sooner{#if help.saves}, and in time{/if}.
					<span class="soft block">Takes {takes(help)}.</span>
				</li>
			{:else}<li>Neither more hands nor more moulds bring it forward: the cure and the hardening take that long.</li>{/each}
		</ul>
	{/if}
	{#if said}<p class="mt-2 font-semibold text-(--harm)">{said}</p>{/if}
</div>
