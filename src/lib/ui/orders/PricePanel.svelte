<script lang="ts">
	import { cards } from '$lib/ui/table/cards';
	import { orderPrice, type CopyParts, type OrderForm } from '$lib/core/orders';
	import { digits } from '$lib/core/units';
	import { counted } from '$lib/ui/clockText';

	/** What an order costs, and what is asked for it. */
	interface Props {
		lines: OrderForm['lines'];
		parts: Readonly<Record<string, CopyParts>>;
		hourly: number;
		currency: string;
		margin: number;
	}
	let { lines, parts, hourly, currency, margin = $bindable() }: Props = $props();
	const price = $derived(orderPrice({ lines }, (id) => parts[id], hourly, Math.min(95, Math.max(0, margin || 0))));
	/** What is counted for scrap, each piece once. */
	const scrap = $derived(
		[
			...new Map(
				price.lines.map((l) => [
					`${l.pieceName} in ${l.resinName}`,
					`${Math.round(100 * l.scrapShare)} % of ${l.pieceName} in ${l.resinName} (${l.casts === 0 ? 'none was cast yet' : `${counted(l.casts, 'cast')} so far`})`
				])
			).values()
		].join(', ')
	);
	const money = (n: number) => `${currency} ${digits(n, 2)}`;
</script>

<section class="slab mt-5 p-5" aria-labelledby="price">
	<h2 id="price">What it costs</h2>
	{#if price.lines.length === 0}
		<p class="soft mt-2">Nothing of it can be poured as it is kept, so there is no price.</p>
	{:else}
		<p class="answer mt-1 text-[2rem]">{money(price.total)}</p>
		<p class="soft">at a margin of {margin} %; it costs you {money(price.cost)}{hourly === 0 ? ', without your hands' : ''}</p>
		{#if price.unpriced.length > 0}<p class="mt-1 font-semibold">
				Without {price.unpriced.join(', ')}: no price of {price.unpriced.length === 1 ? 'it' : 'them'} is known, so it costs more than this. Materials
				get theirs on the <a class="plain" href="/shelf">shelf</a>.
			</p>{/if}
		<div class="mt-2 overflow-x-auto">
			<table class="bench w-full" {@attach cards}>
				<thead
					><tr
						><th>Line</th><th class="num">Material</th><th class="num">Mould</th><th class="num">Hands</th><th class="num">A good one</th
						><th class="num">Asked</th></tr
					></thead>
				<tbody>
					{#each price.lines as l (l.lineId)}
						<tr
							><td>{l.copies} × {l.pieceName}</td><td class="num">{money(l.material)}</td><td class="num">{money(l.mould)}</td><td
								class="num">{hourly === 0 ? '–' : money(l.hands)}</td
							><td class="num font-semibold">{money(l.good)}</td><td class="num font-bold">{money(l.price)}</td></tr>
					{/each}
				</tbody>
			</table>
		</div>
		<p class="soft mt-2">Counted as scrap, as the plan counts it: {scrap}.</p>
		{#if hourly === 0}<p class="soft mt-2">Hands are not counted: <a class="plain" href="/settings">say what an hour costs</a>.</p>{/if}
	{/if}
	<div class="mt-3 max-w-xs">
		<label class="flex flex-col"
			><span class="label">Margin, % of the price</span><input
				class="w-full accent-(--work)"
				type="range"
				min="0"
				max="80"
				step="5"
				bind:value={margin} /></label>
	</div>
</section>
