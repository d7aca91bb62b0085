<script lang="ts">
	import type { Seen } from '$lib/core/bench';
	import type { PourRun } from '../pourRun.svelte';

	/** How the cast came out, one press: it teaches the demould of this resin in this mould. */
	let { run }: { run: PourRun } = $props();
	const OUT = [
		{ what: 'demould-soft', label: 'Too soft', hint: 'it bent or dented' },
		{ what: 'demould-right', label: 'Right', hint: 'it let go and kept its shape' },
		{ what: 'demould-locked', label: 'Locked', hint: 'too stiff to come off its keys' }
	] as const satisfies readonly { what: Seen; label: string; hint: string }[];
	/** The last press counts; what was tried while it cured stands for itself. */
	const chosen = $derived.by(() => {
		const { combinedAtMs = Infinity, demouldedAtMs = Infinity } = run.state;
		const outS = (demouldedAtMs - combinedAtMs) / 1000;
		return run.state.seen.findLast((s) => s.timeS >= outS && OUT.some((o) => o.what === s.what))?.what;
	});
</script>

<fieldset class="mx-auto w-full max-w-[60rem]">
	<legend class="label mb-1">How did it come out?</legend>
	<div class="grid gap-2 sm:grid-cols-3">
		{#each OUT as { what, label, hint } (what)}
			<button
				type="button"
				aria-pressed={chosen === what}
				class={[
					'min-h-[3.2rem] cursor-pointer rounded-xl border-2 px-4 py-1 text-left',
					chosen === what ? 'border-(--work) bg-(--work-soft)' : 'border-(--line-strong) bg-(--paper)'
				]}
				onclick={() => run.record({ kind: 'seen', what, source: 'typed' })}
				><span class="block text-[1rem] font-semibold">{label}</span><span class="soft text-[0.93rem]">{hint}</span></button>
		{/each}
	</div>
</fieldset>
