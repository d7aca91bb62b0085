<script lang="ts">
	import { Button } from 'flowbite-svelte';
	import { GRADE_WORDS, GRADES } from '$lib/core/bench';
	import Chart from '$lib/ui/Chart.svelte';
	import PageHead from '$lib/ui/PageHead.svelte';

	let { data } = $props();
	const COLOURS = { good: '--work', 'needs-work': '--part-b', scrap: '--harm' } as const;
	const SHAPES = { good: '', 'needs-work': '/', scrap: 'x' } as const;
	const percent = (x: number) => `${Math.round(100 * x)}\u00a0%`;
</script>

<PageHead title="Yields" about="What came out good, by month and by what it was made with. Nobody is ranked.">
	{#snippet actions()}<Button href="/ledger" size="lg" color="alternative">Back to the ledger</Button>{/snippet}
</PageHead>
{#if data.months.length === 0}
	<p class="slab p-6 text-[1.15rem]">Nothing was pulled yet.</p>
{:else}
	<section class="slab mb-5 p-5">
		<h2>Over time</h2>
		<Chart
			label="Pulls of each month by grade"
			height={300}
			traces={GRADES.map((g) => ({
				x: data.months.map((m) => m.month),
				y: data.months.map((m) => m.counts[g]),
				type: 'bar' as const,
				name: GRADE_WORDS[g],
				marker: { color: COLOURS[g], pattern: { shape: SHAPES[g] as never } }
			}))}
			layout={{ barmode: 'stack', xaxis: { type: 'category' }, yaxis: { title: { text: 'pulls' } } }} />
	</section>
	<nav class="mb-3 flex flex-wrap gap-2" aria-label="Yields by">
		{#each data.groupings as g (g.value)}
			<Button href="/ledger/yield?by={g.value}" color={g.value === data.by ? 'primary' : 'alternative'}>By {g.label}</Button>
		{/each}
	</nav>
	<div class="slab overflow-x-auto">
		<table class="bench">
			<thead
				><tr
					><th class="first-letter:uppercase">{data.by}</th><th class="num">Pulls</th><th class="num">Good</th><th
						>Nine times in ten between</th
					><th class="num">Needs work</th><th class="num">Scrap</th></tr
				></thead>
			<tbody>
				{#each data.rows as r (r.group)}
					<tr>
						<td class="font-semibold">{r.group}</td>
						<td class="num">{r.all}</td>
						<td class="num font-bold">{percent(r.good / r.all)}</td>
						<td>
							<div class="relative h-4 min-w-[9rem] rounded-full bg-(--sunk)" title="{percent(r.low)} to {percent(r.high)}">
								<div
									class="absolute inset-y-0 rounded-full bg-(--work)"
									style:left="{100 * r.low}%"
									style:width="{Math.max(2, 100 * (r.high - r.low))}%">
								</div>
							</div>
							<span class="soft text-[0.85rem]">{Math.round(100 * r.low)}–{percent(r.high)}{r.all < 20 ? ', few pulls' : ''}</span>
						</td>
						<td class="num">{r.mended}</td>
						<td class="num">{r.scrap}</td>
					</tr>
				{/each}
			</tbody>
		</table>
	</div>
{/if}
