<script lang="ts">
	import { onMount } from 'svelte';
	import AskedForm from '$lib/ui/people/AskedForm.svelte';
	import Stranger from '$lib/ui/people/Stranger.svelte';
	import TextField from '$lib/ui/TextField.svelte';

	let { form } = $props();
	const problems = $derived((form?.problems ?? {}) as Record<string, string>);
	let device = $derived(String(form?.typed?.['device'] ?? 'Bench tablet'));
	let code = $state('');
	// it stands behind the #, so that it is in no log of addresses
	onMount(() => void (code = location.hash.slice(1, 40)));
</script>

<Stranger title="Pair this device" about="It stays signed in for the season. Who has the gloves on is pressed at the bench.">
	<AskedForm label="Pair it" problem={problems['']}>
		<TextField
			label="The code that the other device shows"
			name="code"
			bind:value={code}
			error={problems['code'] ? [problems['code']] : undefined}
			placeholder="ABCD-2345-EFGH" />
		<TextField
			label="This device is called"
			name="device"
			bind:value={device}
			error={problems['device'] ? [problems['device']] : undefined} />
	</AskedForm>
</Stranger>
