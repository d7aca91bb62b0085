<script lang="ts">
	import type { BenchStep } from '$lib/core/bench';
	import type { PourRun } from '../pourRun.svelte';

	/** Colour dose by dose: each is stirred, looked at on the stick, and counted by a press. */
	interface Props {
		run: PourRun;
		step: BenchStep;
	}
	let { run, step }: Props = $props();
	const planned = $derived(step.doses ?? 1);
	const given = $derived(run.state.doses[step.id] ?? 0);
</script>

<div class="mx-auto flex flex-col items-center gap-3">
	<div class="flex flex-wrap justify-center gap-2" aria-hidden="true">
		{#each { length: Math.max(planned, given) }, i (i)}
			<span
				class={[
					'grid size-12 place-items-center rounded-full border-2 text-[1.4rem] font-bold',
					i < given ? 'border-(--work) bg-(--work) text-(--paper)' : 'border-(--line-strong)',
					i >= planned && 'border-dashed'
				]}>{i + 1}</span>
		{/each}
	</div>
	<button
		type="button"
		class="min-h-[3.2rem] cursor-pointer rounded-xl border-2 border-(--line-strong) bg-(--paper) px-5 text-[1.15rem] font-semibold active:bg-(--work-soft)"
		onclick={() => run.record({ kind: 'dosed', stepId: step.id, source: 'typed' })}>A dose is in, look at the stick</button>
	<p class="soft" role="status">
		{given} of {planned}
		{planned === 1 ? 'dose is' : 'doses are'} in{given > planned
			? ': more than planned, noted'
			: given > 0 && given < planned
				? '; enough already? Go on.'
				: ''}
	</p>
</div>
