<script lang="ts">
	import { splitMixes, costOf, type MouldInputs, type MouldMaterials, type MouldPlan } from '$lib/core/mould';
	import { fieldErrors } from '$lib/core/fieldErrors';
	import { vacuum } from '$lib/core/pot';
	import { digits } from '$lib/core/units';
	import type { WorkshopSettings } from '$lib/core/workshop';
	import type { Warning } from '$lib/core/working';
	import Answer from '../Answer.svelte';
	import Caution from '../Caution.svelte';
	import Parts from '../Parts.svelte';
	import Warnings from '../Warnings.svelte';
	import Working from '../Working.svelte';
	import { wallTime } from '../clockText';
	import { useUnits } from '../units.svelte';

	/** What a mould takes: material for each pour, when it is ready, what it costs. */
	interface Props {
		plan: MouldPlan;
		inputs: MouldInputs;
		materials: MouldMaterials;
		settings: WorkshopSettings;
		touching: readonly Warning[];
		nowMs: number;
	}
	let { plan, inputs, materials, settings, touching, nowMs }: Props = $props();
	const units = useUnits();
	const SHAPES = { box: 'a box', tube: 'a tube', bricks: 'close-fitting bricks' };
	const cost = $derived(costOf(plan, materials, inputs.lossPercent));
	const air = $derived.by(() => {
		const largestMl = Math.max(0, ...plan.pours.map((p) => p.volumeMl));
		if (inputs.degas !== 'vacuum' || largestMl === 0 || plan.kind === 'press') return undefined;
		return vacuum({
			mixVolumeMl: Math.min(largestMl, settings.vacuumVesselMl / 5),
			vesselMl: settings.vacuumVesselMl,
			chamberL: settings.vacuumChamberL,
			pumpLPerMin: settings.vacuumPumpLPerMin,
			targetKpa: settings.vacuumKpa
		});
	});
	/** Each pour in mixes that scale, cup and vessel take; or why it cannot be done. */
	const mixes = $derived.by(() => {
		const rubber = materials.rubber;
		if (!rubber || plan.pours.length === 0) return { all: [] as ReturnType<typeof splitMixes>[], problem: '' };
		try {
			return {
				all: plan.pours.map((p) =>
					splitMixes({
						massG: p.massG,
						densityGPerMl: rubber.densityGPerMl,
						scaleCapacityG: settings.scaleCapacityG,
						cupMl: settings.mixingCupMl,
						...(air ? { vesselMl: settings.vacuumVesselMl, vacuumS: air.takesS } : {}),
						workingTimeS: plan.workingTimeS
					})
				),
				problem: ''
			};
		} catch (error) {
			const first = fieldErrors(error)?.[0];
			if (!first) throw error;
			return { all: [], problem: first.message };
		}
	});
	const warnings = $derived([...touching, ...plan.warnings, ...mixes.all.flatMap((m) => m.warnings), ...(air?.warnings ?? [])]);
	const working = $derived([...plan.working, ...mixes.all.flatMap((m) => m.working), ...(air?.working ?? [])]);
	const term = 'soft text-[0.9rem]';
	const figure = 'text-[1.2rem] font-bold';
</script>

{#if plan.kind === 'rigid'}
	<Answer
		label="Putty in the parting line"
		value={units.show(plan.rigid!.putty.volumeMl, 'volume')}
		note="{plan.rigid!.bands} bands, no rubber" />
{:else}
	<Answer
		label={plan.kind === 'press' ? 'Thermoplastic to soften' : 'Rubber to mix'}
		value={units.show(plan.rubber.massG, 'mass')}
		note="{units.other(plan.rubber.massG, 'mass')} · {units.show(plan.rubber.volumeMl, 'volume')}" />
{/if}
{#if plan.kind === 'jacket'}
	<table class="bench">
		<thead><tr><th>Coat</th><th class="num">A</th><th class="num">B</th><th class="num">into B first</th></tr></thead>
		<tbody>
			{#each plan.pours as p (p.name)}
				<tr
					><td>{p.name}</td><td class="num font-bold">{units.show(p.a!.massG, 'mass')}</td><td class="num font-bold"
						>{units.show(p.b!.massG, 'mass')}</td
					><td class="num">{p.thickenerG ? units.show(p.thickenerG, 'mass') : '–'}</td></tr>
			{/each}
		</tbody>
	</table>
{:else}
	{#each plan.pours as p, i (p.name)}
		{#if plan.pours.length > 1}<h2>{p.name}</h2>{/if}
		{#if p.a && p.b}<Parts a={p.a} b={p.b} resolutionG={settings.scaleResolutionG} />
		{:else}<p class="text-[1.3rem] font-bold">{units.show(p.massG, 'mass')}</p>{/if}
		{#if (mixes.all[i]?.count ?? 1) > 1}<p class="font-semibold">
				In {mixes.all[i]!.count} mixes of {units.show(mixes.all[i]!.massEachG, 'mass')}.
			</p>{/if}
	{/each}
{/if}
{#if mixes.problem}<p class="font-semibold text-(--harm)" role="alert">{mixes.problem}</p>{/if}
{#if plan.clay}<p class="soft">
		Bed it in {units.show(plan.clay.massG ?? plan.clay.volumeMl * 1.6, 'mass')} of sulphur-free clay ({units.show(
			plan.clay.volumeMl,
			'volume'
		)}), keys pressed in.
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
<Caution
	topics={plan.kind === 'press'
		? ['heat']
		: plan.kind === 'rigid'
			? ['powder', 'knife']
			: inputs.degas === 'vacuum'
				? ['silicone', 'vacuum']
				: inputs.degas === 'pressure'
					? ['silicone', 'pressure']
					: ['silicone']} />
