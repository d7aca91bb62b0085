<script lang="ts">
	import { zod4Client } from 'sveltekit-superforms/adapters';
	import { fillerSheet, usualOf } from '$lib/core/shelf';
	import { digits } from '$lib/core/units';
	import Save from '$lib/ui/Save.svelte';
	import ChoiceField from '$lib/ui/ChoiceField.svelte';
	import { benchForm } from '$lib/ui/form';
	import FormErrors from '$lib/ui/FormErrors.svelte';
	import PageHead from '$lib/ui/PageHead.svelte';
	import QuantityField from '$lib/ui/QuantityField.svelte';
	import TextField from '$lib/ui/TextField.svelte';
	import TypicalNote from '$lib/ui/shelf/TypicalNote.svelte';

	let { data } = $props();
	const { form, errors, enhance, submitting, message } = benchForm(() => data.form, {
		validators: zod4Client(fillerSheet)
	});
	const usual = $derived(usualOf('filler', $form));
	const swell = $derived(($form.densityGPerMl ?? usual.densityGPerMl ?? NaN) / ($form.bulkDensityGPerMl ?? usual.bulkDensityGPerMl ?? NaN));
</script>

<PageHead
	title={data.filler?.record.name ?? 'New filler'}
	about="With both densities: loose as it is scooped, solid as it takes up room." />
<form method="POST" action={data.filler ? `?version=${data.filler.version}` : undefined} use:enhance class="slab p-5">
	<FormErrors errors={$errors._errors} />
	<TypicalNote bind:typical={$form.typical} />
	<div class="grid gap-x-5 gap-y-1 sm:grid-cols-2">
		<TextField label="Name" name="name" bind:value={$form.name} error={$errors.name} />
		<ChoiceField
			label="Family"
			name="family"
			bind:value={$form.family}
			options={fillerSheet.shape.family.options.map((value) => ({ value, label: value }))}
			error={$errors.family} />
		<QuantityField
			label="Solid density"
			kind="density"
			name="densityGPerMl"
			bind:value={$form.densityGPerMl}
			error={$errors.densityGPerMl}
			usual={usual.densityGPerMl}
			hint={$form.family === 'metal powder' ? 'aluminium 2.7, copper 8.9 g/ml' : 'of the grain itself'} />
		<QuantityField
			label="Loose density"
			kind="density"
			name="bulkDensityGPerMl"
			bind:value={$form.bulkDensityGPerMl}
			error={$errors.bulkDensityGPerMl}
			usual={usual.bulkDensityGPerMl}
			hint="weigh a level cup of it" />
		<QuantityField
			label="Grain size"
			kind="length"
			name="grainMm"
			bind:value={$form.grainMm}
			error={$errors.grainMm}
			hint="decides settling" />
		<p class="self-center">
			{Number.isFinite(swell) ? `A scoop holds ${digits(swell, 1)} times the room that its grains take in the resin.` : ''}
		</p>
		<QuantityField
			label="Creamy from, scoops to one of B"
			kind="number"
			name="creamyScoopsPerB"
			bind:value={$form.creamyScoopsPerB}
			error={$errors.creamyScoopsPerB}
			hint="for fibre and silica" />
		<QuantityField
			label="Paste from, scoops to one of B"
			kind="number"
			name="pasteScoopsPerB"
			bind:value={$form.pasteScoopsPerB}
			error={$errors.pasteScoopsPerB} />
		<QuantityField
			label="Yield stress of its paste"
			kind="number"
			name="yieldPa"
			bind:value={$form.yieldPa}
			error={$errors.yieldPa}
			hint="Pa, what stays up on a wall; empty: 60" />
		<QuantityField
			label="Price of a kilogram"
			kind="number"
			name="pricePerKg"
			bind:value={$form.pricePerKg}
			error={$errors.pricePerKg}
			hint="if you want costs" />
	</div>
	<TextField label="Note" name="note" rows={2} bind:value={$form.note} error={$errors.note} />
	<p class="mb-4 rounded-lg border-[1.5px] border-(--harm) px-3 py-2">
		Powders: dust mask or respirator as the safety sheet says; metal dust burns.
	</p>
	<div class="flex items-center gap-4">
		<Save label="Keep this filler" submitting={$submitting} />
		<span role="status" class="font-semibold text-(--work)">{$message ?? ''}</span>
	</div>
</form>
