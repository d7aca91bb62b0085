<script lang="ts">
	import { holdFloorKpa } from '$lib/core/plan';
	import type { Cycle } from '$lib/core/ledger';
	import { shortTime } from '../clockText';
	import { cards } from '../table/cards';
	import { useUnits } from '../units.svelte';

	let { cycles, nowMs }: { cycles: readonly Cycle[]; nowMs: number } = $props();
	const units = useUnits();
	const SHOWN = 12;
	let all = $state(false);
	const shown = $derived(all ? cycles : cycles.slice(0, SHOWN));
</script>

{#if cycles.length === 0}
	<p class="slab p-5">No cycle yet. Every pour that goes into it writes its own.</p>
{:else}
	<div class="slab overflow-x-auto">
		<table class="bench text-[0.93rem]" {@attach cards}>
			<thead>
				<tr>
					<th>When</th><th>Load</th><th class="num">Target</th><th class="num">To pressure</th><th class="num">Lowest in the hold</th>
					<th class="num">Held</th><th class="num">Lost a minute</th><th>Who</th>
				</tr>
			</thead>
			<tbody>
				{#each shown as c (c.id)}
					{@const low = c.body.lowestGaugeKpa !== undefined && c.body.lowestGaugeKpa < holdFloorKpa(c.body.targetGaugeKpa)}
					<tr>
						<td class="whitespace-nowrap"
							>{#if c.pourId}<a class="plain font-semibold" href="/pour/{c.pourId}">{shortTime(c.at.getTime(), nowMs)}</a>{:else}{shortTime(
									c.at.getTime(),
									nowMs
								)}{/if}</td>
						<td>{c.body.load}</td>
						<td class="num">{units.show(c.body.targetGaugeKpa, 'pressure')}</td>
						<td class="num">{c.body.timeToPressureS === undefined ? '–' : units.show(c.body.timeToPressureS, 'time')}</td>
						<td class={['num', low && 'font-bold']}>{units.show(c.body.lowestGaugeKpa, 'pressure')}</td>
						<td class="num">{c.body.holdS === undefined ? '–' : units.show(c.body.holdS, 'time')}</td>
						<td class="num">{units.show(c.body.leakKpaPerMin, 'pressure')}</td>
						<td class="soft">{c.body.by || (c.pourId ? 'the pour' : '')}{c.body.simulated ? ' (simulated)' : ''}</td>
					</tr>
				{/each}
			</tbody>
		</table>
	</div>
	{#if cycles.length > SHOWN && !all}<p class="mt-2">
			<button type="button" class="plain cursor-pointer font-semibold" onclick={() => (all = true)}>All {cycles.length}</button>
		</p>{/if}
{/if}
