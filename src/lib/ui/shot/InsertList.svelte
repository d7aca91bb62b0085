<script lang="ts">
	import { Button } from 'flowbite-svelte';
	import type { ShotInputs } from '$lib/core/shot';
	import QuantityField from '../QuantityField.svelte';
	import TextField from '../TextField.svelte';

	/** What is set into each copy: its room is taken off the shot, its weight counts afloat. */
	interface Props {
		inserts: ShotInputs['inserts'];
		problem: (index: number, field: string) => string[] | undefined;
	}
	let { inserts = $bindable(), problem }: Props = $props();
	/** Each change makes a new list, so that the form sees it. */
	const change = (i: number, part: Partial<ShotInputs['inserts'][number]>) =>
		(inserts = inserts.map((x, k) => (k === i ? { ...x, ...part } : x)));
</script>

{#each inserts as insert, i (i)}
	<div class="grid grid-cols-2 items-start gap-x-4 border-t border-(--line) pt-2 sm:grid-cols-[1fr_8rem_8rem_auto]">
		<TextField
			label="Set in"
			name="insert-name-{i}"
			bind:value={() => insert.name, (name) => change(i, { name: name ?? '' })}
			error={problem(i, 'name')}
			placeholder="wire, 2 mm" />
		<QuantityField
			label="Weighs"
			kind="mass"
			name="insert-mass-{i}"
			bind:value={() => insert.massG, (v) => change(i, { massG: v as number })}
			error={problem(i, 'massG')} />
		<QuantityField
			label="Takes"
			kind="volume"
			name="insert-volume-{i}"
			bind:value={() => insert.volumeMl, (v) => change(i, { volumeMl: v as number })}
			error={problem(i, 'volumeMl')} />
		<Button
			color="alternative"
			size="sm"
			class="mt-[1.62rem] min-h-[2.75rem]"
			aria-label="Remove what is set in {i + 1}"
			onclick={() => (inserts = inserts.filter((_, k) => k !== i))}>Remove</Button>
	</div>
{/each}
<Button
	color="alternative"
	class="min-h-[2.6rem]"
	disabled={inserts.length >= 10}
	onclick={() => (inserts = [...inserts, { name: '', massG: 0, volumeMl: 0 }])}>Set something in</Button>
