<script lang="ts">
	import type { Writable } from 'svelte/store';
	import type { MouldInputs, MouldPlan } from '$lib/core/mould';
	import type { ThermoplasticRecord } from '$lib/core/shelf';
	import ChoiceField from '../ChoiceField.svelte';
	import QuantityField from '../QuantityField.svelte';
	import Segments from '../Segments.svelte';

	/** Sizes that one kind of mould asks for; each kind shows its own. */
	interface Props {
		form: Writable<MouldInputs>;
		/** The sentence at a field, if there is one. */
		said: (field: keyof MouldInputs) => string[] | undefined;
		thermoplastics: readonly { id: string; record: ThermoplasticRecord }[];
		plan: MouldPlan | undefined;
		areaFromFile: boolean;
	}
	let { form, said, thermoplastics, plan, areaFromFile }: Props = $props();
	const kind = $derived($form.kind);
	const block = $derived(kind === 'open-face' || kind === 'one-piece' || kind === 'two-part');
	const grid = 'grid grid-cols-2 gap-x-5 gap-y-1 sm:grid-cols-4';
</script>

{#if kind === 'press'}
	<div class="grid gap-x-5 gap-y-1 sm:grid-cols-2">
		<ChoiceField
			label="Pressed from which thermoplastic"
			name="thermoplasticId"
			bind:value={$form.thermoplasticId}
			placeholder="Choose a thermoplastic"
			options={thermoplastics.map((t) => ({ value: t.id, label: t.record.name }))}
			error={said('thermoplasticId')} />
	</div>
{/if}
{#if block}
	<div class="mb-2 flex flex-wrap gap-x-6 gap-y-2">
		<Segments
			label="Boxed in"
			name="shape"
			bind:value={$form.shape}
			options={[
				{ value: 'box', label: 'A box' },
				{ value: 'tube', label: 'A tube' },
				{ value: 'bricks', label: 'Bricks' }
			]} />
		{#if kind === 'one-piece'}
			<Segments
				label="Cut on its"
				name="seamSide"
				bind:value={$form.seamSide}
				options={[
					{ value: 'back', label: 'back' },
					{ value: 'left', label: 'left' },
					{ value: 'right', label: 'right' },
					{ value: 'front', label: 'front' }
				]} />
		{/if}
		<Segments
			label="Bubbles out by"
			name="degas"
			bind:value={$form.degas}
			options={[
				{ value: 'none', label: 'a thin stream' },
				{ value: 'vacuum', label: 'vacuum' },
				{ value: 'pressure', label: 'curing in the pot' }
			]} />
		<Segments
			label="Casts go in the pot"
			name="inPot"
			bind:value={$form.inPot}
			options={[
				{ value: 'no', label: 'no' },
				{ value: 'yes', label: 'yes' }
			]} />
	</div>
{/if}
{#if kind === 'jacket'}
	<div class="mb-2">
		<Segments
			label="Shell of"
			name="shellKind"
			bind:value={$form.shellKind}
			options={[
				{ value: 'resin', label: 'thickened resin' },
				{ value: 'plaster', label: 'plaster bandage' }
			]} />
	</div>
{:else if kind === 'rigid'}
	<div class="mb-2">
		<Segments
			label="It is"
			name="rigidSource"
			bind:value={$form.rigidSource}
			options={[
				{ value: 'bought', label: 'bought' },
				{ value: 'printed', label: 'printed' },
				{ value: 'cast resin', label: 'cast in resin' }
			]} />
	</div>
{/if}
<div class={grid}>
	{#if block || kind === 'press'}
		<QuantityField label="Clearance" kind="length" name="clearanceMm" bind:value={$form.clearanceMm} error={said('clearanceMm')} />
		<QuantityField label="Cover" kind="length" name="coverMm" bind:value={$form.coverMm} error={said('coverMm')} />
		{#if kind === 'two-part' || kind === 'press'}
			<QuantityField
				label="Halves part at"
				kind="length"
				name="partingMm"
				bind:value={$form.partingMm}
				error={said('partingMm')}
				inForce={plan?.partingMm}
				hint={$form.partingMm === undefined ? 'the middle of its height' : 'above its lowest point'} />
		{/if}
		{#if block}
			<QuantityField label="Cavities" kind="number" name="cavities" bind:value={$form.cavities} error={said('cavities')} />
			{#if $form.cavities > 1}<QuantityField
					label="Between them"
					kind="length"
					name="gapMm"
					bind:value={$form.gapMm}
					error={said('gapMm')} />{/if}
		{/if}
		{#if block && $form.shape === 'bricks'}
			<QuantityField label="Brick, wide" kind="length" name="brickPitchMm" bind:value={$form.brickPitchMm} error={said('brickPitchMm')} />
			<QuantityField
				label="Brick, high"
				kind="length"
				name="brickHeightMm"
				bind:value={$form.brickHeightMm}
				error={said('brickHeightMm')} />
		{:else}
			<QuantityField label="Boards, thick" kind="length" name="boardMm" bind:value={$form.boardMm} error={said('boardMm')} />
		{/if}
	{:else if kind === 'jacket'}
		<QuantityField
			label="Area"
			kind="area"
			name="areaMm2"
			bind:value={$form.areaMm2}
			error={said('areaMm2')}
			hint={$form.areaMm2 === undefined ? (areaFromFile ? 'from its 3D file' : 'from its outer sizes') : 'as typed'} />
		<QuantityField label="Skin" kind="length" name="skinMm" bind:value={$form.skinMm} error={said('skinMm')} />
		<QuantityField label="Coats" kind="number" name="coats" bind:value={$form.coats} error={said('coats')} hint="the first one thin" />
		<QuantityField
			label="Thickener, of B"
			kind="percent"
			name="thickenerPercentOfB"
			bind:value={$form.thickenerPercentOfB}
			error={said('thickenerPercentOfB')}
			hint="by weight, into B first" />
		<QuantityField label="Shell" kind="length" name="shellMm" bind:value={$form.shellMm} error={said('shellMm')} />
		<QuantityField label="In parts" kind="number" name="shellParts" bind:value={$form.shellParts} error={said('shellParts')} />
		<QuantityField label="Flange" kind="length" name="flangeMm" bind:value={$form.flangeMm} error={said('flangeMm')} />
		<QuantityField label="A bolt every" kind="length" name="boltEveryMm" bind:value={$form.boltEveryMm} error={said('boltEveryMm')} />
	{:else if kind === 'rigid'}
		<QuantityField label="In parts" kind="number" name="rigidParts" bind:value={$form.rigidParts} error={said('rigidParts')} />
		<QuantityField label="Wall" kind="length" name="rigidWallMm" bind:value={$form.rigidWallMm} error={said('rigidWallMm')} />
		{#if $form.rigidSource === 'printed'}<QuantityField
				label="Infill"
				kind="percent"
				name="infillPercent"
				bind:value={$form.infillPercent}
				error={said('infillPercent')} />{/if}
		<QuantityField
			label="Softens at"
			kind="temperature"
			name="softensC"
			bind:value={$form.softensC}
			error={said('softensC')}
			hint={$form.softensC === undefined ? 'empty: not known, and no warning of warping' : 'from its sheet'} />
	{/if}
	{#if block || kind === 'jacket'}
		<QuantityField label="Cup loss" kind="percent" name="lossPercent" bind:value={$form.lossPercent} error={said('lossPercent')} />
	{/if}
	<QuantityField label="Room" kind="temperature" name="roomTempC" bind:value={$form.roomTempC} error={said('roomTempC')} />
</div>
{#if plan?.grid && $form.cavities > 1}<p class="soft">
		{plan.grid.columns} side by side in {plan.grid.rows === 1 ? 'one row' : `${plan.grid.rows} rows`}.
	</p>{/if}
