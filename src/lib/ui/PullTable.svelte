<script lang="ts">
	import type { Pull } from '$lib/server/repositories/ledger';
	import { shortTime } from './clockText';
	import Tag from './Tag.svelte';
	import { useUnits } from './units.svelte';

	let { pulls, nowMs, showMould = true }: { pulls: readonly Pull[]; nowMs: number; showMould?: boolean } = $props();
	const units = useUnits();
</script>

<div class="slab overflow-x-auto">
	<table class="bench text-[0.95rem]">
		<thead>
			<tr>
				<th>When</th>{#if showMould}<th>Mould</th>{/if}<th class="num">Pull</th><th>Resin</th><th class="num">Shot</th>
				<th class="num">Room</th><th class="num">Humidity</th><th class="num">Poured by</th><th class="num">Pot</th><th>Grade</th>
			</tr>
		</thead>
		<tbody>
			{#each pulls as pull (pull.id)}
				{@const late = pull.body.real.settledByS !== undefined && pull.body.real.settledByS > pull.body.planned.potLifeS}
				<tr>
					<td class="whitespace-nowrap"
						><a class="plain font-semibold" href="/ledger/{pull.id}">{shortTime(pull.combinedAt.getTime(), nowMs)}</a></td>
					{#if showMould}<td
							><a class="plain block min-w-[11rem]" href="/moulds/{pull.mouldId}"><strong>M{pull.mouldNumber}</strong> {pull.mouldLabel}</a
							></td
						>{/if}
					<td class="num">{pull.pullNumber}</td>
					<td class="soft whitespace-nowrap">{pull.resinName}</td>
					<td class="num whitespace-nowrap">{units.show(pull.body.massG, 'mass')}</td>
					<td class="num">{units.show(pull.body.roomTempC, 'temperature')}</td>
					<td class="num">{Math.round(pull.body.relativeHumidity)} %</td>
					<td class={['num', late && 'font-bold text-(--hot)']}
						>{pull.body.real.pouredByS === undefined ? '–' : units.show(pull.body.real.pouredByS, 'time')}</td>
					<td class="num whitespace-nowrap"
						>{pull.body.pot ? units.show(pull.body.pot.reachedGaugeKpa ?? pull.body.pot.targetGaugeKpa, 'pressure') : '–'}</td>
					<td
						><Tag word={pull.grade} />{#if pull.body.faults.length}<span class="soft ml-1 text-[0.88rem]"
								>{pull.body.faults.join(', ')}</span
							>{/if}</td>
				</tr>
			{/each}
		</tbody>
	</table>
</div>
