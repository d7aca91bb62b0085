<script lang="ts">
	import Camera from '@lucide/svelte/icons/camera';

	/** A picture, from the camera of the device or from a file; what was chosen is shown before it is sent. */
	interface Props {
		label: string;
		/** Why what was chosen is not taken; empty: it is. */
		problem?: string;
	}
	let { label, problem = $bindable('') }: Props = $props();
	const uid = $props.id();
	const MOST_BYTES = 8 * 1024 * 1024;
	let input: HTMLInputElement | undefined = $state.raw();
	let shown = $state('');

	function look() {
		const file = input?.files?.[0];
		problem = file && file.size > MOST_BYTES ? `This photo has ${(file.size / 1_048_576).toFixed(1)} MB: at most 8 MB are taken.` : '';
		if (shown) URL.revokeObjectURL(shown);
		shown = file && !problem ? URL.createObjectURL(file) : '';
	}
	/** The camera where there is one; elsewhere the same choice of files. */
	function take() {
		input?.setAttribute('capture', 'environment');
		input?.click();
		input?.removeAttribute('capture');
	}
	$effect(() => {
		const form = input?.form;
		const forget = () => requestAnimationFrame(look);
		form?.addEventListener('reset', forget);
		return () => {
			form?.removeEventListener('reset', forget);
			if (shown) URL.revokeObjectURL(shown);
		};
	});
</script>

<div class="min-w-0">
	<label class="label" for="{uid}-photo">{label}</label>
	<div class="mt-1 flex items-center gap-3">
		{#if shown}<img class="size-14 shrink-0 rounded-md object-cover" src={shown} alt="What was chosen" />{/if}
		<div class="flex min-w-0 flex-1 flex-wrap items-center gap-2">
			<button
				type="button"
				class="inline-flex min-h-[2.75rem] cursor-pointer items-center gap-2 rounded-lg border-[1.5px] border-(--line-strong) bg-(--paper) px-3 font-semibold hover:bg-(--work-soft)"
				onclick={take}><Camera class="size-5" aria-hidden="true" /> Take a photo</button>
			<input
				id="{uid}-photo"
				bind:this={input}
				class="min-w-0 flex-1 text-[0.93rem]"
				type="file"
				name="photo"
				accept="image/jpeg,image/png,image/webp"
				onchange={look} />
		</div>
	</div>
	<p class="mt-0.5 min-h-[1.35rem] text-[0.85rem] font-semibold text-(--harm)" aria-live="polite">{problem}</p>
</div>
