<script lang="ts">
	import { MASTER_MATERIALS } from '$lib/core/master';
	import ChoiceField from '$lib/ui/ChoiceField.svelte';
	import PageHead from '$lib/ui/PageHead.svelte';
	import MeasureWithPictures from '$lib/ui/pictures/MeasureWithPictures.svelte';
	import KeepShape from '$lib/ui/shape/KeepShape.svelte';
	import TextField from '$lib/ui/TextField.svelte';

	let name = $state('');
	let material = $state<(typeof MASTER_MATERIALS)[number]>('sulphur-free clay');
</script>

<PageHead title="A master from pictures" about="A sheet of paper and a telephone give its body: volume, skin and air traps." />
<MeasureWithPictures piece="new" waterMl={undefined}>
	{#snippet keep(studio, still, send, done)}
		<KeepShape {studio} {still} action="?/keep" submit="Keep this master" before={send} after={done}>
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
</MeasureWithPictures>
