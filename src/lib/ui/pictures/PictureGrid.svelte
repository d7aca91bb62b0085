<script lang="ts">
	import { faultWords, type Picture } from './sitting.svelte';

	/** The pictures with what is wrong with each; a press opens its outline. */
	interface Props {
		pictures: readonly Picture[];
		onopen: (id: string) => void;
		ondrop: (id: string) => void;
	}
	let { pictures, onopen, ondrop }: Props = $props();
</script>

<ul class="grid grid-cols-2 gap-3 sm:grid-cols-3 xl:grid-cols-4">
	{#each pictures as p, i (p.id)}
		{@const why = faultWords(p.sight)}
		<li class={['min-w-0 overflow-hidden rounded-lg border-[1.5px]', why ? 'border-(--harm)' : 'border-(--line-strong)']}>
			<button
				type="button"
				class="relative block w-full cursor-pointer"
				onclick={() => onopen(p.id)}
				aria-label="Outline of picture {i + 1}">
				<img src={p.url} alt="" class={['aspect-[4/3] w-full object-cover', why && 'opacity-55']} />
				<span
					class="absolute top-1 left-1 grid min-w-[1.7rem] place-items-center rounded bg-(--strip) px-1 text-[0.93rem] font-bold text-(--strip-ink)"
					>{i + 1}{p.strokes.length > 0 ? ' ✎' : ''}</span>
			</button>
			<div class="flex min-h-[3.1rem] items-start justify-between gap-2 p-2 text-[0.93rem]">
				{#if why}<p class="min-w-0 font-semibold text-(--harm)">{why}</p>
				{:else if p.sight.offPx !== undefined}<p class="soft min-w-0">
						{p.sight.direction?.height}, {p.sight.markers} markers, {p.sight.offPx.toFixed(1)} px off{p.outlined ? '' : ''}
					</p>
				{:else}<p class="soft min-w-0">{p.sight.markers} markers; its place is known from three pictures on.</p>{/if}
				<button
					type="button"
					class="plain min-h-[1.6rem] shrink-0 cursor-pointer"
					onclick={() => ondrop(p.id)}
					aria-label="Leave out picture {i + 1}">Leave out</button>
			</div>
		</li>
	{/each}
</ul>
