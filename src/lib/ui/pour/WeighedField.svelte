<script lang="ts">
	import QuantityField from '../QuantityField.svelte';
	import type { Scale } from './scale.svelte';

	/** What stands in the cup, typed where no scale sends it. */
	let { scale }: { scale: Scale } = $props();
</script>

<QuantityField
	label="What is in the cup, if it came out otherwise"
	kind="mass"
	name="inCup"
	bind:value={scale.typedG}
	error={scale.typedProblem ? [scale.typedProblem] : undefined} />
