<script lang="ts">
	import type { ComponentProps } from 'svelte';
	import NewMasterFields from '$lib/ui/NewMasterFields.svelte';
	import PageHead from '$lib/ui/PageHead.svelte';
	import MeasureWithPictures from '$lib/ui/pictures/MeasureWithPictures.svelte';
	import KeepShape from '$lib/ui/shape/KeepShape.svelte';

	// they outlive a step back
	let name = $state('');
	let material = $state<ComponentProps<typeof NewMasterFields>['material']>('sulphur-free clay');
</script>

<PageHead title="A master from pictures" about="A sheet of paper and a telephone give its body: volume, skin and air traps." />
<MeasureWithPictures piece="new" waterMl={undefined}>
	{#snippet keep(studio, still, send, done)}
		<KeepShape {studio} {still} action="?/keep" submit="Keep this master" before={send} after={done}>
			{#snippet fields()}<NewMasterFields bind:name bind:material />{/snippet}
		</KeepShape>
	{/snippet}
</MeasureWithPictures>
