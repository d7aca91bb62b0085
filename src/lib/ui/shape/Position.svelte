<script lang="ts">
	import { Button } from 'flowbite-svelte';
	import { digits } from '$lib/core/units';
	import { useUnits } from '../units.svelte';
	import type { Studio } from './studio.svelte';
	import { same } from './view.svelte';

	/** How the piece is turned to be poured: by its sides, or by looking for the best. */
	let { studio }: { studio: Studio } = $props();
	const units = useUnits();
	const AXES: { label: string; up: [number, number, number] }[] = [
		{ label: 'As drawn', up: [0, 0, 1] },
		{ label: 'Head down', up: [0, 0, -1] },
		{ label: 'Left side', up: [1, 0, 0] },
		{ label: 'Right side', up: [-1, 0, 0] },
		{ label: 'Back', up: [0, 1, 0] },
		{ label: 'Face', up: [0, -1, 0] }
	];
</script>

<div class="flex flex-wrap items-center gap-2" role="group" aria-label="Pouring position">
	{#each AXES as a (a.label)}
		<button
			type="button"
			aria-pressed={same(studio.up, a.up)}
			class="min-h-[2.6rem] cursor-pointer rounded-lg border-[1.5px] border-(--line-strong) px-3 font-semibold aria-pressed:bg-(--work) aria-pressed:text-(--work-ink)"
			onclick={() => void studio.turn(a.up)}>{a.label}</button>
	{/each}
	<Button class="min-h-[2.6rem]" onclick={() => void studio.search()} disabled={!!studio.busy}>Find the best</Button>
</div>
{#if studio.candidates.length > 0}
	<div class="mt-3 grid gap-3 sm:grid-cols-3">
		{#each studio.candidates as c, i (i)}
			<button
				type="button"
				aria-pressed={same(studio.up, c.up)}
				class="cursor-pointer rounded-lg border-[1.5px] border-(--line-strong) p-3 text-left aria-pressed:border-(--work) aria-pressed:bg-(--work-soft)"
				onclick={() => void studio.turn(c.up)}>
				<span class="label">{['Best', 'Second', 'Third'][i]}</span>
				<span class="block text-[1.4rem] font-bold">{c.vents === 0 ? 'no pocket' : `${c.vents} vent${c.vents === 1 ? '' : 's'}`}</span>
				<span class="soft block text-[0.93rem]"
					>{units.show(c.trappedMl, 'volume')} of air, undercut {digits(100 * c.undercutShare, 0)} %, {units.show(
						c.undercutDepthMm,
						'length'
					)} deep</span>
			</button>
		{/each}
	</div>
{/if}
