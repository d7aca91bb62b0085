<script lang="ts">
	import { page } from '$app/state';
	import AskedForm from '$lib/ui/people/AskedForm.svelte';
	import PassphraseField from '$lib/ui/people/PassphraseField.svelte';
	import Stranger from '$lib/ui/people/Stranger.svelte';
	import TextField from '$lib/ui/TextField.svelte';

	let { form } = $props();
	const problems = $derived((form?.problems ?? {}) as Record<string, string>);
	let who = $derived(String(form?.typed?.['who'] ?? ''));
	const to = $derived(page.url.searchParams.get('to') ?? '/');
</script>

<Stranger title="Sign in" about="This workshop is on a network: it asks who you are.">
	<AskedForm action="?/in&to={encodeURIComponent(to)}" label="Sign in" problem={problems['']}>
		<TextField label="Your name or mark" name="who" bind:value={who} error={problems['who'] ? [problems['who']] : undefined} />
		<PassphraseField label="Your passphrase" name="passphrase" kind="current" error={problems['passphrase']} />
	</AskedForm>
	<p class="soft mt-5">
		Lost it, or never had one? A keeper makes you a code; then <a class="plain" href="/sign-in/code">choose a passphrase with it</a>. A
		tablet at the bench is <a class="plain" href="/sign-in/pair">paired by a code</a>.
	</p>
</Stranger>
