<script lang="ts">
	import AskedForm from '$lib/ui/people/AskedForm.svelte';
	import PassphraseField from '$lib/ui/people/PassphraseField.svelte';
	import Stranger from '$lib/ui/people/Stranger.svelte';
	import TextField from '$lib/ui/TextField.svelte';

	let { form } = $props();
	const problems = $derived((form?.problems ?? {}) as Record<string, string>);
	let code = $state('');
</script>

<Stranger title="Choose a passphrase" about="With the code that a keeper gave you. It holds a day, and once.">
	<AskedForm label="Choose it, and sign in" problem={problems['']}>
		<TextField
			label="The code"
			name="code"
			bind:value={code}
			error={problems['code'] ? [problems['code']] : undefined}
			placeholder="ABCD-2345-EFGH" />
		<PassphraseField
			label="A new passphrase"
			name="passphrase"
			kind="new"
			error={problems['passphrase']}
			hint="three or four words do well" />
	</AskedForm>
	<p class="soft mt-5"><a class="plain" href="/sign-in">Back to signing in</a></p>
</Stranger>
