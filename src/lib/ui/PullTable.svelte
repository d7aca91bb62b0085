<script lang="ts">
	import { FAULT_WORDS } from '$lib/core/faults';
	import type { PullLine } from '$lib/core/ledger';
	import { shortTime } from './clockText';
	import Tag from './Tag.svelte';
	import { useUnits } from './units.svelte';

	interface Props {
		pulls: readonly PullLine[];
		nowMs: number;
		showMould?: boolean;
		/** Heads that sort, where the ledger can be sorted: their address, and the mark of the one in force. */
		sort?: (by: string) => { href: string; mark: string };
	}
	let { pulls, nowMs, showMould = true, sort }: Props = $props();
	const units = useUnits();
</script>

{#snippet head(words: string, by: string, num = false)}
	<th class={num ? 'num' : ''}
		>{#if sort}{@const to = sort(by)}<a
				class="plain"
				href={to.href}
				aria-label="Sort by {words.toLowerCase()}{to.mark ? `, ${to.mark}` : ''}"
				>{words}{to.mark === 'falling' ? ' ↓' : to.mark === 'rising' ? ' ↑' : ''}</a
			>{:else}{words}{/if}</th>
{/snippet}
<div class="slab overflow-x-auto">
	<table class="bench text-[0.95rem]">
		<thead>
			<tr>
				{@render head('When', 'when')}{#if showMould}{@render head('Mould', 'piece')}{/if}<th class="num">Pull</th>{@render head(
					'Resin',
					'resin'
				)}{@render head('Shot', 'shot', true)}
				<th class="num">Room</th>{@render head('Humidity', 'humidity', true)}<th class="num">Poured by</th><th class="num">Pot</th
				>{@render head('Grade', 'grade')}
			</tr>
		</thead>
		<tbody>
			{#each pulls as pull (pull.id)}
				<tr>
					<td class="whitespace-nowrap"
						><a class="plain font-semibold" data-pull href="/ledger/{pull.id}">{shortTime(pull.combinedAtMs, nowMs)}</a></td>
					{#if showMould}<td
							><a class="plain block min-w-[11rem]" href="/moulds/{pull.mouldId}"><strong>M{pull.mouldNumber}</strong> {pull.mouldLabel}</a
							></td
						>{/if}
					<td class="num">{pull.pullNumber}</td>
					<td class="soft whitespace-nowrap">{pull.resinName}</td>
					<td class="num whitespace-nowrap">{units.show(pull.massG, 'mass')}</td>
					<td class="num">{units.show(pull.roomTempC, 'temperature')}</td>
					<td class="num">{pull.relativeHumidity === null ? '–' : `${Math.round(pull.relativeHumidity)} %`}</td>
					<td class={['num', pull.late && 'font-bold text-(--hot)']}
						>{pull.pouredByS === undefined ? '–' : units.show(pull.pouredByS, 'time')}</td>
					<td class="num whitespace-nowrap">{pull.potGaugeKpa === undefined ? '–' : units.show(pull.potGaugeKpa, 'pressure')}</td>
					<td
						><Tag word={pull.grade} />{#if pull.faults.length}<span class="soft ml-1 text-[0.88rem]"
								>{pull.faults.map((f) => FAULT_WORDS[f]).join(', ')}</span
							>{/if}</td>
				</tr>
			{/each}
		</tbody>
	</table>
</div>
