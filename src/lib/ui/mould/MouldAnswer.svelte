<script lang="ts">
	import { costOf, MOULD_MODULES, type mixingOf, type MouldInputs, type MouldMaterials, type MouldPlan } from '$lib/core/mould';
	import { weighingErrorPercent } from '$lib/core/mix/weighingError';
	import { digits } from '$lib/core/units';
	import type { WorkshopSettings } from '$lib/core/workshop';
	import type { Warning } from '$lib/core/working';
	import Answer from '../Answer.svelte';
	import Caution from '../Caution.svelte';
	import Parts from '../Parts.svelte';
	import Warnings from '../Warnings.svelte';
	import Working from '../Working.svelte';
	import WetAnswer from './WetAnswer.svelte';
	import { wallTime } from '../clockText';
	import { useUnits } from '../units.svelte';
	import { rubberFigure } from './rubberFigure';

	/** What a mould takes: material for each pour, when it is ready, what it costs. */
	interface Props {
		plan: MouldPlan;
		inputs: MouldInputs;
		materials: MouldMaterials;
		settings: WorkshopSettings;
		/** Mixes and vacuum with the workshop's gear; nothing when it cannot be mixed in time. */
		mixing: ReturnType<typeof mixingOf> | undefined;
		touching: readonly Warning[];
		nowMs: number;
	}
	let { plan, inputs, materials, settings, mixing, touching, nowMs }: Props = $props();
	const units = useUnits();
	const SHAPES = { box: 'a box', tube: 'a tube', bricks: 'close-fitting bricks' };
	const kind = $derived(MOULD_MODULES[plan.kind]);
	const main = $derived(kind.figure(plan));
	const cost = $derived(costOf(plan, materials, inputs.lossPercent));
	const air = $derived(mixing?.vacuum);
	const mixes = $derived(mixing?.mixes ?? []);
	const warnings = $derived([...touching, ...plan.warnings, ...mixes.flatMap((m) => m.warnings), ...(air?.warnings ?? [])]);
	const working = $derived([...plan.working, ...mixes.flatMap((m) => m.working), ...(air?.working ?? [])]);
	const term = 'soft text-[0.93rem]';
	const figure = 'text-[1.15rem] font-bold';
</script>

<Answer
	label={kind.words.answer}
	value={rubberFigure(units, plan, main)}
	note={main.note ?? `${units.other(main.value, main.kind)} · ${units.show(plan.rubber.volumeMl, 'volume')}`} />
{#if plan.wet}
	<WetAnswer wet={plan.wet} />
{:else if plan.jacket}
	<table class="bench">
		<thead><tr><th>Coat</th><th class="num">A</th><th class="num">B</th></tr></thead>
		<tbody>
			{#each plan.pours as p (p.name)}
				<tr
					><td
						>{p.name}{#if p.thickenerG}<span class="soft block text-[0.93rem]">{units.weighed(p.thickenerG)} of thickener into B first</span
							>{/if}</td
					><td class="num font-bold">{units.weighed(p.a!.massG)}</td><td class="num font-bold">{units.weighed(p.b!.massG)}</td></tr>
			{/each}
		</tbody>
	</table>
{:else}
	{#each plan.pours as p, i (p.name)}
		{#if plan.pours.length > 1}<h2>{p.name}</h2>{/if}
		{#if p.a && p.b}
			<Parts a={p.a} b={p.b} />
			<p class="soft -mt-2 text-[0.93rem]">
				On a scale of {units.show(settings.scaleResolutionG, 'mass')} the ratio is at worst {digits(
					weighingErrorPercent(p.a.massG, p.b.massG, settings.scaleResolutionG),
					1
				)} % out.
			</p>
		{:else}<p class="text-[1.4rem] font-bold">{units.weighed(p.massG)}</p>{/if}
		{#if (mixes[i]?.count ?? 1) > 1}<p class="font-semibold">
				In {mixes[i]!.count} mixes of {units.weighed(mixes[i]!.massEachG)}.
			</p>{/if}
	{/each}
{/if}
{#if plan.clay}<p class="soft">
		Bed it in {units.weighed(plan.clay.massG)} of sulphur-free clay ({units.show(plan.clay.volumeMl, 'volume')}), keys pressed in.
	</p>{/if}
<dl class="grid grid-cols-2 gap-x-4 gap-y-2">
	{#if plan.grossVolumeMl > 0 && plan.cavity}
		<div>
			<dt class={term}>Inside the box</dt>
			<dd class={figure}>{units.show(plan.grossVolumeMl, 'volume')}</dd>
		</div>
	{/if}
	{#if plan.workingTimeS > 0}
		<div>
			<dt class={term}>Working time</dt>
			<dd class={figure}>{units.show(plan.workingTimeS, 'time')}</dd>
		</div>
	{/if}
	{#if air}
		<div>
			<dt class={term}>Rises to</dt>
			<dd class={figure}>{units.show(air.risenMl, 'volume')}</dd>
		</div>
		<div>
			<dt class={term}>Vacuum takes</dt>
			<dd class={figure}>{units.show(air.takesS, 'time')}</dd>
		</div>
	{:else if plan.degasVesselMl > 0}
		<div>
			<dt class={term}>Degassing vessel</dt>
			<dd class={figure}>{units.show(plan.degasVesselMl, 'volume')}</dd>
		</div>
	{/if}
	{#if cost.cost !== undefined}
		<div>
			<dt class={term}>Material</dt>
			<dd class={figure}>{settings.currency} {digits(cost.cost, 2)}</dd>
		</div>
	{/if}
	{#if cost.wasteG > 0}
		<div>
			<dt class={term}>Left in cups</dt>
			<dd class={figure}>{units.show(cost.wasteG, 'mass')}</dd>
		</div>
	{/if}
	{#if plan.savedMl !== undefined}
		<div>
			<dt class={term}>Saved by one block</dt>
			<dd class={figure}>{units.show(Math.max(0, plan.savedMl), 'volume')}</dd>
		</div>
	{/if}
	{#if plan.readyInS > 0}
		<div class="col-span-2">
			<dt class={term}>Ready, if begun now</dt>
			<dd class={figure}>
				{wallTime(nowMs + plan.readyInS * 1000, nowMs)}
				<span class="soft font-normal">in {units.show(plan.readyInS, 'time')}</span>
			</dd>
		</div>
	{/if}
</dl>
<Warnings {warnings} />
{#if plan.others && plan.others.length > 1}
	<div>
		<h2 class="mb-1">Rubber for this clearance</h2>
		<ul class="flex flex-col gap-1">
			{#each plan.others as o, i (o.shape)}
				<li class="flex justify-between gap-3">
					<span class={o.shape === inputs.shape ? 'font-bold' : ''}
						>in {SHAPES[o.shape]}{o.shape === inputs.shape ? ', chosen' : i === 0 ? ', least' : ''}</span>
					<strong>{units.show(o.netMl, 'volume')}</strong>
				</li>
			{/each}
		</ul>
	</div>
{/if}
<Working lines={working} />
<Caution topics={[...kind.cautions(inputs, plan)]} />
