<script lang="ts">
	import type { PourPlan } from '$lib/core/plan';
	import type { PourRun } from '../pourRun.svelte';
	import TempPad from './TempPad.svelte';
	import { useUnits } from '../units.svelte';

	/** What each cup of colours reads before any is combined. */
	interface Props {
		run: PourRun;
		plan: PourPlan;
	}
	let { run, plan }: Props = $props();
	const units = useUnits();
</script>

<ul class="mx-auto grid w-full max-w-[60rem] gap-3">
	{#each plan.cups ?? [] as cup, i (i)}
		{@const read = run.state.startC[i]}
		<li class="flex flex-wrap items-center justify-between gap-3 border-t border-(--line) pt-2">
			<p class="text-[1.15rem] font-semibold">
				{cup.name}
				<span class="soft font-normal"
					>{read === undefined ? `planned ${units.show(cup.startTempC, 'temperature')}` : `read ${units.show(read, 'temperature')}`}</span>
			</p>
			<TempPad
				label={cup.name}
				nearC={read ?? cup.startTempC}
				onread={(tempC) => run.record({ kind: 'temp-read', tempC, source: 'typed', ...(i > 0 ? { cup: i } : {}) })} />
		</li>
	{/each}
</ul>
