<script lang="ts">
	import type { Writable } from 'svelte/store';
	import { FILL_KINDS, FILLS, RECOAT_SCHOOLS, type ShotInputs } from '$lib/core/shot';
	import ChoiceField from '../ChoiceField.svelte';
	import QuantityField from '../QuantityField.svelte';
	import { useUnits } from '../units.svelte';

	/** Wall, layers and rim of a rolled cast, and what its shell is filled with. */
	interface Props {
		form: Writable<ShotInputs>;
		problemAt: (field: string) => string[] | undefined;
		skin: { skinAreaMm2: number; skinFromFile: boolean } | undefined;
	}
	let { form, problemAt, skin }: Props = $props();
	const units = useUnits();
</script>

<h2 class="mt-2 mb-2">Wall and layers</h2>
<div class="grid gap-x-5 gap-y-1 sm:grid-cols-3">
	<QuantityField label="Wall" kind="length" name="wallMm" bind:value={$form.wallMm} error={problemAt('wallMm')} />
	<QuantityField
		label="Layers"
		kind="number"
		name="layers"
		bind:value={$form.layers}
		error={problemAt('layers')}
		hint={$form.layers === undefined ? 'as many as the wall needs' : ''} />
	<QuantityField
		label="Skin of one copy"
		kind="area"
		name="areaMm2"
		bind:value={$form.areaMm2}
		error={problemAt('areaMm2')}
		hint={$form.areaMm2 === undefined && skin
			? `${units.show(skin.skinAreaMm2, 'area')} ${skin.skinFromFile ? 'by its 3D file' : 'by its outer sizes'}`
			: ''} />
	<QuantityField
		label="Rim, long"
		kind="length"
		name="rimLengthMm"
		bind:value={$form.rimLengthMm}
		error={problemAt('rimLengthMm')}
		hint="round the opening; it is built to 6 mm" />
	<QuantityField
		label="One turn takes"
		kind="time"
		name="turnS"
		bind:value={$form.turnS}
		error={problemAt('turnS')}
		hint="slow and every way round" />
	<ChoiceField
		label="Next layer goes on"
		name="school"
		bind:value={$form.school}
		options={Object.entries(RECOAT_SCHOOLS).map(([value, s]) => ({ value: value as keyof typeof RECOAT_SCHOOLS, label: s.words }))}
		hint={RECOAT_SCHOOLS[$form.school ?? 'gel'].risk} />
	{#if $form.kind === 'filled'}
		<ChoiceField
			label="Filled with"
			name="fillKind"
			bind:value={$form.fillKind}
			options={FILL_KINDS.map((value) => ({ value, label: FILLS[value].words }))} />
		<QuantityField
			label="Its density in place"
			kind="density"
			name="fillDensityGPerMl"
			bind:value={$form.fillDensityGPerMl}
			error={problemAt('fillDensityGPerMl')}
			hint={$form.fillDensityGPerMl === undefined
				? `${FILLS[$form.fillKind ?? 'plaster'].densityGPerMl} g/ml is a default, not from its sheet`
				: ''} />
	{/if}
</div>
