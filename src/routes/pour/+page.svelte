<script lang="ts">
	import { Button } from 'flowbite-svelte';
	import PageHead from '$lib/ui/PageHead.svelte';
	import { useUnits } from '$lib/ui/units.svelte';

	let { data } = $props();
	const units = useUnits();
</script>

<PageHead title="Pour" about="What is at the bench now, and what could be." />
{#if data.open.length > 0}
	<ul class="mb-7 grid gap-4 sm:grid-cols-2">
		{#each data.open as pour (pour.id)}
			<li class="slab flex items-center justify-between gap-4 p-5">
				<div class="min-w-0">
					<p class="text-[1.15rem] font-bold break-words">{pour.masterName}</p>
					<p class="soft">
						{pour.moulds.map((m) => `M${m.number}`).join(', ')} · cup {pour.batch} · {units.weighed(pour.massG)}
					</p>
				</div>
				<Button href="/pour/{pour.id}" size="xl">Go to it</Button>
			</li>
		{/each}
	</ul>
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
