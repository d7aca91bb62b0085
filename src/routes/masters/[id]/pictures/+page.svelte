<script lang="ts">
	import { Button } from 'flowbite-svelte';
	import PageHead from '$lib/ui/PageHead.svelte';
	import MeasureWithPictures from '$lib/ui/pictures/MeasureWithPictures.svelte';
	import KeepShape from '$lib/ui/shape/KeepShape.svelte';

	let { data } = $props();
	const record = $derived(data.master.record);
	const check = 'flex min-h-[2.5rem] cursor-pointer items-center gap-2 font-semibold';
</script>

<PageHead title="{record.name}, from pictures" about="A sheet of paper and a telephone give its body: volume, skin and air traps.">
	{#snippet actions()}<Button href="/masters/{data.master.id}" color="alternative" size="lg">The master</Button>{/snippet}
</PageHead>
<MeasureWithPictures piece={data.master.id} waterMl={data.waterMl} before={data.before}>
	{#snippet keep(studio, still, send, done)}
		<KeepShape
			{studio}
			{still}
			action="/masters/{data.master.id}/shape?/keep"
			submit={record.shape ? 'Replace its 3D file by this body' : 'Keep it on the master'}
			version={data.master.version}
			before={send}
			after={done}>
			{#snippet fields()}
				{#if record.shape}<p class="font-semibold text-(--harm)">
						It has a 3D file, {record.shape.fileName}: this body takes its place.
					</p>{/if}
				<label class={check}
					><input type="checkbox" name="useVolume" class="size-5 rounded text-(--work)" checked={record.readings.length === 0} /> Shots go by
					this volume</label>
				<label class={check}
					><input type="checkbox" name="useSizes" class="size-5 rounded text-(--work)" checked={!record.shape} /> The box goes by these sizes</label>
			{/snippet}
		</KeepShape>
	{/snippet}
</MeasureWithPictures>
