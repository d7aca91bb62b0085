<script lang="ts">
	import { cards } from '$lib/ui/table/cards';
	import { orderPrice, type CopyParts, type OrderForm } from '$lib/core/orders';
	import { digits, formatTime } from '$lib/core/units';
	import type { WorkshopSettings } from '$lib/core/workshop';
	import { counted } from '$lib/ui/clockText';

	/** What an order costs, and what is asked for it. */
	interface Props {
		lines: OrderForm['lines'];
		parts: Readonly<Record<string, CopyParts>>;
		settings: Pick<WorkshopSettings, 'hourly' | 'potCycleCost' | 'currency'>;
		margin: number;
	}
	let { lines, parts, settings, margin = $bindable() }: Props = $props();
	const { hourly, potCycleCost: potCycle, currency } = $derived(settings);
	const price = $derived(orderPrice({ lines }, (id) => parts[id], { hourly, potCycle }, Math.min(95, Math.max(0, margin || 0))));
	const potted = $derived(price.lines.some((l) => l.pot !== null));
	const castsOf = (l: (typeof price.lines)[number]) => l.seen.good + l.seen.scrap;
	/** What is counted for scrap, each piece once. */
	const scrap = $derived(
		[
			...new Map(
				price.lines.map((l) => [
					`${l.pieceName} in ${l.resinName}`,
					`${Math.round(100 * l.scrapShare)} % of ${l.pieceName} in ${l.resinName} (${castsOf(l) === 0 ? 'none was cast yet' : `${counted(castsOf(l), 'cast')} so far`})`
				])
			).values()
		].join(', ')
	);
	/** What of the good ones wanted mending so far, each piece once. */
	const mending = $derived(
		[
			...new Map(
				price.lines.flatMap(({ pieceName, resinName, seen: { good, mended } }): [string, string][] => {
					if (!mended?.copies) return [];
					const each =
						mended.notedCopies > 0
							? `${formatTime(mended.notedS / mended.notedCopies)} each`
							: 'nobody noted how long, so it is not counted';
					const few = mended.notedCopies > 0 && mended.notedCopies < mended.copies ? `, noted for ${mended.notedCopies}` : '';
					return [
						[
							`${pieceName} in ${resinName}`,
							`${mended.copies} of ${counted(good, 'good cast')} of ${pieceName} in ${resinName} (${each}${few})`
						]
					];
				})
			).values()
		].join('; ')
	);
	const money = (n: number) => `${currency}\u00a0${digits(n, 2)}`;
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
						><th>Line</th><th class="num">Material</th><th class="num">Mould</th>{#if potted}<th class="num">Pot</th>{/if}<th class="num"
							>Hands</th
						><th class="num">A good one</th><th class="num">Asked</th></tr
					></thead>
				<tbody>
					{#each price.lines as l (l.lineId)}
						<tr
							><td>{l.copies} × {l.pieceName}</td><td class="num">{money(l.material)}</td><td class="num">{money(l.mould)}</td
							>{#if potted}<td class="num">{potCycle === 0 || l.pot === null ? '–' : money(l.pot)}</td>{/if}<td class="num"
								>{hourly === 0 ? '–' : money(l.hands)}</td
							><td class="num font-semibold">{money(l.good)}</td><td class="num font-bold">{money(l.price)}</td></tr>
					{/each}
				</tbody>
			</table>
		</div>
		<p class="soft mt-2">Counted as scrap, as the plan counts it: {scrap}.</p>
		{#if hourly > 0 && mending}<p class="soft mt-2">Hands are counted with mending: {mending}.</p>{/if}
		{#if potted}<p class="soft mt-2">
				{#if potCycle === 0}The pot is not counted: <a class="plain" href="/settings">say what a cycle costs</a>.{:else}Each pull under
					pressure is counted as a cycle of its own.{/if}
			</p>{/if}
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
