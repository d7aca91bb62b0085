<script lang="ts">
	import { zod4Client } from 'sveltekit-superforms/adapters';
	import { CASTABLE_SORTS, CASTABLE_USUAL, castableRecord } from '$lib/core/shelf';
	import { benchForm } from '$lib/ui/form';
	import FormErrors from '$lib/ui/FormErrors.svelte';
	import PageHead from '$lib/ui/PageHead.svelte';
	import QuantityField from '$lib/ui/QuantityField.svelte';
	import Save from '$lib/ui/Save.svelte';
	import Segments from '$lib/ui/Segments.svelte';
	import TextField from '$lib/ui/TextField.svelte';

	let { data } = $props();
	const { form, errors, enhance, submitting, message } = benchForm(() => data.form, {
		validators: zod4Client(castableRecord)
	});
	const melt = $derived($form.sort === 'plaster' ? undefined : CASTABLE_USUAL[$form.sort]);
</script>

<PageHead
	title={data.kept?.record.name ?? 'New plaster, wax or soap'}
	about="What is cast besides resin. How it sets is foretold by nobody here: its times are those of its bag, or your own." />
<form method="POST" action={data.kept ? `?version=${data.kept.version}` : undefined} use:enhance class="slab max-w-[56rem] p-5">
	<FormErrors errors={$errors._errors} />
	<div class="mb-4">
		<Segments
			label="It is"
			name="sort"
			bind:value={$form.sort}
			options={CASTABLE_SORTS.map((value) => ({ value, label: value[0]!.toUpperCase() + value.slice(1) }))} />
	</div>
	<div class="grid gap-x-5 gap-y-1 sm:grid-cols-2">
		<TextField label="Name" name="name" bind:value={$form.name} error={$errors.name} />
		{#if melt}
			<QuantityField
				label="Poured at"
				kind="temperature"
				name="pourTempC"
				bind:value={$form.pourTempC}
				error={$errors.pourTempC}
				hint="as cool as it still runs" />
			<QuantityField
				label="Density when set"
				kind="density"
				name="densityGPerMl"
				bind:value={$form.densityGPerMl}
				error={$errors.densityGPerMl}
				usual={melt.densityGPerMl}
				hint={$form.densityGPerMl === undefined ? 'usual for its kind, from memory' : ''} />
			<QuantityField
				label="Kept for topping up, %"
				kind="number"
				name="topUpPercent"
				bind:value={$form.topUpPercent}
				error={$errors.topUpPercent}
				usual={melt.topUpPercent}
				hint="it sinks as it sets" />
		{:else}
			<QuantityField
				label="Water to one of powder"
				kind="number"
				name="waterPerPowder"
				bind:value={$form.waterPerPowder}
				error={$errors.waterPerPowder}
				hint="by weight, as its bag says" />
		{/if}
		<QuantityField
			label="Pours for"
			kind="time"
			name="workS"
			bind:value={$form.workS}
			error={$errors.workS}
			hint={melt ? 'off the heat, as you know it' : 'from the first powder in the water'} />
		<QuantityField
			label="Comes out after"
			kind="time"
			name="demouldS"
			bind:value={$form.demouldS}
			error={$errors.demouldS}
			hint={melt ? 'cold through' : 'warm, and cool again'} />
		<QuantityField
			label="Price of a kilogram"
			kind="number"
			name="pricePerKg"
			bind:value={$form.pricePerKg}
			error={$errors.pricePerKg}
			hint="may stay empty" />
	</div>
	<TextField label="Note" name="note" rows={2} bind:value={$form.note} error={$errors.note} />
	<div class="mt-3 flex items-center gap-4">
		<Save label="Keep it" submitting={$submitting} />
		<span role="status" class="font-semibold text-(--work)">{$message ?? ''}</span>
	</div>
</form>
