<script lang="ts">
	/** What goes into the pot with this pour: each at its own bench, one press away. It stands ready before a cup is combined. */
	interface Props {
		mates: readonly { id: string; masterName: string; moulds: readonly string[]; wants: string }[];
		/** Now is when they are poured, or have to stand ready for it. */
		now: boolean;
	}
	let { mates, now }: Props = $props();
	const midSentence = (title: string) => title.charAt(0).toLowerCase() + title.slice(1);
</script>

<ul class="mx-auto flex w-full max-w-[60rem] flex-col gap-2" aria-label="In the same pot">
	{#each mates as mate (mate.id)}
		<li
			class={['flex flex-wrap items-center justify-between gap-x-4 gap-y-2 rounded-xl px-4 py-2', now ? 'bg-(--hot-soft)' : 'bg-(--sunk)']}>
			<span class={now ? 'text-[1.15rem]' : ''}
				><strong>{mate.masterName} in {mate.moulds.join(', ')}</strong>
				<span class="soft">goes into the same pot. It wants: {midSentence(mate.wants)}</span></span>
			<a
				href="/pour/{mate.id}"
				class="flex min-h-12 items-center rounded-lg border-2 border-(--line-strong) bg-(--paper) px-5 font-semibold"
				>Go to {mate.moulds.join(', ')}</a>
		</li>
	{/each}
</ul>
