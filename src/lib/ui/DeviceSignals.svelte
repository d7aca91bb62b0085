<script lang="ts">
	import { onMount } from 'svelte';
	import { Button } from 'flowbite-svelte';
	import { nextSignalWay } from './signals';
	import { notifyState, sound } from './sound.svelte';

	/** How this device tells the end of a clock: tones, voice, and a notification where the browser lets it. */
	let notifies = $state<ReturnType<typeof notifyState>>('none');
	onMount(() => {
		notifies = notifyState();
	});
	const NOTIFIES = {
		granted: 'Notifications are on: they come when this page is not in sight.',
		denied: 'The browser refuses notifications here; its own settings allow them.',
		none: 'This browser gives no notifications over this connection.',
		default: ''
	} as const;
	async function allow() {
		notifies = await Notification.requestPermission();
	}
</script>

<div class="flex flex-wrap items-center gap-3">
	<span class="label">Deadlines are told by</span>
	<Button color="alternative" onclick={() => (sound.way = nextSignalWay(sound.way))}>{sound.way}</Button>
	<Button color="alternative" onclick={() => sound.tell(3, 'This is how a deadline is told')}>Try it</Button>
	{#if notifies === 'default'}<Button color="alternative" onclick={allow}>Allow notifications too</Button>
	{:else}<span class="soft">{NOTIFIES[notifies]}</span>{/if}
</div>
