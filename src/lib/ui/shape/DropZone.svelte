<script lang="ts">
	import Upload from '@lucide/svelte/icons/upload';
	import { MESH_LIMITS } from '$lib/core/mesh/types';
	import { dropFiles } from '../dropFiles';

	/** Takes a 3D file, dropped or chosen. */
	interface Props {
		onfile: (file: File) => void;
		small?: boolean;
	}
	let { onfile, small = false }: Props = $props();
	let over = $state(false);
	const uid = $props.id();
	function take(list: FileList | null | undefined) {
		const file = list?.[0];
		if (file) onfile(file);
	}
</script>

<div
	role="group"
	aria-label="3D file"
	class={[
		'rounded-xl border-2 border-dashed text-center',
		over ? 'border-(--work) bg-(--work-soft)' : 'border-(--line-strong)',
		small ? 'p-3' : 'grid min-h-[20rem] place-items-center p-8'
	]}
	{@attach dropFiles(
		(files) => onfile(files[0]!),
		(is) => (over = is)
	)}>
	<div>
		{#if !small}<Upload class="mx-auto mb-3 size-12" aria-hidden="true" />
			<p class="text-[1.4rem] font-bold">Drop a 3D file here</p>{/if}
		<label for={uid} class="plain cursor-pointer text-[1.15rem] font-semibold">{small ? 'Take another file' : 'or choose one'}</label>
		<input
			id={uid}
			type="file"
			class="sr-only"
			accept=".stl,.obj,.ply,.3mf,model/stl,model/obj,model/3mf"
			onchange={(e) => {
				take(e.currentTarget.files);
				e.currentTarget.value = '';
			}} />
		{#if !small}<p class="soft mt-3">
				STL, OBJ, PLY or 3MF, up to {MESH_LIMITS.bytes / 1024 ** 2} MB. It is read in this browser; it goes to the server when you keep it.
			</p>{/if}
	</div>
</div>
