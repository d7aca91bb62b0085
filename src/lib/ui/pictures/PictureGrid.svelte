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
			<div class="flex flex-col p-2 text-[0.93rem]">
				{#if why}<p class="font-semibold text-(--harm)">{why}</p>
				{:else}<p class="soft">
						{p.sight.direction ? `${p.sight.direction.height}, ` : ''}{p.sight.markers} markers{p.sight.offPx === undefined
							? ''
							: `, ${p.sight.offPx.toFixed(1)} px off`}
					</p>
				{/if}
				{#if p.sight.busy}<p class="font-semibold text-(--hot)">Busy background: check its outline.</p>{/if}
				<button
					type="button"
					class="plain min-h-[1.7rem] cursor-pointer self-start"
					onclick={() => ondrop(p.id)}
					aria-label="Leave out picture {i + 1}">Leave out</button>
			</div>
		</li>
	{/each}
</ul>
