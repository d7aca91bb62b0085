<script lang="ts">
	import { enhance } from '$app/forms';
	import { Button } from 'flowbite-svelte';
	import type { Difference } from '$lib/core/plan';

	/** A kept shot that is otherwise by today's records: both are shown, and one is chosen before anything is weighed. */
	interface Props {
		moved: { records: readonly string[]; differences: readonly Difference[]; refused?: string };
		/** The cup that is to be poured; nothing while it is only told. */
		batch?: number | undefined;
	}
	let { moved, batch }: Props = $props();
	/** The question comes into sight: its answer is wanted before anything else. */
	function ask(panel: HTMLElement) {
		if (batch !== undefined) panel.scrollIntoView({ block: 'nearest' });
	}
</script>

<section class="slab mb-5 border-2 border-(--line-strong)! p-5" aria-label="Otherwise by today’s records" role="status" {@attach ask}>
	<h2>{moved.refused ? 'By today’s records it cannot be planned' : 'Otherwise by today’s records'}</h2>
	<p class="mt-1">
		{#if moved.refused}{moved.refused}
		{:else if moved.records.length > 0}Changed since this shot was kept: <strong>{moved.records.join(', ')}</strong>.
		{:else}The records or the sums have changed since this shot was kept.{/if}
	</p>
	{#if moved.differences.length > 0}
		<table class="bench my-3 max-w-[40rem]">
			<thead><tr><th>What</th><th class="num">As it was kept</th><th class="num">Today</th></tr></thead>
			<tbody>
				{#each moved.differences as d, i (i)}
					<tr><td class="first-letter:uppercase">{d.what}</td><td class="num">{d.kept}</td><td class="num font-bold">{d.now}</td></tr>
				{/each}
			</tbody>
		</table>
	{/if}
	{#if batch !== undefined}
		<form method="POST" action="?/pour" use:enhance class="flex flex-wrap gap-3">
			<input type="hidden" name="batch" value={batch} />
			{#if !moved.refused}<Button type="submit" size="lg" name="plan" value="today">Pour by today’s records</Button>{/if}
			<Button type="submit" size="lg" name="plan" value="kept" color="alternative">Pour it as it was kept</Button>
		</form>
	{:else}<p class="soft">Which of the two is poured is asked before anything is weighed.</p>{/if}
</section>
