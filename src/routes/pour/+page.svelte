<script lang="ts">
	import { onMount, untrack } from 'svelte';
	import { invalidateAll } from '$app/navigation';
	import AtBench from '$lib/ui/AtBench.svelte';
	import { Now } from '$lib/ui/now.svelte';
	import PageHead from '$lib/ui/PageHead.svelte';
	import { watchBench } from '$lib/ui/watchBench';

	let { data } = $props();
	const now = new Now(
		untrack(() => data.nowMs),
		1000
	);
	onMount(() => watchBench(() => void invalidateAll()));
</script>

<PageHead title="Pour" about="What is at the bench now, and what could be." />
{#if data.open.length > 0}
	<div class="mb-7"><AtBench pours={data.open} clocks={data.clocks} nowMs={now.ms} /></div>
{:else}
	<p class="slab mb-7 p-6 text-[1.15rem]">No pour is open. Begin one from a shot.</p>
{/if}
<h2 class="mb-2">Shots to pour from</h2>
<ul class="slab divide-y divide-(--line)">
	{#each data.shots as shot (shot.id)}
		<li>
			<a class="flex gap-4 px-5 py-3 hover:bg-(--work-soft)" href="/shots/{shot.id}"
				><strong>S{shot.number}</strong><span>{shot.masterName}</span><span class="soft"
					>{shot.copies} {shot.copies === 1 ? 'copy' : 'copies'}</span
				></a>
		</li>
	{:else}
		<li class="p-5"><a class="plain" href="/shots/new">Size a shot first</a></li>
	{/each}
</ul>
<p class="mt-5"><a class="plain" href="/practice">Practise a pour first</a>, with nothing spent and nothing kept.</p>
