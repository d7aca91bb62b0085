<script lang="ts">
	import type { SuperValidated } from 'sveltekit-superforms';
	import { INSPECTED_PARTS, INSPECTED, type InspectedPart } from '$lib/core/pressurePot';
	import Save from '../Save.svelte';
	import ChoiceField from '../ChoiceField.svelte';
	import { benchForm } from '../form';
	import FormErrors from '../FormErrors.svelte';
	import { newId } from '../newId';
	import Segments from '../Segments.svelte';
	import TextField from '../TextField.svelte';

	/** A look at one part of a vessel; two presses are one look. */
	type Inspection = { part: InspectedPart; ok: 'yes' | 'no'; by: string; note: string };
	let { form: given }: { form: SuperValidated<Inspection> } = $props();
	let entry = $state(newId());
	const { form, errors, enhance, submitting, message } = benchForm<Inspection>(() => given, {
		id: 'look',
		onUpdated: ({ form }) => {
			if (form.valid) entry = newId();
		}
	});
</script>

<form method="POST" action="?/inspect&entry={entry}" use:enhance class="mt-4 border-t border-(--line) pt-3">
	<h3 class="mb-1">Looked at it</h3>
	<FormErrors errors={$errors._errors} />
	<ChoiceField
		label="What"
		name="part"
		bind:value={$form.part}
		placeholder="Choose a part"
		options={INSPECTED_PARTS.map((value) => ({ value, label: INSPECTED[value] }))}
		error={$errors.part} />
	<Segments
		label="It is"
		name="ok"
		bind:value={$form.ok}
		options={[
			{ value: 'yes', label: 'Sound' },
			{ value: 'no', label: 'Not sound' }
		]} />
	<p class="min-h-[1.2rem] text-[0.85rem] font-semibold text-(--harm)" aria-live="polite">{$errors.ok?.[0] ?? ''}</p>
	<TextField label="Who" name="lookBy" bind:value={$form.by} error={$errors.by} />
	<TextField label="What was seen" name="lookNote" bind:value={$form.note} error={$errors.note} />
	<Save label="Keep this look" submitting={$submitting} size="md" />
	<span role="status" class="ml-2 font-semibold text-(--work)">{$message ?? ''}</span>
</form>
