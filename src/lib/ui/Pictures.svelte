<script lang="ts">
	import PhotoInput from './PhotoInput.svelte';
	import { enhance } from '$app/forms';
	import { Button } from 'flowbite-svelte';

	/** Pictures of a mould, a pull or a tin: added, looked at large, taken off. */
	interface Props {
		photos: readonly { id: string; photoId: string; caption: string }[];
		problem: string;
		/** What they show when nothing is said. */
		of?: string;
		/** What is likely photographed next: a fault at its place. */
		suggest?: readonly string[];
	}
	let { photos, problem, of = 'The mould', suggest = [] }: Props = $props();
	const uid = $props.id();
	let saving = $state(false);
	let unsent = $state('');
</script>

<section class="slab p-5" aria-label="Pictures">
	<h2 class="mb-3">Pictures</h2>
	{#if photos.length > 0}
		<ul class="mb-4 grid grid-cols-2 gap-3 sm:grid-cols-4">
			{#each photos as p (p.id)}
				<li>
					<a href="/photos/{p.photoId}" target="_blank" rel="noopener"
						><img
							src="/photos/{p.photoId}"
							alt={p.caption || of}
							loading="lazy"
							class="aspect-square w-full rounded-lg border border-(--line) object-cover" /></a>
					<div class="mt-1 flex items-start justify-between gap-2">
						<span class="text-[0.93rem]">{p.caption}</span>
						<form method="POST" action="?/unphoto" use:enhance>
							<input type="hidden" name="id" value={p.id} />
							<button class="soft min-h-[2.2rem] cursor-pointer underline" aria-label="Take off the picture {p.caption}">Take off</button>
						</form>
					</div>
				</li>
			{/each}
		</ul>
	{/if}
	<form
		method="POST"
		action="?/photo"
		enctype="multipart/form-data"
		class="flex flex-wrap items-end gap-3"
		use:enhance={() => {
			saving = true;
			unsent = '';
			return async ({ result, update }) => {
				saving = false;
				if (result.type === 'error') unsent = 'The server did not answer, so the picture is not kept yet: try again.';
				else await update({ reset: result.type === 'success' });
			};
		}}>
		<PhotoInput label="Picture" />
		<label class="label"
			>What it shows
			<input
				name="caption"
				maxlength="120"
				list={suggest.length ? `${uid}-likely` : undefined}
				class="mt-1 block min-h-[2.75rem] rounded-lg border-[1.5px] border-(--line-strong) bg-(--paper) px-3 font-normal" /></label>
		{#if suggest.length}<datalist id="{uid}-likely"
				>{#each suggest as value (value)}<option {value}></option>{/each}</datalist
			>{/if}
		<Button type="submit" color="alternative" size="lg" disabled={saving}>{saving ? 'Sending' : 'Add it'}</Button>
	</form>
	{#if problem || unsent}<p class="mt-2 font-semibold text-(--harm)" role="alert">{unsent || problem}</p>{/if}
</section>
