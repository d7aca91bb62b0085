<script lang="ts">
	import Camera from '@lucide/svelte/icons/camera';
	import Images from '@lucide/svelte/icons/images';
	import { dropFiles } from '../dropFiles';

	/** Pictures from the device's camera, one press each, or from files; also dropped here. */
	interface Props {
		ontake: (files: File[]) => void;
		disabled?: boolean;
	}
	let { ontake, disabled = false }: Props = $props();
	const uid = $props.id();
	let over = $state(false);
	const give = (list: FileList | null | undefined) => {
		if (list && list.length > 0) ontake([...list]);
	};
	const big =
		'flex min-h-[5.5rem] flex-1 cursor-pointer flex-col items-center justify-center gap-1 rounded-xl px-4 text-[1.15rem] font-bold has-focus-visible:outline-3 has-focus-visible:outline-offset-2';
</script>

<div
	role="group"
	aria-label="Take pictures"
	class={[
		'flex flex-wrap gap-3 rounded-xl border-2 border-dashed p-2',
		over ? 'border-(--work) bg-(--work-soft)' : 'border-(--line-strong)'
	]}
	{@attach dropFiles(
		(files) => disabled || ontake(files),
		(is) => (over = is)
	)}>
	<label class="{big} bg-(--work) text-(--work-ink)" for="{uid}-camera">
		<Camera class="size-8" aria-hidden="true" /> Take a picture
		<input
			id="{uid}-camera"
			type="file"
			class="sr-only"
			accept="image/*"
			capture="environment"
			{disabled}
			onchange={(e) => {
				give(e.currentTarget.files);
				e.currentTarget.value = '';
			}} />
	</label>
	<label class="{big} border-[1.5px] border-(--line-strong) bg-(--paper)" for="{uid}-files">
		<Images class="size-8" aria-hidden="true" /> Choose pictures
		<input
			id="{uid}-files"
			type="file"
			class="sr-only"
			accept="image/jpeg,image/png,image/webp"
			multiple
			{disabled}
			onchange={(e) => {
				give(e.currentTarget.files);
				e.currentTarget.value = '';
			}} />
	</label>
</div>
