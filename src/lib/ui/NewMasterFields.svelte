<script lang="ts">
	import { MASTER_MATERIALS } from '$lib/core/master';
	import ChoiceField from './ChoiceField.svelte';
	import TextField from './TextField.svelte';

	/** What a new master is called and made of, where its body comes from elsewhere. */
	let { name = $bindable(), material = $bindable() }: { name: string; material: (typeof MASTER_MATERIALS)[number] } = $props();
</script>

<TextField label="Name" name="name" bind:value={name} />
<ChoiceField label="Made of" name="material" bind:value={material} options={MASTER_MATERIALS.map((value) => ({ value, label: value }))} />
