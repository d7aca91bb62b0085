<script lang="ts">
	import { Button } from 'flowbite-svelte';
	import { SOLID_SHAPES, type SolidShape } from '$lib/core/volume';
	import type { FormPiece } from '$lib/core/master';
	import ChoiceField from './ChoiceField.svelte';
	import QuantityField from './QuantityField.svelte';

	/** Plain solids, added and taken off, that make up a piece. */
	interface Props {
		pieces: FormPiece[];
		/** Sentence at a field of a piece, if something is wrong with it. */
		problem: (index: number, field: string) => string[] | undefined;
	}
	let { pieces = $bindable(), problem }: Props = $props();
	/** Pieces live in the form's own store: each change makes a new list, so that the form sees it. */
	const change = (i: number, part: Partial<FormPiece>) => (pieces = pieces.map((p, k) => (k === i ? { ...p, ...part } : p)));
	type Size = 'lengthMm' | 'widthMm' | 'heightMm' | 'diameterMm' | 'topDiameterMm' | 'ringDiameterMm';
	const LABELS: Record<Size, string> = {
		lengthMm: 'Length',
		widthMm: 'Width',
		heightMm: 'Height',
		diameterMm: 'Diameter',
		topDiameterMm: 'Diameter on top',
		ringDiameterMm: 'Ring is thick'
	};
	const SIZES: Record<SolidShape, Size[]> = {
		box: ['lengthMm', 'widthMm', 'heightMm'],
		wedge: ['lengthMm', 'widthMm', 'heightMm'],
		pyramid: ['lengthMm', 'widthMm', 'heightMm'],
		tube: ['diameterMm', 'heightMm'],
		cone: ['diameterMm', 'heightMm'],
		frustum: ['diameterMm', 'topDiameterMm', 'heightMm'],
		ball: ['diameterMm'],
		'half ball': ['diameterMm'],
		torus: ['diameterMm', 'ringDiameterMm']
	};
</script>

{#each pieces as p, i (i)}
	<div class="grid grid-cols-2 items-start gap-x-3 border-t border-(--line) pt-2 sm:grid-cols-[6.5rem_7.5rem_1fr_1fr_1fr_auto]">
		<ChoiceField
			label="Solid {i + 1}"
			name="sign-{i}"
			bind:value={() => p.sign, (sign) => sign && change(i, { sign })}
			options={[
				{ value: 'add', label: 'add' },
				{ value: 'subtract', label: 'take off' }
			]} />
		<ChoiceField
			label="Shape"
			name="shape-{i}"
			bind:value={() => p.shape, (shape) => shape && change(i, { shape })}
			options={SOLID_SHAPES.map((value) => ({ value, label: value }))} />
		{#each SIZES[p.shape] as size (size)}
			<QuantityField
				label={LABELS[size]}
				kind="length"
				name="{size}-{i}"
				bind:value={() => p[size], (v) => change(i, { [size]: v })}
				error={problem(i, size)} />
		{/each}
		<Button
			color="alternative"
			size="sm"
			class="mt-6 min-h-[2.75rem] sm:col-start-6"
			aria-label="Remove solid {i + 1}"
			onclick={() => (pieces = pieces.filter((_, k) => k !== i))}>Remove</Button>
	</div>
{/each}
<Button
	color="alternative"
	onclick={() =>
		(pieces = [
			...pieces,
			{
				sign: 'add',
				shape: 'box',
				lengthMm: undefined,
				widthMm: undefined,
				heightMm: undefined,
				diameterMm: undefined,
				topDiameterMm: undefined,
				ringDiameterMm: undefined
			}
		])}>Add a solid</Button>
