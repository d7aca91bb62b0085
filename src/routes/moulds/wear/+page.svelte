<script lang="ts">
	import { cards } from '$lib/ui/table/cards';
	import Chart from '$lib/ui/Chart.svelte';
	import { counted, longDay } from '$lib/ui/clockText';
	import PageHead from '$lib/ui/PageHead.svelte';

	let { data } = $props();
	const first = $derived(data.rows[0]);
	const drawn = $derived(data.rows.slice(0, 20).toReversed());
	const curves = $derived(data.families.filter((f) => f.curve.length > 0 || f.steps.length > 0));
	const COLOURS = ['--work', '--part-b', '--part-a', '--ink'];
</script>

<PageHead title="Wear" about="Pulls left in every mould in use, what their families lived, and how our forecasts did." />
{#if data.rows.length === 0}
	<p class="slab p-6 text-[1.15rem]">No mould is in use yet.</p>
{:else}
	<section class="slab mb-5 p-5">
		{#if first}
			<div class="mb-3 flex flex-wrap items-end gap-x-6 gap-y-1">
				<div>
					<p class="label">Ends first: <a class="plain" href="/moulds/{first.id}/wear">{first.name}</a></p>
					<p class="answer text-[4.6rem]">{first.median} <span class="text-[1.4rem]">pulls left</span></p>
				</div>
				<p class="pb-2 text-[1.15rem]">
					four times in five <strong>{first.low} to {first.high}</strong>{#if first.successorByMs !== null}<br />pour its successor
						<strong class={first.successorByMs < data.nowMs ? 'text-(--hot)' : ''}
							>{first.successorByMs < data.nowMs ? 'now' : `by ${longDay(first.successorByMs)}`}</strong
						>{/if}
				</p>
			</div>
		{/if}
		<h2>Pulls left in each</h2>
		<Chart
			label="Pulls left for each mould: the middle, and four times in five"
			height={90 + drawn.length * 26}
			traces={[
				{
					x: drawn.map((r) => r.median),
					y: drawn.map((r) => `M${r.number}`),
					type: 'scatter',
					mode: 'markers',
					name: 'half last so long; four times in five within the bar',
					marker: { color: '--work', size: 12 },
					error_x: {
						type: 'data',
						symmetric: false,
						array: drawn.map((r) => r.high - r.median),
						arrayminus: drawn.map((r) => r.median - r.low),
						color: '--ink-soft',
						thickness: 4
					}
				}
			]}
			layout={{
				xaxis: { title: { text: 'pulls still to come' }, rangemode: 'tozero' },
				yaxis: { type: 'category' },
				hovermode: 'closest'
			}} />
		<div class="overflow-x-auto">
			<table class="bench" {@attach cards}>
				<thead
					><tr
						><th>Mould</th><th class="num">Pulled</th><th class="num">Left</th><th class="num">Four in five</th><th>Successor by</th><th
							>What would help</th
						></tr
					></thead>
				<tbody>
					{#each data.rows as r (r.id)}
						<tr>
							<td><a class="plain font-semibold" href="/moulds/{r.id}/wear">{r.name}</a></td>
							<td class="num">{r.pulls}</td>
							<td class="num font-bold">{r.median}</td>
							<td class="num">{r.low}–{r.high}{r.thin ? ' (family only)' : ''}</td>
							<td class={r.successorByMs !== null && r.successorByMs < data.nowMs ? 'font-bold text-(--hot)' : ''}
								>{r.successorByMs === null ? '–' : r.successorByMs < data.nowMs ? 'now' : longDay(r.successorByMs)}</td>
							<td class="soft">{r.advice}</td>
						</tr>
					{/each}
				</tbody>
			</table>
		</div>
	</section>
{/if}
<div class="grid items-start gap-5 lg:grid-cols-[1.4fr_1fr]">
	<section class="slab p-5">
		<h2>Lives of the families</h2>
		{#if curves.length === 0}
			<p class="mt-2">Nothing is retired yet, so no family has a curve of its own: forecasts begin with common practice.</p>
		{:else}
			<Chart
				label="Share of moulds of each family still in use after so many pulls"
				height={300}
				traces={curves.flatMap((f, i) => [
					{
						x: [0, ...f.steps.map((s) => s.pulls)],
						y: [100, ...f.steps.map((s) => 100 * s.share)],
						mode: 'lines' as const,
						name: `${f.family}, as it was`,
						line: { shape: 'hv' as const, color: COLOURS[i % 4]!, width: 3 }
					},
					...(f.curve.length
						? [
								{
									x: f.curve.map((c) => c.pulls),
									y: f.curve.map((c) => 100 * c.share),
									mode: 'lines' as const,
									name: 'Weibull',
									line: { color: COLOURS[i % 4]!, dash: 'dot' as const, width: 2 }
								}
							]
						: [])
				])}
				layout={{ xaxis: { title: { text: 'pulls' }, rangemode: 'tozero' }, yaxis: { title: { text: '% in use' }, range: [0, 103] } }} />
		{/if}
		<ul class="mt-2">
			{#each data.families as f (f.family)}
				<li>
					<strong>{f.family}:</strong>
					{f.retired} retired, {f.alive} in use{f.fit
						? `, half last ${Math.round(f.fit.medianPulls)} pulls (shape ${f.fit.shape.toFixed(1)})`
						: ', too few for a curve'}
				</li>
			{/each}
		</ul>
	</section>
	<section class="slab p-5">
		<h2>How our forecasts did</h2>
		{#if data.score.known === 0}
			<p class="mt-2">
				No forecast has come to its end yet. Every look keeps what it foretold; when the mould is retired, it is held against it.
			</p>
		{:else}
			<p class="answer mt-2 text-[3.2rem]">{data.score.inside} of {data.score.known}</p>
			<p>
				ended within their band; {Math.round(100 * data.score.wanted)} % should.
				{data.score.shorter} ended sooner, {data.score.longer} lasted longer.
			</p>
			<p class="soft mt-1">
				With {counted(data.score.known, 'forecast')} the true share is between {Math.round(100 * data.score.low)} and
				{Math.round(100 * data.score.high)} %.
			</p>
		{/if}
	</section>
</div>
