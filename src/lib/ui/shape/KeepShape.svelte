<script lang="ts">
	import { enhance } from '$app/forms';
	import { Button } from 'flowbite-svelte';
	import type { Snippet } from 'svelte';
	import { followWork } from './howFar';
	import type { Studio } from './studio.svelte';

	/** Sends the file once, then what was chosen for it, with a still picture as the master's card. */
	interface Props {
		studio: Studio;
		still: () => Promise<Blob | null>;
		action: string;
		submit: string;
		version?: number | undefined;
		fields?: Snippet | undefined;
		/** What has to be sent before the file is; a sentence where it could not be. */
		before?: ((say: (words: string) => void) => Promise<string | undefined>) | undefined;
		/** It is in the books. */
		after?: (() => void) | undefined;
	}
	let { studio, still, action, submit, version, fields, before, after }: Props = $props();
	let saving = $state('');
	let problem = $state('');
	let kept = $state(false);
	let card = $state(true);

	/** The server knows the file by its content; one that it has already is not sent again. */
	async function upload(): Promise<string | undefined> {
		if (studio.sha256) return studio.sha256;
		saving = 'Sending the file';
		const response = await fetch(`/api/meshes?name=${encodeURIComponent(studio.fileName)}`, {
			method: 'POST',
			headers: { 'content-type': 'application/octet-stream' },
			body: studio.file ?? null
		}).catch(() => undefined);
		const answer = (await response?.json().catch(() => undefined)) as
			{ sha256?: string; errors?: { message: string }[]; message?: string } | undefined;
		if (response?.ok && answer?.sha256) return (studio.sha256 = answer.sha256);
		problem =
			answer?.errors?.[0]?.message ??
			answer?.message ??
			'The server did not answer, so nothing is kept yet. Everything is still here: try again.';
		return undefined;
	}
</script>

<form
	method="POST"
	{action}
	enctype="multipart/form-data"
	class="slab flex flex-col gap-3 p-5"
	use:enhance={async ({ formData, cancel }) => {
		problem = '';
		kept = false;
		const wrong = await before?.((words) => (saving = words));
		if (wrong) problem = wrong;
		if (wrong || !(await upload())) {
			saving = '';
			return cancel();
		}
		saving = 'Keeping it';
		const ticket = crypto.randomUUID();
		formData.set('ticket', ticket);
		const leave = followWork(ticket, (words) => (saving = words));
		formData.set('choice', JSON.stringify(studio.choice));
		const picture = card ? await still() : null;
		if (picture) formData.set('card', picture, 'card.webp');
		return async ({ result, update }) => {
			leave();
			saving = '';
			if (result.type === 'failure') problem = String(result.data?.['problem'] ?? 'It was refused.');
			else if (result.type === 'error') problem = 'The server did not answer, so nothing is kept yet. Everything is still here: try again.';
			else {
				kept = true;
				after?.();
				await update({ reset: false });
			}
		};
	}}>
	{#if version !== undefined}<input type="hidden" name="version" value={version} />{/if}
	{@render fields?.()}
	<label class="flex min-h-[2.5rem] cursor-pointer items-center gap-2 font-semibold"
		><input type="checkbox" class="size-5 rounded text-(--work)" bind:checked={card} /> This picture is the master’s card</label>
	<Button type="submit" size="lg" disabled={!!saving || !studio.unitSettled || !!studio.busy}>{saving || submit}</Button>
	{#if !studio.unitSettled}<p class="soft">Say first how large the piece is.</p>{/if}
	<p role="status" class="min-h-[1.4rem] font-semibold text-(--work)">{kept ? 'Kept.' : ''}</p>
	{#if problem}<p class="font-semibold text-(--harm)" role="alert">{problem}</p>{/if}
</form>
