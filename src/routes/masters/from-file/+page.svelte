<script lang="ts">
	import type { ComponentProps } from 'svelte';
	import NewMasterFields from '$lib/ui/NewMasterFields.svelte';
	import PageHead from '$lib/ui/PageHead.svelte';
	import KeepShape from '$lib/ui/shape/KeepShape.svelte';
	import ShapeStudio from '$lib/ui/shape/ShapeStudio.svelte';

	// they outlive a step back
	let name = $state('');
	let material = $state<ComponentProps<typeof NewMasterFields>['material']>('resin print');
</script>

<PageHead title="A master from its 3D file" about="Volume, sizes and air traps at once; nothing is typed that the file knows." />
<ShapeStudio>
	{#snippet keep(studio, still)}
		<KeepShape {studio} {still} action="?/keep" submit="Keep this master">
			{#snippet fields()}<NewMasterFields bind:name bind:material />{/snippet}
		</KeepShape>
	{/snippet}
</ShapeStudio>
