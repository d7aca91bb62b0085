<script lang="ts">
	import { zod4Client } from 'sveltekit-superforms/adapters';
	import { thermoplasticSheet, usualOf } from '$lib/core/shelf';
	import Save from '$lib/ui/Save.svelte';
	import { benchForm } from '$lib/ui/form';
	import FormErrors from '$lib/ui/FormErrors.svelte';
	import PageHead from '$lib/ui/PageHead.svelte';
	import QuantityField from '$lib/ui/QuantityField.svelte';
	import TextField from '$lib/ui/TextField.svelte';
	import TypicalNote from '$lib/ui/shelf/TypicalNote.svelte';

	let { data } = $props();
	const { form, errors, enhance, submitting, message } = benchForm(() => data.form, {
		validators: zod4Client(thermoplasticSheet)
	});
	const usual = $derived(usualOf('thermoplastic', $form));
</script>

<PageHead
	title={data.kept?.record.name ?? 'New thermoplastic'}
	about="A mould material that is softened in hot water, pressed on, and melted again." />
<form method="POST" action={data.kept ? `?version=${data.kept.version}` : undefined} use:enhance class="slab max-w-[56rem] p-5">
	<FormErrors errors={$errors._errors} />
	<TypicalNote bind:typical={$form.typical} />
	<div class="grid gap-x-5 gap-y-1 sm:grid-cols-2">
		<TextField label="Name" name="name" bind:value={$form.name} error={$errors.name} />
		<QuantityField
			label="Softens at"
			kind="temperature"
			name="softenTempC"
			bind:value={$form.softenTempC}
			error={$errors.softenTempC}
			usual={usual.softenTempC} />
		<QuantityField
			label="Density"
			kind="density"
			name="densityGPerMl"
			bind:value={$form.densityGPerMl}
			error={$errors.densityGPerMl}
			usual={usual.densityGPerMl} />
		<QuantityField
			label="Cools in the room for"
			kind="time"
			name="coolS"
			bind:value={$form.coolS}
			error={$errors.coolS}
			usual={usual.coolS}
			hint="chilling shrinks it" />
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
		Near-boiling water scalds: tongs and heat gloves, and knead it under water.
	</p>
	<div class="flex items-center gap-4">
		<Save label="Keep this thermoplastic" submitting={$submitting} />
		<span role="status" class="font-semibold text-(--work)">{$message ?? ''}</span>
	</div>
</form>
