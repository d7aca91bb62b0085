<script lang="ts">
	import { zod4Client } from 'sveltekit-superforms/adapters';
	import { rubberSheet, usualOf } from '$lib/core/shelf';
	import Save from '$lib/ui/Save.svelte';
	import Caution from '$lib/ui/Caution.svelte';
	import { benchForm } from '$lib/ui/form';
	import FormErrors from '$lib/ui/FormErrors.svelte';
	import Island from '$lib/ui/island/Island.svelte';
	import PageHead from '$lib/ui/PageHead.svelte';
	import QuantityField from '$lib/ui/QuantityField.svelte';
	import Segments from '$lib/ui/Segments.svelte';
	import TextField from '$lib/ui/TextField.svelte';
	import TypicalNote from '$lib/ui/shelf/TypicalNote.svelte';

	let { data } = $props();
	const { form, errors, enhance, submitting, message } = benchForm(() => data.form, {
		validators: zod4Client(rubberSheet)
	});
	const usual = $derived(usualOf('rubber', $form));
</script>

<PageHead title={data.rubber?.record.name ?? 'New rubber'} about="As its data sheet describes it." />
<form method="POST" action={data.rubber ? `?version=${data.rubber.version}` : undefined} use:enhance class="slab p-5">
	<FormErrors errors={$errors._errors} />
	<TypicalNote bind:typical={$form.typical} />
	<Island>
		<TextField label="Name" name="name" bind:value={$form.name} error={$errors.name} />
		<div class="flex flex-wrap gap-6">
			<Segments
				label="Cures by"
				name="cureKind"
				bind:value={$form.cureKind}
				options={[
					{ value: 'addition', label: 'Platinum: heat hurries it' },
					{ value: 'condensation', label: 'Tin: heat does not' }
				]} />
			<Segments
				label="Ratio is by"
				name="ratioBy"
				bind:value={$form.ratioBy}
				options={[
					{ value: 'weight', label: 'Weight' },
					{ value: 'volume', label: 'Volume' }
				]} />
		</div>
		<div class="mt-3">
			<Segments
				label="Made for"
				name="use"
				bind:value={$form.use}
				options={[
					{ value: 'pour', label: 'Pouring' },
					{ value: 'brush-on', label: 'Brushing on' },
					{ value: 'high-heat', label: 'High heat' }
				]} />
		</div>
	</Island><Island>
		<div class="mt-3 grid gap-x-5 gap-y-1 sm:grid-cols-3">
			<QuantityField label="Parts of A" kind="number" name="ratioA" bind:value={$form.ratioA} error={$errors.ratioA} />
			<QuantityField label="Parts of B" kind="number" name="ratioB" bind:value={$form.ratioB} error={$errors.ratioB} />
			<QuantityField
				label="Density, mixed"
				kind="density"
				name="densityGPerMl"
				bind:value={$form.densityGPerMl}
				error={$errors.densityGPerMl}
				usual={usual.densityGPerMl}
				hint="or in³/lb" />
			<QuantityField label="Working time" kind="time" name="workingTimeS" bind:value={$form.workingTimeS} error={$errors.workingTimeS} />
			<QuantityField label="Demould" kind="time" name="cureTimeS" bind:value={$form.cureTimeS} error={$errors.cureTimeS} />
			<QuantityField label="both at" kind="temperature" name="refTempC" bind:value={$form.refTempC} error={$errors.refTempC} />
		</div>
	</Island><Island>
		<div class="mt-1 grid gap-x-5 gap-y-1 sm:grid-cols-3">
			<QuantityField
				label="Viscosity"
				kind="viscosity"
				name="viscosityMpaS"
				bind:value={$form.viscosityMpaS}
				error={$errors.viscosityMpaS}
				usual={usual.viscosityMpaS} />
			<QuantityField
				label="Shore A"
				kind="number"
				name="shoreA"
				bind:value={$form.shoreA}
				error={$errors.shoreA}
				hint="if the sheet says" />
			{#if $form.use === 'brush-on'}
				<QuantityField
					label="Next coat after"
					kind="time"
					name="recoatS"
					bind:value={$form.recoatS}
					error={$errors.recoatS}
					hint="as soon as the last has gelled" />
			{/if}
			<QuantityField
				label="Cured, it stands"
				kind="temperature"
				name="mostTempC"
				bind:value={$form.mostTempC}
				error={$errors.mostTempC}
				hint="from its sheet" />
			<QuantityField
				label="Price of a kilogram"
				kind="number"
				name="pricePerKg"
				bind:value={$form.pricePerKg}
				error={$errors.pricePerKg}
				hint="if you want costs" />
		</div>
	</Island><Island>
		{#if $form.use === 'brush-on'}<p class="soft mb-3">
				Thickener goes into B first, by weight; spread it straight after mixing, since what waits in bulk heats itself.
			</p>{:else if $form.use === 'high-heat'}<p class="mb-3 text-(--hot)">
				Hot metal casting is outside this tool: its own training and protection come first.
			</p>{/if}
		<TextField label="Note" name="note" rows={2} bind:value={$form.note} error={$errors.note} />
		<div class="mb-4"><Caution topics={['silicone']} /></div>
	</Island>
	<div class="flex items-center gap-4">
		<Save label="Keep this rubber" submitting={$submitting} />
		<span role="status" class="font-semibold text-(--work)">{$message ?? ''}</span>
	</div>
</form>
