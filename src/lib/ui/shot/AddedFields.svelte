<script lang="ts">
	import type { Writable } from 'svelte/store';
	import { flashOffS, type FillerRecord, type ReleaseRecord } from '$lib/core/shelf';
	import { CASTS, type ShotInputs } from '$lib/core/shot';
	import AddInPlace from '../shelf/AddInPlace.svelte';
	import ChoiceField from '../ChoiceField.svelte';
	import QuantityField from '../QuantityField.svelte';
	import { useUnits } from '../units.svelte';

	/** What goes onto the mould and into the resin: release, filler, colour. */
	interface Props {
		form: Writable<ShotInputs>;
		problemAt: (field: string) => string[] | undefined;
		releaseError: string[] | undefined;
		releases: readonly { id: string; record: ReleaseRecord }[];
		fillers: readonly { id: string; record: FillerRecord }[];
		recipes: readonly { value: string; label: string }[];
	}
	let { form, problemAt, releaseError, releases, fillers, recipes }: Props = $props();
	const units = useUnits();
	const release = $derived(releases.find((r) => r.id === $form.releaseId));
	const { words } = $derived(CASTS[$form.kind]);
	const filler = $derived(fillers.find((f) => f.id === $form.fillerId));
</script>

<div class="mt-3 grid items-start gap-x-5 gap-y-1 sm:grid-cols-2">
	<ChoiceField
		label="Mould is coated with"
		name="releaseId"
		bind:value={$form.releaseId}
		options={[{ value: '', label: 'Nothing' }, ...releases.map((r) => ({ value: r.id, label: r.record.name }))]}
		error={releaseError}
		hint={release
			? flashOffS(release.record) === 0
				? release.record.kind
				: `${release.record.kind}, flashes off in ${units.show(flashOffS(release.record), 'time')}`
			: 'stays paintable'}>
		{#snippet add()}<AddInPlace kind="release" {form} field="releaseId" />{/snippet}
	</ChoiceField>
	{#if words.filler}<ChoiceField
			label={words.filler}
			name="fillerId"
			bind:value={$form.fillerId}
			options={[{ value: '', label: 'None' }, ...fillers.map((f) => ({ value: f.id, label: f.record.name }))]}
			error={problemAt('fillerId')}>
			{#snippet add()}<AddInPlace kind="filler" {form} field="fillerId" />{/snippet}
		</ChoiceField>{/if}
	{#if filler && words.share}<QuantityField
			label={words.share}
			kind="percent"
			name="fillerPercent"
			bind:value={$form.fillerPercent}
			error={problemAt('fillerPercent')} />{/if}
</div>
{#if $form.cups.length === 0}
	<div class="grid gap-x-5 gap-y-1 sm:grid-cols-2">
		<ChoiceField
			label={words.colour}
			name="recipeId"
			bind:value={$form.recipeId}
			options={[{ value: '', label: 'Its own shade' }, ...recipes]}
			error={problemAt('recipeId')} />
	</div>
{/if}
