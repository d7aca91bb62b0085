<script lang="ts">
	import type { Snippet } from 'svelte';
	import { page } from '$app/state';
	import { STATIONS } from './stations';
	interface Props {
		title: string;
		about?: string;
		actions?: Snippet;
		/** A picture of what the page is about. */
		face?: Snippet;
	}
	let { title, about = '', actions, face }: Props = $props();
	/** The short page of the station on whose front page this stands. */
	const how = $derived(STATIONS.some((s) => s.href !== '/' && s.href === page.url.pathname) ? page.url.pathname.slice(1) : '');
</script>

<svelte:head><title>{title} · Anthypos</title></svelte:head>
<header class="mb-5 flex flex-wrap items-end justify-between gap-x-6 gap-y-3">
	<div class="flex min-w-0 flex-1 basis-[20rem] items-center gap-4">
		{@render face?.()}
		<div class="min-w-0">
			<h1 class="break-words">{title}</h1>
			{#if about || how}<p class="soft mt-1 break-words">
					{about}{#if how}&nbsp; <a class="plain whitespace-nowrap print:hidden" href="/how/{how}">How this is done</a>{/if}
				</p>{/if}
		</div>
	</div>
	{#if actions}<div class="no-print flex flex-wrap gap-2">{@render actions()}</div>{/if}
</header>
