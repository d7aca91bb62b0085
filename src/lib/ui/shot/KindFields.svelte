<script lang="ts">
	import type { Writable } from 'svelte/store';
	import { CRACK_LIMIT_C } from '$lib/core/cure';
	import { CAST_MODULES, DUST_G_PER_M2, FILL_KINDS, FILLS, RECOAT_SCHOOLS, STANDS, type ShotInputs } from '$lib/core/shot';
	import type { Skin } from '$lib/core/master/skin';
	import ChoiceField from '../ChoiceField.svelte';
	import QuantityField from '../QuantityField.svelte';
	import { useUnits } from '../units.svelte';
	import EmbedList from './EmbedList.svelte';

	/** What only this kind of cast asks: wall and layers, depth and what lies in it, the metal face, the coats. */
	interface Props {
		form: Writable<ShotInputs>;
		problemAt: (field: string) => string[] | undefined;
		problemIn: (list: string, index: number, field: string) => string[] | undefined;
		skin: { skinAreaMm2: number; skinFrom: Skin['skinFrom']; heightMm?: number | undefined } | undefined;
	}
	let { form, problemAt, problemIn, skin }: Props = $props();
	const units = useUnits();
	const SKIN_WORDS = { file: 'by its 3D file', solids: 'by its plain solids', sizes: 'by its outer sizes' };
	const rolled = $derived($form.kind === 'rotocast' || $form.kind === 'filled');
</script>

<h2 class="mt-2 mb-2">{CAST_MODULES[$form.kind].words.fields}</h2>
<div class="grid gap-x-5 gap-y-1 sm:grid-cols-3">
	{#if $form.kind === 'clear'}
		<QuantityField
			label="Depth in the mould"
			kind="length"
			name="depthMm"
			bind:value={$form.depthMm}
			error={problemAt('depthMm')}
			inForce={skin?.heightMm}
			hint={$form.depthMm === undefined && skin?.heightMm ? `${units.show(skin.heightMm, 'length')}, the master’s height` : ''} />
		<QuantityField
			label="Thickest layer"
			kind="length"
			name="mostLayerMm"
			bind:value={$form.mostLayerMm}
			error={problemAt('mostLayerMm')}
			hint={$form.mostLayerMm === undefined ? 'as thick as stays cool enough' : ''} />
		<QuantityField
			label="The middle may get"
			kind="temperature"
			name="crackLimitC"
			bind:value={$form.crackLimitC}
			error={problemAt('crackLimitC')}
			inForce={CRACK_LIMIT_C}
			hint={$form.crackLimitC === undefined ? `${units.show(CRACK_LIMIT_C, 'temperature')} is a default, not from its sheet` : ''} />
	{:else}
		{#if $form.kind === 'cold'}
			<QuantityField label="Loaded face" kind="length" name="faceMm" bind:value={$form.faceMm} error={problemAt('faceMm')} />
			<QuantityField
				label="Dust, g/m²"
				kind="number"
				name="dustGPerM2"
				bind:value={$form.dustGPerM2}
				error={problemAt('dustGPerM2')}
				hint={$form.dustGPerM2 === undefined ? `${DUST_G_PER_M2} is common practice` : ''} />
		{:else}
			<QuantityField label="Wall" kind="length" name="wallMm" bind:value={$form.wallMm} error={problemAt('wallMm')} />
		{/if}
		{#if rolled}
			<QuantityField
				label="Layers"
				kind="number"
				name="layers"
				bind:value={$form.layers}
				error={problemAt('layers')}
				hint={$form.layers === undefined ? 'as many as the wall needs' : ''} />
		{/if}
		{#if $form.kind === 'brushed'}
			<QuantityField label="One coat" kind="length" name="coatMm" bind:value={$form.coatMm} error={problemAt('coatMm')} />
			<ChoiceField
				label="Its faces are"
				name="stands"
				bind:value={$form.stands}
				options={Object.entries(STANDS).map(([value, s]) => ({ value: value as keyof typeof STANDS, label: `${s.words}: ${s.needs}` }))} />
		{/if}
		<QuantityField
			label="Skin of one copy"
			kind="area"
			name="areaMm2"
			bind:value={$form.areaMm2}
			error={problemAt('areaMm2')}
			hint={$form.areaMm2 !== undefined
				? ''
				: $form.castMassG && $form.castWallMm
					? 'by the earlier cast'
					: skin
						? `${units.show(skin.skinAreaMm2, 'area')} ${SKIN_WORDS[skin.skinFrom]}`
						: ''} />
		<QuantityField
			label="Earlier cast weighs"
			kind="mass"
			name="castMassG"
			bind:value={$form.castMassG}
			error={problemAt('castMassG')}
			hint="hollow, the same resin unfilled" />
		<QuantityField label="…and its wall" kind="length" name="castWallMm" bind:value={$form.castWallMm} error={problemAt('castWallMm')} />
	{/if}
	{#if rolled}
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
	{/if}
	<div class="sm:col-span-2">
		<ChoiceField
			label="Next layer goes on"
			name="school"
			bind:value={$form.school}
			options={Object.entries(RECOAT_SCHOOLS).map(([value, s]) => ({ value: value as keyof typeof RECOAT_SCHOOLS, label: s.words }))}
			hint={RECOAT_SCHOOLS[$form.school ?? 'gel'].risk} />
	</div>
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
			inForce={FILLS[$form.fillKind ?? 'plaster'].densityGPerMl}
			hint={$form.fillDensityGPerMl === undefined
				? `${FILLS[$form.fillKind ?? 'plaster'].densityGPerMl} g/ml is a default, not from its sheet`
				: ''} />
	{/if}
</div>
{#if $form.kind === 'clear'}
	<div class="mb-3"><EmbedList bind:embeds={$form.embeds} problem={(i, field) => problemIn('embeds', i, field)} /></div>
{/if}
