<script lang="ts">
	import { Button } from 'flowbite-svelte';
	import { digits } from '$lib/core/units';
	import QuantityField from '../QuantityField.svelte';
	import DropZone from './DropZone.svelte';
	import type { Studio } from './studio.svelte';

	/** The file itself: its parts, its size, and another one in its place. */
	let { studio, ontake }: { studio: Studio; ontake: (file: File) => void } = $props();
	let tallMm = $state<number>();
	async function scaleTo() {
		if (await studio.makeTall(tallMm)) tallMm = undefined;
	}
	const check = 'flex min-h-[2.5rem] cursor-pointer items-center gap-2 font-semibold';
</script>

<section class="slab p-5">
	<h2>The file</h2>
	<p class="soft break-words">{studio.fileName}, in {studio.unit}{studio.scale === 1 ? '' : ` × ${digits(studio.scale, 3)}`}</p>
	{#if studio.parts.length > 1}
		<fieldset class="mt-2 max-h-44 overflow-y-auto">
			<legend class="label">Parts that belong to the piece</legend>
			{#each studio.parts as part, i (i)}
				<label class={check}
					><input
						type="checkbox"
						class="size-5 accent-(--work)"
						checked={studio.chosenParts.includes(i)}
						onchange={() => void studio.togglePart(i)} />
					{part.name} <span class="soft font-normal">{part.triangles.toLocaleString('en-GB')}</span></label>
			{/each}
		</fieldset>
	{/if}
	<div class="mt-2 grid grid-cols-[1fr_auto] items-start gap-3">
		<QuantityField label="Make it this tall" kind="length" name="tallMm" bind:value={tallMm} />
		<Button color="alternative" class="mt-6 min-h-[2.75rem]" onclick={() => void scaleTo()}>Scale</Button>
	</div>
	<DropZone small onfile={(f) => ontake(f)} />
</section>
