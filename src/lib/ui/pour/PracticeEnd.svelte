<script lang="ts">
	import { Button } from 'flowbite-svelte';
	import { FAULT_WORDS } from '$lib/core/faults';
	import { SLIPS } from '$lib/core/practice';
	import type { PracticeRun } from './practiceRun.svelte';

	/** What a practice pour was worth, and what was thrown in. */
	let { run }: { run: PracticeRun } = $props();
	const score = $derived(run.score());
	const came = $derived(
		score.grade === 'good' ? 'A good cast' : score.grade === 'needs-work' ? 'A cast that needs work' : 'A cast for the bin'
	);
</script>

<div class="m-auto w-full max-w-[56rem]">
	<div class="flex flex-wrap items-end justify-center gap-x-8 gap-y-2 text-center">
		<p class="answer text-[clamp(5rem,20vh,9rem)]" style:color={score.points >= 70 ? 'var(--work)' : 'var(--ink)'}>{score.points}</p>
		<div class="pb-4 text-left">
			<h1>{came}</h1>
			<p class="soft text-[1.15rem]">of 100 points; nothing is kept of it</p>
		</div>
	</div>
	<table class="mt-4 w-full text-[1.15rem]">
		<tbody>
			{#each score.marks as mark (mark.what)}
				<tr class="border-t border-(--line) align-baseline">
					<th scope="row" class="py-2.5 pr-4 text-left">{mark.what}</th>
					<td class="py-2.5 pr-5 text-right font-bold whitespace-nowrap tabular-nums">{mark.points} of {mark.of}</td>
					<td class="py-2.5">{mark.words}</td>
				</tr>
			{/each}
		</tbody>
	</table>
	{#if score.faults.length > 0}
		<p class="mt-3 text-[1.15rem]">
			It would have shown: <strong>{score.faults.map((f) => FAULT_WORDS[f.fault]).join(', ')}</strong>.
		</p>
	{/if}
	<h2 class="mt-5 mb-1">{run.slips.length === 0 ? 'Nothing was thrown in' : 'What was thrown in'}</h2>
	<ul class="flex flex-col gap-2">
		{#each run.slips as name (name)}
			<li><strong>{SLIPS[name].words}.</strong> {SLIPS[name].lesson}</li>
		{/each}
	</ul>
	<p class="mt-6 flex flex-wrap justify-center gap-3">
		<Button size="xl" onclick={() => location.reload()}>Once more</Button>
		<Button size="xl" color="alternative" href="/practice">Choose another</Button>
	</p>
</div>
