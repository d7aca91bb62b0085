<script lang="ts">
	import type { Buying } from '$lib/core/orders';
	import { counted, wallTime } from '$lib/ui/clockText';
	import { cards } from '$lib/ui/table/cards';
	import { useUnits } from '$lib/ui/units.svelte';

	/** What open orders take of the shelf, what has to be bought first. */
	interface Props {
		rows: readonly Buying[];
		coats: readonly { name: string; coats: number }[];
		nowMs: number;
	}
	let { rows, coats, nowMs }: Props = $props();
	const units = useUnits();
	const g = (massG: number) => units.show(massG, 'mass');
	/** Whether the plan waits for more of it. */
	const isShort = (b: Buying) => b.runsOutMs !== null;
	/** “White A” stays together. */
	const whole = (name: string) => name.replace(/ ([AB])$/, '\u00a0$1');
</script>

<section class="slab mt-5 p-5" aria-labelledby="takes">
	<div class="flex flex-wrap items-baseline justify-between gap-3">
		<h2 id="takes">What they take</h2>
		<a class="plain" href="/orders/buying.csv">Buying list as a table</a>
	</div>
	<table class="bench mt-2 w-full" {@attach cards}>
		<thead
			><tr
				><th>Material</th><th class="num">Wanted</th><th class="num">On the shelf</th><th class="num">To buy</th><th>Runs out</th><th
					>For</th
				></tr
			></thead>
		<tbody>
			{#each rows as b (b.stockId)}
				<tr>
					<td class="font-semibold">{whole(b.name)}</td>
					<td class="num">{g(b.takesG)}</td>
					<td class="num"
						>{#if b.leftG === null}<span class="whitespace-nowrap">not in the books</span>{:else}{g(b.leftG)}{/if}{#if b.pastG > 0}<span
								class="block font-semibold text-(--hot)">{g(b.pastG)} past its use-by day by then</span
							>{/if}</td>
					<td class={['num font-bold', isShort(b) && 'text-(--hot)']}>{b.shortG > 0 ? g(b.shortG) : '–'}</td>
					<td>{b.runsOutMs === null ? '–' : wallTime(b.runsOutMs, nowMs)}</td>
					<td class="soft">{b.orders.join('; ')}</td>
				</tr>
			{/each}
		</tbody>
	</table>
	{#if coats.length > 0}<p class="mt-2">
			{coats.map((c) => `${counted(c.coats, 'coat')} of ${c.name}`).join(', ')}<span class="soft"
				>, as the shots are kept; what a coat uses up is not known.</span>
		</p>{/if}
</section>
