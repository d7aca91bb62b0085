<script lang="ts">
	import { Button } from 'flowbite-svelte';
	import { INSERT_MATERIALS, settleInsert, type Insert } from '$lib/core/shot';
	import ChoiceField from '../ChoiceField.svelte';
	import QuantityField from '../QuantityField.svelte';
	import TextField from '../TextField.svelte';
	import { useUnits } from '../units.svelte';

	/** What is set into each copy: its room is taken off the shot, its weight counts afloat. */
	interface Props {
		inserts: Insert[];
		problem: (index: number, field: string) => string[] | undefined;
	}
	let { inserts = $bindable(), problem }: Props = $props();
	const units = useUnits();
	/** Each change makes a new list, so that the form sees it; what follows from it is worked out at once. */
	const change = (i: number, part: Partial<Insert>) => (inserts = inserts.map((x, k) => (k === i ? settleInsert({ ...x, ...part }) : x)));
	const WAYS = [
		{ value: 'weight', label: 'its weight' },
		{ value: 'rod', label: 'wire, rod or disc by size' },
		{ value: 'ball', label: 'balls by size' },
		{ value: 'both', label: 'weight and volume' }
	] as const;
	/** What follows from what is typed, once it does. */
	const follows = ({ by, massG, volumeMl }: Insert) =>
		by === 'weight' && Number.isFinite(volumeMl)
			? `takes ${units.show(volumeMl, 'volume')}`
			: by !== 'weight' && by !== 'both' && by !== undefined && Number.isFinite(massG)
				? `${units.show(massG, 'mass')}, ${units.show(volumeMl, 'volume')}`
				: '';
</script>

{#each inserts as insert, i (i)}
	{@const by = insert.by ?? 'both'}
	<div class="grid grid-cols-2 items-start gap-x-4 border-t border-(--line) pt-2 sm:grid-cols-4">
		<TextField
			label="Set in"
			name="insert-name-{i}"
			bind:value={() => insert.name, (name) => change(i, { name: name ?? '' })}
			error={problem(i, 'name')}
			placeholder="wire, 2 mm" />
		<ChoiceField
			label="Known by"
			name="insert-by-{i}"
			bind:value={() => by, (way) => change(i, { by: way })}
			options={WAYS}
			error={problem(i, 'by')} />
		{#if by !== 'both'}
			<ChoiceField
				label="Made of"
				name="insert-material-{i}"
				bind:value={() => insert.material ?? 'steel', (material) => change(i, { material })}
				options={INSERT_MATERIALS.map((value) => ({ value, label: value }))}
				hint={insert.material === 'wood' ? 'wood differs: weigh it and dip it if it counts' : follows(insert)} />
		{/if}
		{#if by === 'weight' || by === 'both'}
			<QuantityField
				label="Weighs"
				kind="mass"
				name="insert-mass-{i}"
				bind:value={() => insert.massG, (v) => change(i, { massG: v as number })}
				error={problem(i, 'massG')} />
		{/if}
		{#if by === 'both'}
			<QuantityField
				label="Takes"
				kind="volume"
				name="insert-volume-{i}"
				bind:value={() => insert.volumeMl, (v) => change(i, { volumeMl: v as number })}
				error={problem(i, 'volumeMl')} />
		{:else if by !== 'weight'}
			<QuantityField
				label="Diameter"
				kind="length"
				name="insert-diameter-{i}"
				bind:value={() => insert.diameterMm, (v) => change(i, { diameterMm: v })}
				error={problem(i, 'diameterMm') ??
					(insert.diameterMm === undefined && problem(i, 'volumeMl') ? ['Type its diameter, such as 2 mm.'] : undefined)} />
		{/if}
		{#if by === 'rod'}
			<QuantityField
				label="Length"
				kind="length"
				name="insert-length-{i}"
				bind:value={() => insert.lengthMm, (v) => change(i, { lengthMm: v })}
				error={problem(i, 'lengthMm') ??
					(insert.lengthMm === undefined && problem(i, 'volumeMl') ? ['Type its length, such as 60 mm.'] : undefined)} />
		{/if}
		<Button
			color="alternative"
			size="sm"
			class="mt-6 min-h-[2.75rem] justify-self-start"
			aria-label="Remove what is set in {i + 1}"
			onclick={() => (inserts = inserts.filter((_, k) => k !== i))}>Remove</Button>
	</div>
{/each}
<Button
	color="alternative"
	class="min-h-[2.6rem]"
	disabled={inserts.length >= 10}
	onclick={() => (inserts = [...inserts, { name: '', by: 'weight', material: 'steel', massG: NaN, volumeMl: NaN }])}
	>Set something in</Button>
