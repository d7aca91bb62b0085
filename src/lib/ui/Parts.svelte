<script lang="ts">
	import { useUnits } from './units.svelte';
	/** A and B, told apart by letter, colour and pattern, never by one of them alone. */
	interface Props {
		a: { massG: number; volumeMl?: number };
		b: { massG: number; volumeMl?: number };
	}
	let { a, b }: Props = $props();
	const units = useUnits();
</script>

<div class="grid grid-cols-2 gap-3" role="group" aria-label="The two parts">
	{#each [{ letter: 'A', part: a }, { letter: 'B', part: b }] as { letter, part } (letter)}
		<div class="overflow-hidden rounded-lg border border-(--line) bg-(--paper)">
			<div class={['h-3', letter === 'A' ? 'bg-(--part-a)' : 'hatch-b']}></div>
			<div class="px-3 py-2">
				<p class="text-[1rem] font-bold" style:color="var(--part-{letter.toLowerCase()})">{letter}</p>
				<p class="answer text-[2rem] whitespace-nowrap">{units.weighed(part.massG)}</p>
				{#if part.volumeMl !== undefined}<p class="soft mt-1">{units.show(part.volumeMl, 'volume')}</p>{/if}
			</div>
		</div>
	{/each}
</div>
