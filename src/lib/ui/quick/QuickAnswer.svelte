<script lang="ts">
	import { cautionsFor } from '$lib/core/cautions';
	import { QUICK_SECTION_MM, QUICK_WALL_MM, quickAmounts } from '$lib/core/quick';
	import { chemistryOf, type ResinRecord } from '$lib/core/shelf';
	import type { PlannedShot } from '$lib/core/shot';
	import { digits, formatDrops } from '$lib/core/units';
	import type { WorkingLine } from '$lib/core/working';
	import Caution from '../Caution.svelte';
	import Explain from '../Explain.svelte';
	import Fuse from '../Fuse.svelte';
	import Parts from '../Parts.svelte';
	import LayerStack from '../shot/LayerStack.svelte';
	import { useUnits } from '../units.svelte';
	import Spoken from '../Spoken.svelte';
	import Warnings from '../Warnings.svelte';
	import Working from '../Working.svelte';

	/** What is mixed, how long it pours and when it comes out; then what was taken as usual to say so. */
	interface Props {
		planned: PlannedShot;
		resin: ResinRecord;
		/** Volume of the piece with the sum that made it. */
		volume: { volumeMl: number; working: WorkingLine };
		/** What was typed since does not hold: this is the answer before. */
		stale: boolean;
	}
	let { planned, resin, volume, stale }: Props = $props();
	const units = useUnits();
	const batch = $derived(planned.shot.batches[0]!);
	const layers = $derived(batch.layers);
	const amounts = $derived(quickAmounts(planned, volume.volumeMl));
	const catalysed = $derived(batch.catalyst);
	const spoken = $derived(
		`A ${units.weighed(amounts.a.massG)}${catalysed ? '' : `, B ${units.weighed(amounts.b.massG)}`}, ${units.inCup({ ...amounts, massG: amounts.totalG })} in all, pot life ${units.show(batch.potLifeS, 'time')}`
	);
</script>

<div class={['flex flex-col gap-4 transition-opacity', stale && 'opacity-45']}>
	<Spoken text={stale ? '' : spoken} />
	<div>
		<h2 class="mb-2">{layers ? `Mix in all, in ${layers.length} cups one after another` : 'Mix'}</h2>
		{#if catalysed}
			<dl class="grid grid-cols-2 gap-3">
				<div class="rounded-lg border border-(--line) bg-(--paper) px-3 py-2">
					<dt class="text-[1rem] font-bold">Resin</dt>
					<dd class="answer text-[2rem] whitespace-nowrap">{units.weighed(amounts.a.massG)}</dd>
				</div>
				<div class="rounded-lg border border-(--line) bg-(--paper) px-3 py-2">
					<dt class="text-[1rem] font-bold">Catalyst</dt>
					<dd class="answer text-[2rem] whitespace-nowrap">
						{#if catalysed.dropsMost === undefined}{formatDrops(catalysed.drops)}{:else}{digits(catalysed.volumeMl)} ml{/if}
					</dd>
					<dd class="soft mt-1">
						{digits(catalysed.mlPer100G)} ml to 100 g{catalysed.dropsMost === undefined
							? ''
							: `; ${formatDrops(catalysed.drops, catalysed.dropsMost)} by the dropper`}
					</dd>
				</div>
			</dl>
		{:else}
			<Parts a={amounts.a} b={amounts.b} />
		{/if}
		<p class="soft mt-2">
			{units.inCup({ ...amounts, massG: amounts.totalG })} for {units.show(volume.volumeMl, 'volume')}{amounts.leftMl > 0.05
				? `; ${units.show(amounts.leftMl, 'volume')} of it stay in the cup and on tools`
				: ''}.
		</p>
	</div>
	<dl class="grid grid-cols-3 gap-x-4 gap-y-2">
		<div>
			<dt class="label flex items-center">Pot life<Explain word="Pot life" /></dt>
			<dd class="answer mt-1 text-[1.4rem]">{units.show(batch.potLifeS, 'time')}</dd>
			{#if batch.potLifeBand}<dd class="soft mt-1 text-[0.93rem]">{units.band(batch.potLifeBand)}</dd>{/if}
		</div>
		<div>
			<dt class="label flex items-center">{batch.slackS >= 0 ? 'Slack' : 'Too long by'}<Explain word="Slack" /></dt>
			<dd class="answer mt-1 text-[1.4rem]" style:color={batch.slackS >= 0 ? 'var(--work)' : 'var(--hot)'}>
				{units.show(Math.abs(batch.slackS), 'time')}
			</dd>
			<dd class="soft mt-1 text-[0.93rem]">after mixing and pouring</dd>
		</div>
		<div>
			<dt class="label flex items-center">Demould<Explain word="Demould" /></dt>
			<dd class="answer mt-1 text-[1.4rem]">{units.show(planned.shot.demouldS, 'time')}</dd>
			{#if planned.shot.demouldBand}<dd class="soft mt-1 text-[0.93rem]">{units.band(planned.shot.demouldBand)}</dd>{/if}
		</div>
	</dl>
	<Fuse steps={batch.steps} potLifeS={batch.potLifeS} usableS={batch.budget.usableS} slackS={batch.slackS} />
	{#if layers}<LayerStack {layers} />{/if}
	<Warnings warnings={planned.shot.warnings} />
	<Caution topics={cautionsFor(chemistryOf(resin.family))} />
	<p class="soft text-[0.93rem]">
		{#if resin.typical}<strong>{resin.name}</strong>: {resin.note}{/if} Not asked, and taken as usual: {layers
			? ''
			: `nothing thinner than ${units.show(QUICK_SECTION_MM, 'length')} and nothing thicker than ${volume.working.source === 'inner sizes' ? 'its sizes say' : 'a cube of its volume'}, `}silicone
		walls of {units.show(QUICK_WALL_MM, 'length')}, mixing and pouring by one pair of hands.
	</p>
	<Working lines={[volume.working, ...planned.shot.working]} />
</div>
