<script lang="ts">
	import TextField from '../TextField.svelte';
	import { WHO_LONGEST, type Desk } from './desk.svelte';

	/** Who lets the pressure out, as the vessel's log wants it. */
	let { desk }: { desk: Desk } = $props();
</script>

<div class="w-full max-w-[18rem]">
	<TextField
		label="Released by"
		name="who"
		bind:value={desk.who}
		error={desk.who.trim().length > WHO_LONGEST ? ['Keep the name under 60 characters.'] : undefined} />
</div>
