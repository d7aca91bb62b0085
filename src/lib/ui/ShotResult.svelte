<script lang="ts">
	import type { PlannedShot } from '$lib/core/shot';
	import { digits, formatDrops } from '$lib/core/units';
	import Answer from './Answer.svelte';
	import LayerStack from './shot/LayerStack.svelte';
	import Parts from './Parts.svelte';
	import { useUnits } from './units.svelte';
	import Warnings from './Warnings.svelte';
	import Working from './Working.svelte';

	/** What a shot comes to: the cup, both schools of measuring, and the time against it. */
	interface Props {
		planned: PlannedShot;
		stack?: boolean;
		/** Stirs what would keep the last layer up into it. */
		onthicken?: (offer: NonNullable<PlannedShot['offer']>) => void;
	}
	let { planned, stack = true, onthicken }: Props = $props();
	const units = useUnits();
	const shot = $derived(planned.shot);
	const batch = $derived(shot.batches[0]!);
	const marks = $derived(batch.schools.marks);
</script>

<div class="flex flex-col gap-4">
	<div class="grid grid-cols-2 gap-4">
		<Answer
			label={batch.layers && batch.layers.length > 1
				? `In the first of ${batch.layers.length} cups`
				: batch.cups
					? `In ${batch.cups.length} cups together`
					: shot.batches.length > 1
						? `In each of ${shot.batches.length} cups`
						: 'In the cup'}
			value={units.inCup(batch)}
			note="{units.other(batch.massG, 'mass')} · {units.show(batch.volumeMl, 'volume')}" />
		<Answer
			label={batch.slackS >= 0 ? 'Slack' : 'Too long by'}
			value={units.show(Math.abs(batch.slackS), 'time')}
			tone={batch.slackS >= 0 ? 'work' : 'harm'}
			note="pot life {units.show(batch.potLifeS, 'time')}{batch.potLifeBand ? `, ${units.band(batch.potLifeBand)}` : ''}" />
	</div>
	{#if batch.layers && batch.layers.length > 1}
		<p class="text-[1.15rem]">
			<strong>{units.weighed(shot.massG)} in all cups</strong>
			<span class="soft"
				>{units.other(shot.massG, 'mass')} · {units.show(shot.volumeMl, 'volume')} · {units.other(shot.volumeMl, 'volume')}</span>
		</p>
	{/if}
	<Warnings warnings={shot.warnings} />
	{#if planned.offer && onthicken}
		{@const offer = planned.offer}
		<p class="flex flex-wrap items-center gap-x-3 gap-y-1">
			<span>{digits(offer.scoops, 1)} scoops of {offer.name} to one of B would keep the last layer up.</span>
			<button type="button" class="plain min-h-[2.2rem] cursor-pointer font-semibold" onclick={() => onthicken(offer)}
				>Put it into the last layer</button>
		</p>
	{/if}
	{#if batch.catalyst}
		<dl class="grid grid-cols-2 gap-4">
			<div>
				<dt class="label">Resin</dt>
				<dd class="answer mt-1 text-[2rem]">{units.weighed(batch.a.massG)}</dd>
			</div>
			<div>
				<dt class="label">Catalyst</dt>
				{#if batch.catalyst.dropsMost === undefined}
					<dd class="answer mt-1 text-[2rem]">{formatDrops(batch.catalyst.drops)}</dd>
					<dd class="soft mt-1">{digits(batch.catalyst.volumeMl)} ml, {digits(batch.catalyst.mlPer100G)} ml to 100 g</dd>
				{:else}
					<dd class="answer mt-1 text-[2rem]">{digits(batch.catalyst.volumeMl)} ml</dd>
					<dd class="soft mt-1">
						{digits(batch.catalyst.mlPer100G)} ml to 100 g; {formatDrops(batch.catalyst.drops, batch.catalyst.dropsMost)}: count your
						dropper once, on the resin’s page
					</dd>
				{/if}
			</div>
		</dl>
	{:else}
		<Parts a={batch.a} b={batch.b} />
		<dl class="grid gap-x-4 gap-y-2 text-[0.93rem] sm:grid-cols-2">
			<div>
				<dt class="font-semibold">By scale, into one cup or two</dt>
				<dd class="soft">
					step {units.show(batch.schools.scale.resolutionG, 'mass')}: ratio at worst {digits(batch.schools.scale.errorPercent, 1)} % out
				</dd>
			</div>
			<div>
				<dt class="font-semibold">By marks in two equal cups</dt>
				<dd class="soft">
					⌀ {units.show(marks.cupDiameterMm, 'length')}: A {units.show(marks.markAMm, 'length')}, B {units.show(marks.markBMm, 'length')} high;
					1 mm off is {digits(marks.errorPercent, 1)} %
				</dd>
			</div>
		</dl>
	{/if}
	{#if batch.fillers?.length}
		<p>
			{#each batch.fillers as f, i (i)}<strong>{units.weighed(f.massG)} {f.name}</strong>{f.looseVolumeMl
					? ` (${units.show(f.looseVolumeMl, 'volume')} scooped)`
					: ''} into {batch.catalyst ? 'the resin, before the catalyst' : 'B'}.{/each}
		</p>
	{/if}
	{#if stack && batch.layers}<LayerStack layers={batch.layers} />{/if}
	{#if planned.dust}<p><strong>{units.weighed(planned.dust.massG)} {planned.dust.name}</strong> dusted on each face first.</p>{/if}
	{#if batch.colours?.length}
		<p>
			{#each batch.colours as c, i (i)}{i > 0 ? '; ' : ''}<strong
					>{c.drops === undefined ? units.weighed(c.massG) : formatDrops(c.drops)} {c.name}</strong>
				into {batch.catalyst ? 'the resin' : c.part}{/each}.
		</p>
	{/if}
	{#if batch.cups}
		<ol class="divide-y divide-(--line) border-y border-(--line)">
			{#each batch.cups as c, i (i)}
				<li class="py-1.5">
					<p class="flex flex-wrap justify-between gap-x-3">
						<strong>{i + 1}: {c.name}, {units.inCup(c)}</strong>
						<span>A {units.weighed(c.a.massG)}{c.b.massG > 0 ? `, B ${units.weighed(c.b.massG)}` : ''}</span>
						<span class="soft"
							>too thick {units.show(c.potLifeS, 'time')}{c.warmS === undefined ? '' : `, warm ${units.show(c.warmS, 'time')}`} after combining</span>
					</p>
					{#each c.colours as d, k (k)}<p class="soft text-[0.93rem]">
							{d.drops === undefined ? units.show(d.massG, 'mass') : formatDrops(d.drops)}
							{d.name} into {d.part}
						</p>{/each}
				</li>
			{/each}
		</ol>
	{/if}
	{#if planned.balance && (planned.kind !== 'solid' || planned.balance.insertsG > 0 || batch.fillers?.length)}
		<p class="text-[1.15rem]">
			{#if planned.kind === 'filled'}<strong>Fill: {units.weighed(planned.balance.mixG)}</strong>
				<span class="soft">to mix, {units.show(planned.balance.fillMl, 'volume')} go in.</span>{/if}
			One copy weighs <strong>{units.weighed(planned.balance.massG)}</strong>
			<span class="soft"
				>and {planned.balance.floats
					? `floats with ${digits(100 * planned.balance.underWater, 0)} % under water; ${units.show(planned.balance.toNeutralG, 'mass')} more sink it`
					: 'sinks'}.</span>
		</p>
	{/if}
	<dl class="grid grid-cols-3 gap-x-4 gap-y-2 border-t border-(--line) pt-3">
		<div>
			<dt class="soft text-[0.93rem]">Demould after</dt>
			<dd class="text-[1.15rem] font-bold">{units.show(shot.demouldS, 'time')}</dd>
			{#if planned.taught?.own}<dd class="font-semibold">yours: {units.band(planned.taught.own)}</dd>{/if}
			{#if shot.demouldBand}<dd class="soft text-[0.93rem]">{planned.taught?.own ? 'model: ' : ''}{units.band(shot.demouldBand)}</dd>{/if}
		</div>
		{#if shot.flexibleS !== undefined}
			<div>
				<dt class="soft text-[0.93rem]">Gives when bent, from</dt>
				<dd class="text-[1.15rem] font-bold">{units.show(shot.flexibleS, 'time')}</dd>
				<dd class="soft text-[0.93rem]">until it is stiff</dd>
			</div>
		{/if}
		<div>
			<dt class="soft text-[0.93rem]">Gels in the cup</dt>
			<dd class="text-[1.15rem] font-bold">{units.show(batch.gelTimeS, 'time')}</dd>
		</div>
		<div>
			<dt class="soft text-[0.93rem]">Left in the cup, peaks at</dt>
			<dd class="text-[1.15rem] font-bold">{units.show(batch.peakTempC, 'temperature')}</dd>
		</div>
		{#if planned.pot}
			<div>
				<dt class="soft text-[0.93rem]">Pump-up</dt>
				<dd class="text-[1.15rem] font-bold">{units.show(planned.pot.timeToPressureS, 'time')}</dd>
			</div>
			<div>
				<dt class="soft text-[0.93rem]">Hold at least</dt>
				<dd class="text-[1.15rem] font-bold">{units.show(shot.holdUntilS, 'time')}</dd>
			</div>
			<div>
				<dt class="soft text-[0.93rem]">Bubbles shrink to</dt>
				<dd class="text-[1.15rem] font-bold">
					{digits(planned.pot.bubbleDiameterRatio * 100, 0)} %
					<span class="soft text-[0.93rem] font-normal">across</span>
				</dd>
			</div>
		{/if}
	</dl>
	{#if batch.potLifeBand}<p class="soft text-[0.93rem]">
			Four of five fall in the bands. The pot life’s comes mostly from {batch.potLifeBand.mostly}{shot.demouldBand
				? `, the demould’s from ${shot.demouldBand.mostly}`
				: ''}.
		</p>{/if}
	<Working lines={[...shot.working, ...(planned.pot?.working ?? [])]} />
</div>
