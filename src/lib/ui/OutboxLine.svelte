<script lang="ts">
	import { onMount } from 'svelte';
	import CloudOff from '@lucide/svelte/icons/cloud-off';
	import { Outbox } from './outbox.svelte';

	/** Said on every page while something noted at this device has not reached the server. */
	const outbox = new Outbox();
	const count = $derived(outbox.unsent.reduce((sum, u) => sum + u.count, 0));
	onMount(() => outbox.start());
	async function putAway(ownerId: string) {
		const url = URL.createObjectURL(await outbox.putAway(ownerId));
		Object.assign(document.createElement('a'), { href: url, download: 'not-taken-by-the-server.json' }).click();
		URL.revokeObjectURL(url);
	}
</script>

{#if count > 0}
	<div class="no-print flex flex-wrap items-center gap-x-4 gap-y-1 bg-(--hot-soft) px-4 py-2 font-semibold text-(--ink)" role="status">
		<CloudOff class="size-5 text-(--hot)" aria-hidden="true" />
		<span
			>{count}
			{count === 1 ? 'thing that was noted here is' : 'things that were noted here are'} not yet on the server; sent as soon as it answers.</span>
		{#each outbox.unsent as u (u.ownerId)}
			<a class="underline" href={u.href} data-sveltekit-reload>To the work</a>
			{#if u.refused}
				<span class="text-(--harm)">Refused: {u.refused}</span>
				<button type="button" class="cursor-pointer underline" onclick={() => putAway(u.ownerId)}>Save it as a file and stop trying</button>
			{/if}
		{/each}
	</div>
{/if}
