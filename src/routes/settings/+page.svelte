<script lang="ts">
	import { MEASURING, type Measuring } from '$lib/core/mix';
	import { enhance as plainEnhance } from '$app/forms';
	import { Button } from 'flowbite-svelte';
	import { zod4Client } from 'sveltekit-superforms/adapters';
	import { PAPERS, workshopSettings } from '$lib/core/workshop';
	import Save from '$lib/ui/Save.svelte';
	import { benchForm } from '$lib/ui/form';
	import DeviceSignals from '$lib/ui/DeviceSignals.svelte';
	import FormErrors from '$lib/ui/FormErrors.svelte';
	import Island from '$lib/ui/island/Island.svelte';
	import PageHead from '$lib/ui/PageHead.svelte';
	import ChoiceField from '$lib/ui/ChoiceField.svelte';
	import QuantityField from '$lib/ui/QuantityField.svelte';
	import Segments from '$lib/ui/Segments.svelte';
	import TextField from '$lib/ui/TextField.svelte';
	import Caution from '$lib/ui/Caution.svelte';
	import UnitsChoice from '$lib/ui/UnitsChoice.svelte';

	let { data } = $props();
	const { form, errors, enhance, submitting, message } = benchForm(() => data.form, {
		validators: zod4Client(workshopSettings)
	});
</script>

<PageHead title="Settings" about="What holds for every shot until a shot says otherwise.">
	{#snippet actions()}<Button href="/people" size="lg" color="alternative">People</Button><Button
			href="/settings/instruments"
			size="lg"
			color="alternative">Instruments</Button
		><Button href="/workshop" size="lg" color="alternative">The whole book, out and in</Button>{/snippet}
</PageHead>

<section class="slab mb-5 p-5">
	<form method="POST" action="?/theme" use:plainEnhance class="flex flex-wrap items-end gap-3" aria-label="Light or dark">
		<span class="label self-center">This device shows</span>
		{#each [['light', 'Light'], ['dark', 'Dark'], ['system', 'As the device']] as const as [value, label] (value)}
			<Button
				type="submit"
				name="theme"
				{value}
				color={data.theme === value ? 'primary' : 'alternative'}
				aria-pressed={data.theme === value}>{label}</Button>
		{/each}
	</form>
	<div class="mt-4"><DeviceSignals /></div>
</section>

<form method="POST" action="?/save&version={data.version}" use:enhance class="slab p-5">
	<FormErrors errors={$errors._errors} />
	<div class="flex flex-wrap gap-8">
		<UnitsChoice bind:value={$form.units} />
		<Segments
			label="Times of the day"
			name="clockHours"
			bind:value={$form.clockHours}
			options={[
				{ value: '24', label: '14:05' },
				{ value: '12', label: '2:05 PM' }
			]} />
		<Segments
			label="Sheets are printed on"
			name="paper"
			bind:value={$form.paper}
			options={PAPERS.map((value) => ({ value, label: value }))} />
	</div>
	<Island>
		<h2 class="mt-5 mb-2">Room and bench</h2>
		<div class="grid gap-x-5 gap-y-1 sm:grid-cols-3">
			<QuantityField label="Room temperature" kind="temperature" name="roomTempC" bind:value={$form.roomTempC} error={$errors.roomTempC} />
			<QuantityField
				label="Relative humidity"
				kind="percent"
				name="relativeHumidity"
				bind:value={$form.relativeHumidity}
				error={$errors.relativeHumidity} />
			<QuantityField
				label="Urethane is not poured from"
				kind="percent"
				name="stopHumidityPercent"
				bind:value={$form.stopHumidityPercent}
				error={$errors.stopHumidityPercent}
				hint="40 % in dry country, 50 % elsewhere: common practice" />
			<QuantityField
				label="Altitude in metres"
				kind="number"
				name="altitudeM"
				bind:value={$form.altitudeM}
				error={$errors.altitudeM}
				hint="thins the air that squeezes bubbles" />
			<QuantityField
				label="Smallest step of the scale"
				kind="mass"
				name="scaleResolutionG"
				bind:value={$form.scaleResolutionG}
				error={$errors.scaleResolutionG} />
			<QuantityField
				label="Kept back from pot life"
				kind="percent"
				name="marginPercent"
				bind:value={$form.marginPercent}
				error={$errors.marginPercent}
				hint="15 % is a default, no source" />
		</div>
	</Island><Island>
		<h2 class="mt-5 mb-2">Pressure pot</h2>
		<p class="soft mb-2">
			For a workshop without a pot in the books. Pots have <a class="plain" href="/pots">pages of their own</a>, with looks and cycles, and
			go before these figures.
		</p>
		<div class="grid gap-x-5 gap-y-1 sm:grid-cols-3">
			<TextField label="Name of the pot" name="potName" bind:value={$form.potName} error={$errors.potName} />
			<QuantityField
				label="Its volume"
				kind="volume"
				name="potVolumeL"
				bind:value={
					() => ($form.potVolumeL === undefined ? undefined : $form.potVolumeL * 1000),
					(v) => ($form.potVolumeL = (v === undefined ? undefined : v / 1000) as number)
				}
				error={$errors.potVolumeL} />
			<QuantityField
				label="Rating on the plate, gauge"
				kind="pressure"
				name="potRatedGaugeKpa"
				bind:value={$form.potRatedGaugeKpa}
				error={$errors.potRatedGaugeKpa} />
			<QuantityField
				label="You cast at, gauge"
				kind="pressure"
				name="potTargetGaugeKpa"
				bind:value={$form.potTargetGaugeKpa}
				error={$errors.potTargetGaugeKpa} />
			<QuantityField
				label="Compressor delivers"
				kind="flow"
				name="freeAirLPerMin"
				bind:value={$form.freeAirLPerMin}
				error={$errors.freeAirLPerMin}
				hint="free air, not displacement" />
		</div>
	</Island>
	<div class="below">
		<Island>
			<h2 class="mt-5 mb-2">Scale, cups and vacuum</h2>
			<div class="grid gap-x-5 gap-y-1 sm:grid-cols-3">
				<QuantityField
					label="Scale weighs at most"
					kind="mass"
					name="scaleCapacityG"
					bind:value={$form.scaleCapacityG}
					error={$errors.scaleCapacityG} />
				<QuantityField
					label="Largest mixing cup"
					kind="volume"
					name="mixingCupMl"
					bind:value={$form.mixingCupMl}
					error={$errors.mixingCupMl} />
				<ChoiceField
					label="Parts are measured"
					name="measuring"
					bind:value={$form.measuring}
					options={Object.entries(MEASURING).map(([value, m]) => ({ value: value as Measuring, label: m.words }))}
					hint={MEASURING[$form.measuring ?? 'two-cups'].risk} />
				<QuantityField
					label="Vessel for degassing"
					kind="volume"
					name="vacuumVesselMl"
					bind:value={$form.vacuumVesselMl}
					error={$errors.vacuumVesselMl} />
				<QuantityField
					label="Vacuum chamber"
					kind="volume"
					name="vacuumChamberL"
					bind:value={
						() => ($form.vacuumChamberL === undefined ? undefined : $form.vacuumChamberL * 1000),
						(v) => ($form.vacuumChamberL = (v === undefined ? undefined : v / 1000) as number)
					}
					error={$errors.vacuumChamberL} />
				<QuantityField
					label="Its pump moves"
					kind="flow"
					name="vacuumPumpLPerMin"
					bind:value={$form.vacuumPumpLPerMin}
					error={$errors.vacuumPumpLPerMin} />
				<QuantityField
					label="It reaches, absolute"
					kind="pressure"
					name="vacuumKpa"
					bind:value={$form.vacuumKpa}
					error={$errors.vacuumKpa}
					hint="what is left, not what is gone" />
			</div>
			<div class="mt-3"><Caution topics={['pressure', 'vacuum']} /></div>
		</Island>
	</div>
	<div class="below">
		<Island>
			<h2 class="mt-5 mb-2">Papers and prices</h2>
			<div class="grid gap-x-5 gap-y-1 sm:grid-cols-3">
				<QuantityField
					label="An hour costs"
					kind="number"
					name="hourly"
					bind:value={$form.hourly}
					error={$errors.hourly}
					hint="0: hands are not counted" />
				<QuantityField
					label="A cycle of the pot costs"
					kind="number"
					name="potCycleCost"
					bind:value={$form.potCycleCost}
					error={$errors.potCycleCost}
					hint="air, gasket and hoses; 0: not counted" />
				<TextField label="Money" name="currency" bind:value={$form.currency} error={$errors.currency} />
				<TextField
					label="Address of the workshop"
					name="address"
					bind:value={$form.address}
					error={$errors.address}
					hint={$form.address
						? 'printed codes and calendar links lead there'
						: `empty: printed codes lead to ${data.address.base}${data.address.loopback ? ', which only this machine knows' : ''}`} />
			</div>
		</Island>
	</div>
	<div class="mt-4 flex items-center gap-4">
		<Save label="Keep the settings" submitting={$submitting} />
		<span role="status" class="font-semibold text-(--work)">{$message ?? ''}</span>
	</div>
</form>
