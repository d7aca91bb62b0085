<script lang="ts">
	import type { Snippet } from 'svelte';

	/** A page for somebody who is not known yet: nothing of the workshop is on it. */
	let { title, about, children }: { title: string; about: string; children: Snippet } = $props();
</script>

<svelte:head><title>{title} · Anthypos</title></svelte:head>
<div class="mx-auto mt-[6dvh] w-full max-w-[27rem]">
	<p class="mb-6 flex items-center gap-3">
		<img src="/icon.svg" alt="" class="size-11" /><span class="text-[1.4rem] font-bold tracking-tight">Anthypos</span>
	</p>
	<section class="slab p-6">
		<h1>{title}</h1>
		<p class="soft mt-1 mb-5">{about}</p>
		{@render children()}
	</section>
</div>
