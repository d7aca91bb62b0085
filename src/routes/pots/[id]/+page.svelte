<script lang="ts">
	import { Button } from 'flowbite-svelte';
	import { zod4Client } from 'sveltekit-superforms/adapters';
	import { INSPECTED_PARTS, INSPECTED, tapeWord, vesselRecord } from '$lib/core/pressurePot';
	import Save from '$lib/ui/Save.svelte';
	import Caution from '$lib/ui/Caution.svelte';
	import Chart from '$lib/ui/Chart.svelte';
	import { longDay } from '$lib/ui/clockText';
	import { benchForm } from '$lib/ui/form';
	import FormErrors from '$lib/ui/FormErrors.svelte';
	import Island from '$lib/ui/island/Island.svelte';
	import PageHead from '$lib/ui/PageHead.svelte';
	import CycleForm from '$lib/ui/pots/CycleForm.svelte';
	import CycleTable from '$lib/ui/pots/CycleTable.svelte';
	import DueBar from '$lib/ui/pots/DueBar.svelte';
	import InspectionForm from '$lib/ui/pots/InspectionForm.svelte';
	import QuantityField from '$lib/ui/QuantityField.svelte';
	import Segments from '$lib/ui/Segments.svelte';
	import TextField from '$lib/ui/TextField.svelte';
	import { useUnits } from '$lib/ui/units.svelte';

	let { data } = $props();
	const units = useUnits();
	const { form, errors, enhance, submitting, message } = benchForm(() => data.form, { validators: zod4Client(vesselRecord) });
	const vessel = $derived(data.vessel);
	const held = $derived.by(() => {
		if (!data.held || data.held.readings.length < 2) return undefined;
		const from = data.held.readings[0]!.atMs;
		return {
			x: data.held.readings.map((r) => (r.atMs - from) / 60_000),
			y: data.held.readings.map((r) => units.plotted(r.gaugeKpa, 'pressure'))
		};
	});
	const shelfErrors = $derived(($errors.shelvesMm ?? {}) as Record<string, string[] | undefined>);
	const dueErrors = $derived(($errors.dues ?? {}) as Record<string, { cycles?: string[]; days?: string[] } | undefined>);
</script>

<PageHead
	title={vessel ? vessel.record.name : 'A new vessel'}
	about={vessel
		? `${vessel.record.kind === 'pot' ? 'Pressure pot' : 'Vacuum chamber'}, ${vessel.cycles} cycles in the books`
		: 'As its plate and your tape measure have it.'}>
	{#snippet actions()}{#if vessel?.record.kind === 'pot'}<Button href="/pots/load?pot={vessel.id}" size="lg" color="alternative"
				>Plan a load</Button
			>{/if}{/snippet}
</PageHead>
{#if vessel?.refused}<p class="mb-4 rounded-lg border-2 border-(--harm) px-4 py-3 text-[1.15rem] font-bold text-(--harm)" role="alert">
		{vessel.refused}
	</p>{/if}
<div class={['grid items-start gap-5', vessel && 'lg:grid-cols-[1fr_25rem]']}>
	<form method="POST" action="?/save{vessel ? `&version=${vessel.version}` : ''}" use:enhance class="slab order-last p-5 lg:order-none">
		<FormErrors errors={$errors._errors} />
		<Island>
			<Segments
				label="It is"
				name="kind"
				bind:value={$form.kind}
				options={[
					{ value: 'pot', label: 'A pressure pot' },
					{ value: 'chamber', label: 'A vacuum chamber' }
				]} />
			<div class="mt-3 grid gap-x-5 gap-y-1 sm:grid-cols-3">
				<TextField label="Name" name="name" bind:value={$form.name} error={$errors.name} hint="such as Pot 1" />
				<QuantityField
					label="Volume"
					kind="volume"
					name="vesselVolume"
					bind:value={
						() => ($form.volumeL === undefined ? undefined : $form.volumeL * 1000),
						(v) => ($form.volumeL = (v === undefined ? undefined : v / 1000) as number)
					}
					error={$errors.volumeL} />
				<QuantityField label="Inner diameter" kind="length" name="diameterMm" bind:value={$form.diameterMm} error={$errors.diameterMm} />
				{#each $form.shelvesMm as _, i (i)}
					<QuantityField
						label={i === 0 ? 'Clear over the floor' : `Over shelf ${i}`}
						kind="length"
						name="shelf-{i}"
						bind:value={() => $form.shelvesMm[i], (v) => ($form.shelvesMm = $form.shelvesMm.map((h, k) => (k === i ? (v as number) : h)))}
						error={shelfErrors[i] ?? (i === 0 ? shelfErrors['_errors'] : undefined)} />
				{/each}
				<p class="flex items-center gap-2">
					<Button
						color="alternative"
						size="sm"
						class="min-h-[2.6rem]"
						onclick={() => ($form.shelvesMm = [...$form.shelvesMm, undefined as never])}>Another shelf</Button>
					{#if $form.shelvesMm.length > 1}<Button
							color="alternative"
							size="sm"
							class="min-h-[2.6rem]"
							onclick={() => ($form.shelvesMm = $form.shelvesMm.slice(0, -1))}>One less</Button
						>{/if}
				</p>
				<p class="soft min-h-[1.35rem] text-[0.93rem]" aria-live="polite">{tapeWord($form)}</p>
			</div>
		</Island><Island>
			{#if $form.kind === 'pot'}
				<h2 class="mt-3 mb-2">Pressure and air</h2>
				<div class="grid gap-x-5 gap-y-1 sm:grid-cols-3">
					<QuantityField
						label="Rating on the plate"
						kind="pressure"
						name="ratedGaugeKpa"
						bind:value={$form.ratedGaugeKpa}
						error={$errors.ratedGaugeKpa} />
					<QuantityField
						label="You cast at"
						kind="pressure"
						name="targetGaugeKpa"
						bind:value={$form.targetGaugeKpa}
						error={$errors.targetGaugeKpa} />
					<QuantityField
						label="Regulator set to"
						kind="pressure"
						name="regulatorGaugeKpa"
						bind:value={$form.regulatorGaugeKpa}
						error={$errors.regulatorGaugeKpa} />
					<QuantityField
						label="Compressor delivers"
						kind="flow"
						name="freeAir"
						bind:value={$form.freeAirLPerMin}
						error={$errors.freeAirLPerMin}
						hint="free air, not displacement" />
					<QuantityField
						label="At a second pressure"
						kind="pressure"
						name="secondGaugeKpa"
						bind:value={$form.secondGaugeKpa}
						error={$errors.secondGaugeKpa}
						hint="if its sheet has one" />
					<QuantityField
						label="It delivers there"
						kind="flow"
						name="secondLPerMin"
						bind:value={$form.secondLPerMin}
						error={$errors.secondLPerMin} />
				</div>
			{:else}
				<h2 class="mt-3 mb-2">Pump</h2>
				<div class="grid gap-x-5 gap-y-1 sm:grid-cols-3">
					<QuantityField label="Pump moves" kind="flow" name="pumpLPerMin" bind:value={$form.pumpLPerMin} error={$errors.pumpLPerMin} />
					<QuantityField
						label="Reaches, absolute"
						kind="pressure"
						name="reachesKpa"
						bind:value={$form.reachesKpa}
						error={$errors.reachesKpa} />
				</div>
			{/if}
		</Island>
		<div class="below">
			<Island>
				<h2 class="mt-3 mb-1">Looks fall due</h2>
				<p class="soft mb-2 text-[0.93rem]">
					After so many cycles or days, whichever is first. Local rules and its maker come before these defaults.
				</p>
				<div class="grid max-w-[34rem]">
					{#each INSPECTED_PARTS as part (part)}
						<fieldset class="grid grid-cols-[minmax(6rem,10rem)_minmax(5rem,1fr)_minmax(5rem,1fr)] items-start gap-2">
							<legend class="sr-only">{INSPECTED[part]}</legend>
							<span class="pt-8 font-semibold">{INSPECTED[part]}</span>
							<QuantityField
								label="Cycles"
								kind="number"
								name="{part}-cycles"
								bind:value={$form.dues[part].cycles}
								error={dueErrors[part]?.cycles} />
							<QuantityField
								label="Days"
								kind="number"
								name="{part}-days"
								bind:value={$form.dues[part].days}
								error={dueErrors[part]?.days} />
						</fieldset>
					{/each}
				</div>
				<label class="mt-2 flex min-h-[2.65rem] w-fit cursor-pointer items-center gap-2 font-semibold">
					<input type="checkbox" class="size-5 text-(--harm)" bind:checked={$form.outOfUse} /> Damaged or out of use
				</label>
				<TextField label="Note" name="note" bind:value={$form.note} error={$errors.note} />
			</Island>
		</div>
		<div class="mt-2 flex items-center gap-3">
			<Save label="Keep this vessel" submitting={$submitting} />
			<span role="status" class="font-semibold text-(--work)">{$message ?? ''}</span>
		</div>
	</form>
	<Island>
		{#if vessel && data.inspectionForm}
			<div class="flex flex-col gap-5">
				<section class="slab p-5" aria-label="Looks">
					<h2 class="mb-3">What is due</h2>
					<ul class="flex flex-col gap-2">
						{#each vessel.dues as due (due.part)}<li><DueBar {due} /></li>{/each}
					</ul>
					<InspectionForm form={data.inspectionForm} />
					{#if vessel.inspections.length > 0}
						<details class="mt-3">
							<summary class="font-semibold">Looks so far</summary>
							<ul class="mt-1 text-[0.93rem]">
								{#each vessel.inspections as inspection (`${inspection.atMs}-${inspection.part}`)}
									<li class="border-t border-(--line) py-1">
										{longDay(inspection.atMs)} <strong>{INSPECTED[inspection.part]}</strong>: {inspection.ok ? 'sound' : 'not sound'},
										{inspection.by}{inspection.note ? `. ${inspection.note}` : ''}
									</li>
								{/each}
							</ul>
						</details>
					{/if}
				</section>
				<Caution topics={[vessel.record.kind === 'pot' ? 'pressure' : 'vacuum']} />
			</div>
		{/if}
	</Island>
</div>
<Island>
	{#if vessel && data.cycleForm}
		<section class="below mt-6">
			<h2 class="mb-2">Cycles</h2>
			{#if held}
				<div class="slab mb-4 p-4">
					<p class="label">Pressure through the last cycle that a pour noted</p>
					<Chart
						label="Gauge pressure over time in the last cycle"
						height={220}
						traces={[
							{ x: held.x, y: held.y, mode: 'lines+markers', name: 'gauge', line: { color: '--work', width: 3 }, marker: { size: 8 } },
							{
								x: [held.x[0]!, held.x.at(-1)!],
								y: [
									units.plotted(vessel.record.targetGaugeKpa ?? 0, 'pressure'),
									units.plotted(vessel.record.targetGaugeKpa ?? 0, 'pressure')
								],
								mode: 'lines',
								name: 'target',
								line: { color: '--ink-soft', dash: 'dash', width: 2 }
							}
						]}
						layout={{
							xaxis: { title: { text: 'minutes after the first reading' } },
							yaxis: { title: { text: units.plotUnit('pressure') }, rangemode: 'tozero' }
						}} />
				</div>
			{/if}
			<CycleTable cycles={data.cycles} nowMs={data.nowMs} />
			<CycleForm form={data.cycleForm} />
		</section>
	{/if}
</Island>
