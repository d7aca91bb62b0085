<script lang="ts">
	import Camera from '@lucide/svelte/icons/camera';
	import { MOST_CAST_PICTURES, type CastPicture } from '$lib/core/bench';
	import { FAULT_WORDS, type Fault } from '$lib/core/faults';

	/** The camera at the grading: of each fault at its place, or of the cast. What was taken is sent at once. */
	interface Props {
		pictures: CastPicture[];
		faults: readonly Fault[];
		/** Whose cast it is, for those who hear it. */
		title: string;
	}
	let { pictures = $bindable(), faults, title }: Props = $props();
	let input: HTMLInputElement | undefined = $state.raw();
	let fault: Fault | undefined;
	let sending = $state(false);
	let problem = $state('');
	/** Taken, and not yet with the server: it is sent again by a press. */
	let unsent = $state.raw<{ file: File; fault: Fault | undefined }>();
	const nameOf = (f: Fault | undefined) => (f ? FAULT_WORDS[f] : 'the cast');

	function take(of: Fault | undefined) {
		fault = of;
		input?.click();
	}
	async function send(file: File, of: Fault | undefined) {
		sending = true;
		problem = '';
		try {
			const answer = await fetch('/api/photos', { method: 'POST', body: file, headers: { 'content-type': 'application/octet-stream' } });
			const said = (await answer.json()) as { id?: string; errors?: { message: string }[] };
			unsent = undefined;
			if (said.id) pictures = [...pictures, { photoId: said.id, ...(of ? { fault: of } : {}) }];
			else problem = said.errors?.[0]?.message ?? 'The picture was not taken: choose another.';
		} catch {
			unsent = { file, fault: of };
			problem = 'The server did not answer: the picture waits here.';
		}
		sending = false;
	}
</script>

<div class="mt-2 flex flex-wrap items-center gap-2">
	{#each [...faults, undefined] as f (f ?? 'cast')}
		<button
			type="button"
			class="inline-flex min-h-[2.75rem] cursor-pointer items-center gap-2 rounded-lg border-[1.5px] border-(--line-strong) bg-(--paper) px-3 font-semibold hover:bg-(--work-soft) disabled:opacity-60"
			disabled={sending || pictures.length >= MOST_CAST_PICTURES}
			aria-label="Photo of {nameOf(f)}, {title}"
			onclick={() => take(f)}><Camera class="size-5" aria-hidden="true" />Photo of {nameOf(f)}</button>
	{/each}
	{#each pictures as p (p.photoId)}
		<figure class="relative">
			<img class="size-16 rounded-md border border-(--line) object-cover" src="/photos/{p.photoId}" alt="Taken of {nameOf(p.fault)}" />
			<button
				type="button"
				class="absolute -top-2 -right-2 size-7 cursor-pointer rounded-full border-[1.5px] border-(--line-strong) bg-(--paper) leading-none font-bold"
				aria-label="Leave out the picture of {nameOf(p.fault)}"
				onclick={() => (pictures = pictures.filter((other) => other.photoId !== p.photoId))}>×</button>
		</figure>
	{/each}
	<input
		bind:this={input}
		class="hidden"
		type="file"
		accept="image/jpeg,image/png,image/webp"
		capture="environment"
		aria-label="Picture, {title}"
		onchange={() => {
			const file = input?.files?.[0];
			if (file) void send(file, fault);
			if (input) input.value = '';
		}} />
	{#if problem}<p class="basis-full font-semibold text-(--harm)" role="alert">
			{problem}
			{#if unsent}<button
					type="button"
					class="min-h-[2.2rem] cursor-pointer underline"
					onclick={() => unsent && send(unsent.file, unsent.fault)}>Send it again</button
				>{/if}
		</p>{/if}
</div>
