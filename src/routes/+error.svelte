<script lang="ts">
	import { page } from '$app/state';
	import { Button } from 'flowbite-svelte';
</script>

<div class="mx-auto max-w-xl py-16">
	<h1>{page.status === 404 ? 'Not here' : page.status === 413 ? 'Too much at once' : 'That did not work'}</h1>
	<p class="mt-3 text-[1.15rem]">{page.error?.message}</p>
	{#if page.error?.reference}<p class="soft mt-2">Reference {page.error.reference}</p>{/if}
	<Button href="/" class="mt-6" size="lg">To the bench</Button>
</div>
