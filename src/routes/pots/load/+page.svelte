<script lang="ts">
	import { untrack } from 'svelte';
	import { reasonOf, valueOf, type Outcome } from '$lib/core/outcome';
	import { outcomeOf } from '$lib/core/outcomeOf';
	import { planLoad, type LoadPlan } from '$lib/core/pressurePot';
	import { digits } from '$lib/core/units';
	import Answer from '$lib/ui/Answer.svelte';
	import AnswerOutline from '$lib/ui/AnswerOutline.svelte';
	import AnswerPane from '$lib/ui/AnswerPane.svelte';
	import Caution from '$lib/ui/Caution.svelte';
	import ChoiceField from '$lib/ui/ChoiceField.svelte';
	import Island from '$lib/ui/island/Island.svelte';
	import PageHead from '$lib/ui/PageHead.svelte';
	import Shelf from '$lib/ui/pots/Shelf.svelte';
	import { useUnits } from '$lib/ui/units.svelte';

	let { data } = $props();
	const units = useUnits();
	let potId = $state(
		untrack(() => data.pots.find((p) => p.id === data.pot)?.id ?? data.pots.find((p) => !p.refused)?.id ?? data.pots[0]?.id ?? '')
	);
	let chosen = $state<string[]>(untrack(() => data.moulds.slice(0, 3).map((m) => m.id)));
	const pot = $derived(data.pots.find((p) => p.id === potId));
	const loads = $derived(data.moulds.filter((m) => chosen.includes(m.id)));
	const gels = $derived(loads.flatMap((m) => (m.gelS === undefined ? [] : [m.gelS])));
	const outcome = $derived.by((): Outcome<LoadPlan> | undefined => {
		if (!pot) return undefined;
		const about = { altitudeM: data.altitudeM, ...(gels.length ? { gelS: Math.min(...gels) } : {}) };
		return outcomeOf(() => planLoad(pot.record, loads, about));
	});
	const plan = $derived(outcome && valueOf(outcome));
	const problem = $derived(outcome && reasonOf(outcome));
	/** The one answer: whether it may go in as it is chosen. */
	const verdict = $derived.by((): { words: string; tone: 'work' | 'harm' | 'ink'; why: string } => {
		if (!plan || !pot) return { words: '–', tone: 'ink', why: '' };
		if (pot.refused) return { words: 'refused', tone: 'harm', why: pot.refused };
		if (plan.left.length > 0)
			return {
				words: plan.left.length === 1 ? 'one stays out' : `${plan.left.length} stay out`,
				tone: 'harm',
				why: 'the others go in as drawn'
			};
		if (plan.slackS !== undefined && plan.slackS < 0)
			return { words: 'too late', tone: 'harm', why: `pressure comes ${units.show(-plan.slackS, 'time')} after it is too thick` };
		if (loads.length === 0) return { words: 'empty', tone: 'ink', why: 'choose what goes in' };
		return {
			words: 'goes in',
			tone: 'work',
			why:
				plan.slackS === undefined ? 'no shot says when it gels' : `pressure comes ${units.show(plan.slackS, 'time')} before it is too thick`
		};
	});
</script>

<PageHead title="Plan a load" about="Which moulds go in together, on which shelf, and whether pressure comes before gel." />
{#if data.pots.length === 0}
	<p class="slab p-6 text-[1.15rem]">No pot is in the books yet. <a class="plain" href="/pots">Enter one first</a>.</p>
{:else}
	<div class="grid items-start gap-5 lg:grid-cols-[20rem_1fr]">
		<section class="slab p-5">
			<ChoiceField label="Pot" name="pot" bind:value={potId} options={data.pots.map((p) => ({ value: p.id, label: p.record.name }))} />
			{#if pot?.refused}<p class="mb-2 font-bold text-(--harm)" role="alert">{pot.refused}</p>{/if}
			<Island>
				<fieldset class="min-w-0">
					<legend class="label">Moulds</legend>
					<ul class="mt-1 flex flex-col gap-1">
						{#each data.moulds as m (m.id)}
							<li>
								<label class="flex min-h-[2.5rem] cursor-pointer items-center gap-3 rounded-lg px-2 hover:bg-(--work-soft)">
									<input type="checkbox" class="size-5 text-(--work)" bind:group={chosen} value={m.id} />
									<span class="min-w-0 flex-1 leading-tight font-semibold">{m.name}</span>
									<span class="soft text-[0.85rem] whitespace-nowrap">{units.show(m.heightMm, 'length')} high</span>
								</label>
							</li>
						{:else}<li class="soft">No mould is in use.</li>{/each}
					</ul>
				</fieldset>
			</Island>
		</section>
		<AnswerPane label="This load" value={plan && pot ? verdict.words : undefined} note={plan && pot && verdict.why} {problem}>
			<Island>
				{#if plan && pot}
					<Answer label="This load" value={verdict.words} tone={verdict.tone} note={verdict.why} />
					<dl class="mt-4 grid grid-cols-2 gap-x-6 gap-y-2 sm:grid-cols-4">
						{#each [[`To ${units.show(pot.record.targetGaugeKpa, 'pressure')}`, Number.isFinite(plan.timeToPressureS) ? units.show(plan.timeToPressureS, 'time') : 'never', ''], ['Free volume', units.show(plan.freeL * 1000, 'volume'), `${units.show(plan.contentsL * 1000, 'volume')} of moulds`], ['A bubble keeps', `${Math.round(plan.bubbleDiameterRatio * 100)}\u202f% of its diameter`, `${Math.round(plan.bubbleVolumeRatio * 100)}\u00a0% of its volume`], ['Energy in it', `${digits(units.plotted(plan.storedEnergyJ, 'energy'))}\u202f${units.plotUnit('energy')}`, 'compressed air']] as const as [what, figure, more] (what)}
							<div>
								<dt class="soft text-[0.93rem]">{what}</dt>
								<dd class="text-[1.15rem] leading-tight font-bold">{figure}</dd>
								{#if more}<dd class="soft text-[0.93rem]">{more}</dd>{/if}
							</div>
						{/each}
					</dl>
					{#if plan.left.length > 0}
						<ul class="mt-3 font-semibold text-(--harm)">
							{#each plan.left as out (out.load)}<li>{loads[out.load]?.name} stays out: {out.why}.</li>{/each}
						</ul>
					{/if}
					{#if plan.slackS !== undefined && plan.slackS < 0}<p class="mt-2 font-bold text-(--harm)" role="alert">
							Pressure comes after the resin has thickened: fewer moulds do not help, a fuller pot does; else a slower resin or a stronger
							compressor.
						</p>{/if}
					<div class="flex flex-wrap gap-5">
						{#each plan.shelves as shelf, i (i)}
							<Shelf {shelf} title={i === 0 ? 'On the floor' : `On shelf ${i}`} diameterMm={pot.record.diameterMm} {loads} />
						{/each}
					</div>
					<Caution topics={['pressure']} />
				{/if}
			</Island>
			{#snippet empty()}
				<p class="soft">Tick the moulds that go in together: whether they fit, and whether pressure comes in time, appears here.</p>
				<AnswerOutline boxes={['On the floor', 'On a shelf']} lines="Time to pressure, free volume, what a bubble keeps" />
			{/snippet}
		</AnswerPane>
	</div>
{/if}
