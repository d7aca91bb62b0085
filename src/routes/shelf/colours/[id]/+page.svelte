<script lang="ts">
	import { zod4Client } from 'sveltekit-superforms/adapters';
	import { COLOUR_DROPS_PER_ML, COLOUR_KINDS, colourSheet, isPowder, usualOf } from '$lib/core/shelf';
	import Save from '$lib/ui/Save.svelte';
	import ChoiceField from '$lib/ui/ChoiceField.svelte';
	import { benchForm } from '$lib/ui/form';
	import FormErrors from '$lib/ui/FormErrors.svelte';
	import PageHead from '$lib/ui/PageHead.svelte';
	import QuantityField from '$lib/ui/QuantityField.svelte';
	import Segments from '$lib/ui/Segments.svelte';
	import TextField from '$lib/ui/TextField.svelte';
	import TypicalNote from '$lib/ui/shelf/TypicalNote.svelte';

	let { data } = $props();
	const { form, errors, enhance, submitting, message } = benchForm(() => data.form, {
		validators: zod4Client(colourSheet)
	});
	const powder = $derived(isPowder($form.kind));
	const usual = $derived(usualOf('colour', $form));
</script>

<PageHead
	title={data.kept?.record.name ?? 'New colour'}
	about="Dye, paste or powder. Powders take up room in the shot by their solid density." />
<form method="POST" action={data.kept ? `?version=${data.kept.version}` : undefined} use:enhance class="slab max-w-[56rem] p-5">
	<FormErrors errors={$errors._errors} />
	<TypicalNote bind:typical={$form.typical} />
	<div class="grid gap-x-5 gap-y-1 sm:grid-cols-2">
		<TextField label="Name" name="name" bind:value={$form.name} error={$errors.name} />
		<ChoiceField
			label="It is a"
			name="kind"
			bind:value={$form.kind}
			options={COLOUR_KINDS.map((value) => ({ value, label: value }))}
			error={$errors.kind} />
		<QuantityField
			label={powder ? 'Solid density' : 'Density'}
			kind="density"
			name="densityGPerMl"
			bind:value={$form.densityGPerMl}
			error={$errors.densityGPerMl}
			usual={usual.densityGPerMl}
			hint={powder ? 'of the grains' : ''} />
		{#if powder}
			<QuantityField
				label="Loose density"
				kind="density"
				name="bulkDensityGPerMl"
				bind:value={$form.bulkDensityGPerMl}
				error={$errors.bulkDensityGPerMl}
				hint="weigh a level cup of it" />
		{:else}
			<QuantityField
				label="Drops in a millilitre"
				kind="number"
				name="dropsPerMl"
				bind:value={$form.dropsPerMl}
				error={$errors.dropsPerMl}
				inForce={COLOUR_DROPS_PER_ML}
				hint="count with its own dropper; {COLOUR_DROPS_PER_ML} is a default" />
		{/if}
		<QuantityField
			label="At most, of the mix"
			kind="percent"
			name="mostPercent"
			bind:value={$form.mostPercent}
			error={$errors.mostPercent}
			hint="from its sheet" />
		<QuantityField
			label="A full load lengthens the cure by"
			kind="percent"
			name="lengtheningPercent"
			bind:value={$form.lengtheningPercent}
			error={$errors.lengtheningPercent}
			hint="heavy pigment about a third" />
	</div>
	<div class="mb-4">
		<Segments
			label="It goes into"
			name="side"
			bind:value={$form.side}
			options={[
				{ value: 'as the resin says', label: 'The side that the resin says' },
				{ value: 'A', label: 'A' },
				{ value: 'B', label: 'B' }
			]} />
	</div>
	<TextField label="Note" name="note" rows={2} bind:value={$form.note} error={$errors.note} />
	{#if powder}
		<p class="mb-4 rounded-lg border-[1.5px] border-(--harm) px-3 py-2">Powders: dust mask or respirator as the safety sheet says.</p>
	{/if}
	<div class="flex items-center gap-4">
		<Save label="Keep this colour" submitting={$submitting} />
		<span role="status" class="font-semibold text-(--work)">{$message ?? ''}</span>
	</div>
</form>
