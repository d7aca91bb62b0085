<script lang="ts">
	import type { PourRun } from '../pourRun.svelte';
	import { useUnits } from '../units.svelte';

	/** It slides: a tenth more of the thickener, one press each, noted with its cup. */
	interface Props {
		run: PourRun;
		layer: number;
		filler: { name: string; massG: number };
	}
	let { run, layer, filler }: Props = $props();
	const units = useUnits();
	/** One press is so much of what was planned. */
	const DOSE = 0.1;
	// nobody weighs a third digit of it
	const doseG = $derived(Math.max(0.1, Number((filler.massG * DOSE).toPrecision(1))));
	const addedG = $derived(run.state.added.filter((a) => a.cup === layer && a.name === filler.name).reduce((sum, a) => sum + a.massG, 0));
</script>

<div class="mx-auto flex flex-wrap items-center justify-center gap-3">
	<button
		type="button"
		class="min-h-[3.2rem] cursor-pointer rounded-xl border-2 border-(--line-strong) bg-(--paper) px-4 text-[1rem] font-semibold active:bg-(--work-soft)"
		onclick={() => run.record({ kind: 'added', name: filler.name, massG: doseG, cup: layer, source: 'typed' })}
		>It slides: {units.weighed(doseG)} more {filler.name}</button>
	<p class="soft" role="status">
		{addedG > 0 ? `${units.show(addedG, 'mass')} more than planned, in this cup` : ''}
	</p>
</div>
