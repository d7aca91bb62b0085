<script lang="ts">
	import ArrowDown from '@lucide/svelte/icons/arrow-down';
	import ArrowUp from '@lucide/svelte/icons/arrow-up';
	import { cards } from '$lib/ui/table/cards';
	import { FAULT_WORDS } from '$lib/core/faults';
	import type { PullLine } from '$lib/core/ledger';
	import { shortTime } from './clockText';
	import ColumnChoice from './table/ColumnChoice.svelte';
	import { TableView, type Column } from './table/tableView.svelte';
	import Tag from './Tag.svelte';
	import { useUnits } from './units.svelte';

	interface Props {
		/** A pull, and the order that it was cast for. */
		pulls: readonly (PullLine & { order?: { id: string; name: string } | undefined })[];
		nowMs: number;
		showMould?: boolean;
		/** Heads that sort, where the ledger can be sorted: their address, and the mark of the one in force. */
		sort?: (by: string) => { href: string; mark: string };
	}
	let { pulls, nowMs, showMould = true, sort }: Props = $props();
	const units = useUnits();
	const column = (key: string, label: string, value: (p: PullLine) => string | number | null, num = false): Column<PullLine> => ({
		key,
		label,
		value,
		num,
		...(key === 'when' || key === 'grade' ? { always: true } : {})
	});
	const view = new TableView<PullLine>('pulls', [
		column('when', 'When', (p) => p.combinedAtMs),
		column('grade', 'Grade', (p) => p.grade),
		column('piece', 'Mould', (p) => p.mouldLabel),
		column('pull', 'Pull', (p) => p.pullNumber, true),
		column('resin', 'Resin', (p) => p.resinName),
		column('shot', 'Shot', (p) => p.massG, true),
		column('room', 'Room', (p) => p.roomTempC, true),
		column('humidity', 'Humidity', (p) => p.relativeHumidity, true),
		column('pouredBy', 'Poured by', (p) => p.pouredByS ?? null, true),
		column('pot', 'Pot', (p) => p.potGaugeKpa ?? null, true)
	]);
	/** By what the server sorts. */
	const SORTED = ['when', 'grade', 'piece', 'resin', 'shot', 'humidity'];
	const shown = $derived(view.shown.filter((c) => showMould || c.key !== 'piece'));
</script>

{#if sort}<div class="mb-2 flex justify-end"><ColumnChoice {view} /></div>{/if}
<div class="slab overflow-x-auto">
	<table class="bench text-[0.93rem]" {@attach cards}>
		<thead>
			<tr>
				{#each shown as c (c.key)}
					<th class={c.num ? 'num' : ''}
						>{#if sort && SORTED.includes(c.key)}{@const to = sort(c.key)}<a
								class="plain inline-flex items-center gap-1"
								href={to.href}
								aria-label="Sort by {c.label.toLowerCase()}{to.mark ? `, ${to.mark}` : ''}"
								>{c.label}{#if to.mark === 'falling'}<ArrowDown class="size-4" aria-hidden="true" />{:else if to.mark === 'rising'}<ArrowUp
										class="size-4"
										aria-hidden="true" />{/if}</a
							>{:else}{c.label}{/if}</th>
				{/each}
			</tr>
		</thead>
		<tbody>
			{#each pulls as pull (pull.id)}
				<tr>
					{#each shown as { key } (key)}
						{#if key === 'when'}<td class="min-w-0! whitespace-nowrap"
								><a class="plain font-semibold" data-pull href="/ledger/{pull.id}">{shortTime(pull.combinedAtMs, nowMs)}</a></td>
						{:else if key === 'grade'}<td
								><Tag word={pull.grade} />{#if pull.faults.length}<span class="soft ml-1 text-[0.85rem]"
										>{pull.faults.map((f) => FAULT_WORDS[f]).join(', ')}</span
									>{/if}</td>
						{:else if key === 'piece'}<td
								><a class="plain block min-w-[9.5rem]" href="/moulds/{pull.mouldId}"
									><strong>M{pull.mouldNumber}</strong> {pull.mouldLabel}</a
								>{#if pull.order}<a class="soft inline-block min-h-[1.6rem] text-[0.85rem]" href="/orders/{pull.order.id}"
										>for {pull.order.name}</a
									>{/if}</td>
						{:else if key === 'pull'}<td class="num">{pull.pullNumber}</td>
						{:else if key === 'resin'}<td class="soft">{pull.resinName}</td>
						{:else if key === 'shot'}<td class="num whitespace-nowrap">{units.weighed(pull.massG)}</td>
						{:else if key === 'room'}<td class="num">{units.show(pull.roomTempC, 'temperature')}</td>
						{:else if key === 'humidity'}<td class="num"
								>{pull.relativeHumidity === null ? '–' : `${Math.round(pull.relativeHumidity)} %`}</td>
						{:else if key === 'pouredBy'}<td class={['num whitespace-nowrap', pull.late && 'font-bold']}
								>{pull.pouredByS === undefined ? '–' : units.show(pull.pouredByS, 'time')}</td>
						{:else}<td class="num whitespace-nowrap">{pull.potGaugeKpa === undefined ? '–' : units.show(pull.potGaugeKpa, 'pressure')}</td
							>{/if}
					{/each}
				</tr>
			{/each}
		</tbody>
	</table>
</div>
