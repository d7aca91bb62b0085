<script lang="ts">
	import { onMount } from 'svelte';
	import { Button } from 'flowbite-svelte';
	import { enhance } from '$app/forms';
	import { MOVEMENT_WORDS, type StockLine } from '$lib/core/shelf';
	import Chart from '../Chart.svelte';
	import { counted as many, wallTime } from '../clockText';
	import { newId } from '../newId';
	import QuantityField from '../QuantityField.svelte';
	import TextField from '../TextField.svelte';
	import { useUnits } from '../units.svelte';

	/** Everything that happened to what is in a tin, newest first, and what went out otherwise than by a pour. */
	interface Props {
		lines: readonly StockLine[];
		nowMs: number;
		/** What the last thing thrown away was refused for. */
		refused?: { field: string; words: string } | undefined;
	}
	let { lines, nowMs, refused }: Props = $props();
	const units = useUnits();
	/** It came after a weighing that was later than its own time: nobody knows whether the weighing had it already. */
	const afterWeighing = (line: StockLine) =>
		line.kind !== 'weighed' && line.placeSeq === null && lines.some((w) => w.kind === 'weighed' && w.at > line.at && w.seq < line.seq);
	/** A line counts when it came: the curve never goes back in time. */
	const counted = $derived.by(() => {
		let latestMs = 0;
		return lines.map((s) => new Date((latestMs = Math.max(latestMs, s.at.getTime()))).toISOString());
	});
	/** A tin of years has hundreds of lines: the newest are shown. */
	const SHOWN = 100;
	const newest = $derived([...lines].reverse().slice(0, SHOWN));
	let massG = $state<number>();
	let note = $state<string>();
	let madeId = $state('');
	onMount(() => (madeId = newId()));

	/** What a line did to the tin, with its sign. */
	function change(line: StockLine): string {
		if (line.massG === null) return '';
		if (line.kind === 'weighed') return units.show(line.massG, 'mass');
		const byG = line.kind === 'corrected' ? line.massG : -line.massG;
		return `${byG < 0 ? '−' : '+'}\u00a0${units.show(Math.abs(byG), 'mass')}`;
	}
	const what = (line: StockLine) =>
		line.kind === 'opened' && line.openings < 0
			? `${many(-line.openings, 'opening')} taken back`
			: line.kind === 'opened'
				? `opened, ${many(line.openings, 'time')}`
				: line.placeSeq !== null
					? 'amended, of a pour'
					: MOVEMENT_WORDS[line.kind];
</script>

<section class="slab mt-5 p-5">
	<h2>Stock, line by line</h2>
	{#if lines.length > 2}
		<Chart
			label="What was left in it over time"
			height={220}
			traces={[
				{
					x: counted,
					y: lines.map((s) => units.plotted(s.afterG, 'mass')),
					mode: 'lines',
					name: 'left',
					line: { shape: 'hv', color: '--work', width: 3 },
					fill: 'tozeroy'
				}
			]}
			layout={{ xaxis: { type: 'date' }, yaxis: { title: { text: units.plotUnit('mass') }, rangemode: 'tozero' } }} />
	{/if}
	<form
		method="POST"
		action="?/thrown"
		class="mt-3 grid items-start gap-x-5 sm:grid-cols-[12rem_1fr_auto]"
		use:enhance={() =>
			async ({ result, update }) => {
				await update({ reset: false });
				if (result.type !== 'success') return;
				[massG, note, madeId] = [undefined, undefined, newId()];
			}}>
		<input type="hidden" name="madeId" value={madeId} />
		<input type="hidden" name="massG" value={massG ?? ''} />
		<QuantityField
			label="Thrown away"
			kind="mass"
			name="thrownG"
			bind:value={massG}
			error={refused?.field === 'massG' ? [refused.words] : undefined} />
		<TextField
			label="Why"
			name="note"
			bind:value={note}
			error={refused?.field === 'note' ? [refused.words] : undefined}
			hint="skinned over, spilled, a trial cup" />
		<Button type="submit" color="alternative" class="min-h-[2.75rem] sm:mt-6">Book it out</Button>
	</form>
	<div class="overflow-x-auto">
		<table class="bench">
			<thead><tr><th>When</th><th>What</th><th class="num">Change</th><th class="num">Left after it</th></tr></thead>
			<tbody>
				{#each newest as line (line.id)}
					<tr>
						<td class="soft whitespace-nowrap">{wallTime(line.at.getTime(), nowMs)}</td>
						<td
							>{what(line)}{line.pourId ? ' ' : ''}{#if line.pourId}<a class="plain" href="/pour/{line.pourId}"
									>{line.masterName ?? 'the pour'}</a
								>{/if}{#if line.note}<span class="soft">: {line.note}</span>{/if}{#if afterWeighing(line)}<span
									class="soft block text-[0.85rem]"
									>came {wallTime(line.receivedAt.getTime(), nowMs)} after a weighing, and is taken off it: if that had it already, weigh it again</span
								>{/if}</td>
						<td class="num">{change(line)}</td>
						<td class="num font-bold">{units.show(line.afterG, 'mass')}</td>
					</tr>
				{/each}
			</tbody>
		</table>
	</div>
	{#if lines.length > SHOWN}<p class="soft mt-2">The newest {SHOWN} of {lines.length} lines.</p>{/if}
</section>
