<script lang="ts">
	import Segments from './Segments.svelte';

	/** In which units numbers are shown; they are typed in any. */
	let { value = $bindable() }: { value: string } = $props();
</script>

<Segments
	label="Numbers are shown in"
	name="units"
	bind:value
	options={[
		{ value: 'metric', label: 'mm, g, ml, °C' },
		{ value: 'us', label: 'in, oz, fl oz, °F' }
	]} />
