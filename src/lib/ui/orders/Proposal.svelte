<script lang="ts">
	import { enhance } from '$app/forms';
	import { Button } from 'flowbite-svelte';

	/** A new plan that waits for somebody's word: what it does otherwise, the weightiest first. */
	interface Props {
		restsOn: string;
		words: readonly string[];
		refused?: string | undefined;
	}
	let { restsOn, words, refused }: Props = $props();
	const SHOWN = 4;
	const first = $derived(words.slice(0, SHOWN));
	const more = $derived(words.slice(SHOWN));
</script>

<section class="slab mb-5 border-l-[6px] border-l-(--hot)! p-5" aria-labelledby="proposal">
	<div class="flex flex-wrap items-start justify-between gap-x-6 gap-y-3">
		<div class="min-w-0">
			<h2 id="proposal">Things have moved: a new plan is ready</h2>
			<ul class="mt-2 list-disc pl-5">
				{#each first as line (line)}<li>{line}</li>{:else}<li>No day changes; only hands are wanted at other times.</li>{/each}
			</ul>
			{#if more.length > 0}
				<details>
					<summary class="soft">{more.length} more</summary>
					<ul class="list-disc pl-5">
						{#each more as line (line)}<li>{line}</li>{/each}
					</ul>
				</details>
			{/if}
		</div>
		<form
			method="POST"
			action="/orders?/accept"
			use:enhance={() =>
				({ update }) =>
					update({ invalidateAll: true })}>
			<input type="hidden" name="restsOn" value={restsOn} />
			<Button type="submit" size="lg">Follow it</Button>
		</form>
	</div>
	{#if refused}<p class="mt-2 font-semibold text-(--harm)" role="alert">{refused}</p>{/if}
</section>
