<script lang="ts">
	import { Button } from 'flowbite-svelte';
	import type { ShotInputs } from '$lib/core/shot';
	import QuantityField from '../QuantityField.svelte';
	import TextField from '../TextField.svelte';

	/** What lies in a clear cast: its weight against its volume says whether it floats, its place where a layer ends. */
	interface Props {
		embeds: ShotInputs['embeds'];
		problem: (index: number, field: string) => string[] | undefined;
	}
	let { embeds = $bindable(), problem }: Props = $props();
	type Embed = ShotInputs['embeds'][number];
	const change = (i: number, part: Partial<Embed>) => (embeds = embeds.map((x, k) => (k === i ? { ...x, ...part } : x)));
	const FIELDS = [
		{ key: 'massG', label: 'Weighs', kind: 'mass' },
		{ key: 'volumeMl', label: 'Takes', kind: 'volume' },
		{ key: 'heightMm', label: 'Stands', kind: 'length' },
		{ key: 'atMm', label: 'Lies at', kind: 'length' }
	] as const;
</script>

{#each embeds as embed, i (i)}
	<div class="grid grid-cols-2 items-start gap-x-4 border-t border-(--line) pt-2 sm:grid-cols-4">
		<div class="col-span-2 flex items-start gap-x-4 sm:col-span-4">
			<div class="min-w-0 flex-1">
				<TextField
					label="Cast in"
					name="embed-name-{i}"
					bind:value={() => embed.name, (name) => change(i, { name: name ?? '' })}
					error={problem(i, 'name')}
					placeholder="dried fern" />
			</div>
			<Button
				color="alternative"
				size="sm"
				class="mt-6 min-h-[2.75rem]"
				aria-label="Remove what is cast in {i + 1}"
				onclick={() => (embeds = embeds.filter((_, k) => k !== i))}>Remove</Button>
		</div>
		{#each FIELDS as f (f.key)}
			<QuantityField
				label={f.label}
				kind={f.kind}
				name="embed-{f.key}-{i}"
				bind:value={() => embed[f.key], (v) => change(i, { [f.key]: v as number })}
				error={problem(i, f.key)}
				hint={f.key === 'atMm' ? 'above the floor' : ''} />
		{/each}
	</div>
{/each}
<Button
	color="alternative"
	class="min-h-[2.6rem]"
	disabled={embeds.length >= 10}
	onclick={() => (embeds = [...embeds, { name: '', massG: undefined, volumeMl: undefined, heightMm: undefined, atMm: undefined } as never])}
	>Cast something in</Button>
