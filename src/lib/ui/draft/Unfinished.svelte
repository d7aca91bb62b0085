<script lang="ts">
	import { onMount } from 'svelte';
	import { Button } from 'flowbite-svelte';
	import { wallTime } from '../clockText';
	import { drafts } from './drafts.svelte';
	import type { Draft } from './store';

	/** Forms that were left unfinished on this device. */
	let { nowMs }: { nowMs: number } = $props();
	let left = $state.raw<readonly Draft[]>([]);
	onMount(() => void drafts.all().then((all) => (left = all.slice(0, 4))));
	function throwAway(key: string) {
		left = left.filter((d) => d.key !== key);
		void drafts.drop(key);
	}
</script>

{#if left.length > 0}
	<section class="mb-6">
		<h2 class="mb-2">Left unfinished here</h2>
		<ul class="slab divide-y divide-(--line)">
			{#each left as draft (draft.key)}
				<li class="flex flex-wrap items-center gap-x-4 gap-y-2 px-5 py-2.5">
					<span class="min-w-[12rem] flex-1"
						><strong>{draft.title}</strong> <span class="soft">{wallTime(draft.savedAtMs, nowMs)}</span></span>
					<Button href={draft.href} size="sm" class="min-h-[2.4rem]">Go on</Button>
					<Button color="alternative" size="sm" class="min-h-[2.4rem]" onclick={() => throwAway(draft.key)}>Throw away</Button>
				</li>
			{/each}
		</ul>
	</section>
{/if}
