<script lang="ts">
	import { Button } from 'flowbite-svelte';
	import type { SuperValidated } from 'sveltekit-superforms';
	import { zod4Client } from 'sveltekit-superforms/adapters';
	import { MASTER_MATERIALS, masterForm, readVolume, volumeSoFar, type MasterForm } from '$lib/core/master';
	import ChoiceField from './ChoiceField.svelte';
	import { benchForm } from './form';
	import FormErrors from './FormErrors.svelte';
	import QuantityField from './QuantityField.svelte';
	import Segments from './Segments.svelte';
	import TextField from './TextField.svelte';
	import { useUnits } from './units.svelte';
	import Working from './Working.svelte';

	interface Props {
		data: SuperValidated<MasterForm>;
		photoId: string | null;
		submit: string;
	}
	let { data, photoId, submit }: Props = $props();
	const units = useUnits();
	const { form, errors, enhance, submitting } = benchForm(() => data, { validators: zod4Client(masterForm) });
	const reading = $derived(volumeSoFar($form));
	const volume = $derived(reading && readVolume(reading));
	let photoError = $state('');

	function checkPhoto(event: Event & { currentTarget: HTMLInputElement }) {
		const file = event.currentTarget.files?.[0];
		photoError =
			file && file.size > 8 * 1024 * 1024 ? `This photo has ${(file.size / 1048576).toFixed(1)} MB: at most 8 MB are taken.` : '';
	}
</script>

<form method="POST" enctype="multipart/form-data" use:enhance class="grid gap-5 lg:grid-cols-[1fr_21rem]">
	<div class="slab p-5">
		<FormErrors errors={$errors._errors} />
		<div class="grid gap-x-5 gap-y-1 sm:grid-cols-2">
			<TextField label="Name" name="name" bind:value={$form.name} error={$errors.name} />
			<ChoiceField
				label="Made of"
				name="material"
				bind:value={$form.material}
				options={MASTER_MATERIALS.map((value) => ({ value, label: value }))}
				error={$errors.material}
				hint="decides sealing and what rubber cures on it" />
		</div>
		<h2 class="mt-4 mb-2">Outer sizes, as it stands on the base board</h2>
		<Segments
			label="Footprint"
			name="footprint"
			bind:value={$form.footprint}
			options={[
				{ value: 'rectangular', label: 'Rectangular' },
				{ value: 'round', label: 'Round' }
			]} />
		<div class="mt-3 grid gap-x-5 gap-y-1 sm:grid-cols-3">
			<QuantityField
				label={$form.footprint === 'round' ? 'Diameter' : 'Length'}
				kind="length"
				name="lengthMm"
				bind:value={$form.lengthMm}
				error={$errors.lengthMm} />
			{#if $form.footprint !== 'round'}
				<QuantityField label="Width" kind="length" name="widthMm" bind:value={$form.widthMm} error={$errors.widthMm} />
			{/if}
			<QuantityField label="Height" kind="length" name="heightMm" bind:value={$form.heightMm} error={$errors.heightMm} />
		</div>
		<h2 class="mt-4 mb-2">Volume</h2>
		<Segments
			label="How you know it"
			name="method"
			bind:value={$form.method}
			options={[
				{ value: 'overflow', label: 'Overflow, weighed' },
				{ value: 'solid', label: 'Plain solid' },
				{ value: 'typed', label: 'Known already' }
			]} />
		<div class="mt-3 grid gap-x-5 gap-y-1 sm:grid-cols-3">
			{#if $form.method === 'overflow'}
				<QuantityField
					label="Spilled water"
					kind="mass"
					name="overflowMassG"
					bind:value={$form.overflowMassG}
					error={$errors.overflowMassG}
					hint="on the scale" />
				<QuantityField
					label="Water temperature"
					kind="temperature"
					name="waterTempC"
					bind:value={$form.waterTempC}
					error={$errors.waterTempC} />
				<p class="soft text-[0.92rem] sm:pt-7">
					Fill a vessel to the brim, plunge the part, weigh what spilled. Dry the part well before rubber goes on.
				</p>
			{:else if $form.method === 'solid'}
				<div class="sm:col-span-3">
					<Segments
						label="Shape"
						name="shape"
						bind:value={$form.shape}
						options={[
							{ value: 'box', label: 'Box' },
							{ value: 'tube', label: 'Tube' },
							{ value: 'ball', label: 'Ball' },
							{ value: 'cone', label: 'Cone' }
						]} />
				</div>
				{#if $form.shape === 'box'}
					<QuantityField
						label="Length of the box"
						kind="length"
						name="solidLengthMm"
						bind:value={$form.solidLengthMm}
						error={$errors.solidLengthMm} />
					<QuantityField
						label="Width of the box"
						kind="length"
						name="solidWidthMm"
						bind:value={$form.solidWidthMm}
						error={$errors.solidWidthMm} />
				{:else}
					<QuantityField
						label="Diameter of the {$form.shape}"
						kind="length"
						name="solidDiameterMm"
						bind:value={$form.solidDiameterMm}
						error={$errors.solidDiameterMm} />
				{/if}
				{#if $form.shape !== 'ball'}
					<QuantityField
						label="Height of the {$form.shape}"
						kind="length"
						name="solidHeightMm"
						bind:value={$form.solidHeightMm}
						error={$errors.solidHeightMm} />
				{/if}
			{:else}
				<QuantityField label="Volume of the master" kind="volume" name="volumeMl" bind:value={$form.volumeMl} error={$errors.volumeMl} />
			{/if}
		</div>
		<div class="mt-3 grid gap-x-5 sm:grid-cols-2">
			<TextField label="Note" name="note" rows={3} bind:value={$form.note} error={$errors.note} />
			<div>
				<label class="label" for="master-photo">Photo, if you like</label>
				<input
					id="master-photo"
					class="mt-1 block w-full rounded-lg border-[1.5px] border-(--line-strong) bg-(--paper) p-2 text-[0.95rem]"
					type="file"
					name="photo"
					accept="image/jpeg,image/png,image/webp"
					onchange={checkPhoto} />
				<p class="mt-0.5 min-h-[1.35rem] text-[0.87rem] font-semibold text-(--harm)" aria-live="polite">
					{photoError}
				</p>
			</div>
		</div>
		<Button type="submit" size="lg" disabled={$submitting || !!photoError}>{$submitting ? 'Saving' : submit}</Button>
	</div>
	<aside class="slab h-fit p-5" aria-live="polite">
		<p class="label">Volume of one copy</p>
		<p class="answer mt-2 text-[3.2rem] break-words">
			{volume ? units.show(volume.volumeMl, 'volume') : '–'}
		</p>
		{#if volume}
			<p class="soft mt-1">{units.other(volume.volumeMl, 'volume')}</p>
			<div class="mt-3"><Working lines={[volume.working]} open /></div>
		{:else}
			<p class="soft mt-2">It appears as soon as the fields beside it are filled.</p>
		{/if}
		{#if photoId}<img class="mt-4 w-full rounded-lg" src="/photos/{photoId}" alt="The master" />{/if}
	</aside>
</form>
