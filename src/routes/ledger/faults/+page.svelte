<script lang="ts">
	import { counted } from '$lib/ui/clockText';
	import Mark from '$lib/ui/Mark.svelte';
	import { cards } from '$lib/ui/table/cards';
	import { Button } from 'flowbite-svelte';
	import { CAUSE_IDS, CAUSE_WORDS, FAULT_WORDS, FAULTS, type Fault } from '$lib/core/faults';
	import Chart from '$lib/ui/Chart.svelte';
	import ChoiceField from '$lib/ui/ChoiceField.svelte';
	import PageHead from '$lib/ui/PageHead.svelte';
	import { useUnits } from '$lib/ui/units.svelte';

	let { data } = $props();
	const units = useUnits();
	/** With its temperatures in the units of the workshop. */
	const nameOf = ({ name }: Row) => units.text(name);
	let fault = $derived<string>(data.fault);
	const what = $derived(data.fault ? FAULT_WORDS[data.fault as Fault] : 'scrap');
	type Row = (typeof data.rows)[number];
	const isSure = (r: Row) => r.sureness === 'sure';
	/** What is told first: what is sure, else what comes nearest to it. */
	const first = $derived(data.rows.find(isSure) ?? data.rows.find((r) => r.sureness === 'hint'));
	const alsoSure = $derived(data.rows.filter((r) => r !== first && isSure(r)));
	const percent = (x: number) => `${Math.round(100 * x)}\u00a0%`;
	const faults = $derived([...new Set(data.causes.map((c) => c.fault))]);
	/** What nobody confirmed comes first, plain; the causes that were seen after it, in an order that no count changes. */
	const causes = $derived([null, ...CAUSE_IDS].filter((cause) => data.causes.some((c) => c.cause === cause)));
	/** Each fault's name has its place before there is a bar beside it. */
	const names = $derived({
		type: 'category' as const,
		categoryarray: faults.map((f) => FAULT_WORDS[f]),
		range: [faults.length - 0.5, -0.5]
	});
	const COLOURS = ['--ink-soft', '--work', '--ink', '--part-a', '--part-b', '--work'];
	const SHAPES = ['', '/', 'x', '.', '-', '+'];
</script>

<PageHead title="What changes with what" about="Across the whole ledger: how often {what} came with and without each circumstance.">
	{#snippet actions()}<Button href="/ledger" size="lg" color="alternative">Back to the ledger</Button>{/snippet}
</PageHead>
<form method="GET" class="flex items-start gap-3">
	<div class="w-72">
		<ChoiceField
			label="Fault"
			name="fault"
			bind:value={fault}
			options={[{ value: '', label: 'Any scrap' }, ...FAULTS.map((value) => ({ value: value as string, label: FAULT_WORDS[value] }))]} />
	</div>
	<Button type="submit" color="alternative" class="mt-6 min-h-[2.75rem]">Look</Button>
</form>
{#if data.rows.length === 0}
	<p class="slab p-6 text-[1.15rem]">There are too few pulls to compare anything yet.</p>
{:else}
	<section class="slab mb-5 p-5">
		{#if first && isSure(first)}
			<p class="label">Surest: {what} with {nameOf(first)}</p>
			<p class="answer text-[3.2rem] text-(--work)">{percent(first.withShare)} <span class="text-[1.4rem]">with it</span></p>
			<p class="mt-2 text-[1.15rem]">
				<strong>{percent(first.withoutShare)}</strong> without it: {first.withHits} of {first.withAll} pulls against {first.withoutHits}
				of {first.withoutAll}{#if alsoSure.length > 0}. And with {alsoSure.map(nameOf).join(', ')}{/if}.
			</p>
		{:else}
			<p class="answer text-[2rem]">Nothing is sure yet</p>
			<p class="mt-2 text-[1.15rem]">
				{#if first}Nearest to it: {nameOf(first)}, <strong>{percent(first.withShare)}</strong> with it and
					<strong>{percent(first.withoutShare)}</strong> without; that could be chance.{:else if data.rows.every((r) => r.sureness === 'few')}Each
					circumstance was met too seldom to tell.{:else}With none of them it came much more or less often than without.{/if}
			</p>
		{/if}
	</section>
	<div class="slab overflow-x-auto">
		<table class="bench" {@attach cards}>
			<thead
				><tr><th>Circumstance</th><th class="num">With it</th><th class="num">Without it</th><th>Could be chance</th><th>How sure</th></tr
				></thead>
			<tbody>
				{#each data.rows as r (r.name)}
					{@const sure = isSure(r)}
					<tr class={sure ? 'bg-(--work-soft)' : ''}>
						<td
							><span class={sure ? 'text-[1.15rem] font-bold text-(--work)' : ''}>{nameOf(r)}</span>
							{#if r.unknown > 0}<span class="soft block text-[0.93rem]">not known of {counted(r.unknown, 'pull')}</span>{/if}</td>
						<td class="num"
							><strong>{percent(r.withShare)}</strong>
							<span class="soft block text-[0.93rem] whitespace-nowrap"
								>{r.withHits} of {r.withAll}, {Math.round(100 * r.withLow)}–{percent(r.withHigh)}</span
							></td>
						<td class="num"
							><strong>{percent(r.withoutShare)}</strong>
							<span class="soft block text-[0.93rem] whitespace-nowrap"
								>{r.withoutHits} of {r.withoutAll}, {Math.round(100 * r.withoutLow)}–{percent(r.withoutHigh)}</span
							></td>
						<td class="num">{r.p < 0.001 ? 'under 0.1 %' : `${(100 * r.p).toFixed(1)} %`}</td>
						<td
							>{#if sure}<strong class="text-(--work)"><Mark outline="full" /> it changes with it</strong>{:else if r.sureness === 'hint'}a
								hint: it could be chance{:else if r.sureness === 'few'}<span class="soft">small numbers: a hint at most</span>{:else}<span
									class="soft">nothing to be seen</span
								>{/if}</td>
					</tr>
				{/each}
			</tbody>
		</table>
	</div>
	<p class="soft mt-2 text-[0.93rem]">
		Ranges hold nine times in ten (Wilson); chance by Fisher’s exact test. Of {data.rows.length} comparisons one in a hundred looks sure by chance
		alone, and what changes together need not cause one another.
	</p>
{/if}
{#if data.causes.length > 0}
	<section class="slab mt-6 p-5">
		<h2>Faults by cause</h2>
		<Chart
			label="How often each fault was seen, by its confirmed cause"
			height={90 + faults.length * 30}
			traces={causes.map((cause, i) => ({
				y: faults.map((f) => FAULT_WORDS[f]),
				x: faults.map((f) => data.causes.find((c) => c.fault === f && c.cause === cause)?.n ?? 0),
				type: 'bar' as const,
				orientation: 'h' as const,
				name: cause === null ? 'not confirmed' : CAUSE_WORDS[cause],
				marker: { color: COLOURS[i % COLOURS.length]!, pattern: { shape: SHAPES[i % SHAPES.length]! as never } }
			}))}
			layout={{ barmode: 'stack', xaxis: { title: { text: 'pulls' } }, yaxis: names }} />
	</section>
{/if}
