<script lang="ts">
	import AskedForm from '$lib/ui/people/AskedForm.svelte';
	import PassphraseField from '$lib/ui/people/PassphraseField.svelte';
	import Stranger from '$lib/ui/people/Stranger.svelte';
	import TextField from '$lib/ui/TextField.svelte';

	let { form } = $props();
	const problems = $derived((form?.problems ?? {}) as Record<string, string>);
	const at = (field: string) => (problems[field] ? [problems[field]] : undefined);
	let name = $derived(String(form?.typed?.['name'] ?? ''));
	let mark = $derived(String(form?.typed?.['mark'] ?? ''));
	let code = $state('');
</script>

<Stranger
	title="The first keeper"
	about="Nobody is known here yet. The window in which the server runs shows a code; whoever types it manages the workshop.">
	<AskedForm label="Begin" problem={problems['']}>
		<TextField label="The code" name="code" bind:value={code} error={at('code')} placeholder="ABCD-2345-EFGH" />
		<TextField label="Your name" name="name" bind:value={name} error={at('name')} />
		<TextField label="Your mark" name="mark" bind:value={mark} error={at('mark')} hint="one to four letters, beside what you note" />
		<PassphraseField label="A passphrase" name="passphrase" kind="new" error={problems['passphrase']} hint="three or four words do well" />
	</AskedForm>
</Stranger>
