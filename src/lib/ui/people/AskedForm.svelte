<script lang="ts">
	import type { Snippet } from 'svelte';
	import { enhance } from '$app/forms';
	import { Button } from 'flowbite-svelte';

	/** A form with a secret in it: what is typed stays where it is until the server has said yes, and is kept nowhere else. */
	interface Props {
		action?: string;
		label: string;
		/** What is wrong with the whole of it. */
		problem?: string | undefined;
		children: Snippet;
	}
	let { action, label, problem, children }: Props = $props();
	let busy = $state(false);
	let lost = $state('');
</script>

<form
	method="POST"
	{action}
	class="grid gap-y-1"
	use:enhance={() => {
		[busy, lost] = [true, ''];
		return async ({ result, update }) => {
			busy = false;
			if (result.type === 'error') lost = result.error?.message ?? 'The server did not answer: try again.';
			else await update({ reset: result.type === 'success' });
		};
	}}>
	{@render children()}
	<p class="min-h-[1.6rem] font-semibold text-(--harm)" role="alert">{lost || problem || ''}</p>
	<div><Button type="submit" size="lg" disabled={busy}>{label}</Button></div>
</form>
