<script lang="ts">
	import { MASTER_MATERIALS } from '$lib/core/master';
	import ChoiceField from '$lib/ui/ChoiceField.svelte';
	import PageHead from '$lib/ui/PageHead.svelte';
	import KeepShape from '$lib/ui/shape/KeepShape.svelte';
	import ShapeStudio from '$lib/ui/shape/ShapeStudio.svelte';
	import TextField from '$lib/ui/TextField.svelte';

	let name = $state('');
	let material = $state<(typeof MASTER_MATERIALS)[number]>('resin print');
</script>

<PageHead title="A master from its 3D file" about="Volume, sizes and air traps at once; nothing is typed that the file knows." />
<ShapeStudio>
	{#snippet keep(studio, still)}
		<KeepShape {studio} {still} action="?/keep" submit="Keep this master">
			{#snippet fields()}
				<TextField label="Name" name="name" bind:value={name} />
				<ChoiceField
					label="Made of"
					name="material"
					bind:value={material}
					options={MASTER_MATERIALS.map((value) => ({ value, label: value }))} />
			{/snippet}
		</KeepShape>
	{/snippet}
</ShapeStudio>
