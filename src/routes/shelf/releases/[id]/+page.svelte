<script lang="ts">
	import { zod4Client } from 'sveltekit-superforms/adapters';
	import { FLASH_OFF_S, PAINTABLE, RELEASE_KINDS, releaseRecord } from '$lib/core/shelf';
	import Save from '$lib/ui/Save.svelte';
	import ChoiceField from '$lib/ui/ChoiceField.svelte';
	import { benchForm } from '$lib/ui/form';
	import FormErrors from '$lib/ui/FormErrors.svelte';
	import PageHead from '$lib/ui/PageHead.svelte';
	import QuantityField from '$lib/ui/QuantityField.svelte';
	import Segments from '$lib/ui/Segments.svelte';
	import TextField from '$lib/ui/TextField.svelte';
	import TypicalNote from '$lib/ui/shelf/TypicalNote.svelte';
	import { useUnits } from '$lib/ui/units.svelte';

	let { data } = $props();
	const units = useUnits();
	const { form, errors, enhance, submitting, message } = benchForm(() => data.form, {
		validators: zod4Client(releaseRecord)
	});
</script>

<PageHead
	title={data.kept?.record.name ?? 'New release'}
	about="What keeps two things apart, how long it flashes off, and whether paint holds afterwards." />
<form method="POST" action={data.kept ? `?version=${data.kept.version}` : undefined} use:enhance class="slab max-w-[56rem] p-5">
	<FormErrors errors={$errors._errors} />
	<TypicalNote bind:typical={$form.typical} />
	<div class="grid gap-x-5 gap-y-1 sm:grid-cols-2">
		<TextField label="Name" name="name" bind:value={$form.name} error={$errors.name} />
		<ChoiceField
			label="It is a"
			name="kind"
			bind:value={$form.kind}
			options={RELEASE_KINDS.map((value) => ({ value, label: value }))}
			error={$errors.kind} />
		<QuantityField
			label="Flashes off in"
			kind="time"
			name="flashOffS"
			bind:value={$form.flashOffS}
			error={$errors.flashOffS}
			inForce={FLASH_OFF_S[$form.kind] ?? 300}
			hint={$form.flashOffS === undefined
				? `default ${units.show(FLASH_OFF_S[$form.kind] ?? 300, 'time')}, not from its sheet`
				: 'wet release leaves pinholes'} />
		<QuantityField
			label="Put on again after, pulls"
			kind="number"
			name="everyPulls"
			bind:value={$form.everyPulls}
			error={$errors.everyPulls}
			hint="empty: before every pull" />
	</div>
	<div class="mb-4">
		<Segments
			label="Can its casts be painted?"
			name="paintable"
			bind:value={$form.paintable}
			options={[
				{ value: 'as its kind', label: `As its kind (${PAINTABLE[$form.kind] ? 'yes' : 'no'})` },
				{ value: 'yes', label: 'Yes' },
				{ value: 'no', label: 'No' }
			]} />
	</div>
	<TextField label="Note" name="note" rows={2} bind:value={$form.note} error={$errors.note} />
	<p class="mb-4 rounded-lg border-[1.5px] border-(--harm) px-3 py-2">
		Sprays and solvents: ventilate, no flame until it has flashed off. Talc: dust mask. Its safety sheet comes first.
	</p>
	<div class="flex items-center gap-4">
		<Save label="Keep this release" submitting={$submitting} />
		<span role="status" class="font-semibold text-(--work)">{$message ?? ''}</span>
	</div>
</form>
