<script lang="ts">
	import { Button } from 'flowbite-svelte';
	import PageHead from '$lib/ui/PageHead.svelte';
	import KeepShape from '$lib/ui/shape/KeepShape.svelte';
	import ShapeStudio from '$lib/ui/shape/ShapeStudio.svelte';

	let { data } = $props();
	const usedIsMesh = $derived(data.master.record.readings[data.master.record.used]?.method === 'mesh');
	const check = 'flex min-h-[2.5rem] cursor-pointer items-center gap-2 font-semibold';
</script>

<PageHead
	title="{data.master.record.name}, shape"
	about="Where air stays, how it is poured best, where it is parted: before any rubber is mixed.">
	{#snippet actions()}<Button href="/masters/{data.master.id}" color="alternative" size="lg">The master</Button>{/snippet}
</PageHead>
<ShapeStudio kept={data.master.record.shape}>
	{#snippet keep(studio, still)}
		<KeepShape {studio} {still} action="?/keep" submit="Keep it on the master" version={data.master.version}>
			{#snippet fields()}
				<label class={check}
					><input type="checkbox" name="useVolume" class="size-5 rounded text-(--work)" checked={usedIsMesh || !data.master.record.shape} /> Shots
					go by this volume</label>
				<label class={check}
					><input type="checkbox" name="useSizes" class="size-5 rounded text-(--work)" checked={!data.master.record.shape} /> The box goes by
					these sizes</label>
			{/snippet}
		</KeepShape>
	{/snippet}
</ShapeStudio>
